<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MachineBody;
use App\Http\Resources\ErrorBody;
use App\Http\Resources\MachineView;
use App\Models\Machine;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The machines of the room. */
final readonly class MachineController
{
    #[OA\Get(
        path: '/api/machines',
        operationId: 'machines',
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: MachineView::class))), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function index(): JsonResponse
    {
        return new JsonResponse(array_values(Machine::query()->orderBy('id')->get()->map(MachineView::of(...))->all()));
    }

    #[OA\Post(
        path: '/api/machines',
        operationId: 'newMachine',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MachineBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: MachineView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function store(MachineBody $body): JsonResponse
    {
        return new JsonResponse(MachineView::of(Machine::query()->create($body->machine())), 201);
    }

    #[OA\Put(
        path: '/api/machines/{machine}',
        operationId: 'updateMachine',
        parameters: [new OA\Parameter(name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MachineBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: MachineView::class)), new OA\Response(response: 'default', description: 'what is wrong', content: new OA\JsonContent(properties: [new OA\Property(property: 'error', ref: ErrorBody::class)]))],
    )]
    public function update(MachineBody $body, string $machine): JsonResponse
    {
        $found = Machine::query()->findOrFail($machine);
        $found->fill($body->machine())->save();

        return new JsonResponse(MachineView::of($found));
    }
}
