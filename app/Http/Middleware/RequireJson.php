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
        if (! $request->isMethodSafe() && ! $request->isMethod('DELETE') && ! $request->isJson()) {
            return Problem::response(415, 'wrong-type', 'Send the body as application/json.');
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        if (! $request->isMethodSafe() && $site !== null && ! in_array($site, ['same-origin', 'none'], true)) {
            return Problem::response(403, 'forbidden', 'Another page may not write to this kitchen.');
        }
        $response = $next($request);
        $response->headers->set('Cache-Control', 'no-store, private');
        $response->headers->set('X-Content-Type-Options', 'nosniff');

        return $response;
    }
}
