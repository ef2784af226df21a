<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Scan\Compared;
use OpenSeam\Core\Scan\PictureValue;

/**
 * One value that a studio read by ruler and by camera. It belongs to nobody: the sample is only what tells values of one from those of another.
 *
 * @property string $sample
 * @property string $what allowance, length or width
 * @property float $ruler_mm
 * @property float $ruler_u_mm standard uncertainty
 * @property float $camera_mm
 * @property float $camera_u_mm standard uncertainty, as the picture says it
 * @property CarbonImmutable $compared_at
 */
final class CameraComparison extends OwnedByStudio
{
    /** @use HasFactory<\Database\Factories\CameraComparisonFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['ruler_mm' => 'float', 'ruler_u_mm' => 'float', 'camera_mm' => 'float', 'camera_u_mm' => 'float', 'compared_at' => 'immutable_datetime'];

    /** @return list<Compared> of the studio in hand, oldest first */
    public static function pairs(): array
    {
        return array_values(self::query()->orderBy('compared_at')->orderBy('id')->get()->map(fn (self $c): Compared => $c->pair())->all());
    }

    public function pair(): Compared
    {
        return new Compared($this->sample, PictureValue::from($this->what), Reading::of($this->ruler_mm, $this->ruler_u_mm), Reading::of($this->camera_mm, $this->camera_u_mm));
    }
}
