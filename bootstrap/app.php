<?php

declare(strict_types=1);

use App\Backup\BackupRefused;
use App\Http\Middleware\ContentSecurity;
use App\Http\Middleware\OneWrite;
use App\Http\Middleware\OpenKitchen;
use App\Http\Middleware\RequireJson;
use App\Http\Middleware\WholeText;
use App\Support\Conflict;
use App\Support\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // No sign-in yet, so no session and no cookie: the page is a shell, the API takes JSON only.
        $middleware->group('web', [ContentSecurity::class]);
        $middleware->group('api', [RequireJson::class]);
        // A row is looked up in the open kitchen only.
        $middleware->group('kitchen', [WholeText::class, OpenKitchen::class, OneWrite::class, SubstituteBindings::class]);
        // A recipe is kept letter by letter. A question to core is read from its own body: nothing of it is walked through twice.
        $asks = static fn (Request $request): bool => $request->is('api/exchange/*', 'api/csv/*') || str_starts_with($request->path(), 'api/ask/') || Contract::has(substr($request->path(), strlen('api/')));
        $middleware->trimStrings(except: ['text', 'steps', $asks]);
        $middleware->convertEmptyStringsToNull(except: [$asks]);
        // No page of another origin may read this kitchen.
        $middleware->remove(HandleCors::class);
        $middleware->trustHosts(at: ['^127\.0\.0\.1$', '^localhost$']);
    })
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password']);
        // a person was told what to mend: that is no fault of the program
        $exceptions->dontReport([RequestRefused::class, Conflict::class, BackupRefused::class]);
        $exceptions->render(fn (Throwable $e, Request $request) => $request->is('api/*') ? Problem::of($e) : Problem::page($e));
    })
    ->create();

// Each running instance (the kitchen, the tests) has a folder of its own with its .env.
$instance = getenv('MILDBOWL_INSTANCE_DIR');
if (is_string($instance) && $instance !== '') {
    $app->useEnvironmentPath($instance);
}

return $app;
