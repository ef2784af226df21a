<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\SewingClass;
use App\Places\Materials\CountMaterials;
use App\Records\ClassShop;
use App\Records\Shelf;
use App\Views\DayFootView;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Material\Need;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Words;

/** What must stand ready on each day of a plan: machines, feet, cloth. */
final readonly class ShowPlanNeeds
{
    public function __construct(private Shelf $shelf, private CountMaterials $count) {}

    /** @return list<PlanNeedsView> */
    public function __invoke(SewingClass $class, Unit $unit): array
    {
        $shop = ClassShop::of($class);
        $words = Words::in($unit);
        $needs = [];
        foreach ($shop->sessions as $i => $session) {
            $machines = 0;
            $feet = [];
            foreach ($session->lessonIds() as $id) {
                $fit = $shop->room->forLesson($this->shelf->taught($class)->lesson($id));
                $places = $this->shelf->taught($class)->lesson($id)->machine ? min($shop->students, $fit->places) : 0;
                $machines = max($machines, $places);
                foreach ($fit->ways as $way) {
                    foreach ($way->feet as $f) {
                        // The same kind in two lessons of the evening is wanted once.
                        $wanted = $f['shared'] ? 1 : min($shop->students, count($way->machines) ?: count($shop->room->room->machines));
                        $feet[$f['kind']] = ['wanted' => max($feet[$f['kind']]['wanted'] ?? 0, $wanted), 'have' => max($feet[$f['kind']]['have'] ?? 0, $f['best'])];
                    }
                }
            }
            $cloth = array_filter(($this->count)($shop, $i + 1)->needs, fn (Need $n): bool => $n->unit === 'm' && ! str_starts_with($n->item, 'thread'));
            $needs[] = new PlanNeedsView(
                $i + 1, $machines,
                array_map(fn (string $kind): DayFootView => new DayFootView(FootBook::standard()->get($kind)->title, $feet[$kind]['wanted'], $feet[$kind]['have']), array_map(strval(...), array_keys($feet))),
                array_values(array_map(fn (Need $n): string => "{$words->cloth($n->amount)} {$n->title}", $cloth)),
            );
        }

        return $needs;
    }
}
