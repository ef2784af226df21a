<?php

declare(strict_types=1);

namespace App\Views;

use App\Records\JudgedSample;
use App\Records\RoomInventory;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Grading\Comparison;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Sampler\Readings;

/** A sample judged, and what comes next. */
#[OA\Schema]
final readonly class JudgedView
{
    /**
     * @param  list<CheckView>  $checks
     * @param  list<MeasuredRowView>  $measured
     * @param  list<ComparedView>  $compared
     * @param  list<MeasuredRowView>  $before
     */
    public function __construct(
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'])] public ?string $verdict,
        #[OA\Property] public bool $complete,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))] public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeasuredRowView::class))] public array $measured,
        #[OA\Property] public AdviceView $advice,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ComparedView::class), description: 'with the sample of this lesson before')] public array $compared,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeasuredRowView::class), description: 'the rows of that sample')] public array $before,
    ) {}

    public static function of(JudgedSample $judged, Bundle $bundle, RoomInventory $room): self
    {
        $rows = fn (?Readings $of): array => $of === null ? [] : array_map(fn (array $r): MeasuredRowView => new MeasuredRowView(...$r), Drawing::of($judged->lesson->sampler)->measured($of));

        return new self(
            $judged->grade->verdict()?->value, $judged->grade->complete(),
            array_map(self::check(...), $judged->grade->checks),
            $rows($judged->readings),
            AdviceView::of($judged->advice, $bundle, $room),
            array_map(fn (Comparison $c): ComparedView => new ComparedView($c->key, $c->how, $c->before), $judged->compared),
            $rows($judged->before),
        );
    }

    public static function check(GradedCheck $check): CheckView
    {
        $change = $check->change();

        return new CheckView(
            $check->key(), $check->row->title, $check->spec->title, $check->verdict()?->value, $check->result?->text,
            $check->verdict() === Verdict::Unsure ? $check->result?->again : null,
            $change === null ? null : new ChangeView($change->kind, $change->text), $check->result?->habit,
            $check->overruled === null || $check->result === null ? null : new OverruledView($check->result->judgement->verdict->value, $check->overruled->because),
        );
    }
}
