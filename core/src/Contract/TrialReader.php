<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Watching\Trial;
use MildBowl\Core\Watching\TrialKind;
use MildBowl\Core\Watching\TrialOutcome;

/** Reads a trial that is to begin, and what one came to. */
final class TrialReader
{
    private const MOST_FOODS = 100;

    private const MOST_LEFT_OUT = 5;

    private function __construct() {}

    /** @throws RequestRefused */
    public static function trial(Node $node, string $id, Catalogue $catalogue): Trial
    {
        $kind = TrialKind::from($node->required('kind', 'What kind of trial')->choice(array_column(TrialKind::cases(), 'value')));
        $said = $node->required('foods', 'The foods');
        $foods = array_values(array_unique(array_map(static function (Node $one) use ($catalogue): string {
            $food = $one->filled(80);

            return $catalogue->resolveGroupOrId($food) ?? throw RequestRefused::outOfRange($one->path, "\"$food\" is neither a group of foods nor a food of the catalogue.");
        }, $said->list(self::MOST_FOODS))));
        $most = match (true) {
            $kind->bringsIn() => 1,
            $kind === TrialKind::LeaveOut => self::MOST_LEFT_OUT,
            default => self::MOST_FOODS,
        };
        if ($foods === [] || count($foods) > $most) {
            throw RequestRefused::outOfRange($said->path, match (true) {
                $foods === [] => 'Say which food.',
                $most === 1 => 'One food at a time: with two, nobody knows which it was.',
                default => "At most $most foods.",
            });
        }
        if ($kind === TrialKind::Elimination && $node->get('days') !== null) {
            throw RequestRefused::outOfRange("{$node->path}/days", 'Only a few foods are eaten for eight weeks, and until your vet says otherwise.');
        }

        return new Trial(
            $id, $kind, $foods, $node->required('from', 'The first day')->day(), $node->get('days')?->integer(1, Trial::MOST_DAYS) ?? Trial::usualDays($kind), $node->get('vetSaid')?->boolean() ?? false,
        );
    }

    /**
     * @return array{Day, TrialOutcome, ?string} the day, what it came to, what was seen
     *
     * @throws RequestRefused
     */
    public static function end(Node $node): array
    {
        $outcome = TrialOutcome::from($node->required('outcome', 'How it went')->choice(array_column(TrialOutcome::cases(), 'value')));
        $saw = $node->get('saw')?->string(200);

        return [$node->required('endedOn', 'The day')->day(), $outcome, $saw === null || trim($saw) === '' ? null : trim($saw)];
    }
}
