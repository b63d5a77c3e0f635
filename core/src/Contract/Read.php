<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Clipping\Clipping;
use MildBowl\Core\Clipping\ClippingReader;
use MildBowl\Core\Hearing\Baking;
use MildBowl\Core\Hearing\HeardRecipe;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\ReadQuestion;

/** `read` */
final readonly class Read implements Answers
{
    public function name(): string
    {
        return 'read';
    }

    public function says(): string
    {
        return 'the recipes in a text, a web page, JSON-LD or Markdown from outside';
    }

    public function asks(): Asks
    {
        return Asks::Nothing;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'content', 'kind', 'explain'])->requireVersion();
        $explain = $node->get('explain')?->boolean() ?? false;
        $clipped = (new ReadQuestion(
            $shipped, $node->required('content', 'The content')->filled(ReadQuestion::LONGEST), $node->get('kind')?->choice(ClippingReader::KINDS) ?? 'auto', $explain,
        ))->answer();

        return ['version' => 1, 'recipes' => array_map(self::recipe(...), $clipped->recipes), 'notUnderstood' => $clipped->notUnderstood]
            + ($clipped->setAside === [] ? [] : ['setAside' => $clipped->setAside]);
    }

    /** @return array<string, mixed> */
    private static function recipe(Clipping $one): array
    {
        return [
            'title' => $one->title, 'text' => $one->text, 'steps' => $one->steps, 'yield' => $one->yield,
            'times' => ['prepMinutes' => $one->prepMinutes, 'bakeMinutes' => $one->bakeMinutes], 'source' => $one->source,
        ] + ($one->heard === null ? [] : self::heard($one->heard)) + ($one->baking === null ? [] : ['bake' => self::baking($one->baking)])
            + ($one->doubts === null ? [] : ['doubts' => array_map(Presenter::object(...), $one->doubts)]);
    }

    /** @return array<string, mixed> what only a talk has: the words of each line, what is not sure, and what was warned of */
    private static function heard(HeardRecipe $heard): array
    {
        return ['lines' => $heard->lines, 'questions' => $heard->questions, 'warnings' => $heard->warnings];
    }

    /** @return array<string, mixed> the heat, the time, the texture and the size */
    private static function baking(Baking $baking): array
    {
        return [
            'celsius' => $baking->celsius, 'fahrenheit' => $baking->celsius === null ? null : Heat::fahrenheit($baking->celsius), 'gasMark' => $baking->celsius === null ? null : Heat::gasMark($baking->celsius),
            'minutes' => $baking->minutes === null ? null : Presenter::range($baking->minutes),
            'texture' => $baking->texture, 'thicknessMm' => $baking->thicknessMm, 'sizeMm' => $baking->sizeMm, 'shape' => $baking->shape,
        ];
    }
}
