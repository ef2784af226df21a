<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\InputError;

/** What a teacher wants of a plan. Sessions are counted from 0. */
final readonly class PlanWishes
{
    /**
     * @param  array<array-key, int>  $pins  the session, by lesson
     * @param  array<array-key, int>  $notBefore  first session, by lesson
     * @param  array<array-key, int>  $notAfter  last session, by lesson
     * @param  list<list<string>>  $together  groups of lessons that stand in one session
     * @param  list<string>  $home  lessons sewn at home between two sessions, without class time
     */
    public function __construct(
        public array $pins = [],
        public array $notBefore = [],
        public array $notAfter = [],
        public array $together = [],
        public array $home = [],
        public TeachingOrder $order = TeachingOrder::Course,
    ) {}

    /**
     * @param  list<string>  $course  lesson ids
     *
     * @throws InputError for a lesson that is not of the course, a session that is not of the plan, or a lesson that is asked for twice over
     */
    public function check(array $course, int $sessions): void
    {
        foreach (['pins' => $this->pins, 'not_before' => $this->notBefore, 'not_after' => $this->notAfter] as $field => $bounds) {
            foreach ($bounds as $lesson => $session) {
                in_array((string) $lesson, $course, true) || throw InputError::at($field, $lesson, $field === 'pins' ? 'Only a lesson of the course can be pinned.' : 'Only a lesson of the course can be bound to a session.');
                $session >= 0 && $session < $sessions || throw InputError::at("$field.$lesson", $session + 1, "The plan has sessions 1 to $sessions.");
            }
        }
        foreach ($this->notBefore as $lesson => $session) {
            ($this->notAfter[$lesson] ?? $session) >= $session || throw InputError::at("not_after.$lesson", $this->notAfter[$lesson] + 1, sprintf('“%s” may not stand before session %d, so it cannot stand before session %d as well.', $lesson, $session + 1, $this->notAfter[$lesson] + 2));
        }
        $seen = [];
        foreach ($this->together as $g => $ids) {
            foreach ($ids as $i => $id) {
                in_array($id, $course, true) || throw InputError::at("together.$g.$i", $id, 'Only lessons of the course can be taught together.');
                isset($seen[$id]) && throw InputError::at("together.$g.$i", $id, 'A lesson can be taught together with one group only.');
                in_array($id, $this->home, true) && throw InputError::at("together.$g.$i", $id, 'A lesson that is sewn at home is not taught together with others.');
                $seen[$id] = true;
            }
        }
        foreach ($this->home as $i => $id) {
            in_array($id, $course, true) || throw InputError::at("home.$i", $id, 'Only a lesson of the course can be sewn at home.');
            isset($this->pins[$id]) && throw InputError::at("home.$i", $id, 'A pinned lesson takes class time: take the pin off, or sew it in class.');
        }
    }

    /**
     * The same for what is still to come.
     *
     * @param  int  $begun  sessions that have begun
     * @param  list<string>  $done  lessons taught in them
     */
    public function toCome(int $begun, array $done): self
    {
        return new self(
            // A pin or a last session that has gone by binds nothing any more.
            self::shifted($this->pins, $begun, $done), self::shifted(array_map(fn (int $s): int => max($s, $begun), $this->notBefore), $begun, $done), self::shifted($this->notAfter, $begun, $done),
            array_values(array_filter(array_map(fn (array $g): array => array_values(array_diff($g, $done)), $this->together), fn (array $g): bool => count($g) > 1)),
            array_values(array_diff($this->home, $done)), $this->order,
        );
    }

    /**
     * @param  array<array-key, int>  $bounds
     * @param  list<string>  $done
     * @return array<array-key, int>
     */
    private static function shifted(array $bounds, int $begun, array $done): array
    {
        $shifted = [];
        foreach ($bounds as $lesson => $session) {
            if (! in_array((string) $lesson, $done, true) && $session >= $begun) {
                $shifted[$lesson] = $session - $begun;
            }
        }

        return $shifted;
    }

    /** @return array<string, mixed> sessions from 0 */
    public function kept(): array
    {
        return ['pins' => $this->pins, 'not_before' => $this->notBefore, 'not_after' => $this->notAfter, 'together' => $this->together, 'home' => $this->home, 'order' => $this->order->value];
    }

    /** @param  array{pins?: array<array-key, int>, not_before?: array<array-key, int>, not_after?: array<array-key, int>, together?: list<list<string>>, home?: list<string>, order?: string}  $kept */
    public static function of(array $kept): self
    {
        return new self(
            $kept['pins'] ?? [], $kept['not_before'] ?? [], $kept['not_after'] ?? [], $kept['together'] ?? [], $kept['home'] ?? [],
            TeachingOrder::tryFrom($kept['order'] ?? '') ?? TeachingOrder::Course,
        );
    }
}
