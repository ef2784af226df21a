<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\Conflict;
use App\Support\JobStopped;
use App\Support\Photos\PhotoAway;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;
use OpenSeam\Core\InputError;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** One shape for everything that goes wrong: which field, what it held, what is allowed, what was kept. */
final class Problems
{
    private const NOTHING_KEPT = 'Nothing was stored; what you typed is still on the screen.';

    public static function answer(int $status, string $field, mixed $got, string $message, string $kept = self::NOTHING_KEPT): JsonResponse
    {
        return new JsonResponse(['error' => ['field' => $field, 'got' => self::short($got), 'message' => $message, 'kept' => $kept]], $status);
    }

    public static function register(Exceptions $exceptions): void
    {
        // What somebody typed wrongly is answered, not noted: it may be a student's.
        $exceptions->dontReport([InputError::class, Conflict::class, JobStopped::class]);
        // A database error quotes the values it was given, which may be a student's: log the statement only.
        $exceptions->report(function (QueryException $e): bool {
            Log::error('Database: '.$e->getCode().' in '.$e->getSql());

            return false;
        });
        $exceptions->render(function (Throwable $e, Request $request): ?JsonResponse {
            if (! $request->is('api/*')) {
                return null;
            }

            return match (true) {
                $e instanceof InputError => self::answer(422, $e->field, $e->got, $e->getMessage()),
                $e instanceof Conflict => self::answer(409, $e->field, $e->got, $e->getMessage()),
                $e instanceof PhotoAway => self::answer($e->forEver ? 404 : 503, '(photo)', null, $e->getMessage(), 'Nothing was changed.'),
                $e instanceof JobStopped => self::answer(409, 'job', null, $e->getMessage()),
                $e instanceof ValidationException => self::invalid($e),
                $e instanceof AuthenticationException => self::answer(401, '(sign-in)', null, 'You are not signed in, or your session has ended. Sign in and send it again.'),
                $e instanceof ModelNotFoundException => self::answer(404, '(address)', null, 'There is nothing here, or it belongs to another studio.'),
                $e instanceof HttpExceptionInterface => self::http($e),
                self::isFull($e) => self::answer(507, '(disk)', null, 'The disk of the server is full: nothing more can be kept until there is room. Tell whoever looks after it.', 'What you typed is safe on this device, and is sent by itself when there is room.'),
                // Also one that comes at a confirmation, of no statement.
                $e instanceof PDOException => self::answer(503, '(database)', null, 'The database does not answer. Try again in a moment.'),
                default => self::answer(500, '(program)', null, 'Something went wrong in the program. It was noted'.(is_string($id = Context::get('request')) ? " under $id" : '').'.'),
            };
        });
    }

    /** The database, or a file beside it, finds no room. */
    private static function isFull(Throwable $e): bool
    {
        // 3 and 1026: error on write; 1021: disk full; 1030: error of the storage engine; 1114: the table is full.
        $code = $e instanceof QueryException ? $e->errorInfo[1] ?? null : null;

        return in_array($code, [1021, 1114], true)
            || (in_array($code, [3, 1026, 1030], true) && preg_match('/(Errcode|error):? ?"?28\\b|No space left/i', $e->getMessage()) === 1)
            || (! $e instanceof QueryException && str_contains($e->getMessage(), 'No space left on device'));
    }

    private static function invalid(ValidationException $e): JsonResponse
    {
        $errors = $e->errors();
        $field = (string) array_key_first($errors);
        $answer = self::answer(422, $field, $e->validator instanceof Validator ? $e->validator->getValue($field) : null, $errors[$field][0] ?? 'This does not fit.');
        $data = (array) $answer->getData(true);
        $data['error'] += ['all' => array_map(fn (array $m): string => $m[0] ?? '', $errors)];

        return $answer->setData($data);
    }

    private static function http(HttpExceptionInterface $e): JsonResponse
    {
        $status = $e->getStatusCode();
        $answer = self::answer($status, '(address)', null, match ($status) {
            403 => 'You may not do this here.',
            404 => 'There is nothing here, or it belongs to another studio.',
            405 => 'This address does not take that.',
            419 => 'The page has grown old. Load it again; what you typed is kept.',
            429 => 'Too many tries. Wait a minute, then try again.',
            503 => 'The application is being looked after. Try again in a moment.',
            default => 'This could not be done.',
        });
        foreach ($e->getHeaders() as $name => $value) {
            if (is_string($value) || is_int($value)) {
                $answer->headers->set((string) $name, (string) $value);
            }
        }

        return $answer;
    }

    /** What was sent, but never a whole page of it. */
    private static function short(mixed $got): mixed
    {
        return match (true) {
            is_string($got) => mb_strimwidth(mb_scrub($got), 0, 80, '…'),
            is_array($got) => count($got) > 20 ? 'a list of '.count($got) : $got,
            is_object($got) => null,
            default => $got,
        };
    }
}
