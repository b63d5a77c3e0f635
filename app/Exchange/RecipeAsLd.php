<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Http\Resources\RecipeResource;
use App\Models\Photo;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use App\Support\KitchenQuestion;
use MildBowl\Core\Questions\RequestRefused;

/** A recipe as schema.org tells one, with what a piece of it holds, and whole in our own words beside it. */
final readonly class RecipeAsLd
{
    /** Of the API's words, those that a recipe takes along to another kitchen. */
    public const TAKEN_ALONG = ['title', 'text', 'steps', 'cut', 'texture', 'portions', 'parts', 'notes', 'source', 'yield', 'prepMinutes', 'bakeMinutes', 'tags'];

    /** schema.org's words for what is in a piece, and ours; its units are written with it. */
    private const NUTRIENTS = ['proteinContent' => ['proteinG', 'g'], 'fatContent' => ['fatG', 'g'], 'carbohydrateContent' => ['carbohydrateG', 'g'], 'fiberContent' => ['fibreG', 'g'], 'sugarContent' => ['sugarsG', 'g'], 'sodiumContent' => ['sodiumMg', 'mg']];

    public function __construct(private KitchenQuestion $question, private CurrentKitchen $current) {}

    /** @return array<string, mixed> without a context */
    public function node(Recipe $recipe): array
    {
        $told = (new RecipeResource($recipe))->toArray(request());
        $rows = static fn (string $text): array => array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $row): bool => $row !== ''));
        $isAddress = $recipe->source !== null && preg_match('~^https?://~i', $recipe->source) === 1;

        return array_filter([
            '@type' => 'Recipe', '@id' => "urn:uuid:$recipe->id", 'name' => $recipe->title, 'recipeIngredient' => $rows($recipe->text),
            'recipeInstructions' => array_map(static fn (string $row): array => ['@type' => 'HowToStep', 'text' => $row], $rows($recipe->steps)),
            'prepTime' => self::duration($recipe->prep_minutes), 'cookTime' => self::duration($recipe->bake_minutes), 'keywords' => implode(', ', $recipe->tags),
            'description' => $recipe->notes, 'url' => $isAddress ? $recipe->source : '', 'creditText' => $isAddress ? '' : ($recipe->source ?? ''), 'sourceOrganization' => ['@type' => 'Organization', 'name' => $this->current->get()->name],
            'dateModified' => $recipe->updated_at->format('Y-m-d'), 'image' => self::picture($recipe), 'isBasedOn' => $recipe->parent_id === null ? '' : "urn:uuid:$recipe->parent_id",
        ] + $this->reckoned($recipe), static fn (mixed $one): bool => $one !== null && $one !== '' && $one !== []) + ['bowl:recipe' => self::withoutItsDogs(array_intersect_key($told, array_flip(self::TAKEN_ALONG)))];
    }

    /**
     * Who eats from which portion is a matter of the kitchen that the dogs live in.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    public static function withoutItsDogs(array $fields): array
    {
        if (is_array($fields['portions'] ?? null)) {
            $fields['portions'] = array_map(static fn (mixed $one): mixed => is_array($one) ? array_diff_key($one, ['dogs' => 1]) : $one, $fields['portions']);
        }

        return $fields;
    }

    /** @return array<string, mixed> how many it makes, and what one holds; nothing where it cannot be reckoned */
    private function reckoned(Recipe $recipe): array
    {
        try {
            $piece = $this->question->about($recipe, [])['piece'] ?? null;
        } catch (RequestRefused) {
            $piece = null;
        }
        $count = is_array($piece) ? (int) floor($piece['count']['best'] + 1e-9) : 0;
        if ($count < 1) {
            return ['recipeYield' => $recipe->yield];
        }
        $nutrition = ['@type' => 'NutritionInformation', 'servingSize' => '1 piece', 'calories' => self::figure($piece['kcal']['best']).' kcal'];
        foreach (self::NUTRIENTS as $word => [$key, $unit]) {
            // what nobody knows is not told
            if (is_numeric($piece['nutrients'][$key] ?? null)) {
                $nutrition[$word] = self::figure((float) $piece['nutrients'][$key])." $unit";
            }
        }

        return ['recipeYield' => $recipe->yield ?? "$count pieces", 'nutrition' => $nutrition];
    }

    private static function figure(float $value): string
    {
        return (string) ($value >= 10 ? round($value) : round($value, 2));
    }

    private static function duration(?float $minutes): ?string
    {
        if ($minutes === null) {
            return null;
        }

        return 'PT'.rtrim(rtrim(number_format($minutes, 1, '.', ''), '0'), '.').'M';
    }

    private static function picture(Recipe $recipe): ?string
    {
        $photo = $recipe->photo_id === null ? null : Photo::query()->find($recipe->photo_id);
        if ($photo === null) {
            return null;
        }
        $bytes = is_resource($photo->bytes) ? (string) stream_get_contents($photo->bytes) : $photo->bytes;

        return "data:$photo->media_type;base64,".base64_encode($bytes);
    }
}
