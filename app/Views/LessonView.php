<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Course\Setting;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Scan\PictureReadings;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\Words;

/** A lesson with its sampler. */
#[OA\Schema]
final readonly class LessonView
{
    /**
     * @param  list<NamedView>  $pictured
     * @param  list<NamedView>  $stitches
     * @param  list<NamedView>  $feet
     * @param  list<NamedView>  $teaches
     * @param  list<NamedView>  $needs
     * @param  list<SettingView>  $settings
     * @param  list<string>  $cautions
     * @param  list<string>  $points
     * @param  list<string>  $steps
     * @param  list<RowView>  $rows
     * @param  list<FaultView>  $faults
     * @param  list<DrillView>  $drills
     * @param  list<array{show: string, say: string, watch: string}>  $acts
     * @param  list<FoldView>  $folds
     * @param  list<array{mistake: string, looks: string}>  $mistakes
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public int $version,
        #[OA\Property] public string $why,
        #[OA\Property(description: 'strand of the first skill it teaches')] public string $strand,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $stitches,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $feet,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $teaches,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $needs,
        #[OA\Property] public float $demo,
        #[OA\Property] public float $sew,
        #[OA\Property] public float $inspect,
        #[OA\Property] public bool $machine,
        #[OA\Property] public string $foot,
        #[OA\Property(nullable: true, description: 'the stitch it is sewn with, by id')] public ?string $stitch,
        #[OA\Property] public bool $swings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SettingView::class))] public array $settings,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $points,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(nullable: true)] public ?DrawingView $drawing,
        #[OA\Property(nullable: true, description: 'what it is about, where nothing of it is sewn')] public ?PictureView $picture,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FaultView::class))] public array $faults,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DrillView::class))] public array $drills,
        #[OA\Property(nullable: true, description: 'cloth, thread and stitch for showing it to a room')] public ?string $demo_setup,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['show', 'say', 'watch'], properties: [new OA\Property(property: 'show', type: 'string'), new OA\Property(property: 'say', type: 'string'), new OA\Property(property: 'watch', type: 'string')], type: 'object'), description: 'how it is shown')] public array $acts,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['mistake', 'looks'], properties: [new OA\Property(property: 'mistake', type: 'string'), new OA\Property(property: 'looks', type: 'string')], type: 'object'))] public array $mistakes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoldView::class), description: 'how something of it is folded, act after act')] public array $folds,
        #[OA\Property(description: 'it is drawn and judged in')] public WayView $way,
        #[OA\Property(description: 'a buttonhole is sewn in it')] public bool $buttonhole,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'pieces whose rows are read from a picture')] public array $pictured,
    ) {}

    public static function of(Lesson $lesson, Bundle $bundle): self
    {
        $named = fn (string $id): NamedView => new NamedView($id, $bundle->skills->get($id)->title);

        $figures = SamplerLayout::of($lesson->sampler)->rows;
        $usual = array_column($lesson->in(new Way)->settings, null, 'name');

        return new self(
            $lesson->id, $lesson->title, $lesson->version, $lesson->why,
            $bundle->skills->get($lesson->teaches[0])->strand, self::stitches($lesson), self::feet($lesson),
            array_map($named, $lesson->teaches),
            array_map($named, $bundle->skills->needed($lesson->teaches)),
            $lesson->minutes->demo, $lesson->minutes->sew, $lesson->minutes->inspect,
            $lesson->machine, $lesson->foot, ($lesson->sews[0] ?? null)?->setup->stitch->kind->id, ($lesson->sews[0] ?? null)?->setup->stitch->kind->swings() ?? false,
            array_map(fn (Setting $s): SettingView => SettingView::of($s, $usual[$s->name] ?? null), $lesson->settings),
            $lesson->cautions, $lesson->points, $lesson->steps,
            DrawingView::of($lesson), self::picture($lesson),
            array_values(array_map(fn (Row $r): RowView => self::row($r, $figures[$r->id] ?? null), $lesson->sampler->rows)),
            array_map(fn (string $id): FaultView => new FaultView($id, $bundle->faults[$id]->seen, $bundle->faults[$id]->first->text, array_map(fn (Row $r): NamedView => new NamedView($r->id, $r->title), $lesson->rowsWith($id))), $lesson->faults),
            array_map(DrillView::of(...), $lesson->drills), $lesson->demonstration?->setup, $lesson->demonstration->acts ?? [], $lesson->mistakes, array_map(FoldView::of(...), $lesson->folds), WayView::of($lesson->way),
            array_filter($lesson->sampler->rows, fn (Row $r): bool => $r->stitch->kind->generator === 'buttonhole') !== [],
            array_map(fn (string $id): NamedView => new NamedView($id, $lesson->sampler->pieces[$id]->label), SamplerScan::pieces($lesson->sampler)),
        );
    }

    /** What is shown first, without words: it is a sign for the lesson. */
    private static function picture(Lesson $lesson): ?PictureView
    {
        $acts = $lesson->sampler->pieces === [] ? LessonPictures::of($lesson)->acts : [];

        return $acts === [] ? null : PictureView::of(new Picture($acts[0]->shapes, window: $acts[0]->window), Words::in());
    }

    /** @return list<NamedView> */
    private static function stitches(Lesson $lesson): array
    {
        $found = [];
        foreach ($lesson->sews as $need) {
            $found[$need->setup->stitch->kind->id] = new NamedView($need->setup->stitch->kind->id, $need->setup->stitch->kind->title);
        }

        return array_values($found);
    }

    /** @return list<NamedView> the usual foot of each thing that is sewn */
    private static function feet(Lesson $lesson): array
    {
        $found = [];
        foreach ($lesson->sews as $need) {
            $kind = FootBook::standard()->get($need->usualFoot());
            $found[$kind->id] = new NamedView($kind->id, $kind->title);
        }

        return array_values($found);
    }

    /** @param  array{stitches: int, row_mm: float, thread_mm: float, minutes: float}|null  $figures */
    private static function row(Row $row, ?array $figures): RowView
    {
        return new RowView(
            $row->id, $row->title, $row->guide, $figures['stitches'] ?? 0, $figures['thread_mm'] ?? 0.0, $figures['minutes'] ?? 0.0, PictureReadings::canRead($row),
            array_values(array_map(fn (Field $f): FieldView => new FieldView("{$row->id}.{$f->id}", $f->label, $f->kind->value, $f->size(), $f->options, $f->hint, array_map(FieldValueView::of(...), $f->values()), RowLooks::mayBeSeen($f)), $row->fields)),
            array_map(fn (CheckSpec $c): CheckRuleView => new CheckRuleView("{$row->id}.{$c->id}", $c->title, "{$row->id}.{$c->of}", $c->allows, $c->source), $row->checks),
        );
    }
}
