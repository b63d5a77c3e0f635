<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PrintRequest;
use App\Models\Bag;
use App\Models\Dog;
use App\Models\Occasion;
use App\Models\Recipe;
use App\Printing\GiftLabel;
use App\Printing\Gifts;
use App\Printing\Labels;
use App\Printing\Pdf;
use App\Printing\Printed;
use App\Printing\RecipeCard;
use App\Printing\Sheet;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use MildBowl\Core\Questions\RequestRefused;

/** Cards and labels at their true size: as the page shows them, and as a PDF. */
final class PrintController
{
    /** @throws RequestRefused */
    public function show(PrintRequest $request, Labels $labels, RecipeCard $card, Gifts $gifts): JsonResponse
    {
        return new JsonResponse($this->printed($request, $labels, $card, $gifts)->told());
    }

    /** @throws RequestRefused */
    public function pdf(PrintRequest $request, Labels $labels, RecipeCard $card, Gifts $gifts): Response
    {
        return new Response(Pdf::of($this->printed($request, $labels, $card, $gifts), 'Mild Bowl'), headers: ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="mild-bowl.pdf"', 'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'"]);
    }

    private function printed(PrintRequest $request, Labels $labels, RecipeCard $card, Gifts $gifts): Printed
    {
        $recipe = $request->filled('recipe') ? Recipe::query()->findOrFail((string) $request->validated('recipe')) : null;
        $bags = $request->filled('bags') ? self::bags((string) $request->validated('bags')) : [];
        $those = match ($request->validated('what')) {
            'card' => [$card->of($recipe ?? throw RequestRefused::missing('/recipe', 'The recipe of the card'))],
            'bag' => $bags === [] ? throw RequestRefused::missing('/bags', 'The bags') : array_map(static fn (Bag $bag): array => $labels->bag($bag, self::dogs($bag)), $bags),
            default => array_map(static fn (GiftLabel $one): array => $labels->gift($one, $request->validated('perKilo') === '1'), self::gifts($request, $gifts, $recipe, $bags)),
        };
        $copies = (int) ($request->validated('copies') ?? 1);
        $all = array_slice(array_merge(...array_map(static fn (array $one): array => array_fill(0, $copies, $one), $those)), 0, PrintRequest::MOST * 2);
        $sheet = Sheet::of((string) $request->validated('sheet'));
        $printed = Printed::of($all, $sheet, min($sheet->onAPage(), (int) ($request->validated('from') ?? 1)) - 1);

        return $printed->problem === null ? $printed : throw RequestRefused::outOfRange('/sheet', $printed->problem);
    }

    /**
     * @param  list<Bag>  $bags
     * @return non-empty-list<GiftLabel>
     */
    private static function gifts(PrintRequest $request, Gifts $gifts, ?Recipe $recipe, array $bags): array
    {
        if ($request->filled('occasion')) {
            return $gifts->ofOccasion(Occasion::query()->findOrFail((string) $request->validated('occasion')));
        }
        $title = self::said($request, 'title');
        $for = self::said($request, 'madeFor');
        if ($bags !== []) {
            return array_map(static fn (Bag $bag): GiftLabel => $gifts->ofBag($bag, $title, $for), $bags);
        }
        if ($recipe === null) {
            throw RequestRefused::missing('/recipe', 'The recipe, or the bag, that is given away');
        }

        return [$gifts->ofRecipe($recipe, $title, $for)];
    }

    private static function said(PrintRequest $request, string $key): ?string
    {
        $said = $request->validated($key);

        return is_string($said) && trim($said) !== '' ? trim($said) : null;
    }

    /** @return list<Bag> in the order in which they were named */
    private static function bags(string $ids): array
    {
        return array_map(static fn (string $id): Bag => Bag::query()->find($id) ?? throw RequestRefused::outOfRange('/bags', 'No bag of this kitchen has this id.'), array_values(array_unique(explode(',', strtolower($ids)))));
    }

    private static function dogs(Bag $bag): string
    {
        return implode(', ', Dog::query()->whereIn('id', $bag->for_dogs)->orderBy('name')->pluck('name')->all());
    }
}
