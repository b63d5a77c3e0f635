<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Feeding\PieceShare;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\OccasionAnswer;
use MildBowl\Core\Questions\Party;
use MildBowl\Core\Questions\PartyGuest;
use MildBowl\Core\Questions\RequestRefused;

/** `occasion` */
final readonly class Occasion implements Answers
{
    public function name(): string
    {
        return 'occasion';
    }

    public function says(): string
    {
        return 'a birthday slice: what is borrowed from the days after';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['occasion']);
        $occasion = $node->required('occasion', 'The occasion')->object(['dog', 'pieces', 'dogs']);
        $count = Judgement::on($question)->lots->main()->batch->count->best;
        $wishes = [];
        if ($occasion->get('dogs') !== null) {
            foreach ($occasion->required('dogs', 'The dogs of the party')->list(50) as $one) {
                $one->object(['dog', 'pieces']);
                $wishes[] = [DogReader::named($one->required('dog', 'The dog\'s name'), $question->dogs), $one->get('pieces') === null ? null : self::pieces($one->required('pieces', 'The pieces'), $count)];
            }
        } else {
            $wishes[] = [DogReader::named($occasion->required('dog', 'The dog\'s name'), $question->dogs), self::pieces($occasion->required('pieces', 'The pieces'), $count)];
        }
        if ($wishes === []) {
            throw RequestRefused::missing('/occasion/dogs', 'At least one dog');
        }
        $party = Party::of($question, $wishes, $count);

        return ['version' => 1] + self::told($party->guests[0]->answer) + [
            'party' => array_map(static fn (PartyGuest $one): array => Presenter::dog($one->dog) + ['pieces' => $one->pieces, 'without' => $one->dog->without] + self::told($one->answer), $party->guests),
            'slices' => array_map(Presenter::object(...), $party->slices),
            'pieces' => $count, 'leftPieces' => $party->left,
        ];
    }

    /** @return array<string, mixed> */
    private static function told(OccasionAnswer $answer): array
    {
        return ['borrows' => array_map(Presenter::object(...), $answer->borrows)] + Presenter::object($answer);
    }

    /** @throws RequestRefused when it is no amount that anybody knows */
    private static function pieces(Node $node, float $count): float
    {
        if (! is_string($node->value)) {
            return $node->number(0.01, 1000, 'pieces');
        }
        $pieces = PieceShare::read($node->filled(80), $count);

        return $pieces !== null && $pieces > 0.0 && $pieces <= 1000.0 ? $pieces
            : throw RequestRefused::outOfRange($node->path, 'Write how many pieces: 2, "half a slice", "one of six slices", "a sixth".');
    }
}
