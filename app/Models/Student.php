<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\StudentFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\HomeMachine;

/**
 * @property string $name
 * @property list<string> $wishes
 * @property bool $own_machine there is one at home
 * @property array<string, mixed>|null $home that machine and its feet, as the core reads them; null: nothing is known of it
 * @property string $hand left, right, or empty: nobody said
 * @property CarbonImmutable|null $deleted_at
 * @property Collection<int, Enrolment> $enrolments
 */
final class Student extends OwnedByStudio
{
    /** @use HasFactory<StudentFactory> */
    use HasFactory;

    use SoftDeletes;

    public const HANDS = ['left', 'right'];

    /** @return HasMany<Enrolment, $this> */
    public function enrolments(): HasMany
    {
        return $this->hasMany(Enrolment::class);
    }

    /** @return HasMany<Sample, $this> */
    public function samples(): HasMany
    {
        return $this->hasMany(Sample::class)->orderBy('turn')->orderBy('late')->orderBy('kept_at');
    }

    /** The machine they have at home, where it is known. */
    public function atHome(): ?HomeMachine
    {
        return $this->own_machine && $this->home !== null ? HomeMachine::read(Data::of($this->home)) : null;
    }

    /**
     * One change of a student's record at a time: what follows is worked out from all of it.
     *
     * @param  list<string>  $students
     */
    public static function lock(array $students): void
    {
        self::query()->whereKey($students)->orderBy('id')->lockForUpdate()->pluck('id');
    }

    protected $casts = ['wishes' => 'array', 'own_machine' => 'bool', 'home' => 'array', 'deleted_at' => 'immutable_datetime'];

    protected $attributes = ['wishes' => '[]', 'own_machine' => false, 'hand' => ''];
}
