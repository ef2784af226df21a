<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\User;
use App\Records\Facts;
use App\Records\ListClasses;
use App\Records\Shelf;
use App\Support\Clock;
use App\Views\NamedView;
use Carbon\CarbonImmutable;

/** Who is signed in, where, with which classes, and what they ought to know. */
final readonly class ShowMe
{
    public function __construct(private Shelf $shelf, private ListClasses $classes) {}

    public function __invoke(User $user): MeView
    {
        $courses = $this->shelf->courses();
        $named = array_map(fn (string $id, string $title): NamedView => new NamedView($id, $title), array_keys($courses), $courses);
        $studio = $user->studio;

        return new MeView(
            $user->name, $user->email, $studio->name, $user->role->value, $user->unit->value, $user->hand, $user->language, $studio->timezone, Clock::now()->toIso8601ZuluString(),
            ($this->classes)(), array_values($named), self::warning(), $studio->deleted_at?->toIso8601ZuluString(), $studio->demo,
        );
    }

    /** A sentence on the screen while the last good backup is too old. */
    private static function warning(): ?string
    {
        $known = Facts::lately([Facts::LAST_BACKUP, Facts::BEGUN]);
        $last = $known[Facts::LAST_BACKUP] ?? $known[Facts::BEGUN] ?? null;
        $days = $last === null ? 0 : (int) CarbonImmutable::parse($last)->diffInDays(CarbonImmutable::now());

        return $days <= config()->integer('seam.backup.warn_days') ? null : trans_choice('studio.backup-old', $days, ['days' => $days]);
    }
}
