<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\LeftOut;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\Rescued;
use MildBowl\Core\Questions\RescueQuestion;
use MildBowl\Core\Swaps\Change;

/** `rescue` */
final readonly class Rescue implements Answers
{
    public function name(): string
    {
        return 'rescue';
    }

    public function says(): string
    {
        return 'the fewest changes that clear a recipe for the most dogs, or reach a goal';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['goals', 'dislikes', 'atHand'], ['asMade']);
        $question = $question->withDogs(self::withDislikes($node->get('dislikes'), $question->dogs));
        $answer = (new RescueQuestion($question, GoalReader::read($node->get('goals'), $question->dogs), self::atHand($node->get('atHand'), $question->kitchen->catalogue)))->answer();

        return [
            'version' => 1, 'dataVersion' => Compiled::version(), 'rescues' => array_map(self::rescued(...), $answer->rescues),
            'tables' => array_map(static fn (array $dogs): array => array_map(static fn (Dog $dog): string => $dog->name, $dogs), $answer->tables), 'why' => $answer->why,
        ];
    }

    /** @return array<string, mixed> */
    private static function rescued(Rescued $one): array
    {
        return ['recipeText' => $one->composed->text, 'steps' => $one->composed->steps, 'says' => $one->says, 'changes' => array_map(self::change(...), $one->composed->changes)]
            + Presenter::dogs($one->served, 'servedDogs', 'servedDogIds') + Presenter::dogs($one->afterLabels, 'afterLabels', 'afterLabelIds') + [
                'cut' => $one->cut === null ? null : Presenter::cut($one->cut), 'bake' => $one->texture === null ? null : ['texture' => $one->texture->id], 'batchChange' => $one->batchChange,
                'leftOut' => array_map(static fn (LeftOut $left): array => Presenter::dog($left->dog) + ['line' => $left->line, 'reason' => $left->reason], $one->leftOut),
                'wetness' => $one->wetness, 'cost' => $one->cost, 'optimal' => $one->optimal,
            ];
    }

    /** @return array<string, mixed> */
    private static function change(Change $change): array
    {
        return ['line' => $change->line, 'action' => $change->action, 'to' => $change->to, 'reason' => $change->reason] + Presenter::place($change->place);
    }

    /**
     * The dogs with what the request says beside them of foods they refuse, by id or name.
     *
     * @param  list<Dog>  $dogs
     * @return list<Dog>
     *
     * @throws RequestRefused
     */
    public static function withDislikes(?Node $node, array $dogs): array
    {
        $more = [];
        if ($node === null) {
            return $dogs;
        }
        foreach (array_keys(get_object_vars($node->objectValue())) as $called) {
            $dog = DogReader::named(new Node((string) $called, "{$node->path}/$called"), $dogs);
            $more[$dog->key()] = array_map(static fn (Node $one): string => $one->filled(80), $node->get((string) $called)?->list(100) ?? []);
        }

        return array_map(static fn (Dog $dog): Dog => isset($more[$dog->key()]) ? $dog->disliking($more[$dog->key()]) : $dog, $dogs);
    }

    /**
     * @return list<string> ids of groups or foods
     *
     * @throws RequestRefused
     */
    public static function atHand(?Node $node, Catalogue $catalogue): array
    {
        return array_map(static fn (Node $one): string => $catalogue->resolveGroupOrId($one->filled(80)) ?? throw RequestRefused::outOfRange($one->path, 'That is no food of the catalogue.'), $node?->list(500) ?? []);
    }
}
