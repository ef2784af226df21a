<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Support\JudgedSample;
use App\Support\RoomBook;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Sampler\GradedCheck;

/** A sample judged, and what comes next. */
#[OA\Schema]
final readonly class JudgedView
{
    /**
     * @param  list<CheckView>  $checks
     * @param  list<MeasuredRowView>  $measured
     */
    public function __construct(
        #[OA\Property(type: 'string', nullable: true, enum: ['met', 'near', 'not-yet', 'unsure'])] public ?string $verdict,
        #[OA\Property] public bool $complete,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))] public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MeasuredRowView::class))] public array $measured,
        #[OA\Property] public AdviceView $advice,
    ) {}

    public static function of(JudgedSample $judged, Bundle $bundle, RoomBook $room): self
    {
        return new self(
            $judged->grade->verdict()?->value, $judged->grade->complete(),
            array_map(self::check(...), $judged->grade->checks),
            array_map(fn (array $r): MeasuredRowView => new MeasuredRowView(...$r), Drawing::of($judged->lesson)->measured($judged->readings)),
            AdviceView::of($judged->advice, $bundle, $room),
        );
    }

    public static function check(GradedCheck $check): CheckView
    {
        $change = $check->change();

        return new CheckView(
            $check->key(), $check->row->title, $check->spec->title, $check->verdict()?->value, $check->result?->text,
            $check->verdict() === Verdict::Unsure ? $check->result?->again : null,
            $change === null ? null : new ChangeView($change->kind, $change->text),
        );
    }
}
