<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Problem;
use App\Models\Foot;
use App\Models\Machine;
use App\Models\ServiceEntry;
use App\Support\Clock;
use App\Views\MachineView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** The machines of the room. */
final readonly class MachineController
{
    #[OA\Get(
        path: '/api/machines',
        operationId: 'machines',
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: MachineView::class))), new Problem],
    )]
    public function index(): JsonResponse
    {
        return new JsonResponse(array_values(Machine::standing()->get()->map(MachineView::of(...))->all()));
    }

    #[OA\Post(
        path: '/api/machines',
        operationId: 'newMachine',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MachineBody::class)),
        responses: [new OA\Response(response: 201, description: 'as asked', content: new OA\JsonContent(ref: MachineView::class)), new Problem],
    )]
    public function store(MachineBody $body): JsonResponse
    {
        $machine = DB::transaction(function () use ($body): Machine {
            $machine = Machine::query()->create($body->machine());
            // It comes with its standard foot.
            $mount = $machine->core()->mount;
            $foot = Foot::standing()->where('kind', 'standard')->get()->first(fn (Foot $f): bool => $f->core()->mount === $mount);
            $foot === null ? Foot::add($body->teacher()->studio_id, ['kind' => 'standard', 'mount' => $mount, 'count' => 1]) : $foot->update(['count' => $foot->count + 1]);

            return $machine;
        });

        return new JsonResponse(MachineView::of($machine), 201);
    }

    #[OA\Put(
        path: '/api/machines/{machine}',
        operationId: 'updateMachine',
        parameters: [new OA\Parameter(name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: MachineBody::class)),
        responses: [new OA\Response(response: 200, description: 'as asked', content: new OA\JsonContent(ref: MachineView::class)), new Problem],
    )]
    public function update(MachineBody $body, string $machine): JsonResponse
    {
        $found = Machine::standing()->findOrFail($machine);
        $found->fill($body->machine())->save();

        return new JsonResponse(MachineView::of($found));
    }

    #[OA\Delete(
        path: '/api/machines/{machine}',
        operationId: 'retireMachine',
        parameters: [new OA\Parameter(name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'sure', in: 'query', required: false, schema: new OA\Schema(type: 'integer'))],
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function retire(Request $request, string $machine, RetireMachine $retire): JsonResponse
    {
        $retire(Machine::standing()->findOrFail($machine), $request->boolean('sure'));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/machines/{machine}/service',
        operationId: 'logService',
        parameters: [new OA\Parameter(name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: ServiceBody::class)),
        responses: [new OA\Response(response: 204, description: 'as asked'), new Problem],
    )]
    public function service(ServiceBody $body, string $machine): JsonResponse
    {
        $found = Machine::standing()->findOrFail($machine);
        DB::transaction(function () use ($body, $found): void {
            ServiceEntry::query()->create(['machine_id' => $found->id, 'kind' => $body->word('kind'), 'note' => $body->word('note'), 'done_at' => Clock::now()]);
            match ($body->word('kind')) {
                'out-of-use' => $found->update(['usable' => false, 'note' => $body->word('note')]),
                'in-use' => $found->update(['usable' => true, 'note' => '']),
                default => null,
            };
        });

        return new JsonResponse(null, 204);
    }
}
