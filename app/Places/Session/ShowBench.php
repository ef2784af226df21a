<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Models\Foot;
use App\Models\Machine;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Views\BenchView;
use App\Views\DayFootView;
use App\Views\NamedView;
use App\Views\SeatView;
use App\Views\StudentViews;
use App\Views\TapePieceView;
use App\Views\Titles;
use OpenSeam\Core\Bench\BenchReasons;
use OpenSeam\Core\Bench\RoomBench;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Bench\Seating;
use OpenSeam\Core\Machine\FootBook;

/** A bench as the screen and the seat cards show it. */
final readonly class ShowBench
{
    public function __construct(private Shelf $shelf, private StudentViews $views) {}

    public function __invoke(Bench $bench): BenchView
    {
        $seats = $bench->seats();
        $session = $bench->inHand->session;
        $names = $this->names($bench);
        $why = $bench->rounds === [] ? [] : array_column(BenchReasons::of($bench->problem, $bench->rounds[0], $bench->reading->words, $names), null, 'student');

        return new BenchView(
            new NamedView($bench->reading->class->id, $bench->reading->class->name),
            $session->id, $session->position + 1, $session->beginsAt()->toIso8601ZuluString(), $session->lasts(), $bench->inHand->state->value,
            $bench->kept->version, $bench->kept->most_lessons, $session->begun_at?->toIso8601ZuluString(),
            array_filter($bench->rounds, fn (Seating $p): bool => ! $p->proven) === [], round($bench->cost(), 2),
            array_values(array_map(fn (StudentAsRead $s): SeatView => $this->seat($bench, $s, $seats[$s->enrolment->student_id] ?? null, $why[$s->enrolment->student_id] ?? null), $bench->reading->students)),
            array_values($bench->room->machines->where('usable', true)->map(fn (Machine $m): NamedView => new NamedView($m->id, $m->name))->all()),
            $this->feet($bench), $this->tape($bench),
        );
    }

    /** @return array<string, string> of students, lessons and kinds of foot */
    private function names(Bench $bench): array
    {
        return array_map(fn (StudentAsRead $s): string => $s->enrolment->student->name, $bench->reading->students)
            + array_map(fn (string|int $l): string => Titles::of($this->shelf->bundle(), (string) $l), array_combine(array_keys($bench->problem->lessons), array_keys($bench->problem->lessons)));
    }

    /**
     * @param  array{Seat, int}|null  $seated
     * @param  array{student: string, because: string, text: string, cost: float|null}|null  $why
     */
    private function seat(Bench $bench, StudentAsRead $s, ?array $seated, ?array $why): SeatView
    {
        $id = $s->enrolment->student_id;
        [$seat, $round] = $seated ?? [null, 0];
        $held = $bench->kept->held[$id] ?? [];
        $inHand = $this->views->inHand($s, $bench->reading->words, true);
        $title = fn (string $lesson): string => Titles::of($this->shelf->bundle(), $lesson, $lesson === $s->lesson() ? $s->drill() : null);
        $machine = $seat === null || str_starts_with($seat->machine, RoomBench::TABLE) ? null : $seat->machine;

        return new SeatView(
            $id, $s->enrolment->student->name, $s->enrolment->seat, $bench->kept->away[$id] ?? 'here', $round,
            $seat?->lesson, $seat === null ? '' : $title($seat->lesson),
            $seat !== null && $seat->lesson === $s->lesson() ? $inHand->change : '',
            $machine, $seat?->foot === null ? null : FootBook::standard()->get($seat->foot)->title, $machine !== null && $machine === $s->enrolment->machine_id,
            match (true) {
                isset($held['machine'], $held['lesson']) => 'both',
                isset($held['machine']) => 'machine',
                isset($held['lesson']) => 'lesson',
                default => null,
            },
            $seat !== null && $seat->lesson !== $s->lesson() && $s->lesson() !== null ? $title($s->lesson()) : null,
            $seat !== null && $seat->lesson === $s->lesson() && $round === 1 ? null : $why['text'] ?? null, isset($why['cost']) ? round($why['cost'], 2) : null,
            array_map(fn (string|int $l): NamedView => new NamedView((string) $l, $title((string) $l)), array_keys($bench->wants[$id] ?? [])),
        );
    }

    /** @return list<DayFootView> */
    private function feet(Bench $bench): array
    {
        $wanted = [];
        foreach ($bench->rounds as $plan) {
            $of = array_count_values(array_filter(array_map(fn (Seat $s): ?string => $s->foot, array_values($plan->seats))));
            foreach ($of as $kind => $n) {
                $wanted[$kind] = max($wanted[$kind] ?? 0, $n);
            }
        }
        $have = fn (string $kind): int => array_sum($bench->room->feet->filter(fn (Foot $f): bool => $f->kind === $kind)->map(fn (Foot $f): int => $f->count)->all());

        return array_map(fn (string $kind, int $n): DayFootView => new DayFootView(FootBook::standard()->get($kind)->title, $n, $have($kind)), array_map(strval(...), array_keys($wanted)), $wanted);
    }

    /** @return list<TapePieceView> */
    private function tape(Bench $bench): array
    {
        return array_map(fn (array $p): TapePieceView => TapePieceView::of($p, $this->shelf->bundle(), $bench->reading->words), $bench->tape($this->shelf->taught($bench->reading->class)));
    }
}
