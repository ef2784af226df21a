<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\SampleFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder as QueryBuilder;

/**
 * A kept sample. Written once; a correction is a new one that replaces it.
 *
 * @property string|null $class_id it was sewn in; null: that class is gone
 * @property string $student_id
 * @property string|null $plan_session_id
 * @property string $lesson
 * @property int $lesson_version
 * @property string|null $drill
 * @property array<string, string|null> $settings
 * @property array<string, array{verdict: string, because: string}>|null $overruled the teacher's own verdicts, by check
 * @property array<string, mixed>|null $way it was sewn in; null: the usual one
 * @property string|null $replaces_id
 * @property string|null $kept_by
 * @property CarbonImmutable $kept_at
 * @property int $turn number among the samples of the student, as they were kept; of a late one that of the sample it stands after
 * @property bool $on_own it was sewn on a machine of the student's own: no machine of the room has to do with it
 * @property bool $late it was sent later than it was looked at
 * @property-read bool $withdrawn it does not count
 * @property Collection<int, SampleReading> $readings
 * @property Collection<int, SampleFault> $faults
 */
final class Sample extends OwnedByStudio
{
    /** @use HasFactory<SampleFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $attributes = ['late' => false, 'on_own' => false];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['settings' => 'array', 'overruled' => 'array', 'way' => 'array', 'kept_at' => 'immutable_datetime', 'lesson_version' => 'int', 'turn' => 'int', 'late' => 'bool', 'on_own' => 'bool'];

    /** It does not count. Only of a sample that was read by inOrder(). */
    public function getWithdrawnAttribute(): bool
    {
        return $this->getAttribute('last_word') === SampleNote::WITHDRAWN;
    }

    /**
     * Samples of students in the order they were kept, whatever class they were sewn in, each with the word
     * on whether it counts that came last.
     *
     * @param  list<string>  $students
     * @return Builder<self>
     */
    public static function inOrder(array $students): Builder
    {
        $word = SampleNote::query()->select('kind')->whereColumn('sample_notes.sample_id', 'samples.id')->whereIn('kind', [SampleNote::WITHDRAWN, SampleNote::BROUGHT_BACK])->orderByDesc('turn')->limit(1);

        $samples = self::query()->select('samples.*');
        $samples->getQuery()->selectSub($word->toBase(), 'last_word');

        return $samples->whereIn('student_id', $students)->orderBy('turn')->orderBy('late')->orderBy('kept_at')->orderBy('id');
    }

    /** Of a query over samples: without those that a later one corrects. */
    public static function newestOnly(QueryBuilder $samples): QueryBuilder
    {
        // Looked up for each, not with a list of all corrections there are: the installation may hold a thousand studios.
        return $samples->leftJoin('samples as newer', 'newer.replaces_id', 'samples.id')->whereNull('newer.id');
    }

    /** The number of the student's next sample. Asked for while the student is locked. */
    public static function nextTurn(string $student): int
    {
        return 1 + (int) self::query()->where('student_id', $student)->max('turn');
    }

    /** The number after which a sample stands that was looked at then, among those that were kept as it happened; 0: before all of them. */
    public static function turnAt(string $student, CarbonImmutable $at): int
    {
        return (int) self::query()->where('student_id', $student)->where('late', false)->whereNull('replaces_id')->where('kept_at', '<=', $at)->max('turn');
    }

    /** @return array{int, bool, string, string} by which a student’s samples are put in order */
    public function place(): array
    {
        return [$this->turn, $this->late, $this->kept_at->format('Y-m-d H:i:s.v'), $this->id];
    }

    /** @return HasMany<SampleNote, $this> */
    public function notes(): HasMany
    {
        return $this->hasMany(SampleNote::class)->orderBy('turn');
    }

    /** @return HasMany<SampleReading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(SampleReading::class)->orderBy('reading')->orderBy('position');
    }

    /** @return HasMany<SampleFault, $this> */
    public function faults(): HasMany
    {
        return $this->hasMany(SampleFault::class)->orderBy('fault');
    }
}
