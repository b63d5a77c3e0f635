<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PrintRequest;
use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\Recipe;
use App\Printing\Block;
use App\Printing\Labels;
use App\Printing\Pdf;
use App\Printing\Printed;
use App\Printing\RecipeCard;
use App\Printing\Sheet;
use App\Support\KitchenQuestion;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Telling\HealthClaim;

/** Cards and labels at their true size: as the page shows them, and as a PDF. */
final class PrintController
{
    public function __construct(private readonly Contract $contract) {}

    /** @throws RequestRefused */
    public function show(PrintRequest $request, Labels $labels, RecipeCard $card, KitchenQuestion $question): JsonResponse
    {
        return new JsonResponse($this->printed($request, $labels, $card, $question)->told());
    }

    /** @throws RequestRefused */
    public function pdf(PrintRequest $request, Labels $labels, RecipeCard $card, KitchenQuestion $question): Response
    {
        return new Response(Pdf::of($this->printed($request, $labels, $card, $question), 'Mild Bowl'), headers: ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="mild-bowl.pdf"', 'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'"]);
    }

    private function printed(PrintRequest $request, Labels $labels, RecipeCard $card, KitchenQuestion $question): Printed
    {
        $recipe = $request->filled('recipe') ? Recipe::query()->findOrFail((string) $request->validated('recipe')) : null;
        $bags = $request->filled('bags') ? self::bags((string) $request->validated('bags')) : [];
        $those = match ($request->validated('what')) {
            'card' => [$card->of($recipe ?? throw RequestRefused::missing('/recipe', 'The recipe of the card'))],
            'bag' => $bags === [] ? throw RequestRefused::missing('/bags', 'The bags') : array_map(static fn (Bag $bag): array => $labels->bag($bag, self::dogs($bag)), $bags),
            default => $bags === [] ? [$this->ofRecipe($request, $labels, $question, $recipe ?? throw RequestRefused::missing('/recipe', 'The recipe, or the bag, that is given away'))] : array_map(fn (Bag $bag): array => $this->ofBag($request, $labels, $bag), $bags),
        };
        $copies = (int) ($request->validated('copies') ?? 1);
        $all = array_slice(array_merge(...array_map(static fn (array $one): array => array_fill(0, $copies, $one), $those)), 0, PrintRequest::MOST * 2);
        $sheet = Sheet::of((string) $request->validated('sheet'));
        $printed = Printed::of($all, $sheet, min($sheet->onAPage(), (int) ($request->validated('from') ?? 1)) - 1);

        return $printed->problem === null ? $printed : throw RequestRefused::outOfRange('/sheet', $printed->problem);
    }

    /** @return list<Block> */
    private function ofRecipe(PrintRequest $request, Labels $labels, KitchenQuestion $question, Recipe $recipe): array
    {
        $away = $question->answer('give-away', (object) ['recipe' => (object) ['id' => $recipe->id], 'dogs' => []]);
        $this->mayBeGiven($away, '/recipe');

        return $labels->gift($this->title($request, $recipe->title), $away, $recipe->cut, null, null, null, self::said($request, 'madeFor'), $request->validated('perKilo') === '1');
    }

    /**
     * As it was made: what went in, whatever became of the recipe.
     *
     * @return list<Block>
     */
    private function ofBag(PrintRequest $request, Labels $labels, Bag $bag): array
    {
        $batch = $bag->batch_id === null || $bag->content !== 'treats' ? null : Batch::withTrashed()->find($bag->batch_id);
        if ($batch === null) {
            throw RequestRefused::outOfRange('/bags', "Nobody knows what went into bag $bag->number: only treats of a batch get a label for a gift.");
        }
        $made = $batch->log()->question();
        $away = $this->contract->answerTo('give-away', $made);
        $this->mayBeGiven($away, '/bags');
        $cut = json_decode((string) json_encode($made->cut ?? null), true);

        return $labels->gift($this->title($request, $bag->title), $away, is_array($cut) ? $cut : null, $bag->made, $bag->best_before, "bag $bag->number", self::said($request, 'madeFor'), $request->validated('perKilo') === '1');
    }

    /** @param  array<string, mixed>  $away */
    private function mayBeGiven(array $away, string $path): void
    {
        if (is_string($away['stops'])) {
            throw RequestRefused::outOfRange($path, "This is not to be given away: {$away['stops']}");
        }
    }

    private function title(PrintRequest $request, string $own): string
    {
        $title = self::said($request, 'title') ?? $own;
        $claim = HealthClaim::in($title);

        return $claim === null ? $title : throw RequestRefused::outOfRange('/title', "“{$claim}” says something about health, and that is never printed on a treat: write another title.");
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
