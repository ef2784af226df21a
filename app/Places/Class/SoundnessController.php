<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Problem;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** How far verdicts and next lessons of this studio can be trusted, and by which numbers. */
final readonly class SoundnessController
{
    #[OA\Get(
        path: '/api/soundness',
        operationId: 'soundness',
        responses: [new OA\Response(response: 200, description: 'what its history says', content: new OA\JsonContent(ref: SoundnessView::class)), new Problem],
    )]
    public function show(ReadSoundness $read): JsonResponse
    {
        return new JsonResponse($read());
    }

    #[OA\Post(
        path: '/api/soundness',
        operationId: 'fitSoundness',
        responses: [new OA\Response(response: 200, description: 'gone by its own samples where they foretell better', content: new OA\JsonContent(ref: SoundnessView::class)), new Problem],
    )]
    public function fit(ReadSoundness $read): JsonResponse
    {
        $read->fit();

        return new JsonResponse($read());
    }

    #[OA\Delete(
        path: '/api/soundness',
        operationId: 'forgetSoundness',
        responses: [new OA\Response(response: 200, description: 'the usual numbers again', content: new OA\JsonContent(ref: SoundnessView::class)), new Problem],
    )]
    public function forget(ReadSoundness $read): JsonResponse
    {
        $read->forget();

        return new JsonResponse($read());
    }
}
