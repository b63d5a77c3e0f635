<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Questions\SuspectsQuestion;
use MildBowl\Core\Watching\Eaten;
use MildBowl\Core\Watching\Sign;
use MildBowl\Core\Watching\SignKind;

/** `suspects` */
final readonly class Suspects implements Answers
{
    private const MOST_ENTRIES = 20000;

    private const MOST_FOODS = 500;

    private const LONGEST_WINDOW = 60;

    public function name(): string
    {
        return 'suspects';
    }

    public function says(): string
    {
        return 'which food a dog\'s bad days fall on, how far that may be chance, and what to leave out next';
    }

    public function asks(): Asks
    {
        return Asks::Nothing;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dog', 'from', 'to', 'ate', 'signs', 'threshold', 'windowDays', 'names', 'pantry'])->requireVersion();
        $kitchen = KitchenReader::read($node, $shipped);
        $from = $node->required('from', 'The first day')->day();
        $to = $node->required('to', 'The last day')->day();
        $days = $from->until($to) + 1;
        if ($days < 1 || $days > SuspectsQuestion::MOST_DAYS) {
            throw RequestRefused::outOfRange('/to', $days < 1 ? 'This must be no earlier than the first day.' : 'At most '.SuspectsQuestion::MOST_DAYS.' days are looked at.');
        }
        $ate = array_map(fn (Node $one): Eaten => self::eaten($one, $kitchen->catalogue), $node->required('ate', 'What it ate')->list(self::MOST_ENTRIES));
        $signs = array_map(self::sign(...), $node->required('signs', 'What was seen')->list(self::MOST_ENTRIES));

        $answer = (new SuspectsQuestion(
            $node->required('dog', 'The dog\'s name')->filled(60), $from, $to, $ate, $signs,
            $node->get('threshold')?->positive(Sign::WORST, '') ?? SuspectsQuestion::THRESHOLD, self::windows($node->get('windowDays')), $kitchen,
        ))->answer();

        return ['version' => 1, 'kinds' => array_map(Presenter::object(...), $answer->kinds), 'says' => $answer->says];
    }

    /** @throws RequestRefused */
    private static function eaten(Node $node, Catalogue $catalogue): Eaten
    {
        $node->object(['on', 'foods']);
        $foods = array_map(static function (Node $one) use ($catalogue): string {
            $food = $one->filled(80);

            return $catalogue->resolveGroupOrId($food) ?? $food;
        }, $node->required('foods', 'The foods')->list(self::MOST_FOODS));

        return new Eaten($node->required('on', 'The day')->day(), array_values(array_unique($foods)));
    }

    /** @throws RequestRefused */
    private static function sign(Node $node): Sign
    {
        $node->object(['on', 'kind', 'score']);

        return new Sign(
            $node->required('on', 'The day')->day(), SignKind::from($node->required('kind', 'What was seen')->choice(array_column(SignKind::cases(), 'value'))),
            $node->required('score', 'The score')->number(0, Sign::WORST),
        );
    }

    /**
     * @return array<string, int>
     *
     * @throws RequestRefused
     */
    private static function windows(?Node $node): array
    {
        $windows = [];
        $node?->object(array_column(SignKind::cases(), 'value'));
        foreach (SignKind::cases() as $kind) {
            $days = $node?->get($kind->value)?->integer(0, self::LONGEST_WINDOW);
            $windows[$kind->value] = $days ?? $kind->windowDays();
        }

        return $windows;
    }
}
