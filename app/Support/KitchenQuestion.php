<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Price;
use App\Models\Recipe;
use App\Models\StockItem;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Baking\Parts\Heading;
use MildBowl\Core\Contract\Asks;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Contract\InUnits;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\ReadLine;
use stdClass;

/**
 * The one place where a question about this kitchen is put together. Whoever asks says what is not kept yet and names the rest by id; the
 * table, the house rules, the foods, the labels and the prices are added here. The page, the calendar, export and jobs ask alike.
 */
final class KitchenQuestion
{
    private const MOST_LABELS = 100;

    private const MOST_WORDS = 500;

    private const MOST_AT_HAND = 200;

    /** Questions whose answer goes by what a dog takes and leaves. */
    private const BY_TASTE = ['rescue', 'swaps'];

    public function __construct(private readonly Contract $contract, private readonly KitchenParts $parts, private readonly KitchenWords $words, private readonly CurrentKitchen $current, private readonly Kennel $kennel, private readonly BagLoot $loot) {}

    /**
     * @param  stdClass  $asked  the question's own request, with ids for what is kept; what is left out is taken from the kitchen
     * @return array<string, mixed> the answer of core
     *
     * @throws RequestRefused with the place in the request as it was put together
     */
    public function answer(string $question, stdClass $asked): array
    {
        $whole = clone $asked;
        $whole->version ??= 1;

        $answer = $this->contract->answerTo($question, match (Contract::asksOf($question)) {
            Asks::Recipe => $this->withRecipe($whole, $question),
            Asks::Work => $this->withWork($whole, $question),
            Asks::Treats => $this->withTreats($whole),
            Asks::Stores => $this->withTreats($this->withStores($whole)),
            Asks::Dogs => $this->withDogs($whole, $question),
            Asks::Day => $this->withDay($whole),
            Asks::Nothing => $whole,
        });

        return $this->inUnits($answer);
    }

    /**
     * @param  array<string, mixed>  $answer  of core
     * @return array<string, mixed> the same in the units of this kitchen
     */
    public function inUnits(array $answer): array
    {
        return (new InUnits($this->current->get()->houseUnits()))->answer($answer);
    }

    /**
     * A question about a recipe as core is asked it, with everything that is kept laid in: what a batch is begun with.
     *
     * @param  string  $oven  it is baked in: what was learned of another is left out
     *
     * @throws RequestRefused when a dog or a recipe it names is not in this kitchen
     */
    public function whole(stdClass $asked, string $oven): stdClass
    {
        $whole = clone $asked;
        $whole->version ??= 1;
        $whole->learned ??= $this->parts->learned($oven);
        // the portions of the answer tell each lot
        $whole->explain = false;

        return $this->withRecipe($whole, 'formulate');
    }

    /**
     * A recipe as it is kept.
     *
     * @param  list<string>  $dogs  ids
     * @return array<string, mixed> the answer of core
     *
     * @throws RequestRefused when it cannot be judged yet
     */
    public function about(Recipe $recipe, array $dogs): array
    {
        $asked = new stdClass;
        $asked->recipe = new stdClass;
        $asked->recipe->text = $recipe->text;
        $asked->dogs = $dogs;
        $this->lay($recipe, $asked);

        return $this->answer('formulate', $asked);
    }

    private function withRecipe(stdClass $whole, string $question): stdClass
    {
        foreach ($this->parts->all() as $key => $part) {
            $whole->{$key} = $key === 'oven' ? (object) ((array) ($whole->oven ?? []) + (array) $part) : ($whole->{$key} ?? $part);
        }
        $whole->dogs = $this->kennel->asked($whole->dogs ?? null, in_array($question, self::BY_TASTE, true));
        $this->withKept($whole);
        if ($question === 'rescue') {
            $whole->atHand ??= StockItem::query()->where('state', '!=', 'out')->orderBy('ingredient')->limit(self::MOST_AT_HAND)->pluck('ingredient')->all();
        }
        if ($question === 'size') {
            // it works out sizes for the whole dough
            unset($whole->portions);
        }

        return $whole;
    }

    /**
     * A question that holds a whole question about a recipe; `inOven` names the oven, whose own lessons it is reckoned with.
     *
     * @throws RequestRefused
     */
    private function withWork(stdClass $whole, string $question): stdClass
    {
        $whole->question = $whole->question instanceof stdClass ? clone $whole->question : throw RequestRefused::missing('/question', 'The question: a whole formulate request,');
        $whole->question->version ??= 1;
        $oven = $whole->inOven ?? null;
        if ($oven !== null && ! is_string($oven)) {
            throw RequestRefused::outOfRange('/inOven', 'The oven is named in words.');
        }
        unset($whole->inOven);
        if (is_string($oven)) {
            $whole->question->learned ??= $this->parts->learned($oven);
        }
        $this->withRecipe($whole->question, $question);

        return $whole;
    }

