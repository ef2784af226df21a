<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\CameraComparison;
use App\Models\Studio;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The studio's card and camera: how large the card is printed, and how the camera stands beside a ruler. */
final readonly class CameraController
{
    #[OA\Get(path: '/api/photo-card', operationId: 'photoCard', responses: [new Answer(PhotoCardView::class), new Problem])]
    public function card(Request $request): JsonResponse
    {
        return new JsonResponse(new PhotoCardView(Who::asks($request)->studio->card_line_mm));
    }

    #[OA\Put(path: '/api/photo-card', operationId: 'checkPhotoCard', requestBody: new Sent(PhotoCardBody::class), responses: [new Answer(PhotoCardView::class, description: 'as it is kept'), new Problem])]
    public function check(PhotoCardBody $body): JsonResponse
    {
        $line = $body->validated('line_mm') === null ? null : round($body->amount('line_mm'), 2);
        Studio::query()->whereKey($body->teacher()->studio_id)->update(['card_line_mm' => $line]);

        return new JsonResponse(new PhotoCardView($line));
    }

    #[OA\Get(path: '/api/camera', operationId: 'camera', responses: [new Answer(CameraView::class, description: 'what was read by ruler and by camera'), new Problem])]
    public function show(): JsonResponse
    {
        return new JsonResponse(CameraView::now());
    }

    #[OA\Post(path: '/api/camera/samples', operationId: 'compareCamera', requestBody: new Sent(CompareBody::class), responses: [new Answer(CameraView::class, status: 201, description: 'with this one'), new Problem])]
    public function compare(CompareBody $body, CompareCamera $compare): JsonResponse
    {
        $compare($body);

        return new JsonResponse(CameraView::now(), 201);
    }

    #[OA\Delete(path: '/api/camera/samples/{comparison}', operationId: 'dropComparison', parameters: [new InPath('comparison')], responses: [new Answer(CameraView::class, description: 'without it'), new Problem])]
    public function drop(string $comparison): JsonResponse
    {
        CameraComparison::query()->where('sample', strtolower($comparison))->delete() > 0 || throw new NotFoundHttpException;

        return new JsonResponse(CameraView::now());
    }

    #[OA\Delete(path: '/api/camera', operationId: 'compareAnew', responses: [new Answer(CameraView::class, description: 'without any: the camera is as sure as a picture says'), new Problem])]
    public function anew(): JsonResponse
    {
        CameraComparison::query()->delete();

        return new JsonResponse(CameraView::now());
    }
}
