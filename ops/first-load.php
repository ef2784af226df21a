<?php

declare(strict_types=1);

// Size of the JavaScript that Today waits for on a first visit: the start, its page and all that these name. In bytes, each file gzipped as it is sent.

$build = dirname(__DIR__).'/public/build';
/** @var array<string, array{file: string, imports?: list<string>}> $manifest */
$manifest = json_decode((string) file_get_contents("$build/manifest.json"), true, 16, JSON_THROW_ON_ERROR);
$open = ['resources/js/main.tsx', 'resources/js/features/today/TodayPage.tsx'];
$sizes = [];
while ($open !== []) {
    $name = array_pop($open);
    if (! isset($sizes[$name])) {
        $sizes[$name] = strlen((string) gzencode((string) file_get_contents("$build/{$manifest[$name]['file']}"), 9));
        array_push($open, ...$manifest[$name]['imports'] ?? []);
    }
}
printf("%.0f kB\n", array_sum($sizes) / 1000);
