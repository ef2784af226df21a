<?php

declare(strict_types=1);

namespace App\Support;

/** Names this application is reached by: any other name in a request is refused. */
final class KnownHosts
{
    /** @return list<string> patterns */
    public static function patterns(): array
    {
        $names = ['127.0.0.1', 'localhost', '[::1]', (string) parse_url(config()->string('app.url'), PHP_URL_HOST), ...array_filter(config()->array('seam.hosts'), is_string(...))];

        return array_map(fn (string $name): string => '^'.preg_quote(trim($name)).'$', array_values(array_unique(array_filter($names))));
    }
}
