<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

/** @return array<string, true> "post /api/dogs/{}" */
function routesOfTheApi(): array
{
    $found = [];
    foreach (Route::getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/')) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $found[strtolower($method).' /'.preg_replace('/\{[^}]*\}/', '{}', $route->uri())] = true;
            }
        }
    }
    ksort($found);

    return $found;
}

it('publishes every route, and no other', function (): void {
    $openApi = json_decode((string) file_get_contents(base_path('schemas/openapi.json')), true);
    $published = [];
    foreach ($openApi['paths'] as $path => $methods) {
        foreach (array_diff(array_keys($methods), ['parameters']) as $method) {
            $published["$method ".preg_replace('/\{[^}]*\}/', '{}', $path)] = true;
        }
    }
    ksort($published);
    expect(array_keys($published))->toBe(array_keys(routesOfTheApi()));
});

it('publishes a schema that exists for every body and every answer', function (): void {
    $openApi = json_decode((string) file_get_contents(base_path('schemas/openapi.json')), true);
    $missing = [];
    foreach ($openApi['paths'] as $path => $methods) {
        foreach (array_diff_key($methods, ['parameters' => 1]) as $method => $entry) {
            if (in_array($method, ['post', 'patch', 'put'], true) && ! isset($entry['requestBody'])) {
                $missing[] = "$method $path takes a body of no schema";
            }
            foreach ($entry['responses'] as $code => $response) {
                if ((string) $code !== '204' && ! isset($response['content'])) {
                    $missing[] = "$method $path answers $code with no schema";
                }
            }
            preg_match_all('/"\$ref":"([^"#]+)#?([^"]*)"/', json_encode($entry, JSON_UNESCAPED_SLASHES), $refs, PREG_SET_ORDER);
            foreach ($refs as [, $file, $pointer]) {
                $schema = is_file(base_path("schemas/$file")) ? json_decode((string) file_get_contents(base_path("schemas/$file")), true) : null;
                foreach (array_filter(explode('/', $pointer)) as $step) {
                    $schema = $schema[$step] ?? null;
                }
                if ($schema === null) {
                    $missing[] = "$method $path names $file#$pointer, which is not there";
                }
            }
        }
    }
    expect($missing)->toBe([]);
});

it('calls the folders of the page as core calls what they show', function (): void {
    $names = static fn (string $folder): array => array_values(array_unique(array_map(
        static fn (string $path): string => strtolower(basename(dirname($path))), glob(base_path("$folder/*/*.*")) ?: []
    )));
    // what core knows nothing of: the sheet and what is kept of it, the way to the server, how it looks, the parts of every page
    expect(array_values(array_diff($names('resources/js'), $names('core/src'))))->toBe(['api', 'bench', 'look', 'shelf', 'ui']);
});
