<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\Answer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Http\Sent;
use App\Models\CupboardItem;
use App\Models\MaterialTick;
use App\Models\SewingClass;
use App\Models\Studio;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Material\Bought;

/** What a class needs to buy and cut. */
final readonly class MaterialController
{
    /** Nobody sews a sampler more often in one course. */
    private const MOST_SAMPLES = 20.0;

    #[OA\Get(
        path: '/api/classes/{class}/materials',
        operationId: 'materials',
        parameters: [new InPath('class'), new InQuery('session', type: 'integer'), new InQuery('samples_each', type: 'number')],
        responses: [new Answer(MaterialsView::class), new Problem],
    )]
    public function show(Request $request, SewingClass $class, ShowMaterials $show): JsonResponse
    {
        $session = $request->query('session');
        $each = $request->query('samples_each');
        $each === null || is_numeric($each) && $each >= 1 && $each <= self::MOST_SAMPLES || throw InputError::at('samples_each', $each, 'From 1 to 20 samples of a lesson for each student.');
        $session === null || ctype_digit($session) || throw InputError::at('session', $session, 'It must be the number of a session.');

        return new JsonResponse($show($class, $session === null ? null : (int) $session, $each === null ? null : (float) $each));
    }

    #[OA\Put(
        path: '/api/classes/{class}/materials',
        operationId: 'noteMaterial',
        parameters: [new InPath('class')],
        requestBody: new Sent(CupboardBody::class),
        responses: [new Answer, new Problem],
    )]
    public function note(CupboardBody $body, SewingClass $class): JsonResponse
    {
        DB::transaction(function () use ($body, $class): void {
            $item = $body->word('item');
            $values = [];
            foreach (['have', 'price'] as $name) {
                if ($body->has($name)) {
                    $values[$name] = $body->amount($name);
                }
            }
            $values === [] || CupboardItem::query()->updateOrCreate(['studio_id' => $class->studio_id, 'item' => $item], $values);
            if ($body->has('ticked')) {
                MaterialTick::query()->where('class_id', $class->id)->where('item', $item)->delete();
                $body->boolean('ticked') && MaterialTick::query()->create(['studio_id' => $class->studio_id, 'class_id' => $class->id, 'item' => $item]);
            }
        });

        return new JsonResponse(null, 204);
    }

    #[OA\Put(
        path: '/api/shop',
        operationId: 'updateShop',
        requestBody: new Sent(ShopBody::class),
        responses: [new Answer(ShopView::class), new Problem],
    )]
    public function shop(ShopBody $body): JsonResponse
    {
        $bought = Bought::of($body->amount('cloth_width_mm'), $body->amount('selvedge_mm'), $body->amount('spool_m'));
        $studio = Studio::query()->findOrFail($body->teacher()->studio_id);
        $studio->forceFill(['cloth_width_mm' => $bought->clothWidthMm, 'selvedge_mm' => $bought->selvedgeMm, 'spool_m' => $bought->spoolMetres, 'currency' => $body->has('currency') ? $body->word('currency') : $studio->currency])->save();

        return new JsonResponse(ShopView::of($studio));
    }
}
