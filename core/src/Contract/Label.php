<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\LabelAnswerPart;
use MildBowl\Core\Questions\LabelQuestion;

/** `label` */
final readonly class Label implements Answers
{
    public function name(): string
    {
        return 'label';
    }

    public function says(): string
    {
        return 'what a printed list of ingredients says, part by part';
    }

    public function asks(): Asks
    {
        return Asks::Dogs;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'name', 'ingredients', 'dogs', 'policy', 'names', 'pantry'])->requireVersion();
        $kitchen = KitchenReader::read($node, $shipped);
        $node->get('name')?->string(200);
        $list = $node->required('ingredients', 'The list of ingredients')->filled(LabelQuestion::LONGEST);
        $answer = (new LabelQuestion($kitchen, $list, DogReader::all($node->get('dogs'), $kitchen->catalogue)))->answer();

        return [
            'version' => 1, 'dataVersion' => Compiled::version(),
            'parts' => array_map(static fn (LabelAnswerPart $part): array => [
                'text' => $part->text, 'percent' => $part->percent, 'depth' => $part->depth, 'ingredient' => $part->ingredient, 'trace' => $part->trace,
                'findings' => Presenter::findings($part->findings),
            ], $answer->parts),
            'worst' => $answer->worst->value ?? 'clear',
        ];
    }
}
