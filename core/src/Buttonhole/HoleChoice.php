<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\OwnButtonhole;
use OpenSeam\Core\Tables;

/** Which kind of buttonhole, which way it lies, and what is put under it, with the reasons (core/resources/buttonhole-kinds.json). */
final readonly class HoleChoice
{
    public const PARTS = ['front', 'cuff', 'waistband', 'collar-stand', 'coat', 'other'];

    /**
     * @param  string|null  $also  the direction of the other school, where teachers differ
     * @param  list<string>  $stabiliser  ids, none for what stands by itself
     * @param  list<string>  $why
     * @param  list<array{kind: string, why: string}>  $refused  kinds that would be better and cannot be sewn here
     */
    private function __construct(public string $kind, public string $direction, public ?string $also, public array $stabiliser, public array $why, public array $refused) {}

    /**
     * @param  list<string>  $kinds  of OwnButtonhole::KINDS that the machine sews
     * @param  bool  $spur  its foot has one for a cord
     * @param  string|null  $patternSays  horizontal or vertical
     */
    public static function of(Cloth $cloth, HeldButton $button, string $part, bool $hardWear, ?string $patternSays, array $kinds, bool $spur): self
    {
        $table = Tables::read('buttonhole-kinds');
        $why = [];
        $refused = [];
        $kind = 'rectangular';
        foreach (self::wanted($cloth, $button, $part, $hardWear, $table->number('thick_button_mm')) as $wanted) {
            $no = match (true) {
                $wanted === 'rectangular' => null,
                $wanted === 'corded' => $spur ? null : 'spur',
                default => in_array($wanted, $kinds, true) ? null : 'machine',
            };
            if ($no === null) {
                $kind = $wanted;
                break;
            }
            $refused[] = ['kind' => $wanted, 'why' => $table->part('kinds')->text($wanted).' '.$table->part('refusals')->text($no)];
        }
        $why[] = $table->part('kinds')->text($kind);
        $lies = $table->part('parts')->part($part);
        $direction = $patternSays ?? ($hardWear && $lies->has('hard') ? $lies->text('hard') : $lies->text('direction'));
        $why[] = $patternSays === null ? $lies->text('why') : $table->text('pattern');
        [$stabiliser, $because] = self::under($cloth, $table->part('stabilisers'));

        return new self($kind, $direction, $patternSays === null && $lies->has('also') ? $lies->text('also') : null, $stabiliser, [...$why, ...$because], $refused);
    }

    /** @return list<string> the kinds that suit, the best first */
    private static function wanted(Cloth $cloth, HeldButton $button, string $part, bool $hardWear, float $thick): array
    {
        $heavy = $cloth->weight === 'heavy';

        return array_values(array_filter([
            // A bulky knit is a knit that a cord holds better than an open side does.
            $cloth->stretches() && $heavy ? 'corded' : null,
            $cloth->stretches() ? 'stretch' : null,
            $cloth->delicate ? 'round-ended' : null,
            ($heavy && ! $cloth->stretches()) || $part === 'coat' || $button->shank || $button->thicknessMm >= $thick ? 'keyhole' : null,
            $hardWear && ! ($cloth->stretches() && $heavy) ? 'corded' : null,
            'rectangular',
        ]));
    }

    /** @return array{list<string>, list<string>} ids and reasons */
    private static function under(Cloth $cloth, Data $table): array
    {
        $ids = [];
        $why = [];
        $thin = $cloth->delicate || $cloth->weight === 'light';
        if ($cloth->stretches() || $thin || $cloth->weight === 'medium') {
            $ids[] = 'fusible-inside';
            $why[] = $table->part('fusible-inside')->text($cloth->stretches() ? 'knit' : 'medium');
        }
        if ($thin) {
            $ids[] = 'tear-away-beneath';
            $why[] = $table->part('tear-away-beneath')->text('why');
        }
        $ids === [] && $why[] = $table->part('none')->text('why');
        $cloth->fraying && $why[] = $table->text('fraying');
        $why[] = $table->text('wash-away');

        return [$ids, $why];
    }
}
