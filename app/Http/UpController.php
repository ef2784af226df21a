<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Throwable;

/** What a balancer asks: is there a program, and may it be sent people. */
final readonly class UpController
{
    /** As long as this file lies in its folder no new people are sent to a server; who is there is served. */
    public const LEAVING = 'leaving';

    /** The program answers, whatever else is the matter: one that does not is started anew. */
    public function alive(): JsonResponse
    {
        return new JsonResponse(['alive' => true]);
    }

    /** People can be sent here: its database answers, and it is not about to be taken away. */
    public function ready(): JsonResponse
    {
        $because = match (true) {
            is_file(config()->string('seam.var').'/'.self::LEAVING) => 'This server is about to be taken away: it takes nobody new.',
            ! self::answers() => 'The database does not answer.',
            default => null,
        };

        return new JsonResponse(['alive' => true, 'ready' => $because === null, 'because' => $because], $because === null ? 200 : 503);
    }

    private static function answers(): bool
    {
        try {
            DB::select('SELECT 1');

            return true;
        } catch (Throwable) {
            return false;
        }
    }
}
