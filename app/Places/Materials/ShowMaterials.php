<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Models\CupboardItem;
use App\Models\MaterialTick;
use App\Models\SewingClass;
use App\Records\ClassShop;
use App\Views\MaterialLineView;
use App\Views\NamedView;
use OpenSeam\Core\Material\Need;

/** The shopping list of a class with what is there, what it costs, and the cutting plans. */
final readonly class ShowMaterials
{
    public function __construct(private CountMaterials $count) {}

    public function __invoke(SewingClass $class, ?int $session, ?float $samplesEach): MaterialsView
    {
        return $this->of(ClassShop::of($class), $session, $samplesEach);
    }

    public function of(ClassShop $shop, ?int $session, ?float $samplesEach): MaterialsView
    {
        $class = $shop->class;
        $materials = ($this->count)($shop, $session, $samplesEach);
        $cupboard = CupboardItem::query()->get()->keyBy('item');
        $ticked = array_flip(array_values(MaterialTick::query()->where('class_id', $class->id)->get()->map(fn (MaterialTick $t): string => $t->item)->all()));
        $short = $this->count->short($shop, array_map(fn (CupboardItem $i): float => $i->have, $cupboard->all()), $samplesEach);
        $lines = array_map(function (Need $n) use ($cupboard, $ticked, $short): MaterialLineView {
            $have = $cupboard->get($n->item)->have ?? 0.0;
            $price = $cupboard->get($n->item)->price ?? 0.0;
            $buy = max(0.0, $n->amount - $have);

            return new MaterialLineView($n->item, $n->title, $n->amount, $n->unit, $n->how, $have, $buy, $price, round($buy * $price, 2), isset($ticked[$n->item]), isset($ticked[$n->item]) ? null : ($short[$n->item] ?? null)?->starts_at->toIso8601ZuluString());
        }, $materials->needs);
        $cost = array_sum(array_map(fn (MaterialLineView $l): float => $l->cost, $lines));

        return new MaterialsView(
            new NamedView($class->id, $class->name), $shop->students, count($shop->sessions), $materials->samplesEach,
            $lines, round($cost, 2), round($cost / $shop->students, 2),
            array_map(fn (string $m): CuttingView => CuttingView::of($m, $materials->layouts[$m], $shop->studio->cloth_width_mm, $shop->studio->selvedge_mm), array_map(strval(...), array_keys($materials->layouts))),
            ShopView::of($shop->studio),
        );
    }
}
