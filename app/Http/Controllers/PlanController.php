<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LayOutPlan;
use App\Actions\ShowPlan;
use App\Actions\StorePlan;
use App\Http\Requests\LayOutBody;
use App\Http\Requests\PlanBody;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\PlanView;
use App\Models\SewingClass;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The plan of a class. */
final readonly class PlanController
{
    public function __construct(private ShowPlan $show) {}

    #[OA\Get(
        path: '/api/classes/{class}/plan',
        operationId: 'showPlan',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: PlanView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function show(string $class): JsonResponse
    {
        return new JsonResponse(($this->show)(SewingClass::query()->findOrFail($class)));
    }

    #[OA\Put(
        path: '/api/classes/{class}/plan',
        operationId: 'storePlan',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: PlanBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: PlanView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function store(PlanBody $body, string $class, StorePlan $store): JsonResponse
    {
        $found = SewingClass::query()->findOrFail($class);
        $store($found, $body->sessions(), $body->whole('version'));

        return new JsonResponse(($this->show)($found));
    }

    #[OA\Post(
        path: '/api/classes/{class}/plan/lay-out',
        operationId: 'layOutPlan',
        parameters: [new OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: LayOutBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: PlanView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function layOut(LayOutBody $body, string $class, LayOutPlan $layOut): JsonResponse
    {
        $found = SewingClass::query()->findOrFail($class);
        $layOut($found, $body->dates(), $body->whole('version'));

        return new JsonResponse(($this->show)($found));
    }
}
