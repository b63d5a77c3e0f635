<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\ScaleQuestion;
use MildBowl\Core\Sizes\By;

/** `scale` */
final readonly class Scale implements Answers
{
    public function name(): string
    {
        return 'scale';
    }

    public function says(): string
    {
        return 'the same recipe larger or smaller, in amounts a kitchen can measure';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['by'], ['asMade']);

        return ['version' => 1] + Presenter::object((new ScaleQuestion($question, self::by($node->required('by', 'What to scale by'))))->answer());
    }

    /** @throws RequestRefused */
    private static function by(Node $node): By
    {
        $node->object(By::WAYS);
        $ways = array_keys(array_filter(get_object_vars($node->objectValue()), static fn (mixed $value): bool => $value !== null));
        if (count($ways) !== 1) {
            throw RequestRefused::outOfRange('/by', 'Say one of: '.implode(', ', By::WAYS).'.');
        }
        $given = $node->required((string) $ways[0], 'The measure');

        return match ($ways[0]) {
            'factor' => new By('factor', $given->positive(100, 'times')),
            'pieces' => new By('pieces', (float) $given->integer(1, 100000)),
            'days' => new By('days', (float) $given->integer(1, 365)),
            'tin' => new By('tin', self::tinMl($given)),
            default => self::atHand($given),
        };
    }

    private static function tinMl(Node $node): float
    {
        $node->object(['widthMm', 'lengthMm', 'diameterMm', 'depthMm']);
        $depth = $node->required('depthMm', 'The depth')->positive(500, 'mm');
        $across = $node->get('diameterMm')?->positive(2000, 'mm');
        $area = $across !== null ? M_PI / 4 * $across ** 2
            : $node->required('widthMm', 'The width of the tin')->positive(2000, 'mm') * $node->required('lengthMm', 'The length of the tin')->positive(2000, 'mm');

        return $area * $depth / 1000;
    }

    private static function atHand(Node $node): By
    {
        $node->object(['line', 'grams']);

        return new By('atHand', $node->required('grams', 'What is at hand')->positive(100000, 'g'), $node->required('line', 'The number of the line')->integer(0, Question::MOST_LINES));
    }
}
