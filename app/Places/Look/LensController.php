<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Answer;
use App\Http\FileAnswer;
use App\Http\InPath;
use App\Http\InQuery;
use App\Http\Problem;
use App\Support\QrCode;
use App\Support\Who;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A phone beside the screen: it takes the pictures, the screen reads them. */
final readonly class LensController
{
    #[OA\Post(path: '/api/lenses', operationId: 'openLens', responses: [new Answer(LensView::class, status: 201, description: 'where the phone sends its pictures'), new Problem])]
    public function open(Request $request): JsonResponse
    {
        $token = Lens::open(Who::asks($request));
        $local = in_array($request->getHost(), ['localhost', '127.0.0.1', '[::1]'], true);
        // A phone finds this computer only by its address in the room.
        $known = config()->string('app.url');
        $reached = ! $local ? $request->getSchemeAndHttpHost() : (in_array(parse_url($known, PHP_URL_HOST), ['localhost', '127.0.0.1'], true) ? null : $known);
        $address = rtrim($reached ?? $request->getSchemeAndHttpHost(), '/')."/lens/$token";

        return new JsonResponse(new LensView($token, $address, QrCode::rows($address), $reached !== null), 201);
    }

    #[OA\Get(
        path: '/api/lenses/{lens}',
        operationId: 'lensPictures',
        parameters: [new InPath('lens'), new InQuery('after', type: 'integer', description: 'the last picture that is known')],
        responses: [new OA\Response(response: 200, description: 'numbers of pictures that wait', content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'integer'))), new Problem],
    )]
    public function waiting(Request $request, string $lens): JsonResponse
    {
        return new JsonResponse($this->mine($request, $lens)->waiting($request->integer('after')));
    }

    #[OA\Get(path: '/api/lenses/{lens}/pictures/{number}', operationId: 'lensPicture', parameters: [new InPath('lens'), new InPath('number')], responses: [new FileAnswer('image/jpeg', 'the picture, once'), new Problem])]
    public function take(Request $request, string $lens, string $number): Response
    {
        $picture = $this->mine($request, $lens)->take((int) $number) ?? throw new NotFoundHttpException;

        return new Response($picture, 200, ['Content-Type' => str_starts_with($picture, "\x89PNG") ? 'image/png' : 'image/jpeg', 'Cache-Control' => 'no-store']);
    }

    #[OA\Delete(path: '/api/lenses/{lens}', operationId: 'closeLens', parameters: [new InPath('lens')], responses: [new Answer(description: 'the link is over'), new Problem])]
    public function close(Request $request, string $lens): JsonResponse
    {
        $this->mine($request, $lens)->close();

        return new JsonResponse(null, 204);
    }

    #[OA\Get(path: '/api/lens/{token}', operationId: 'lens', parameters: [new InPath('token')], responses: [new Answer(description: 'pictures can be sent'), new Problem])]
    public function there(string $token): JsonResponse
    {
        Lens::at($token) ?? throw new NotFoundHttpException;

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/api/lens/{token}',
        operationId: 'sendPicture',
        parameters: [new InPath('token')],
        requestBody: new OA\RequestBody(required: true, description: 'JPEG or PNG', content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        responses: [new Answer(description: 'the screen has it in a moment'), new Problem],
    )]
    public function send(Request $request, string $token): JsonResponse
    {
        (Lens::at($token) ?? throw new NotFoundHttpException)->send($request->getContent());

        return new JsonResponse(null, 204);
    }

    private function mine(Request $request, string $lens): Lens
    {
        return Lens::at($lens, Who::asks($request)) ?? throw new NotFoundHttpException;
    }
}
