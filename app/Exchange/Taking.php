<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Http\Requests\ProductRequest;
use App\Http\Requests\RecipeRequest;
use App\Http\Requests\StrictRequest;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Photo;
use App\Models\Product;
use App\Models\Recipe;
use App\Support\KitchenParts;
use App\Support\Picture;
use App\Support\ProductReadings;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use MildBowl\Core\Contract\KitchenReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\OwnFoodReader;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;

/** Takes what a file offers into this kitchen, by the same rules as what is typed. A recipe is always a new one: nothing here is written over. */
final readonly class Taking
{
    public function __construct(private KitchenParts $parts, private ProductReadings $readings) {}

    /**
     * What this kitchen has of it already, and what of it cannot be.
     *
     * @param  list<Offered>  $items
     * @return list<Offered>
     */
    public function looked(array $items): array
    {
        /** @var array<string, list<array{string, string}>> $recipes */
        $recipes = [];
        foreach (Recipe::query()->toBase()->get(['title', 'text', 'steps']) as $one) {
            $recipes[mb_strtolower($one->title)][] = [$one->text, $one->steps];
        }
        $products = Product::query()->with('readings')->get()->keyBy(static fn (Product $one): string => mb_strtolower($one->name));

        return array_map(function (Offered $one) use ($recipes, $products): Offered {
            $state = match ($one->kind) {
                'recipes' => self::among($recipes[mb_strtolower($one->name)] ?? [], [$one->fields['text'] ?? '', $one->fields['steps'] ?? '']),
                'products' => ! $products->has(mb_strtolower($one->name)) ? 'new' : (trim($products[mb_strtolower($one->name)]?->readings->first()->ingredients ?? '') === trim(self::text($one->fields['ingredients'] ?? '')) ? 'same' : 'other'),
                'foods' => self::one(OwnFood::query()->whereRaw('lower(name) = lower(?)', [$one->name])->first()?->fields, array_diff_key($one->fields, ['name' => 1])),
                'words' => self::one(OwnName::query()->where('words', mb_strtolower($one->name))->value('ingredient'), $one->fields['ingredient'] ?? null),
                default => $this->swapState($one),
            };

            return $one->with($state, $this->problemOf($one));
        }, $items);
    }

    /**
     * @param  list<Offered>  $items
     * @param  string  $from  whom they are from, as the recipes will say
     * @return int how many were taken; where one of them cannot be, that is refused with its place and none is
     */
    public function take(array $items, string $from): int
    {
        return DB::transaction(function () use ($items, $from): int {
            $ids = [];
            foreach ($items as $one) {
                $problem = $this->problemOf($one);
                if ($problem !== null) {
                    throw RequestRefused::outOfRange("/take/$one->number", "\"$one->name\" cannot be taken: $problem");
                }
                match ($one->kind) {
                    'recipes' => $ids[$one->id ?? "n$one->number"] = [$this->recipe($one, $from), $one->parent],
                    'products' => $this->product($one),
                    'foods' => OwnFood::query()->firstOrNew(['name' => trim($one->name)])->fill(['fields' => array_diff_key($one->fields, ['name' => 1])])->save(),
                    'words' => OwnName::query()->firstOrNew(['words' => mb_strtolower(trim($one->name))])->fill(['ingredient' => self::text($one->fields['ingredient'] ?? '')])->save(),
                    default => $this->swap($one),
                };
            }
            // a family stays one where all of it was taken
            foreach ($ids as [$recipe, $parent]) {
                if ($parent !== null && isset($ids[$parent])) {
                    $recipe->update(['parent_id' => $ids[$parent][0]->id]);
                }
            }

            return count($items);
        });
    }

    private function problemOf(Offered $one): ?string
    {
        try {
            match ($one->kind) {
                'recipes' => $this->request(RecipeRequest::class, $one->fields)->columns(),
                'products' => Product::query()->whereRaw('lower(name) = lower(?)', [trim($one->name)])->exists() ? null : $this->request(ProductRequest::class, self::productFields($one)),
                'foods' => OwnFoodReader::one(self::node($one->fields), Kitchen::shipped()->catalogue),
                'words' => KitchenReader::names(self::node([(object) $one->fields]), $this->parts->catalogue()),
                default => KitchenReader::swap(self::node($one->fields), $this->parts->catalogue()),
            };
        } catch (ValidationException $wrong) {
            return (string) collect($wrong->errors())->flatten()->first();
        } catch (RequestRefused $refused) {
            return $refused->getMessage();
        }

        return null;
    }

    private function recipe(Offered $one, string $from): Recipe
    {
        $columns = $this->request(RecipeRequest::class, $one->fields)->columns();
        $columns['source'] = mb_substr(($columns['source'] ?? null) === null || $columns['source'] === '' ? $from : (string) $columns['source'], 0, 500);
        if ($one->picture !== null) {
            $photo = new Photo(['media_type' => Picture::typeOf($one->picture) ?? 'image/jpeg', 'bytes' => DB::raw("decode('".base64_encode($one->picture)."', 'base64')")]);
            $photo->save();
            $columns['photo_id'] = $photo->id;
        }

        return Recipe::query()->create($columns);
    }

    private function product(Offered $one): void
    {
        $fields = self::productFields($one);
        $product = Product::query()->whereRaw('lower(name) = lower(?)', [trim($one->name)])->first() ?? Product::query()->create(array_intersect_key($fields, ['name' => 1, 'number' => 1]));
        if (isset($fields['ingredients'])) {
            $this->readings->read($product, $fields['ingredients'], null);
        }
    }

    private function swap(Offered $one): void
    {
        $own = KitchenReader::swap(self::node($one->fields), $this->parts->catalogue());
        OwnSwap::query()->firstOrNew(['out' => $own->out, 'in' => $own->in])->fill(['ratio' => $own->ratio, 'rating' => $own->rating, 'note' => $own->note])->save();
    }

    private function swapState(Offered $one): string
    {
        $own = OwnSwap::query()->where('out', self::text($one->fields['out'] ?? ''))->where('in', self::text($one->fields['in'] ?? ''))->first();

        return self::one($own === null ? null : [$own->ratio, $own->note], [(float) (is_numeric($one->fields['ratio'] ?? null) ? $one->fields['ratio'] : 1), self::text($one->fields['note'] ?? '')]);
    }

    /** @return array{name: string, number?: string, ingredients?: string, listLater: bool} */
    private static function productFields(Offered $one): array
    {
        $list = self::text($one->fields['ingredients'] ?? '');
        $number = $one->fields['number'] ?? null;

        return ['name' => trim($one->name), 'listLater' => true] + ($list === '' ? [] : ['ingredients' => $list]) + (is_string($number) ? ['number' => $number] : []);
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    private static function node(mixed $value): Node
    {
        return Node::decode(json_encode($value, JSON_THROW_ON_ERROR));
    }

    /**
     * @param  list<array{string, string}>  $those
     * @param  array{mixed, mixed}  $one
     */
    private static function among(array $those, array $one): string
    {
        return $those === [] ? 'new' : (in_array($one, $those, true) ? 'same' : 'other');
    }

    private static function one(mixed $kept, mixed $offered): string
    {
        return $kept === null ? 'new' : ($kept == $offered ? 'same' : 'other');
    }

    /**
     * The rules by which the same is kept when it is typed.
     *
     * @template R of StrictRequest
     *
     * @param  class-string<R>  $class
     * @param  array<string, mixed>  $fields
     * @return R
     */
    private function request(string $class, array $fields): StrictRequest
    {
        $request = $class::create('/', 'POST', $fields);
        $request->setContainer(app())->setRedirector(app('redirect'));
        $request->validateResolved();

        return $request;
    }
}
