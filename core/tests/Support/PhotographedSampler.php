<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Scan\SamplerScan;

/**
 * A sampler on the printed card by lot: lesson, cloth and thread, how well it was cut and sewn, and how it was photographed.
 * The same seed and number give the same picture.
 */
final readonly class PhotographedSampler
{
    private const KINDS = ['first-seam', 'guides', 'quarter-seam', 'zigzag-ladder', 'length-ladder', 'sticky-materials'];

    /** Cloth and thread, red green blue. */
    private const CLOTHS = [
        [[226, 218, 204], [30, 60, 120]], [[214, 206, 188], [120, 30, 40]], [[60, 58, 66], [240, 238, 230]],
        [[92, 120, 150], [245, 240, 225]], [[236, 232, 224], [90, 80, 70]],
    ];

    /** What makes a picture hard to read; such ones may be refused, never guessed. */
    private const HARD = ['stripes', 'tone', 'steep', 'shadow'];

    /** @param  list<string>  $ids of the sampler's rows, as they were drawn */
    private function __construct(public Lesson $lesson, public string $piece, public DrawnPiece $drawn, public PhotographedCard $photo, public array $ids, private int $seed, private int $number, public ?string $hard) {}

    public static function byLot(int $seed, int $n, ?string $hard = null): self
    {
        mt_srand($seed * 10_000 + $n);
        $share = fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
        $lesson = Fixtures::bundle()->lesson(self::KINDS[$n % count(self::KINDS)]);
        $piece = SamplerScan::pieces($lesson->sampler)[0];
        $cut = $lesson->sampler->pieces[$piece];
        $drawn = new DrawnPiece;
        [$drawn->widthMm, $drawn->heightMm] = [$cut->widthMm + $share(-1.5, 1.5), $cut->heightMm + $share(-1.5, 1.5)];
        [$drawn->cloth, $drawn->thread] = self::CLOTHS[mt_rand(0, 4)];
        [$drawn->frayMm, $drawn->turnDegrees, $drawn->weave] = [$share(0.1, 0.4), $share(-4, 4), $share(3, 9)];
        $ids = [];
        foreach ($lesson->sampler->rows as $row) {
            $corners = $row->path->corners ?? [];
            if ($row->piece !== $piece || count($corners) !== 2 || $corners[0][0] !== $corners[1][0]) {
                continue;
            }
            $right = $corners[0][0] > $cut->widthMm / 2;
            $drawn->rows[] = [
                'stitch' => $row->stitch->kind->plainZigzag ? 'zigzag' : 'straight', 'edge' => $right ? 'right' : 'left', 'at' => ($right ? $cut->widthMm - $corners[0][0] : $corners[0][0]) + $share(-0.7, 0.7),
                'length' => $row->stitch->lengthMm * $share(0.9, 1.1), 'width' => $row->stitch->widthMm, 'drift' => $share(-1, 1), 'wobble' => $share(0, 0.2),
                'from' => min($corners[0][1], $corners[1][1]), 'to' => max($corners[0][1], $corners[1][1]),
            ];
            $ids[] = $row->id;
        }
        $photo = new PhotographedCard($drawn);
        [$photo->width, $photo->height, $photo->fine, $photo->fills] = [1800, 2400, 10.0, $share(0.72, 0.8)];
        [$photo->tilt, $photo->tiltTowards, $photo->turn, $photo->bend] = [$share(0, 30), $share(0, 360), [0, 180][mt_rand(0, 1)] + $share(-12, 12), $share(-0.06, 0.06)];
        [$photo->dark, $photo->lamp, $photo->blur, $photo->jpeg, $photo->noise] = [$share(0.7, 1), [1.0, $share(0.85, 1), $share(0.65, 1)], mt_rand(0, 2), mt_rand(60, 92), $share(1, 4)];
        mt_rand(0, 4) === 0 && $photo->covered = [mt_rand(1, 4)];
        mt_rand(0, 4) === 0 && $photo->shadow = $share(0.1, 0.35);
        match ($hard) {
            'stripes' => [$drawn->stripes, $drawn->printed] = ['along', [-60.0, -90.0, 60.0][mt_rand(0, 2)]],
            'tone' => $drawn->thread = array_map(fn (int $c): int => $c - mt_rand(10, 26), $drawn->cloth),
            'steep' => $photo->tilt = 35.0,
            'shadow' => $photo->shadow = $share(0.45, 0.65),
            default => null,
        };

        return new self($lesson, $piece, $drawn, $photo, $ids, $seed * 1000 + $n, $n, $hard);
    }

    /** Each kind of sampler in each way in turn. */
    public static function hardness(int $n): string
    {
        return self::HARD[intdiv($n, count(self::KINDS)) % count(self::HARD)];
    }

    /** The bytes of a JPEG. */
    public function take(): string
    {
        return $this->photo->take($this->seed);
    }

    public function told(): string
    {
        return sprintf('number %d, %s; cloth %s, thread %s, shadow %.2f, light %.2f, tilt %.0f', $this->number, $this->lesson->id, implode(' ', $this->drawn->cloth), implode(' ', $this->drawn->thread), $this->photo->shadow, $this->photo->dark, $this->photo->tilt);
    }
}
