<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\Offered;
use App\Exchange\RecipeAsLd;
use App\Exchange\RecipeAsText;
use App\Exchange\ShelfFile;
use App\Exchange\ShelfReader;
use App\Exchange\Taking;
use App\Exchange\Terms;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use App\Support\KitchenClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Recipes and what belongs to them as files: given to others, and taken from them. */
final class ExchangeController
{
    private const LONGEST = 20_000_000;

    private const FORMS = ['jsonld' => 'application/ld+json', 'md' => 'text/markdown; charset=utf-8', 'txt' => 'text/plain; charset=utf-8'];

    public function recipe(Recipe $recipe, string $form, RecipeAsLd $ld): Response
    {
        $type = self::FORMS[$form] ?? abort(404);
        $text = match ($form) {
            'md' => RecipeAsText::markdown($recipe),
            'txt' => RecipeAsText::plain($recipe),
            default => json_encode(['@context' => Terms::context()] + $ld->node($recipe), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
        };
        $name = (Str::slug($recipe->title) ?: 'recipe').".$form";

        return new Response($text, headers: ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    /** @throws RequestRefused */
    public function shelf(Request $request, ShelfFile $file, CurrentKitchen $current, KitchenClock $clock): StreamedResponse
    {
        $asked = $request->query('kinds');
        $kinds = is_string($asked) ? explode(',', $asked) : ShelfFile::KINDS;
        if (array_diff($kinds, ShelfFile::KINDS) !== []) {
            throw RequestRefused::outOfRange('/kinds', 'A file can hold '.implode(', ', ShelfFile::KINDS).'.');
        }
        $recipes = $request->query('recipes');
        $only = is_string($recipes) ? array_values(array_filter(explode(',', $recipes), Str::isUuid(...))) : null;
        $name = $current->get()->slug.'-'.$clock->today()->format('Y-m-d').'.jsonld';

        return new StreamedResponse(static fn () => $file->write($kinds, $only, static function (string $part): void {
            echo $part;
        }), headers: ['Content-Type' => 'application/ld+json', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    /** @throws RequestRefused */
    public function look(Request $request, ShelfReader $reader, Taking $taking): JsonResponse
    {
        $read = $reader->read(self::content($request));

        return new JsonResponse(['from' => $read['from'], 'made' => $read['made'], 'items' => array_map(static fn (Offered $one): array => $one->told(), $taking->looked($read['items']))]);
    }

    /** @throws RequestRefused */
    public function take(Request $request, ShelfReader $reader, Taking $taking, KitchenClock $clock, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('takeIn', $current->get());
        $read = $reader->read(self::content($request));
        $numbers = $request->json('take');
        if (! is_array($numbers) || $numbers === [] || array_filter($numbers, static fn (mixed $one): bool => ! is_int($one) || ! isset($read['items'][$one])) !== []) {
            throw RequestRefused::outOfRange('/take', 'Say what is taken, by its number in the file.');
        }
        $items = array_map(static fn (int $n): Offered => $read['items'][$n], array_values(array_unique($numbers)));
        $from = 'from '.($read['from'] ?? 'a file').', '.($read['made'] ?? $clock->today()->format('Y-m-d'));

        return new JsonResponse(['taken' => $taking->take($items, $from)]);
    }

    /** @throws RequestRefused */
    private static function content(Request $request): string
    {
        $content = $request->json('content');
        if (! is_string($content) || trim($content) === '') {
            throw RequestRefused::missing('/content', 'The content of the file');
        }
        if (strlen($content) > self::LONGEST) {
            throw RequestRefused::outOfRange('/content', 'That file has more than 20 MB: give it in parts, such as without its pictures.');
        }

        return $content;
    }
}
