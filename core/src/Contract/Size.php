<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\SizeAnswer;
use MildBowl\Core\Questions\SizeOf;
use MildBowl\Core\Questions\SizeQuestion;
use MildBowl\Core\Sizes\Wish;

/** `size` */
final readonly class Size implements Answers
{
    public function name(): string
    {
        return 'size';
    }

    public function says(): string
    {
        return 'so many pieces a day for each dog: the sizes and how much dough';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        if ($node->get('portions')?->list(1) !== null && $node->get('portions')->list(1) !== []) {
            throw RequestRefused::unknownKey('/portions', []);
        }
        $question = QuestionReader::read($node, $shipped, ['cut', 'wishes', 'days']);
        $wishes = self::wishes($node->required('wishes', 'The wishes'), $question->dogs);
        $answer = (new SizeQuestion($question, CutReader::open($node->get('cut')), $wishes, $node->get('days')?->integer(1, 365) ?? 1))->answer();

        return self::written($answer) + ['ifCleared' => $answer->ifCleared === null ? null : self::written($answer->ifCleared)];
    }

    /** @return array<string, mixed> */
    private static function written(SizeAnswer $answer): array
    {
        return [
            'version' => 1, 'possible' => $answer->possible, 'why' => $answer->why, 'remedy' => $answer->remedy, 'batchFactor' => $answer->batchFactor,
            'sizes' => array_map(static fn (SizeOf $size): array => Presenter::dogs($size->dogs, 'dogs', 'dogIds') + [
                'cut' => Presenter::cut($size->cut), 'pieces' => $size->pieces, 'kcalPerPiece' => $size->kcalPerPiece, 'doughGrams' => $size->doughGrams,
                'commonCutterMm' => $size->commonCutterMm, 'sheet' => Presenter::sheet($size->sheet),
            ], $answer->sizes),
        ];
    }

    /**
     * @param  list<Dog>  $dogs  at the table
     * @return non-empty-list<Wish>
     *
     * @throws RequestRefused
     */
    private static function wishes(Node $node, array $dogs): array
    {
        $wishes = [];
        foreach ($node->list(50) as $one) {
            $one->object(['dog', 'piecesPerDay']);
            $called = $one->required('dog', 'The dog\'s name');
            $dog = DogReader::named($called, $dogs);
            if (isset($wishes[$dog->key()])) {
                throw RequestRefused::outOfRange($called->path, "There are two wishes for {$dog->name}.");
            }
            $wishes[$dog->key()] = new Wish($dog, $one->required('piecesPerDay', 'The pieces a day')->number(0.25, 200, 'pieces a day'));
        }

        return $wishes === [] ? throw RequestRefused::missing($node->path, 'At least one wish') : array_values($wishes);
    }
}
