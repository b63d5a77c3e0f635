<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\LikesQuestion;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Watching\How;
use MildBowl\Core\Watching\Offered;

/** `likes` */
final readonly class Likes implements Answers
{
    private const MOST_OFFERED = 20000;

    private const MOST_FOODS = 200;

    public function name(): string
    {
        return 'likes';
    }

    public function says(): string
    {
        return 'what a dog takes and what it leaves, by food, texture and shape, with counts';
    }

    public function asks(): Asks
    {
        return Asks::Nothing;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dog', 'offered', 'names', 'pantry'])->requireVersion();
        $kitchen = KitchenReader::read($node, $shipped);
        $offered = array_map(static fn (Node $one): Offered => self::offered($one, $kitchen->catalogue), $node->required('offered', 'What it was offered')->list(self::MOST_OFFERED));
        $answer = (new LikesQuestion($node->required('dog', 'The dog\'s name')->filled(60), $offered, $kitchen))->answer();

        return ['version' => 1] + Presenter::object($answer);
    }

    /** @throws RequestRefused */
    private static function offered(Node $node, Catalogue $catalogue): Offered
    {
        $node->object(['on', 'how', 'foods', 'texture', 'shape']);

        return new Offered(
            $node->required('on', 'The day')->day(), How::from($node->required('how', 'How it took it')->choice(array_column(How::cases(), 'value'))),
            array_map(static fn (Node $one): string => $catalogue->resolveGroupOrId($one->filled(80)) ?? $one->filled(80), $node->required('foods', 'The foods')->list(self::MOST_FOODS)),
            $node->get('texture')?->choice(Texture::ids()), $node->get('shape')?->choice(Shapes::ids()),
        );
    }
}
