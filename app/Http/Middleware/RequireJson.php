<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\Problem;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Writes come as application/json only: a form on another page cannot send that, and asks the browser first.
 */
final class RequireJson
{
    public function handle(Request $request, Closure $next): Response
    {
        $request->headers->set('Accept', 'application/json');
        if ($request->getRealMethod() !== $request->getMethod() || $request->headers->has('X-HTTP-Method-Override') || $request->query->has('_method')) {
            return Problem::response(405, 'refused', 'A request does what its own method says: send it as it is meant.');
        }
        $type = (string) $request->headers->get('Content-Type');
        if (self::takesFile($request)) {
            if ($type !== 'application/zip') {
                return Problem::response(415, 'wrong-type', 'Send the file as application/zip.');
            }
        // exactly: a browser asks nobody before it sends "text/plain; application/json"
        } elseif (! $request->isMethodSafe() && ! ($request->isMethod('DELETE') && $request->getContent() === '') && preg_match('{^application/json\s*(;\s*charset="?utf-8"?\s*)?$}i', $type) !== 1) {
            return Problem::response(415, 'wrong-type', 'Send the body as application/json.');
        }
        if (! self::takesFile($request)) {
            $request->headers->set('Content-Type', 'application/json');
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        if (! $request->isMethodSafe() && $site !== null && ! in_array($site, ['same-origin', 'none'], true)) {
            return Problem::response(403, 'forbidden', 'Another page may not write to this kitchen.');
        }
        $response = $next($request);
        $response->headers->set('Cache-Control', 'no-store, private');
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Cross-Origin-Resource-Policy', 'same-origin');

        return $response;
    }

    /** A backup comes as a file of any length: it is never in memory whole. A form on another page cannot send that either. */
    public static function takesFile(Request $request): bool
    {
        return $request->isMethod('POST') && $request->is('api/backups/file');
    }
}
