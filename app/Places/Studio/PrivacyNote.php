<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Studio;
use App\Printing\Format;
use App\Printing\Sheet;

/** A page in plain words of what the studio keeps, to hang up or hand out. */
final readonly class PrivacyNote
{
    public function __invoke(Studio $studio): string
    {
        $lines = [[(string) __('studio.privacy.title', ['studio' => $studio->name]), 20.0, true]];
        foreach ((array) trans('studio.privacy.lines', [
            'studio' => $studio->name, 'archive' => (string) $studio->archive_after_days, 'undo' => (string) Remove::UNDO_DAYS, 'weeks' => (string) $studio->page_weeks,
            'delete' => $studio->delete_after_days === null ? (string) __('studio.privacy.asked') : (string) __('studio.privacy.days', ['days' => $studio->delete_after_days]),
        ]) as $line) {
            $lines[] = [(is_string($line) ? $line : '')."\n", 13.0, false];
        }
        $sheet = (new Sheet(Format::A4, $studio->name))->page('');
        $sheet->flow(Sheet::MARGIN_MM + 6, $lines, '');

        return $sheet->bytes();
    }
}
