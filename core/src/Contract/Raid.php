<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RaidQuestion;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Raid\Loot;

/** `raid` */
final readonly class Raid implements Answers
{
    public function name(): string
    {
        return 'raid';
    }

    public function says(): string
    {
        return 'a dog got at something: doses against what is known to harm';
    }

    public function asks(): Asks
    {
        return Asks::Dogs;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dog', 'food', 'recipe', 'product', 'when', 'policy', 'names', 'pantry'])->requireVersion();
        $kitchen = KitchenReader::read($node, $shipped);
        $dog = DogReader::one($node->required('dog', 'The dog'), $kitchen->catalogue);
        $answer = (new RaidQuestion($dog, self::loot($node, $kitchen), $node->get('when')?->string(60), $kitchen->policy))->answer();

        return ['version' => 1, 'dataVersion' => Compiled::version()] + Presenter::dog($dog) + array_diff_key(Presenter::object($answer), ['dog' => 1]);
    }

    /** @throws RequestRefused */
    private static function loot(Node $node, Kitchen $kitchen): Loot
    {
        $food = $node->get('food');
        $recipe = $node->get('recipe');
        $product = $node->get('product');
        if (count(array_filter([$food, $recipe, $product])) !== 1) {
            throw RequestRefused::missing('/food', 'What it took (one of food, recipe or product)');
        }
        if ($food !== null) {
            return Loot::ofText($food->filled(2000), $kitchen, null, null);
        }
        if ($product !== null) {
            $product->object(['name', 'ingredients', 'grams']);

            return Loot::ofProduct(
                $product->required('name', 'The product\'s name')->filled(200), $product->required('ingredients', 'The list of ingredients')->filled(5000),
                $product->required('grams', 'How many grams')->positive(20000, 'g'), $kitchen,
            );
        }
        assert($recipe !== null);
        $recipe->object(['title', 'text', 'cut', 'pieces']);

        return Loot::ofText(
            $recipe->required('text', 'The recipe\'s text')->filled(Question::LONGEST_TEXT), $kitchen, $recipe->get('pieces')?->positive(10000, 'pieces'),
            CutReader::read($recipe->get('cut')), $recipe->get('title')?->string(200),
        );
    }
}
