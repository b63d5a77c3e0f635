<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Feeding\HadBefore;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\DayDog;
use MildBowl\Core\Questions\DayQuestion;
use MildBowl\Core\Questions\FormulateQuestion;
use MildBowl\Core\Questions\GivenLabel;
use MildBowl\Core\Questions\GivenPieces;
use MildBowl\Core\Questions\GivenText;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\MadeRefused;

/** `day` */
final readonly class Day implements Answers
{
    private const MOST_PIECES = 1000.0;

    private const MOST_KCAL = 20000.0;

    private const LONGEST_TEXT = 500;

    /** Most of any substance in a piece, in its own unit. */
    private const MOST = 1e6;

    public function name(): string
    {
        return 'day';
    }

    public function says(): string
    {
        return 'one budget and every dose of a day, whoever gives; what each dog may still have';
    }

    public function asks(): Asks
    {
        return Asks::Day;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'date', 'dogs', 'policy', 'names', 'pantry', 'batches', 'before', 'borrowed', 'given'])->requireVersion();
        $date = $node->required('date', 'The day')->day();
        $kitchen = KitchenReader::read($node, $shipped);
        $dogs = DogReader::all($node->required('dogs', 'The dogs'), $kitchen->catalogue);
        $batches = [];
        foreach ($node->get('batches')?->list(DayQuestion::MOST_BATCHES) ?? [] as $one) {
            $one->object(['id', 'question']);
            $id = $one->required('id', 'The batch\'s id')->filled(DogReader::LONGEST_ID);
            if (isset($batches[$id])) {
                throw RequestRefused::outOfRange("{$one->path}/id", "Two batches are called \"$id\".");
            }
            $batches[$id] = self::judged($one->required('question', 'The question: a whole formulate request,'), $node, $shipped);
        }
        $before = $borrowed = $given = [];
        foreach ($node->get('before')?->list(DayQuestion::MOST_GIVEN) ?? [] as $one) {
            $one->object(['on', 'dog', 'garlicG', 'predatorFish']);
            $before[] = new HadBefore(
                DogReader::named($one->required('dog', 'The dog'), $dogs), $one->required('on', 'The day')->day(), $one->get('garlicG')?->number(0, 1000, 'g') ?? 0.0, $one->get('predatorFish')?->boolean() ?? false,
            );
        }
        foreach ($node->get('borrowed')?->list(500) ?? [] as $one) {
            $one->object(['dog', 'kcal']);
            $dog = DogReader::named($one->required('dog', 'The dog'), $dogs);
            $borrowed[$dog->key()] = ($borrowed[$dog->key()] ?? 0.0) + $one->required('kcal', 'The energy')->number(-self::MOST_KCAL, self::MOST_KCAL, 'kcal');
        }
        foreach ($node->get('given')?->list(DayQuestion::MOST_GIVEN) ?? [] as $one) {
            $given[] = self::given($one, $dogs, array_keys($batches));
        }
        $answers = (new DayQuestion($date, $kitchen, $dogs, $batches, $given, $before, $borrowed))->answer();

        return ['version' => 1, 'dogs' => array_map(self::dog(...), $answers)];
    }

    /**
     * A batch's question, asked for the dogs and by the policy of the day. What it says of dogs that are not here today waits.
     *
     * @throws RequestRefused with its place in the whole
     */
    private static function judged(Node $asked, Node $node, Kitchen $shipped): Judgement
    {
        $whole = clone $asked->objectValue();
        $whole->dogs = self::goingWithout($node->required('dogs', 'The dogs')->value, $whole->dogs ?? null);
        $here = [];
        foreach (is_array($whole->dogs) ? $whole->dogs : [] as $dog) {
            array_push($here, ...$dog instanceof \stdClass ? [$dog->id ?? null, $dog->name ?? null] : []);
        }
        unset($whole->policy);
        if (($policy = $node->get('policy')) !== null) {
            $whole->policy = $policy->value;
        }
        if (is_array($whole->portions ?? null)) {
            $whole->portions = array_map(static function (mixed $portion) use ($here): mixed {
                if (! $portion instanceof \stdClass || ! is_array($portion->dogs ?? null)) {
                    return $portion;
                }
                /** @var list<mixed> $named */
                $named = $portion->dogs;
                $portion = clone $portion;
                $portion->dogs = array_values(array_filter($named, static fn (mixed $dog): bool => in_array($dog, $here, true)));

                return $portion;
            }, $whole->portions);
        }
        try {
            return (new FormulateQuestion(QuestionReader::read(new Node($whole), $shipped)))->answer();
        } catch (PartsRefused|MadeRefused $refused) {
            throw RequestRefused::outOfRange($asked->path.$refused->path, $refused->getMessage());
        } catch (RequestRefused $refused) {
            $isOfAll = in_array(explode('/', $refused->path)[1] ?? '', ['dogs', 'policy'], true);
            throw $refused->within($isOfAll ? '' : $asked->path);
        }
    }

    /** The dogs of the day, each without the sections that this batch was made without for it. */
    private static function goingWithout(mixed $dogs, mixed $ofBatch): mixed
    {
        if (! is_array($dogs) || ! is_array($ofBatch)) {
            return $dogs;
        }

        return array_map(static function (mixed $dog) use ($ofBatch): mixed {
            foreach ($ofBatch as $one) {
                if ($dog instanceof \stdClass && $one instanceof \stdClass && isset($one->without) && ! isset($dog->without) && (isset($dog->id) ? ($one->id ?? null) === $dog->id : ($one->name ?? null) === ($dog->name ?? ''))) {
                    $dog = clone $dog;
                    $dog->without = $one->without;
                }
            }

            return $dog;
        }, $dogs);
    }

    /**
     * @param  list<Dog>  $dogs
     * @param  list<string|int>  $batches
     *
     * @throws RequestRefused
     */
    private static function given(Node $node, array $dogs, array $batches): GivenPieces|GivenText|GivenLabel
    {
        $node->object(['dog', 'batch', 'pieces', 'text', 'label']);
        $dog = DogReader::named($node->required('dog', 'The dog'), $dogs);
        [$batch, $text, $label] = [$node->get('batch'), $node->get('text'), $node->get('label')];
        if (count(array_filter([$batch, $text, $label])) !== 1) {
            throw RequestRefused::missing("{$node->path}/batch", 'What was given (one of batch, text or label)');
        }
        if ($text !== null) {
            if ($node->get('pieces') !== null) {
                throw RequestRefused::outOfRange("{$node->path}/pieces", 'What is written in words has its amount in its words.');
            }

            return new GivenText($dog, $text->filled(self::LONGEST_TEXT));
        }
        $pieces = $node->required('pieces', 'How many pieces')->positive(self::MOST_PIECES, 'pieces');
        if ($batch !== null) {
            $id = $batch->filled(DogReader::LONGEST_ID);

            return in_array($id, array_map(strval(...), $batches), true) ? new GivenPieces($dog, $id, $pieces) : throw RequestRefused::outOfRange($batch->path, "No batch is called \"$id\".");
        }
        assert($label !== null);
        $label->object(['name', 'kcal', 'grams', 'ingredients', ...Given::SUBSTANCES]);
        $substances = [];
        foreach (Given::SUBSTANCES as $substance) {
            $amount = $label->get($substance)?->number(0, self::MOST);
            if ($amount !== null) {
                $substances[$substance] = $amount;
            }
        }

        return new GivenLabel(
            $dog, $label->required('name', 'The name of what was bought')->filled(200), $label->get('kcal')?->number(0, self::MOST_KCAL, 'kcal a piece'), $label->get('grams')?->positive(20000, 'g a piece'), $substances,
            $label->get('ingredients')?->filled(5000), $pieces,
        );
    }

    /** @return array<string, mixed> */
    private static function dog(DayDog $dog): array
    {
        return Presenter::dog($dog->dog) + ['findings' => Presenter::findings($dog->findings)] + array_diff_key(Presenter::object($dog), ['dog' => 1]);
    }
}
