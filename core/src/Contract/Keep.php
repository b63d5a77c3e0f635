<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\KeepQuestion;
use MildBowl\Core\Questions\PutAway;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\MadeRefused;

/** `keep` */
final readonly class Keep implements Answers
{
    public const MOST_PIECES = 10000.0;

    public const MOST_BAGS = 200;

    public function name(): string
    {
        return 'keep';
    }

    public function says(): string
    {
        return 'how long a batch keeps, and where; best before of what is put away';
    }

    public function asks(): Asks
    {
        return Asks::Work;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'question', 'made', 'roomCelsius', 'as', 'split', 'lot'])->requireVersion();
        $question = Bake::question($node->required('question', 'The question: a whole formulate request,'), $shipped);
        $lot = $node->get('lot');
        $split = array_map(self::putAway(...), $node->get('split')?->list(KeepQuestion::MOST_SPLIT) ?? []);
        try {
            $answer = (new KeepQuestion(
                $question, $node->required('made', 'The day it was made')->day(), $node->get('roomCelsius')?->number(-30, 50, '°C') ?? KeepQuestion::ROOM_CELSIUS,
                ($node->get('as')?->choice(['baked', 'dough']) ?? 'baked') === 'dough', $split, $lot?->filled(DogReader::LONGEST_ID), $lot?->path,
            ))->answer();
        } catch (PartsRefused|MadeRefused $refused) {
            throw RequestRefused::outOfRange("/question{$refused->path}", $refused->getMessage());
        }

        return ['version' => 1] + Presenter::object($answer);
    }

    /** @throws RequestRefused */
    private static function putAway(Node $node): PutAway
    {
        $node->object(['place', 'pieces', 'bags']);

        return new PutAway(
            Place::from($node->required('place', 'The place')->choice(array_column(Place::cases(), 'value'))),
            $node->required('pieces', 'How many pieces')->positive(self::MOST_PIECES, 'pieces'), $node->get('bags')?->integer(1, self::MOST_BAGS) ?? 1, "{$node->path}/pieces",
        );
    }
}
