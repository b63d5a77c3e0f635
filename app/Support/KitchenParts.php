<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Batch;
use App\Models\Kitchen as KitchenModel;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\OwnFoodReader;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\LineReader;
use stdClass;

/**
 * What the open kitchen adds to a question: its house rules, its foods and words, its prices and swaps, its tray and its oven, its
 * products. Everything that is kept in rows comes in one round trip, since a question is asked at every keystroke.
 */
final class KitchenParts
{
    /** Every row of the kitchen that is asked for, as one list each: no model is made of what goes on as JSON. */
    private const LISTS = [
        'foods' => 'select json_agg(own order by own.name) from own_foods own where own.kitchen_id = kitchens.id and own.deleted_at is null',
        'names' => 'select json_agg(own order by own.words) from own_names own where own.kitchen_id = kitchens.id and own.deleted_at is null',
        'prices' => 'select json_agg(own order by own.ingredient) from prices own where own.kitchen_id = kitchens.id and own.deleted_at is null',
        'swaps' => 'select json_agg(own order by own."out") from own_swaps own where own.kitchen_id = kitchens.id and own.deleted_at is null',
        'learned' => 'select json_agg(own order by own.oven, own.class, own."of") from accepted_factors own where own.kitchen_id = kitchens.id and own.deleted_at is null',
        'products' => "select json_agg(json_build_object('id', own.id, 'name', own.name, 'ingredients', (".self::NEWEST.')) order by own.name) from products own where own.kitchen_id = kitchens.id and own.deleted_at is null',
    ];

    private const NEWEST = 'select one.ingredients from product_readings one where one.kitchen_id = own.kitchen_id and one.product_id = own.id order by one.created_at desc, one.id desc limit 1';

    /** @var array<string, mixed>|null worked out once a request */
    private ?array $parts = null;

    /** @var array<string, list<stdClass>>|null */
    private ?array $rows = null;

    public function __construct(private readonly CurrentKitchen $current) {}

    /** @return array<string, mixed> by the keys of the contract, as JSON has them */
    public function all(): array
    {
        return $this->parts ??= $this->read();
    }

    /** @return list<stdClass> id, name and newest wording (null where none was read) of every product, by name */
    public function products(): array
    {
        return $this->rows()['products'];
    }

    /** The foods this kitchen may name, its own among them. */
    public function catalogue(): Catalogue
    {
        return self::catalogueWith(self::foods($this->rows()['foods']));
    }

    /** Reads a line as core does, for what has nothing to do with this kitchen's own words. */
    public function lines(): LineReader
    {
        return Kitchen::shipped()->reader->lines;
    }

    /** @return array<string, mixed> */
    private function read(): array
    {
        $kitchen = $this->current->get();
        $rows = $this->rows();
        $pantry = self::foods($rows['foods']);
        $catalogue = self::catalogueWith($pantry);

        return [
            'policy' => (object) [
                'energySchool' => $kitchen->energy_school, 'calorieConvention' => $kitchen->calorie_convention, 'garlic' => $kitchen->garlic,
                'units' => $kitchen->units, 'pseudoGrains' => $kitchen->pseudo_grains, 'budgetPercent' => $kitchen->budget_percent,
            ],
            'pantry' => $pantry,
            'names' => self::told($rows['names'], ['words', 'ingredient'], ['ingredient'], $catalogue),
            'prices' => self::told($rows['prices'], ['ingredient', 'grams', 'price'], ['ingredient'], $catalogue),
            'swaps' => self::told($rows['swaps'], ['out', 'in', 'ratio', 'rating', 'note'], ['out', 'in'], $catalogue),
            'tray' => (object) ['widthMm' => $kitchen->tray_width_mm, 'lengthMm' => $kitchen->tray_length_mm, 'gapMm' => $kitchen->tray_gap_mm, 'atOnce' => $kitchen->trays_at_once],
            'oven' => (object) ['fan' => $kitchen->oven_fan],
            'learned' => $this->learned(Batch::OVEN),
        ];
    }

    /** @return list<stdClass> what this kitchen accepted of one oven, as core takes it */
    public function learned(string $oven): array
    {
        $learned = [];
        foreach ($this->rows()['learned'] as $row) {
            if ($row->oven === $oven) {
                $learned[] = (object) ['of' => $row->of, 'class' => $row->class, 'factor' => (float) $row->factor];
            }
        }

        return $learned;
    }

    /** @return array<string, list<stdClass>> */
    private function rows(): array
    {
        return $this->rows ??= $this->asked();
    }

    /** @return array<string, list<stdClass>> */
    private function asked(): array
    {
        $query = KitchenModel::query()->whereKey($this->current->id())->toBase()->select([]);
        foreach (self::LISTS as $key => $list) {
            $query->selectRaw("($list) as \"$key\"");
        }
        $rows = [];
        foreach ((array) $query->sole() as $key => $json) {
            /** @var list<stdClass> $list */
            $list = json_decode(is_string($json) ? $json : '[]', false, 64, JSON_THROW_ON_ERROR);
            $rows[(string) $key] = $list;
        }

        return $rows;
    }

    /**
     * @param  list<stdClass>  $rows
     * @return list<stdClass>
     */
    private static function foods(array $rows): array
    {
        return array_map(static fn (stdClass $row): stdClass => (object) (['name' => $row->name] + (array) $row->fields), $rows);
    }

    /**
     * A food that was taken off the shelf takes its prices, words and swaps with it.
     *
     * @param  list<stdClass>  $rows
     * @param  list<string>  $keys  what the contract wants of a row
     * @param  list<string>  $foods  keys that name a food
     * @return list<stdClass>
     */
    private static function told(array $rows, array $keys, array $foods, Catalogue $catalogue): array
    {
        $told = [];
        foreach ($rows as $row) {
            foreach ($foods as $key) {
                if (! $catalogue->has((string) $row->{$key})) {
                    continue 2;
                }
            }
            $told[] = (object) array_intersect_key((array) $row, array_flip($keys));
        }

        return $told;
    }

    /** @param  list<stdClass>  $pantry */
    private static function catalogueWith(array $pantry): Catalogue
    {
        $shipped = Kitchen::shipped()->catalogue;

        return $shipped->with(OwnFoodReader::all(new Node($pantry, '/pantry'), $shipped), []);
    }
}
