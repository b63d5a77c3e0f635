<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Occasion;
use App\Models\Recipe;
use App\Support\KitchenQuestion;
use App\Support\OccasionPlans;
use App\Support\Pieces;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Telling\HealthClaim;

/** What the labels of gifts tell: of a recipe, of a bag as it was made, of each box of an occasion. What must not be given away gets none. */
final readonly class Gifts
{
    public function __construct(private KitchenQuestion $question, private Contract $contract, private OccasionPlans $plans) {}

    /** @throws RequestRefused when it is not to be given away */
    public function ofRecipe(Recipe $recipe, ?string $title, ?string $for, ?string $holds = null, string $path = '/recipe'): GiftLabel
    {
        $away = $this->question->answer('give-away', (object) ['recipe' => (object) ['id' => $recipe->id], 'dogs' => []]);

        return new GiftLabel(self::withoutClaim($title ?? $recipe->title), self::mayBeGiven($away, $path), $recipe->cut, null, null, null, $for, $holds);
    }

    /**
     * As it was made: what went in, whatever became of the recipe.
     *
     * @throws RequestRefused when nobody knows what went in, or it is not to be given away
     */
    public function ofBag(Bag $bag, ?string $title, ?string $for, ?string $holds = null, string $path = '/bags'): GiftLabel
    {
        $batch = $bag->batch_id === null || $bag->content !== 'treats' ? null : Batch::withTrashed()->find($bag->batch_id);
        if ($batch === null) {
            throw RequestRefused::outOfRange($path, "Nobody knows what went into bag $bag->number: only treats of a batch get a label for a gift.");
        }
        $made = $batch->log()->question();
        $cut = json_decode((string) json_encode($made->cut ?? null), true);

        return new GiftLabel(self::withoutClaim($title ?? $bag->title), self::mayBeGiven($this->contract->answerTo('give-away', $made), $path), is_array($cut) ? $cut : null, $bag->made, $bag->best_before, "bag $bag->number", $for, $holds);
    }

    /**
     * A label for each box that can be filled: of the bag that stands there for it, else of the recipe, with its day left open.
     *
     * @return non-empty-list<GiftLabel>
     *
     * @throws RequestRefused when there is none
     */
    public function ofOccasion(Occasion $occasion): array
    {
        $boxes = $this->plans->boxes($occasion);
        $plan = $boxes === [] ? [] : $this->plans->of($occasion);
        $bakeOn = array_map(static fn (?array $one): ?string => $one['bakeOn'] ?? null, array_column($plan['treats'] ?? [], 'plan', 'id'));
        $labels = [];
        foreach ($plan['boxes'] ?? [] as $n => $told) {
            if ($told['stops'] === null) {
                $holds = Pieces::said((float) $told['pieces']).' in it'.($told['piecesPerDay'] === null || $told['ask'] !== [] ? '.' : ': '.Pieces::figure((float) $told['piecesPerDay'])." a day for {$told['dog']}.");
                $recipe = Recipe::query()->findOrFail($boxes[$n]['recipeId']);
                $bag = self::bagFor($occasion, $recipe, $bakeOn[$recipe->id] ?? null);
                $labels[] = $bag === null ? $this->ofRecipe($recipe, null, $told['for'], $holds, '/occasion') : $this->ofBag($bag, null, $told['for'], $holds, '/occasion');
            }
        }

        return $labels === [] ? throw RequestRefused::outOfRange('/occasion', 'Nothing of this occasion is filled into a box or a tin yet.') : $labels;
    }

    /** The bag that was baked for it: not before the day of baking, and out of the freezer, so that its day is the one that holds. */
    private static function bagFor(Occasion $occasion, Recipe $recipe, ?string $bakeOn): ?Bag
    {
        $on = $occasion->on->format('Y-m-d');
        /** @var list<Bag> $bags */
        $bags = Bag::query()->where('state', 'here')->where('content', 'treats')->where('frozen', false)->where('made', '>=', $bakeOn ?? $on)->where('made', '<=', $on)->where('best_before', '>=', $on)
            ->whereIn('batch_id', Batch::query()->where('recipe_id', $recipe->id)->select('id'))->orderByDesc('made')->orderByDesc('number')->limit(1)->get()->all();

        return $bags[0] ?? null;
    }

    private static function withoutClaim(string $title): string
    {
        $claim = HealthClaim::in($title);

        return $claim === null ? $title : throw RequestRefused::outOfRange('/title', "“{$claim}” says something about health, and that is never printed on a treat: write another title.");
    }

    /**
     * @param  array<string, mixed>  $away
     * @return array<string, mixed>
     */
    private static function mayBeGiven(array $away, string $path): array
    {
        return is_string($away['stops']) ? throw RequestRefused::outOfRange($path, "This is not to be given away: {$away['stops']}") : $away;
    }
}
