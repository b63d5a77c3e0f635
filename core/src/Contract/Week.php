<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\WeekDog;
use MildBowl\Core\Questions\WeekQuestion;
use MildBowl\Core\Questions\WeekTreat;

/** `week` */
final readonly class Week implements Answers
{
    /** What all treats have in common. */
    private const SHARED = ['version', 'dogs', 'policy', 'names', 'pantry'];

    public function name(): string
    {
        return 'week';
    }

    public function says(): string
    {
        return 'several treats sharing each dog\'s day, and until when they last';
    }

    public function asks(): Asks
    {
        return Asks::Treats;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dogs', 'policy', 'names', 'pantry', 'from', 'treats'])->requireVersion();
        $from = $node->get('from')?->day();
        $treats = [];
        foreach ($node->required('treats', 'The treats')->list(WeekQuestion::MOST_TREATS) as $one) {
            $one->object(['name', 'share', 'recipe', 'cut', 'bake', 'labels', 'confirmed', 'measured', 'portions']);
            $treats[] = new WeekTreat(
                $one->required('name', 'The name of the treat')->filled(200), $one->get('share')?->positive(1000, 'parts') ?? 1.0, self::question($node, $one, $shipped),
            );
        }
        if ($treats === []) {
            throw RequestRefused::missing('/treats', 'At least one treat');
        }
        $answer = (new WeekQuestion($treats, $from))->answer();

        return [
            'version' => 1, 'from' => $answer->from, 'dogs' => array_map(static fn (WeekDog $dog): array => Presenter::dog($dog->dog) + array_diff_key(Presenter::object($dog), ['dog' => 1]), $answer->dogs),
            'treats' => array_map(Presenter::object(...), $answer->treats),
        ];
    }

    /**
     * One treat as a question of its own, with the dogs and the kitchen of all.
     *
     * @param  list<string>  $own  keys of the treat that the question does not know
     *
     * @throws RequestRefused with the path of the fault in the whole request
     */
    public static function question(Node $node, Node $treat, Kitchen $shipped, array $own = ['name', 'share']): Question
    {
        $whole = clone $treat->objectValue();
        foreach ($own as $key) {
            unset($whole->{$key});
        }
        foreach (self::SHARED as $key) {
            if (isset($node->objectValue()->{$key})) {
                $whole->{$key} = $node->objectValue()->{$key};
            }
        }
        try {
            return QuestionReader::read(new Node($whole), $shipped);
        } catch (RequestRefused $refused) {
            throw $refused->within(in_array(explode('/', $refused->path)[1] ?? '', self::SHARED, true) ? '' : $treat->path);
        }
    }
}
