<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\Pack;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\ShoppingCost;
use MildBowl\Core\Questions\ShoppingQuestion;
use MildBowl\Core\Questions\ShoppingTreat;

/** `shopping` */
final readonly class Shopping implements Answers
{
    private const STATES = ['at-hand', 'low', 'out'];

    private const MOST = 1000;

    public function name(): string
    {
        return 'shopping';
    }

    public function says(): string
    {
        return 'what to buy for some treats after what is at hand, in packs, by aisle, and what they cost';
    }

    public function asks(): Asks
    {
        return Asks::Stores;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dogs', 'policy', 'names', 'pantry', 'treats', 'stock', 'open', 'packs', 'savings'])->requireVersion();
        $treats = [];
        foreach ($node->required('treats', 'What is baked')->list(ShoppingQuestion::MOST_TREATS) as $one) {
            $one->object(['name', 'times', 'days', 'recipe', 'cut', 'bake', 'labels', 'confirmed', 'measured', 'portions']);
            $treats[] = new ShoppingTreat($one->required('name', 'The name of the treat')->filled(200), $one->get('times')?->positive(50, 'batches') ?? 1.0, $one->get('days')?->integer(1, 60), Week::question($node, $one, $shipped, ['name', 'times', 'days']));
        }
        if ($treats === []) {
            throw RequestRefused::missing('/treats', 'At least one treat');
        }
        $states = $open = $packs = [];
        foreach ($node->get('stock')?->list(self::MOST) ?? [] as $one) {
            $one->object(['ingredient', 'state']);
            $states[$one->required('ingredient', 'The food')->filled(80)] = $one->required('state', 'Whether it is there')->choice(self::STATES);
        }
        foreach ($node->get('open')?->list(self::MOST) ?? [] as $one) {
            $one->object(['ingredient', 'grams']);
            $food = $one->required('ingredient', 'The food')->filled(80);
            $open[$food] = ($open[$food] ?? 0.0) + $one->required('grams', 'How much of it is open')->number(0, 100_000);
        }
        foreach ($node->get('packs')?->list(self::MOST) ?? [] as $one) {
            $one->object(['ingredient', 'grams', 'price']);
            $packs[] = new Pack($one->required('ingredient', 'The food')->filled(80), $one->required('grams', 'What a pack holds')->positive(100_000, 'g'), $one->required('price', 'What a pack costs')->number(0, 100_000));
        }
        $answer = (new ShoppingQuestion($treats, $states, $open, $packs, $node->get('savings')?->boolean() ?? false))->answer();

        return [
            'version' => 1, 'aisles' => array_map(static fn (array $aisle): array => ['items' => array_map(Presenter::object(...), $aisle['items'])] + $aisle, $answer->aisles), 'atHand' => array_map(Presenter::object(...), $answer->atHand), 'unread' => $answer->unread,
            'costs' => array_map(static fn (ShoppingCost $one): array => ['savings' => array_map(Presenter::object(...), $one->savings)] + Presenter::object($one), $answer->costs), 'price' => $answer->price, 'withoutPrice' => $answer->withoutPrice,
        ];
    }
}
