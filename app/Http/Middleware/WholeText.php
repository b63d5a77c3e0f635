<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use MildBowl\Core\Questions\RequestRefused;
use Symfony\Component\HttpFoundation\Response;

/** Text that the database could keep only up to a sign with the number 0 is refused whole: half a recipe is worse than none. */
final class WholeText
{
    /** @throws RequestRefused */
    public function handle(Request $request, Closure $next): Response
    {
        if (RequireJson::takesFile($request)) {
            return $next($request);
        }
        if (str_contains($request->getContent(), '\u0000') || str_contains($request->getContent(), "\0")) {
            self::refuse($request->json()->all(), '');
        }

        return $next($request);
    }

    private static function refuse(mixed $value, string $path): void
    {
        if (is_string($value) && str_contains($value, "\0")) {
            throw RequestRefused::outOfRange($path, 'This holds a sign with the number 0, behind which nothing can be kept: take it out.');
        }
        foreach (is_array($value) ? $value : [] as $key => $one) {
            self::refuse($key, $path);
            self::refuse($one, $path.'/'.strtr((string) $key, ['~' => '~0', '/' => '~1', "\0" => '']));
        }
    }
}
