<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data;
use MildBowl\Core\Formulate\DogReader;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Policy;
use MildBowl\Core\Formulate\RequestRefused;

/** `mildbowl label`: what a printed list of ingredients says, part by part, for these dogs. */
final class LabelQuestion
{
    private const LONGEST = 5000;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $node->object(['version', 'name', 'ingredients', 'dogs', 'policy'])->requireVersion();
        $node->get('name')?->string(200);
        $ingredients = $node->required('ingredients', 'The list of ingredients')->filled(self::LONGEST);
        $policy = Policy::from($node->get('policy'));
        $screener = new Screener(new Circumstances(DogReader::all($node->get('dogs')), 'biscuit', true, $policy->garlic, $policy->pseudoGrains === 'grain'));
        $parts = [];
        $worst = null;
        foreach (LabelReader::read($ingredients) as $part) {
            $findings = $screener->labelPart($part);
            foreach ($findings as $finding) {
                $worst = $worst === null || $finding->level->rank() < $worst->rank() ? $finding->level : $worst;
            }
            $parts[] = [
                'text' => $part->text, 'percent' => $part->percent, 'depth' => $part->depth, 'ingredient' => $part->lines[0]->ingredient, 'trace' => $part->trace,
                'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $findings),
            ];
        }

        return ['version' => 1, 'dataVersion' => Data::tables()['version'], 'parts' => $parts, 'worst' => $worst === null ? ($parts === [] ? 'unknown' : 'clear') : $worst->value];
    }
}
