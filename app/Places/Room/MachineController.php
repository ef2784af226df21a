<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
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
        responses: [new Answer(MachineView::class, list: true), new Problem],
    )]
    public function index(): JsonResponse
    {
        return new JsonResponse(array_values(Machine::standing()->get()->map(MachineView::of(...))->all()));
    }

    #[OA\Post(
        path: '/api/machines',
        operationId: 'newMachine',
        requestBody: new Sent(MachineBody::class),
        responses: [new Answer(MachineView::class, status: 201), new Problem],
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
        parameters: [new InPath('machine')],
        requestBody: new Sent(MachineBody::class),
        responses: [new Answer(MachineView::class), new Problem],
    )]
    public function update(MachineBody $body, Machine $machine): JsonResponse
    {
        $machine->fill($body->machine())->save();

        return new JsonResponse(MachineView::of($machine));
    }

    #[OA\Delete(
        path: '/api/machines/{machine}',
        operationId: 'retireMachine',
        parameters: [new InPath('machine'), new InQuery('sure', type: 'integer')],
        responses: [new Answer, new Problem],
    )]
    public function retire(Request $request, Machine $machine, RetireMachine $retire): JsonResponse
    {
        $retire($machine, $request->boolean('sure'));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/machines/{machine}/service',
        operationId: 'logService',
        parameters: [new InPath('machine')],
        requestBody: new Sent(ServiceBody::class),
        responses: [new Answer, new Problem],
    )]
    public function service(ServiceBody $body, Machine $machine): JsonResponse
    {
        DB::transaction(function () use ($body, $machine): void {
            ServiceEntry::query()->create(['machine_id' => $machine->id, 'kind' => $body->word('kind'), 'note' => $body->word('note'), 'done_at' => Clock::now()]);
            match ($body->word('kind')) {
                'out-of-use' => $machine->update(['usable' => false, 'note' => $body->word('note')]),
                'in-use' => $machine->update(['usable' => true, 'note' => '']),
                default => null,
            };
        });

        return new JsonResponse(null, 204);
    }
}
