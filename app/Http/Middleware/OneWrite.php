<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\CurrentKitchen;
use App\Support\KitchenClock;
use App\Support\Trash;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;
use Symfony\Component\HttpFoundation\Response;

/**
 * One write at a time in a kitchen, whole or not at all. One that names a key (Idempotency-Key) is done once, however often it is sent: the
 * answer of the first time is given again.
 */
final readonly class OneWrite
{
    public function __construct(private CurrentKitchen $current, private KitchenClock $clock, private Trash $trash) {}

    /** @throws RequestRefused */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe() || str_starts_with($request->path(), 'api/ask/') || str_ends_with($request->path(), '/look')) {
            return $next($request);
        }
        $key = self::key($request);
        DB::beginTransaction();
        try {
            DB::selectOne('SELECT changed FROM kitchens WHERE id = ? FOR UPDATE', [$this->current->id()]);
            $known = $key === null ? null : DB::table('deliveries')->where('kitchen_id', $this->current->id())->where('key', $key)->first();
            if ($known !== null) {
                DB::rollBack();

                return new Response($known->body, (int) $known->status, ['Content-Type' => 'application/json', 'Idempotent-Replay' => 'true']);
            }
            $this->trash->sweepOnceADay();
            $response = $next($request);
            if ($response->getStatusCode() >= 400) {
                DB::rollBack();

                return $response;
            }
            if ($key !== null) {
                DB::table('deliveries')->insert(['kitchen_id' => $this->current->id(), 'key' => $key, 'status' => $response->getStatusCode(), 'body' => (string) $response->getContent(), 'came_at' => $this->clock->now()]);
            }
            DB::commit();

            return $response;
        } catch (\Throwable $e) {
            DB::rollBack();
            throw $e;
        }
    }

    private static function key(Request $request): ?string
    {
        $key = $request->headers->get('Idempotency-Key');
        if ($key !== null && ! Str::isUuid($key)) {
            throw RequestRefused::outOfRange('/Idempotency-Key', 'An Idempotency-Key is a UUID that the sender makes, one for each change.');
        }

        return $key;
    }
}
