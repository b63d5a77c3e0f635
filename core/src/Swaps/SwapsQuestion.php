<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Kitchen\RecipeReader;

/** What may stand in for one line: each candidate with its amount, what else changes, and its effect on the treat and every ration. */
final class SwapsQuestion
{
    private const JOBS = ['bind', 'bulk', 'thicken', 'wet', 'fat', 'protein', 'sweeten', 'flavour', 'leaven', 'coat', 'dust', 'grease'];

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node, ['line', 'jobs', 'swaps', 'dislikes', 'atHand']);
        $line = $node->required('line', 'The number of the line')->integer(0, Request::MOST_LINES);
        $jobs = array_map(static fn (Node $one): string => $one->choice(self::JOBS), $node->get('jobs')?->list(12) ?? []);
        $own = OwnSwap::all($node->get('swaps'));

        return $request->withOwnPantry(static fn (): array => self::candidates($request, $node, $line, $jobs, $own));
    }

    /**
     * @param  list<string>  $jobs
     * @param  list<OwnSwap>  $own
     * @return array<string, mixed>
     */
    private static function candidates(Request $request, Node $node, int $line, array $jobs, array $own): array
    {
        $recipe = RecipeReader::read($request->text, $request->steps);
        if (! isset($recipe->lines[$line])) {
            throw RequestRefused::outOfRange('/line', 'The recipe has no such line.');
        }
        $rescue = new Rescue($request, $recipe, Goals::from(null, $request->dogs), RescueQuestion::dislikes($node, $request->dogs), RescueQuestion::atHand($node), null, $own);
        $does = $jobs === [] ? ($rescue->jobs[$line] ?? []) : $jobs;
        $before = self::figures(Formulate::answer($request->withText($request->text, $request->steps)));
        $keep = array_fill(0, count($recipe->lines), 0);
        $candidates = [];
        foreach ($rescue->options[$line] as $index => $option) {
            if ($option->action === Option::KEEP || ($jobs !== [] && $option->portions !== [] && array_intersect($jobs, Jobs::can($option->portions[0]->ingredient)) === [])) {
                continue;
            }
            $choice = $keep;
            $choice[$line] = $index;
            $choice = array_values($choice);
            $composed = new Composed($request, $rescue, $choice);
            $served = $notFor = [];
            foreach ($request->dogs as $n => $dog) {
                if (($option->serves >> $n & 1) === 1) {
                    $served[] = $dog->name;
                } else {
                    $notFor[] = $dog->name;
                }
            }
            $candidates[] = [
                'action' => $option->action, 'texts' => $option->texts, 'reason' => $option->reason, 'serves' => $served, 'notFor' => $notFor, 'labels' => $option->labels, 'newTo' => $option->newTo,
                'mending' => $rescue->mending($choice)['reason'] ?? null, 'recipeText' => $composed->text, 'steps' => $composed->steps, 'cost' => round($option->cost, 4),
                'after' => self::figures(Formulate::answer($request->withText($composed->text, $composed->steps))),
                'swap' => $option->action === Option::SWAP && $recipe->lines[$line]->ingredient !== null ? ['out' => $recipe->lines[$line]->ingredient, 'in' => $option->foods()[0]] : null,
            ];
        }
        // the more dogs it serves the better, then the nearer to what was there
        usort($candidates, static fn (array $a, array $b): int => count($b['serves']) <=> count($a['serves']) ?: $a['cost'] <=> $b['cost']);

        return ['version' => 1, 'dataVersion' => Data::tables()['version'], 'line' => $recipe->lines[$line]->text, 'jobs' => $does, 'before' => $before, 'candidates' => $candidates];
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    private static function figures(array $answer): array
    {
        /** @var array{kcal: array{best: float}, nutrients: array{fatG: float}} $piece */
        $piece = $answer['piece'];
        /** @var array{wetness: ?float, feel: ?string, cost?: array{known: float, share: float}|null} $batch */
        $batch = $answer['batch'];
        /** @var list<array{dog: string, ifCleared: ?float, heldBy: ?string}> $rations */
        $rations = $answer['rations'];

        return [
            'kcalPerPiece' => $piece['kcal']['best'], 'fatPerPiece' => $piece['nutrients']['fatG'], 'wetness' => $batch['wetness'], 'feel' => $batch['feel'],
            'made' => self::made($batch['feel']),
            'cost' => $batch['cost'] ?? null,
            'rations' => array_map(static fn (array $ration): array => ['dog' => $ration['dog'], 'pieces' => $ration['ifCleared']], $rations),
        ];
    }

    /** The class of texture that a feel belongs to: what can be made of the dough. */
    private static function made(?string $feel): ?string
    {
        foreach (Data::tables()['feels'] as $row) {
            if ($row['feel'] === $feel) {
                return $row['made'];
            }
        }

        return null;
    }
}