    private function withDay(stdClass $whole): stdClass
    {
        $this->withFoods($whole);
        $whole->dogs = $this->kennel->asked($whole->dogs ?? null);
        foreach (is_array($whole->batches ?? null) ? $whole->batches : [] as $batch) {
            if ($batch instanceof stdClass && ($batch->question ?? null) instanceof stdClass) {
                $batch->question = clone $batch->question;
                $batch->question->version ??= 1;
                $batch->question->dogs = array_map(static fn (stdClass $dog): stdClass => clone $dog, $whole->dogs);
                $this->withRecipe($batch->question, 'day');
            }
        }

        return $whole;
    }

    /**
     * @param  iterable<mixed>  $rows  models
     * @param  list<string>  $keys
     * @return list<object>
     */
    private static function each(iterable $rows, array $keys): array
    {
        $told = [];
        foreach ($rows as $row) {
            $told[] = (object) array_map(static fn (mixed $one): mixed => is_numeric($one) ? (float) $one : $one, $row instanceof Model ? $row->only($keys) : []);
        }

        return $told;
    }

    private function withStores(stdClass $whole): stdClass
    {
        $whole->stock ??= self::each(StockItem::query()->orderBy('ingredient')->get(), ['ingredient', 'state']);
        $whole->open ??= self::each(Bag::query()->where('state', 'here')->where('content', 'food')->whereNotNull('ingredient')->whereNotNull('grams')->get(), ['ingredient', 'grams']);
        $whole->packs ??= self::each(Price::query()->orderBy('ingredient')->get(), ['ingredient', 'grams', 'price']);
        // nobody is fed by a list
        $whole->dogs ??= [];

        return $whole;
    }

    private function withTreats(stdClass $whole): stdClass
    {
        $this->withFoods($whole);
        $whole->dogs = $this->kennel->asked($whole->dogs ?? null);
        foreach (is_array($whole->treats ?? null) ? $whole->treats : [] as $treat) {
            if ($treat instanceof stdClass) {
                $treat->dogs = array_map(static fn (stdClass $dog): stdClass => clone $dog, $whole->dogs);
                $kept = $this->withKept($treat);
                $treat->name ??= $kept?->title;
                unset($treat->dogs);
            }
        }

        return $whole;
    }

    private function withDogs(stdClass $whole, string $question): stdClass
    {
        $this->withFoods($whole);
        if (is_string($whole->dog ?? null)) {
            if ($question === 'profile') {
                $this->kennel->weighed($whole);
            }
            $whole->dog = $this->kennel->asked([$whole->dog])[0];
        }
        if (is_array($whole->dogs ?? null)) {
            $whole->dogs = $this->kennel->asked($whole->dogs);
        }
        if ($question === 'raid' && isset($whole->bag)) {
            foreach ($this->loot->of($whole->bag) as $key => $part) {
                $whole->{$key} = $part;
            }
            unset($whole->bag);
        }
        $product = $whole->product ?? null;
        if ($product instanceof stdClass && isset($product->id)) {
            $kept = $this->product($product->id) ?? throw RequestRefused::outOfRange('/product/id', 'No product of this kitchen has this id.');
            unset($product->id);
            $product->name ??= $kept->name;
            $product->ingredients ??= $kept->ingredients ?? '';
        }
        $recipe = $whole->recipe ?? null;
        if ($recipe instanceof stdClass && isset($recipe->id)) {
            $kept = self::recipe($recipe->id);
            unset($recipe->id);
            $recipe->title ??= $kept->title;
            $recipe->text ??= $kept->text;
            $recipe->cut ??= self::json($kept->cut);
        }

        return $whole;
    }

    private function withFoods(stdClass $whole): void
    {
        foreach (array_intersect_key($this->parts->all(), ['policy' => 1, 'pantry' => 1, 'names' => 1]) as $key => $part) {
            $whole->{$key} ??= $part;
        }
    }

    /** What is kept of the recipe that is named by its id, and the labels that its lines name. */
    private function withKept(stdClass $whole): ?Recipe
    {
        $recipe = $whole->recipe ?? null;
        if (! $recipe instanceof stdClass) {
            return null;
        }
        $kept = isset($recipe->id) ? self::recipe($recipe->id) : null;
        unset($recipe->id);
        if ($kept !== null) {
            $this->lay($kept, $whole);
        }
        $text = (string) ($recipe->text ?? '');
        $whole->labels = [...(is_array($whole->labels ?? null) ? $whole->labels : []), ...$this->labels($text, $whole->bound ?? null)];
        $this->withWords($whole, $text);
        unset($whole->bound);
        $this->inParts($whole);
        if (is_array($whole->portions ?? null)) {
            $whole->portions = Kennel::seated($whole->portions, $whole->dogs);
        }

        return $kept;
    }

