<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Buttonhole\Strip;

/** The strip of a buttonhole as SVG at true size: one user unit is one millimetre. */
final class StripSvg
{
    public static function of(Strip $strip, string $title): string
    {
        $n = fn (float $v): string => rtrim(rtrim(number_format($v, 3, '.', ''), '0'), '.');
        [$width, $length] = [$n($strip->widthMm), $n($strip->lengthMm)];
        $middle = $strip->widthMm / 2;
        $body = sprintf('<rect width="%s" height="%s" class="band"/><line x1="%3$s" y1="0" x2="%3$s" y2="%2$s" class="centre"/>', $width, $length, $n($middle));
        foreach ($strip->holes as $hole) {
            $at = $strip->originMm + $hole['at_mm'];
            $point = fn (float $along, float $side): string => $strip->across ? $n($middle + $along).' '.$n($at + $side) : $n($middle + $side).' '.$n($at + $along);
            foreach ([$hole['from_mm'], $hole['cut_from_mm'], $hole['cut_to_mm'], $hole['to_mm']] as $end) {
                $body .= sprintf('<path d="M%sL%s" class="bar"/>', $point($end, -4), $point($end, 4));
            }
            $body .= sprintf('<path d="M%sL%s" class="cut"/>', $point($hole['cut_from_mm'], 0), $point($hole['cut_to_mm'], 0));
            $forward = $hole['towards_mm'] <=> $hole['start_mm'];
            $body .= sprintf('<path d="M%sL%sL%sM%sL%s" class="way"/>', $point($hole['start_mm'], 6), $point($hole['start_mm'] + 8 * $forward, 6), $point($hole['start_mm'] + 6 * $forward, 5), $point($hole['start_mm'] + 8 * $forward, 6), $point($hole['start_mm'] + 6 * $forward, 7));
        }

        return '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            ."<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}mm\" height=\"{$length}mm\" viewBox=\"0 0 $width $length\"><title>".htmlspecialchars($title, ENT_XML1).'</title>'
            .'<style>.band{fill:none;stroke:#777;stroke-width:.2}.centre{stroke:#000;stroke-width:.2;stroke-dasharray:6 2 1 2}.bar,.way{stroke:#000;stroke-width:.3;fill:none}.cut{stroke:#000;stroke-width:.5}</style>'
            .$body.'</svg>'."\n";
    }
}
