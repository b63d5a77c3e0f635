<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Recipes, dogs and labels by chance; the same for the same seed. */
final readonly class Generated
{
    private const FOODS = [
        'oat flour',
        'whole wheat flour',
        'rice flour',
        'chickpea flour',
        'buckwheat flour',
        'barley flour',
        'rolled oats',
        'egg',
        'water',
        'milk',
        'plain yogurt',
        'cheddar',
        'honey',
        'sugar',
        'salt',
        'olive oil',
        'butter',
        'peanut butter',
        'beef liver',
        'minced beef',
        'minced turkey',
        'cooked chicken',
        'salmon',
        'cod',
        'tinned sardines',
        'carrot, grated',
        'sweet potato, boiled',
        'spinach',
        'beetroot',
        'banana, mashed',
        'apple, cored',
        'blueberries',
        'chia seeds',
        'ground flaxseed',
        'cassia cinnamon',
        'ground ginger',
        'kelp powder',
        'cod liver oil',
        'baking powder',
        'gelatin',
        'chicken broth',
        'raisins',
        'onion',
        'flurbl',
        'cocoa powder',
        'garlic',
        'soy sauce',
        'wheat bran',
        'parsley',
        'tofu',
        'lentils, cooked',
        'almonds, ground',
        'coconut flour',
        'psyllium husk',
        'nutritional yeast',
        'bone meal',
    ];

    private const PARTS = [
        'oats',
        'peanuts',
        'salt',
        'sugar',
        'milk powder',
        'egg',
        'rapeseed oil',
        'spices',
        'onion powder',
        'xylitol',
        'cocoa',
        'raisins',
        'wheat flour',
        'natural flavouring',
        'E471',
        'pectin',
        'chicken',
        'beef fat',
        'maltitol',
        'soya lecithin',
        'flurbl',
    ];

    private const CONDITIONS = [
        'pancreatitis',
        'hyperlipidaemia',
        'diabetes',
        'kidney',
        'heart',
        'heart-advanced',
        'oxalate-stones',
        'urate-stones',
        'struvite-stones',
        'cystine-stones',
        'liver',
        'shunt',
        'copper-storage',
        'epilepsy-bromide',
        'immunocompromised',
        'pregnant',
        'nursing',
        'sensitive-stomach',
        'gut-protein-loss',
        'megaoesophagus',
        'addisons',
        'anaemia',
        'weight-loss',
        'weight-gain',
    ];

    private const MEDICINES = ['anticoagulant', 'chemotherapy', 'surgery-planned', 'selegiline', 'bromide'];

    private const ALLERGIES = [
        'chicken',
        'beef',
        'dairy',
        'wheat',
        'gluten',
        'grain',
        'egg',
        'soy',
        'fish',
        'legume',
        'peanut',
        'tree-nut',
        'storage-mite',
        'yeast',
    ];

    private Randomizer $random;

    public function __construct(public int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $from
     * @return T
     */
    public function one(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }

    public function number(int $from, int $to): int
    {
        return $this->random->getInt($from, $to);
    }

    /** @return list<string> so many lines, each with grams and another food */
    public function lines(int $count): array
    {
        return array_map(
            fn (string $food): string => $this->number(1, 250)." g $food",
            array_slice($this->random->shuffleArray(self::FOODS), 0, $count)
        );
    }

    /** @return array<string, mixed> a dog with anything a dog may have */
    public function dog(string $name): array
    {
        $kg = $this->number(2, 60);
        $some = fn (array $from, int $most): array => array_slice($this->random->shuffleArray($from), 0, max(0, $this->number(-3, $most)));

        return [
            'name' => $name,
            'weightKg' => $kg,
            'ageMonths' => $this->number(3, 180),
            'neutered' => $this->one([true, false, null]),
            'bodyCondition' => $this->one([null, 3, 4, 5, 5, 5, 6, 7, 8]),
            'activity' => $this->one(['inactive', 'normal', 'normal', 'active', 'working-light']),
            'breed' => $this->one([null, 'whippet', 'akita', 'border terrier', 'dalmatian']),
            'expectedAdultWeightKg' => $this->one([null, null, $kg + 10]),
            'teeth' => $this->one(['full', 'few', 'none']),
            'eating' => $this->one(['normal', 'gulps']),
            'allergies' => $some(self::ALLERGIES, 2),
            'conditions' => $some(self::CONDITIONS, 2),
            'medicines' => $some(self::MEDICINES, 1),
            'newIngredients' => $some(['oat', 'egg', 'beef'], 1),
            'alreadyToday' => $this->one([null, null, ['kcal' => 10, 'sodiumMg' => 20, 'fatG' => 0.5]]),
        ];
    }

    /** @return array<string, mixed> a whole request */
    public function request(int $lines = 8, int $dogs = 3): array
    {
        return [
            'version' => 1,
            'recipe' => ['text' => implode("\n", $this->lines($lines))],
            'dogs' => array_map(fn (int $n): array => $this->dog("Dog $n"), range(1, $dogs)),
            'cut' => $this->one([
                ['shape' => 'pieces', 'count' => $this->number(1, 2000)],
                ['shape' => 'round', 'diameterMm' => $this->number(8, 60), 'thicknessMm' => $this->number(3, 15)],
                ['shape' => 'ball', 'diameterMm' => $this->number(8, 40)],
            ]),
            'bake' => ['texture' => $this->one(['soft', 'biscuit', 'hard', 'frozen', 'none', 'cake'])],
            'policy' => [
                'energySchool' => $this->one(['clinic', 'nrc']),
                'garlic' => $this->one(['avoid', 'measured']),
                'budgetPercent' => $this->one([null, null, 4]),
            ],
        ];
    }

    /** @return list<string> the parts of a printed list */
    public function label(int $parts): array
    {
        return array_slice($this->random->shuffleArray(self::PARTS), 0, $parts);
    }

    /**
     * The same with keys and lists in another order, all the way down; texts stay as they are.
     *
     * @param  array<array-key, mixed>  $value
     * @return array<array-key, mixed>
     */
    public function shuffledKeys(array $value): array
    {
        $keys = array_is_list($value) ? array_keys($value) : $this->random->shuffleArray(array_keys($value));
        $shuffled = [];
        foreach ($keys as $key) {
            $shuffled[$key] = is_array($value[$key]) ? $this->shuffledKeys($value[$key]) : $value[$key];
        }

        return $shuffled;
    }
}
