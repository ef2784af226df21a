<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Sampler\Drawing;

/** A sampler as SVG at true size: one user unit is one millimetre. */
final class SamplerSvg
{
    public static function of(Lesson $lesson): string
    {
        $drawing = Drawing::of($lesson->sampler);
        $n = fn (float $v): string => rtrim(rtrim(number_format($v, 3, '.', ''), '0'), '.');
        [$width, $height] = [$n($drawing->widthMm()), $n($drawing->heightMm())];
        $body = '';
        foreach ($drawing->pieces() as $p) {
            $body .= sprintf('<rect x="%s" y="%s" width="%s" height="%s" class="piece"/>', $n($p['x']), $n($p['y']), $n($p['width']), $n($p['height']));
        }
        foreach ($drawing->lines() as $l) {
            $body .= sprintf('<line x1="%s" y1="%s" x2="%s" y2="%s" class="%s"/>', $n($l['from'][0]), $n($l['from'][1]), $n($l['to'][0]), $n($l['to'][1]), $l['kind']);
        }
        foreach ($drawing->rows() as $row) {
            $body .= sprintf('<polyline points="%s" class="row"><title>%s</title></polyline>', implode(' ', array_map(fn (array $p): string => $n($p[0]).','.$n($p[1]), $row['points'])), htmlspecialchars($row['title'], ENT_XML1));
        }

        return '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            ."<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}mm\" height=\"{$height}mm\" viewBox=\"0 0 $width $height\"><title>".htmlspecialchars($lesson->title, ENT_XML1).'</title>'
            .'<style>.piece{fill:none;stroke:#000;stroke-width:.3}.row{fill:none;stroke:#000;stroke-width:.4}.fold{stroke:#000;stroke-width:.25;stroke-dasharray:6 2 1 2}.cut{stroke:#000;stroke-width:.5}.chalk{stroke:#000;stroke-width:.25;stroke-dasharray:3 2}</style>'
            .$body.'</svg>'."\n";
    }
}
