<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

/** Why, in plain words, with the readings behind it. */
final readonly class Reason
{
    /** @param  list<array{sample: string, check: string, text: string, verdict: string}>  $evidence */
    public function __construct(public string $text, public array $evidence = []) {}

    /** @return array{sample: string, check: string, text: string, verdict: string} */
    public static function behind(PastSample $sample, Finding $finding): array
    {
        return ['sample' => $sample->evidence->sample, 'check' => $finding->check, 'text' => $finding->text, 'verdict' => $finding->verdict->value];
    }
}
