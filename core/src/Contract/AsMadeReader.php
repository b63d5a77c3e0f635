<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Judging\Question;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\Addition;
use MildBowl\Core\Reading\AsMade;
use MildBowl\Core\Reading\Used;

/** Reads what was really done with a recipe. */
final class AsMadeReader
{
    private const MOST_GRAMS = 100000;

    /** @throws RequestRefused */
    public static function read(?Node $node): AsMade
    {
        $used = $added = [];
        foreach ($node?->list(AsMade::MOST) ?? [] as $one) {
            $entry = self::one($one);
            if ($entry instanceof Addition) {
                $added[] = $entry;
            } else {
                $used[] = $entry;
            }
        }

        return new AsMade($used, $added);
    }

    /** @throws RequestRefused */
    public static function one(Node $one): Addition|Used
    {
        $one->object(['text', 'section', 'row', 'span', 'share', 'grams']);
        $text = $one->get('text');

        return $text === null ? self::used($one) : self::addition($one, $text);
    }

    private static function addition(Node $one, Node $text): Addition
    {
        foreach (['row', 'span', 'share', 'grams'] as $key) {
            if ($one->get($key) !== null) {
                throw RequestRefused::outOfRange("{$one->path}/$key", 'What was added (text) stands in no row: say its amount in its text.');
            }
        }

        return new Addition($text->filled(500), $one->get('section')?->string(200));
    }

    private static function used(Node $one): Used
    {
        $row = $one->get('row') ?? throw RequestRefused::missing($one->path, 'A row that was written, or a text that was added,');
        if ($one->get('section') !== null) {
            throw RequestRefused::outOfRange("{$one->path}/section", 'A written row has its section already: say it of what was added only.');
        }
        $share = $one->get('share')?->number(0, 1, 'of what is written; more than was written is an addition');
        $grams = $one->get('grams')?->number(0, self::MOST_GRAMS, 'g');
        if (($share === null) === ($grams === null)) {
            throw $share === null ? RequestRefused::missing($one->path, 'A share of the row or the grams that were weighed')
                : RequestRefused::outOfRange("{$one->path}/share", 'Either a share of the row or the grams that were weighed, not both.');
        }

        return new Used($row->integer(0, Question::LONGEST_TEXT), self::span($one->get('span')), $share, $grams, $one->path);
    }

    /** @return array{int, int}|null */
    private static function span(?Node $node): ?array
    {
        $ends = array_map(static fn (Node $end): int => $end->integer(0, Question::LONGEST_TEXT), $node?->list(2) ?? []);
        if ($node !== null && count($ends) !== 2) {
            throw RequestRefused::wrongType($node->path, 'the first code point of the line in its row and the one after its last');
        }

        return $ends === [] ? null : [$ends[0], $ends[1]];
    }
}