    /** What vets said of these dogs, and what was read on the jars of these lines, holds here too. */
    private function withWords(stdClass $whole, string $text): void
    {
        $ids = array_map(static fn (mixed $dog): mixed => $dog instanceof stdClass ? $dog->id ?? null : null, is_array($whole->dogs ?? null) ? $whole->dogs : []);
        $bound = [];
        foreach (is_array($whole->bound ?? null) ? $whole->bound : [] as $one) {
            $bound[] = [trim((string) ($one->line ?? '')), (string) ($one->product ?? '')];
        }
        $said = [...$this->words->ofVets($this->kennel->all()->whereIn('id', $ids)), ...$this->words->ofLabels($text, $this->parts->products(), $bound)];
        if ($said !== []) {
            $whole->confirmed = array_slice([...(is_array($whole->confirmed ?? null) ? $whole->confirmed : []), ...$said], 0, self::MOST_WORDS);
        }
    }

    /** What was said of a part that is not in the recipe any more waits until its heading comes back; a dog goes without what it was said to. */
    private function inParts(stdClass $whole): void
    {
        $recipe = $whole->recipe;
        if (is_array($recipe->parts ?? null) && $recipe->parts !== [] && is_string($recipe->text ?? null)) {
            $there = array_map(static fn (ReadLine $line): string => Heading::key($line->section), Kitchen::shipped()->reader->read($recipe->text, '')->lines);
            $recipe->parts = array_values(array_filter($recipe->parts, static fn (mixed $part): bool => ! $part instanceof stdClass || ! is_string($part->section ?? '') || in_array(Heading::key($part->section ?? null), $there, true)));
        }
        foreach (is_array($whole->without ?? null) ? $whole->without : [] as $one) {
            foreach (is_array($whole->dogs ?? null) ? $whole->dogs : [] as $dog) {
                if ($one instanceof stdClass && $dog instanceof stdClass && isset($dog->id, $one->dog) && $dog->id === $one->dog) {
                    $dog->without ??= $one->sections ?? [];
                }
            }
        }
        unset($whole->without);
    }

    /** What is not said is as it was kept. */
    private function lay(Recipe $kept, stdClass $whole): void
    {
        $whole->recipe->title ??= $kept->title;
        $whole->recipe->text ??= $kept->text;
        $whole->recipe->steps ??= $kept->steps;
        $whole->recipe->parts ??= self::json($kept->parts);
        $whole->without ??= self::json($kept->without);
        $whole->cut ??= self::json($kept->cut);
        $whole->portions ??= self::json($kept->portions);
        $whole->bake ??= (object) ['texture' => $kept->texture];
        $whole->confirmed ??= self::json($kept->confirmed);
        $whole->bound ??= array_map(static fn (array $one): stdClass => (object) ['line' => $one['line'], 'product' => $one['productId']], $kept->bound);
        foreach (['cut', 'portions'] as $key) {
            if ($whole->{$key} === null) {
                unset($whole->{$key});
            }
        }
    }

    private static function recipe(mixed $id): Recipe
    {
        return Recipe::query()->findOrFail(is_string($id) ? $id : '');
    }

    /** @return ?stdClass its id, name and newest wording */
    private function product(mixed $id): ?stdClass
    {
        foreach ($this->parts->products() as $product) {
            if ($product->id === $id) {
                return $product;
            }
        }

        return null;
    }

    /**
     * The labels that settle lines: of products bound by hand, and of those whose name stands in the text.
     *
     * @return list<stdClass>
     */
    private function labels(string $text, mixed $bound): array
    {
        $labels = [];
        foreach (is_array($bound) ? $bound : [] as $one) {
            $line = (string) ($one->line ?? '');
            $product = $this->product($one->product ?? null);
            if ($product !== null && $line !== '' && str_contains($text, $line)) {
                $labels[] = self::label($product, mb_substr($line, 0, 200));
            }
        }
        foreach ($this->parts->products() as $product) {
            if (mb_stripos($text, $product->name) !== false) {
                $labels[] = self::label($product, $product->name);
            }
        }

        $read = array_filter($labels, static fn (?stdClass $one): bool => $one !== null);

        return array_slice(array_values($read), 0, self::MOST_LABELS);
    }

    /** A product's newest wording under a name; null where none was read. */
    private static function label(stdClass $product, string $name): ?stdClass
    {
        $ingredients = $product->ingredients ?? '';

        return trim($ingredients) === '' ? null : (object) ['id' => $product->id, 'name' => $name, 'ingredients' => $ingredients];
    }

    /** A value as JSON would have it, objects apart from lists. */
    private static function json(mixed $value): mixed
    {
        return $value === null ? null : json_decode(json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), false, 64, JSON_THROW_ON_ERROR);
    }
}
