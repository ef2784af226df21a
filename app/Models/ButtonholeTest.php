<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ButtonholeTestFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use OpenSeam\Core\Buttonhole\HoleChecks;
use OpenSeam\Core\Buttonhole\HolePlan;
use OpenSeam\Core\Buttonhole\HoleReading;
use OpenSeam\Core\Buttonhole\SewnHole;
use OpenSeam\Core\Data;

/**
 * A buttonhole that was sewn for a job and looked at. Never changed: another look is another row.
 *
 * @property string $job_id
 * @property string|null $machine_id
 * @property string $way
 * @property array<string, mixed> $job as it was when it was sewn
 * @property array<string, float> $planned
 * @property float $set_mm
 * @property array<string, mixed> $read
 * @property CarbonImmutable $sewn_at
 */
final class ButtonholeTest extends OwnedByStudio
{
    /** @use HasFactory<ButtonholeTestFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['job' => 'array', 'planned' => 'array', 'read' => 'array', 'set_mm' => 'float', 'sewn_at' => 'immutable_datetime'];

    public function plan(): HolePlan
    {
        $planned = Data::of($this->planned);

        return new HolePlan($planned->number('finished_mm'), $planned->number('opening_mm'), $planned->number('half_wrap_mm'), $planned->numberOrNull('points_per_10'));
    }

    public function reading(): HoleReading
    {
        return HoleReading::read(Data::of($this->read));
    }

    public function sewn(): SewnHole
    {
        [$plan, $read] = [$this->plan(), $this->reading()];
        $bars = array_values(array_filter([$read->barFrontMm, $read->barBackMm], fn (?float $b): bool => $b !== null));
        $met = array_filter(HoleChecks::of($plan, $read), fn (array $c): bool => $c['verdict'] !== 'met') === [];

        return new SewnHole($this->set_mm, $plan->finishedMm, $read->finishedMm($plan->finishedMm), $bars === [] ? null : array_sum($bars) / count($bars), $met, $read->button === null ? null : $read->button === 'snug');
    }
}
