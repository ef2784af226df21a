<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Picture\BobbinPicture;
use OpenSeam\Core\Picture\HolePicture;
use OpenSeam\Core\Picture\LineArt;
use OpenSeam\Core\Picture\NeedlePicture;
use OpenSeam\Core\Picture\SeamPicture;

/** Pictures to choose from for an act or a step, by what they show: what the lesson itself has comes first. */
final readonly class PictureTemplates
{
    public const GROUPS = ['lesson', 'hands', 'machine', 'feet', 'needle', 'stitches', 'seams', 'buttonholes', 'tools'];

    /**
     * @return list<array<string, mixed>> as a lesson keeps them
     *
     * @throws InputError for a group that is none
     */
    public static function of(string $group, Lesson $lesson): array
    {
        $each = fn (string $kind, string $name, array $values): array => array_map(fn (mixed $v): array => ['kind' => $kind, $name => $v], array_values($values));

        return match ($group) {
            'lesson' => PictureStarter::all($lesson),
            'hands' => array_map(fn (array $p): array => [...$p, 'zone' => true], $each('hands', 'scene', LineArt::standard()->ids('hands'))),
            'machine' => [
                ['kind' => 'machine', 'threaded' => 6], ['kind' => 'machine', 'off' => true, 'lit' => ['plug']], ['kind' => 'machine', 'near' => 'right', 'lit' => ['wheel'], 'wheel' => true], ['kind' => 'discs'],
                ...array_map(fn (string $part): array => ['kind' => 'machine', 'lit' => [$part]], ['switch', 'pedal', 'reverse', 'dial', 'width', 'selector', 'tension', 'takeup', 'lifter', 'plate', 'bobbin', 'winder', 'spool', 'free-arm', 'hole-lever', 'stretch-lever', 'speed', 'start']),
            ],
            'feet' => [...$each('foot', 'foot', array_keys(FootBook::standard()->all())), ...array_map(fn (array $p): array => [...$p, 'view' => 'sole'], $each('foot', 'foot', ['satin', 'concealed-zip', 'buttonhole-four-step', 'roller'])), ['kind' => 'foot', 'foot' => 'standard', 'view' => 'side']],
            'needle' => [...$each('needle', 'state', NeedlePicture::STATES), ...$each('bobbin', 'state', BobbinPicture::STATES)],
            'stitches' => self::stitches(),
            'seams' => $each('seam', 'state', SeamPicture::STATES),
            'buttonholes' => $each('buttonhole', 'state', HolePicture::STATES),
            'tools' => $each('tool', 'tool', LineArt::standard()->ids('tools')),
            default => throw InputError::at('group', $group, 'It must be one of: '.implode(', ', self::GROUPS).'.'),
        };
    }

    /** @return list<array<string, mixed>> */
    private static function stitches(): array
    {
        $row = fn (array $row): array => ['kind' => 'stitches', 'rows' => [$row]];

        return [
            $row(['length_mm' => 2.5]), $row(['length_mm' => 2.5, 'face' => 'under']), $row(['length_mm' => 2.5, 'bend' => ['secured' => 3]]),
            ['kind' => 'stitches', 'names' => true, 'rows' => [['length_mm' => 1], ['length_mm' => 2.5], ['length_mm' => 4]]],
            ...array_map(fn (string $stitch): array => $row(['stitch' => $stitch]), ['zigzag', 'satin', 'multi-step-zigzag', 'overcast', 'blind-hem', 'blanket', 'wave', 'scallop']),
            ...array_map(fn (array $bend): array => $row(['length_mm' => 2.5, 'bend' => $bend]), [['drift_mm' => 3], ['wobble_mm' => 1.5], ['skipped' => 4], ['puckers_mm' => 1], ['loops_mm' => 1.5], ['dots' => true], ['nest' => true]]),
            ...array_map(fn (int $notches): array => ['kind' => 'tension', 'notches' => $notches], [0, -2, 2]),
            ['kind' => 'blind-hem', 'width_mm' => 3, 'blade_mm' => -1],
        ];
    }
}
