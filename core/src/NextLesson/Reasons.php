<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Words;

/** What a sample showed, in sentences, with the evidence behind each. */
final readonly class Reasons
{
    public function __construct(private Words $words, private SkillGraph $skills) {}

    /**
     * What the sample shows against these skills, each once.
     *
     * @param  array<string>  $skills
     * @return list<Reason>
     */
    public function findings(?PastSample $sample, array $skills): array
    {
        $reasons = [];
        foreach ($sample->findings ?? [] as $finding) {
            if ($sample !== null && $finding->verdict->value !== 'met' && array_intersect($finding->skills, $skills) !== []) {
                $text = match (true) {
                    $finding->isOpen() => $this->words->say('reason.open', ['check' => $finding->title, 'again' => (string) $finding->again]),
                    $finding->again !== null => $this->words->say('reason.unsure', ['check' => "{$finding->title}, {$finding->text},", 'again' => $finding->again]),
                    $finding->fault => $this->words->say('reason.fault', ['fault' => $finding->text]),
                    default => $this->words->say('reason.check', ['check' => $finding->title, 'text' => $finding->text]),
                };
                $reasons[] = new Reason($text, [Reason::behind($sample, $finding)]);
            }
        }

        return $reasons;
    }

    /** @return list<Reason> */
    public function unsure(PastSample $sample): array
    {
        return array_values(array_filter($this->findings($sample, array_keys($sample->evidence->weights)), fn (Reason $r): bool => ($r->evidence[0]['verdict'] ?? '') === 'unsure'));
    }

    /**
     * The same outcome in sample after sample is a habit, not an accident: one sentence with the count.
     *
     * @param  list<PastSample>  $run
     */
    public function sameAgain(array $run, ?Finding $worst, string $skill): Reason
    {
        $behind = [];
        foreach ($run as $sample) {
            foreach ($sample->findings as $finding) {
                if ($worst?->isLike($finding) === true) {
                    $behind[] = Reason::behind($sample, $finding);
                    break;
                }
            }
        }

        return new Reason($this->words->say('reason.same-again', ['count' => (string) count($run), 'text' => $worst->title ?? $this->skills->get($skill)->title]), $behind);
    }
}
