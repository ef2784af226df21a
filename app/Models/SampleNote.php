<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\SampleNoteFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A word on a kept sample: a note, that it is withdrawn, or that it is brought back. Written once.
 *
 * @property string $sample_id
 * @property int $turn number among the notes of the sample
 * @property string $kind
 * @property string $text
 * @property string|null $made_by
 * @property CarbonImmutable $made_at
 * @property User|null $maker
 */
final class SampleNote extends OwnedByStudio
{
    /** @use HasFactory<SampleNoteFactory> */
    use HasFactory;

    public const NOTE = 'note';

    public const WITHDRAWN = 'withdrawn';

    public const BROUGHT_BACK = 'brought-back';

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['made_at' => 'immutable_datetime', 'turn' => 'int'];

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }
}
