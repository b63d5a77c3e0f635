<?php

declare(strict_types=1);

namespace App\Support;

use App\Backup\BackupRefused;
use App\Devices\PrintUnreadable;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use MildBowl\Core\Questions\RequestRefused;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** The one form in which the API says that something went wrong (RFC 9457), and the plain page for a browser. */
final class Problem
{
    /** In plain words: what the framework says names its own parts. */
    private const WORDS = [
        400 => 'This request could not be read: send it anew.', 404 => 'That address is not known here.', 405 => 'That cannot be done at this address.', 413 => 'That is more than this kitchen takes at once: send it in parts.',
        415 => 'Send the body as application/json.', 429 => 'Too much at once: ask again in a moment.', 503 => 'The kitchen is closed for a moment: try again.',
    ];

    public static function of(Throwable $e): JsonResponse
    {
        return match (true) {
            $e instanceof RequestRefused => self::response($e->errorCode === 'invalid-json' ? 400 : 422, $e->errorCode, $e->getMessage(), $e->path),
            $e instanceof PrintUnreadable => self::response(422, 'refused', $e->getMessage(), '/image'),
            $e instanceof BackupRefused => self::response($e->isUnknown ? 404 : 422, $e->isUnknown ? 'not-found' : 'refused', $e->getMessage(), $e->place),
            $e instanceof ValidationException => self::invalid($e),
            $e instanceof Conflict => self::response(409, 'conflict', $e->getMessage(), '/'.$e->conflicts[0]['field'], ['conflicts' => $e->conflicts, 'version' => $e->version]),
            $e instanceof QueryException && $e->getCode() === '23505' => self::response(409, 'out-of-range', 'There is one of that name already: choose another.', '/name'),
            self::isDatabaseDown($e) => self::response(503, 'database-down', 'The database does not answer. What you typed is kept in this browser; try again in a moment.'),
            $e instanceof ModelNotFoundException || $e->getPrevious() instanceof ModelNotFoundException => self::response(404, 'not-found', 'That is not in this kitchen.'),
            $e instanceof AuthorizationException => self::response(403, 'forbidden', 'This kitchen may not do that.'),
            $e instanceof HttpExceptionInterface => self::response($e->getStatusCode(), $e->getStatusCode() === 404 ? 'not-found' : 'refused', self::WORDS[$e->getStatusCode()] ?? 'That cannot be done here.'),
            default => self::response(500, 'failed', 'Something went wrong here. It is in the log; nothing you typed is lost.'),
        };
    }

    /** @param  array<string, mixed>  $more */
    public static function response(int $status, string $code, string $message, string $path = '', array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => Response::$statusTexts[$status] ?? 'Error', 'status' => $status, 'code' => $code, 'message' => $message, 'path' => $path] + $more,
            $status, ['Content-Type' => 'application/problem+json'],
        );
    }

    /** A browser's page; null leaves it to the framework. */
    public static function page(Throwable $e): ?Response
    {
        if (! self::isDatabaseDown($e)) {
            return null;
        }

        return new Response(view('down')->render(), 503, ['Retry-After' => '5']);
    }

    private static function invalid(ValidationException $e): JsonResponse
    {
        $errors = $e->errors();
        $field = (string) array_key_first($errors);
        $failed = array_keys($e->validator->failed()[$field] ?? []);
        $code = match (true) {
            array_intersect(['Required', 'RequiredWithout', 'Filled'], $failed) !== [] => 'missing',
            array_intersect(['Numeric', 'String', 'Array', 'Boolean', 'Integer', 'Date', 'DateFormat'], $failed) !== [] => 'wrong-type',
            in_array('Prohibited', $failed, true) => 'unknown-key',
            array_intersect(['Max'], $failed) !== [] && is_string(request()->input($field)) => 'too-long',
            default => 'out-of-range',
        };
        $response = self::response(422, $code, $errors[$field][0] ?? 'That is not possible.', '/'.str_replace('.', '/', $field));
        $data = $response->getData(true);
        assert(is_array($data));
        $data['errors'] = array_map(
            static fn (string $path, array $messages): array => ['path' => '/'.str_replace('.', '/', $path), 'message' => $messages[0] ?? ''],
            array_keys($errors), $errors,
        );

        return $response->setData($data);
    }

    private static function isDatabaseDown(Throwable $e): bool
    {
        if (! $e instanceof QueryException && ! $e instanceof PDOException) {
            return false;
        }
        $code = (string) $e->getCode();

        return $code === '7' || str_starts_with($code, '08') || str_starts_with($code, '57P') || str_contains($e->getMessage(), 'onnection refused');
    }
}
