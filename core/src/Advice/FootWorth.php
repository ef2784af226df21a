<?php

declare(strict_types=1);

namespace OpenSeam\Core\Advice;

/**
 * What a foot that only makes something easier is worth: minutes saved in a year
 * against its price. Prices are whatever the studio pays in.
 */
final readonly class FootWorth
{
    /** Of something that nobody said how often: once a month. */
    public const TIMES_A_YEAR = 12.0;

    /** It pays within so many years, or it is not worth it: ours to start from. */
    private const SOON_YEARS = 1.0;

    private const LATE_YEARS = 3.0;

    /** @var float|null what an hour saved costs in the first year; null without a price */
    public ?float $pricePerHour;

    /** @var float|null until the time saved is worth the price; null without a price, or what an hour is worth */
    public ?float $paysAfterYears;

    /**
     * @param  float  $minutesAYear  saved
     * @param  float|null  $price  of one such foot
     * @param  float|null  $hourWorth  what an hour is worth to who sews
     */
    public function __construct(public float $minutesAYear, public ?float $price, ?float $hourWorth, private bool $here = false)
    {
        $hours = $minutesAYear / 60;
        $this->pricePerHour = $price === null || $hours <= 0.0 ? null : $price / $hours;
        $this->paysAfterYears = $this->pricePerHour === null || $hourWorth === null || $hourWorth <= 0.0 ? null : $this->pricePerHour / $hourWorth;
    }

    /** @return 'here'|'worth-it'|'in-time'|'not-worth'|'unweighed' */
    public function verdict(): string
    {
        return match (true) {
            $this->here => 'here',
            $this->paysAfterYears === null => 'unweighed',
            $this->paysAfterYears <= self::SOON_YEARS => 'worth-it',
            $this->paysAfterYears <= self::LATE_YEARS => 'in-time',
            default => 'not-worth',
        };
    }

    /** @return array{minutes_a_year: float, price: float|null, price_per_hour: float|null, pays_after_years: float|null, verdict: string} */
    public function facts(): array
    {
        $round = fn (?float $v): ?float => $v === null ? null : round($v, 2);

        return ['minutes_a_year' => round($this->minutesAYear, 1), 'price' => $round($this->price), 'price_per_hour' => $round($this->pricePerHour), 'pays_after_years' => $round($this->paysAfterYears), 'verdict' => $this->verdict()];
    }
}
