<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\Near;
use OpenSeam\Core\Tables;

/**
 * A button that was sewn on, looked at (core/resources/button-look.json): what
 * is asked of it, what each answer is worth, and the one change for the next.
 *
 * @phpstan-type Check array{id: string, kind: string, verdict: string|null}
 */
final readonly class ButtonLook
{
    private const WORST_FIRST = ['not-yet' => 0, 'near' => 1];

    /** @param  list<Check>  $checks  verdict met, near or not-yet; null: not looked at */
    private function __construct(
        public array $checks,
        /** All of it was looked at and met; null while something is left to look at and nothing is off. */
        public ?bool $met,
        /** For the next one; null when nothing is off. */
        public ?string $change,
    ) {}

    /**
     * @param  Data  $read  counts, mm, yes or no, by the id of the check
     * @param  int  $holes  2 or 4
     */
    public static function of(Data $read, int $holes): self
    {
        $checks = [];
        $off = [];
        foreach (Tables::read('button-look')->parts('checks') as $check) {
            if ($check->has('holes') && $check->whole('holes') !== $holes) {
                continue;
            }
            $id = $check->text('id');
            [$verdict, $side] = match (true) {
                ! $read->has($id) => [null, ''],
                $check->text('kind') === 'yes-no' => $read->flag($id) ? ['met', ''] : ['not-yet', 'low'],
                default => self::within($read->number($id), $check->numbers('met'), $check->numbers('near')),
            };
            $checks[] = ['id' => $id, 'kind' => $check->text('kind'), 'verdict' => $verdict];
            isset(self::WORST_FIRST[$verdict]) && $off[] = [self::WORST_FIRST[$verdict], count($checks), $check->text($side)];
        }
        sort($off);
        $left = in_array(null, array_column($checks, 'verdict'), true);

        return new self($checks, $off !== [] ? false : ($left ? null : true), $off[0][2] ?? null);
    }

    /**
     * @param  list<float>  $met  from and to
     * @param  list<float>  $near
     * @return array{string, string} verdict, and the side on which it is off
     */
    private static function within(float $value, array $met, array $near): array
    {
        $outside = fn (float $from, float $to): bool => $value < $from - Near::DUST || $value > $to + Near::DUST;

        return [match (true) {
            ! $outside(...$met) => 'met', ! $outside(...$near) => 'near', default => 'not-yet',
        }, $value < $met[0] ? 'low' : 'high'];
    }
}
