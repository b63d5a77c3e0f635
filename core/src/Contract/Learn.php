<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Making\Bake;
use MildBowl\Core\Questions\LearnQuestion;
use MildBowl\Core\Questions\RequestRefused;

/** `learn` */
final readonly class Learn implements Answers
{
    private const FIGURES = ['plannedMinutes', 'actualMinutes', 'computedBakedGrams', 'bakedGrams', 'computedCount', 'count', 'wetness'];

    private const MOST = 1e6;

    public function name(): string
    {
        return 'learn';
    }

    public function says(): string
    {
        return 'what the log says of this kitchen: longer, lighter, fewer, wetter than computed';
    }

    public function asks(): Asks
    {
        return Asks::Nothing;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'bakes'])->requireVersion();
        $bakes = array_map(self::bake(...), $node->required('bakes', 'The bakes')->list(LearnQuestion::MOST_BAKES));

        return ['version' => 1, 'learned' => array_map(Presenter::object(...), (new LearnQuestion($bakes))->answer())];
    }

    /** @throws RequestRefused */
    private static function bake(Node $node): Bake
    {
        $node->object(['on', 'class', 'felt', ...self::FIGURES]);
        $figures = [];
        foreach (self::FIGURES as $key) {
            $figures[$key] = $node->get($key)?->number(0, self::MOST);
        }

        return new Bake($node->required('on', 'The day it was baked')->day(), $node->required('class', 'The class of treat')->filled(60), ...$figures, felt: self::felt($node->get('felt')));
    }

    private static function felt(?Node $node): ?Feel
    {
        if ($node === null) {
            return null;
        }
        $words = array_map(static fn (Feel $feel): string => $feel->word, [...Feel::all(), ...Feel::allOfMeat()]);

        return Feel::called($node->string()) ?? throw RequestRefused::outOfRange($node->path, 'No dough feels so. There are: '.implode(', ', $words).'.');
    }
}
