<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Closure;
use Illuminate\Http\Request;
use OpenSeam\Core\FiniteNumbers;
use OpenSeam\Core\InputError;
use Symfony\Component\HttpFoundation\Response;

/** Refuses a body that is too large or is not JSON, before anything reads it. */
final class ReadableBody
{
    public const LARGEST_BYTES = 262_144;

    /** Of a whole course bundle. */
    public const LARGEST_BUNDLE_BYTES = 2_097_152;

    /** Of a scan, a byte a pixel: 100 × 150 mm at 300 dpi are 2.1 million; and of a photo. */
    public const LARGEST_PICTURE_BYTES = 4_000_000;

    private const PICTURES = ['api/scans/read', 'api/scans/sampler', 'api/samples/*/photos', 'api/page/*/scan', 'api/lens/*'];

    private const BUNDLES = ['api/shelf/compare', 'api/shelf/import'];

    private const DEEPEST = 32;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->is('api/*') || $request->isMethodSafe()) {
            return $next($request);
        }
        $body = $request->getContent();
        $largest = match (true) {
            $request->is(...self::BUNDLES) => self::LARGEST_BUNDLE_BYTES,
            $request->is(...self::PICTURES) => self::LARGEST_PICTURE_BYTES,
            default => self::LARGEST_BYTES,
        };
        if (strlen($body) > $largest) {
            return Problems::answer(413, '(body)', strlen($body), sprintf('This is too much at once: at most %d kB can be sent.', intdiv($largest, 1024)));
        }
        if ($request->is(...self::PICTURES)) {
            return $next($request);
        }
        if ($body !== '' && ! $request->isJson()) {
            return Problems::answer(415, '(body)', $request->header('Content-Type'), 'Send it as application/json.');
        }
        $values = $body === '' ? [] : json_decode($body, true, self::DEEPEST);
        if (! is_array($values)) {
            return Problems::answer(400, '(body)', null, 'What was sent is not a JSON object.');
        }
        try {
            FiniteNumbers::check($values);
            self::readable($values);
        } catch (InputError $e) {
            return Problems::answer(422, $e->field, $e->got, $e->getMessage());
        }

        return $next($request);
    }

    /**
     * No text holds what no key types: a zero or another control character.
     *
     * @param  array<array-key, mixed>  $values
     *
     * @throws InputError naming the first that does
     */
    private static function readable(array $values, string $path = ''): void
    {
        foreach ($values as $key => $value) {
            $at = $path === '' ? (string) $key : "$path.$key";
            if (preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', $key.(is_string($value) ? $value : '')) === 1) {
                throw InputError::at(mb_scrub($at), is_string($value) ? $value : null, 'This text holds a character that cannot be read. Type it again.');
            }
            is_array($value) && self::readable($value, $at);
        }
    }
}
