<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Somebody else was quicker, or the same thing was sent twice with different content. */
final class Conflict extends RuntimeException
{
    private function __construct(public readonly string $field, public readonly mixed $got, string $message)
    {
        parent::__construct($message);
    }

    public static function stalePlan(int $got, int $current): self
    {
        return new self('version', $got, "The plan was changed meanwhile (it is at version $current now). Look at the new one, then make your change again.");
    }

    public static function startsInThePast(string $day, int $over, int $of): self
    {
        return new self('began', $day, sprintf(
            '%s lies in the past: %s over before anything is kept of %s, and what was laid into %s counts as held. Choose a later day, or say that the course did begin then.',
            $day, $over === $of ? ($of === 1 ? 'the one session would be' : "all $of sessions would be") : ($over === 1 ? "1 of $of sessions would be" : "$over of $of sessions would be"), $over === 1 ? 'it' : 'them', $over === 1 ? 'it' : 'them',
        ));
    }

    public static function sampleTaken(string $id): self
    {
        return new self('id', $id, 'A different sample was already kept under this id. The first one stays.');
    }

    public static function staleChoice(string $name): self
    {
        return new self('given', null, "{$name} was given something else meanwhile, perhaps by another teacher. Look at that, then choose again.");
    }

    public static function staleBench(int $got, int $current): self
    {
        return new self('version', $got, "Who sits where was changed meanwhile (it is at version $current now). Look at the new one, then make your change again.");
    }

    public static function buttonholeTaken(string $id): self
    {
        return new self('id', $id, 'Something else was already kept under this id. The first one stays.');
    }

    public static function noteTaken(string $id): self
    {
        return new self('id', $id, 'Another note was already kept under this id. The first one stays.');
    }

    public static function photoTaken(string $id): self
    {
        return new self('id', $id, 'A photo of another sample was already kept under this id. The first one stays.');
    }

    public static function sampleMeanwhile(string $title, int $known): self
    {
        return new self('known', $known, "Another sample of “{$title}” was kept for this student meanwhile, perhaps on another device. Keep both, or drop this one.");
    }

    public static function alreadyCorrected(string $id): self
    {
        return new self('replaces', $id, 'This sample was already corrected. Correct the newer one instead.');
    }

    public static function withdrawn(string $id): self
    {
        return new self('replaces', $id, 'This sample was withdrawn. Bring it back first, then correct it.');
    }

    public static function struck(string $id): self
    {
        return new self('sample', $id, 'This sample was corrected. Withdraw, or bring back, the newer one instead.');
    }

    public static function staleShelf(int $got, int $current): self
    {
        return new self('edition', $got, "The shelf was changed meanwhile (it is at edition $current now). Look at the changes again, then agree to them.");
    }

    public static function staleLesson(string $title, int $got, int $current): self
    {
        return new self('version', $got, "“{$title}” was changed meanwhile: version $current is on the shelf, you began from $got. Your draft is kept here; look at the new one, or keep yours as a new lesson.");
    }

    public static function lessonInUse(string $title, string $by): self
    {
        return new self('number', null, "“{$title}” would go, and it is used by $by. Take it out of there first, or go back to an edition that has it.");
    }

    public static function huntTaken(string $id): self
    {
        return new self('id', $id, 'A different search was already opened under this id. The first one stays.');
    }

    public static function staleHunt(int $trials): self
    {
        return new self('after', $trials, "This search went on meanwhile: $trials trials were made. Look at the new one, then go on.");
    }

    public static function machineInUse(string $name, string $who): self
    {
        return new self('sure', null, "$name is used: $who. Nothing of that will be lost. Say so again to take it out of the room.");
    }
}
