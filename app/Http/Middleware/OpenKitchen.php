<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Opens the kitchen a request works in. Without sign-in that is the one the configuration names. */
final readonly class OpenKitchen
{
    public function __construct(private CurrentKitchen $current) {}

    public function handle(Request $request, Closure $next): Response
    {
        $this->current->open(Kitchen::query()->where('slug', config('mildbowl.kitchen'))->firstOrFail());

        return $next($request);
    }
}
