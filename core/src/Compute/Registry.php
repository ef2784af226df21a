<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

use ArithmeticError;
use JsonException;
use OpenSeam\Core\Data;
use OpenSeam\Core\FiniteNumbers;
use OpenSeam\Core\InputError;

/** All calculators by name, and the one way to run them. */
final class Registry
{
    /** @var array<string, Calculator> */
    private array $calculators = [];

    /** @var array<string, SchemaCheck> */
    private array $checks = [];

    /** @param  iterable<Calculator>  $calculators */
    public function __construct(iterable $calculators)
    {
        foreach ($calculators as $calculator) {
            $this->calculators[$calculator->name()] = $calculator;
        }
        ksort($this->calculators);
    }

    public static function standard(): self
    {
        return new self([
            new Calculators\ConvertLength,
            new Calculators\ReadStitchLength,
            new Calculators\ReadSeam,
            new Calculators\TraceSkill,
            new Calculators\ClassMinutesOf,
            new Calculators\NextLesson,
            new Calculators\NeedleClearance,
            new Calculators\FindGuide,
            new Calculators\FindRoomGuide,
            new Calculators\ThreadUseOf,
            new Calculators\CutCloth,
            new Calculators\StitchPoints,
            new Calculators\StitchPicture,
            new Calculators\CheckFit,
            new Calculators\AdviseNeedle,
            new Calculators\PlanSessions,
            new Calculators\CourseDates,
            new Calculators\ButtonholeLengths,
            new Calculators\SpaceButtonholes,
            new Calculators\SizeButtonhole,
            new Calculators\PlaceButtons,
            new Calculators\ButtonholeRun,
            new Calculators\ReadButtonhole,
            new Calculators\ChooseButtonhole,
            new Calculators\ButtonWidth,
            new Calculators\PlanBench,
            new Calculators\OrderChecks,
            new Calculators\Diagnose,
            new Calculators\MeasurePicture,
            new Calculators\ReadPicture,
            new Calculators\AdviseFeet,
            new Calculators\TranslateDial,
            new Calculators\ShowTension,
        ]);
    }

    /** @return array<string, Calculator> */
    public function all(): array
    {
        return $this->calculators;
    }

    /** @throws InputError when there is none of that name */
    public function get(string $name): Calculator
    {
        return $this->calculators[$name] ?? throw InputError::at('name', $name, 'There is no such calculation. Known: '.implode(', ', array_keys($this->calculators)).'.');
    }

    /**
     * @param  string  $json  one JSON object
     * @return array<string, mixed>
     *
     * @throws InputError when it is not JSON, does not fit the schema or its values do not fit together
     */
    public function run(string $name, string $json): array
    {
        $calculator = $this->get($name);
        try {
            $object = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
            $values = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InputError::at('(input)', mb_strimwidth(mb_scrub(trim($json)), 0, 60, '…'), 'The input must be one JSON object: '.$e->getMessage().'.');
        }
        FiniteNumbers::check($values);
        $this->checks[$name] ??= new SchemaCheck($calculator->schema());
        $this->checks[$name]->check($object);

        try {
            $answer = $calculator->run(Data::of(is_array($values) ? $values : []));
        } catch (ArithmeticError) {
            throw InputError::at('(input)', null, 'These values lead beyond what numbers can hold. Make the largest smaller, or the smallest larger.');
        }
        FiniteNumbers::answer($answer);

        return $answer;
    }
}
