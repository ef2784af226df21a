<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Skill\ExpectedSamples;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Words;

/**
 * What a class needs for its lessons: pieces × students × expected samples,
 * laid on the cloth; interfacing; thread and bobbins; needles; small things.
 */
final readonly class ClassMaterials
{
    /**
     * @param  list<Need>  $needs
     * @param  array<string, CuttingLayout>  $layouts  by material
     */
    private function __construct(public array $needs, public array $layouts, public float $samplesEach) {}

    /**
     * @param  list<Lesson>  $lessons
     * @param  int  $students  1 or more
     * @param  int  $machines  usable ones
     * @param  float|array<string, float>|null  $samplesEach  samples a student sews of each lesson, or of one by its id; default as the skill model expects of one skill
     * @param  list<ButtonStock>  $buttons  that are to be sewn on garments
     */
    public static function of(array $lessons, int $students, int $machines, ?Bought $bought = null, float|array|null $samplesEach = null, array $buttons = [], ?Words $words = null): self
    {
        $words ??= Words::in();
        $bought ??= Bought::of();
        $usual = ExpectedSamples::untilGood(TracingParameters::usual());
        $of = fn (Lesson $l): float => is_array($samplesEach) ? $samplesEach[$l->id] ?? $usual : $samplesEach ?? $usual;
        $each = $lessons === [] ? $usual : array_sum(array_map($of, $lessons)) / count($lessons);
        $all = 0;
        $byMaterial = [];
        $threads = new ThreadCount;
        $small = [];
        $sewn = 0;
        foreach ($lessons as $lesson) {
            $samples = (int) ceil($students * $of($lesson) - Near::DUST);
            $all += $samples;
            foreach ($lesson->sampler->pieces as $piece) {
                if ($piece->material === 'paper') {
                    continue;
                }
                // Every sample is cut new: the old one is kept beside it.
                for ($i = 0; $i < $samples * $piece->layers; $i++) {
                    $byMaterial[$piece->material][] = new ClothPiece("{$lesson->title}: {$piece->label}", $piece->widthMm, $piece->heightMm, false);
                }
                if ($piece->interfaced) {
                    for ($i = 0; $i < $samples; $i++) {
                        $byMaterial['interfacing'][] = new ClothPiece("{$lesson->title}: {$piece->label}", $piece->widthMm, $piece->heightMm, true);
                    }
                }
            }
            $sewn += $lesson->machine ? 1 : 0;
            foreach (SamplerLayout::of($lesson->sampler)->rows as $id => $row) {
                $on = $lesson->sampler->rows[$id]->piece;
                $threads->add($lesson->sampler->rows[$id]->threads, $on === null || $lesson->sampler->pieces[$on]->material === 'paper' ? 0.0 : $row['thread_mm'] * $samples);
            }
            foreach ($lesson->extras as $extra) {
                $small[$extra['what']] = ($small[$extra['what']] ?? 0) + $extra['count'] * $samples;
            }
        }
        foreach ($buttons as $stock) {
            [$wide, $long] = ButtonStock::TEST_MM;
            foreach (['cloth' => $stock->layers, 'interfacing' => $stock->interfacing] as $material => $layers) {
                for ($i = 0; $i < $stock->tests * $layers; $i++) {
                    $byMaterial[$material][] = new ClothPiece($words->say('material.button-test', ['button' => $stock->title]), $wide, $long, false);
                }
            }
        }
        $needs = [];
        $layouts = [];
        foreach ($byMaterial as $material => $pieces) {
            $layout = CuttingLayout::of($bought->clothWidthMm, $bought->selvedgeMm, $pieces);
            $layouts[$material] = $layout;
            $needs[] = new Need($material, $words->say("material.$material"), ceil($layout->lengthMm / 100) / 10, 'm', $words->say('material.cloth-how', [
                'pieces' => (string) count($pieces), 'samples' => (string) $all, 'students' => (string) $students, 'each' => $words->number(round($each, 2)),
                'width' => $words->wide($bought->clothWidthMm), 'waste' => (string) (int) round(100 * $layout->wasteShare),
            ]));
        }
        array_push($needs, ...$threads->needs($bought, max(1, min($machines, $students)), $words));
        if ($sewn > 0) {
            $needs[] = new Need('needle', $words->say('material.needle'), (float) max(1, $machines), 'pieces', $words->say('material.needle-how'));
            $needs[] = new Need('pin', $words->say('material.pin'), 20.0 * $students, 'pieces', $words->say('material.pin-how'));
        }
        foreach ($small as $what => $count) {
            $needs[] = new Need($what, ucfirst(str_replace('-', ' ', (string) $what)), (float) $count, 'pieces', $words->say('material.small-how', ['samples' => (string) $all]));
        }

        foreach ($buttons as $stock) {
            $needs[] = new Need($stock->item(), $words->say('material.buttons', ['button' => $stock->title]), (float) $stock->buttons, 'pieces', $words->say('material.buttons-how', ['tests' => (string) $stock->tests]));
        }

        return new self($needs, $layouts, $each);
    }
}
