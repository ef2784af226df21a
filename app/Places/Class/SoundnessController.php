<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Answer;
use App\Http\Problem;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** How far verdicts and next lessons of this studio can be trusted, and by which numbers. */
final readonly class SoundnessController
{
    #[OA\Get(
        path: '/api/soundness',
        operationId: 'soundness',
        responses: [new Answer(SoundnessView::class, description: 'what its history says'), new Problem],
    )]
    public function show(ReadSoundness $read): JsonResponse
    {
        return new JsonResponse($read());
    }

    #[OA\Post(
        path: '/api/soundness',
        operationId: 'fitSoundness',
        responses: [new Answer(SoundnessView::class, description: 'gone by its own samples where they foretell better'), new Problem],
    )]
    public function fit(ReadSoundness $read): JsonResponse
    {
        $read->fit();

        return new JsonResponse($read());
    }

    #[OA\Delete(
        path: '/api/soundness',
        operationId: 'forgetSoundness',
        responses: [new Answer(SoundnessView::class, description: 'the usual numbers again'), new Problem],
    )]
    public function forget(ReadSoundness $read): JsonResponse
    {
        $read->forget();

        return new JsonResponse($read());
    }
}
