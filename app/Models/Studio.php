<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\StudioFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * @property float|null $card_line_mm what the printed photo card’s line of 100 mm measures
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property bool $demo
 * @property string|null $shelf_edition
 * @property string|null $tracing its own numbers of the skill model (JSON), see App\Records\Tracing
 * @property string $currency  that prices are in, such as EUR; empty: not said
 * @property float $cloth_width_mm
 * @property float $selvedge_mm
 * @property float $spool_m
 * @property int $archive_after_days classes are put away so long after their course ended
 * @property int|null $delete_after_days and deleted; null: never by themselves
 * @property int $page_weeks a student's page ends so long after the course
 * @property CarbonImmutable|null $deleted_at
 */
final class Studio extends Model
{
    /** @use HasFactory<StudioFactory> */
    use HasFactory;

    use HasUlids, SoonBooted;

    /** All there are: read along with whoever is signed in (Support/SignedIn). */
    public const COLUMNS = ['id', 'name', 'timezone', 'demo', 'shelf_edition', 'tracing', 'currency', 'cloth_width_mm', 'selvedge_mm', 'spool_m', 'archive_after_days', 'delete_after_days', 'page_weeks', 'card_line_mm', 'deleted_at', 'created_at', 'updated_at'];

    protected $guarded = [];

    protected $casts = ['demo' => 'bool', 'cloth_width_mm' => 'float', 'selvedge_mm' => 'float', 'spool_m' => 'float', 'archive_after_days' => 'int', 'delete_after_days' => 'int', 'page_weeks' => 'int', 'card_line_mm' => 'float', 'deleted_at' => 'immutable_datetime'];
}
