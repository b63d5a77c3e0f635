<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/**
 * What to bake next: what uses what is open and goes off first, then what the most dogs want that have nothing, then what is not in the
 * jars, then what the most like, then what the most may have, then what was not baked for the longest.
 */
final readonly class BakeNext
{
    /** A shelf may hold thousands: so many are looked at closely. */
    private const CLOSELY = 60;

    /** Of what keeps for ever. */
    private const NEVER = '9';

    /**
     * @param  list<array{bag: string, bestBefore: ?string}>  $uses  open foods that go into it, what goes off first in front
     * @param  list<string>  $dogs  who may have it and is not known to refuse what is in it
     * @param  list<array{dog: string, food: string}>  $refuse  who may have it and is known to refuse something of it
     * @param  list<string>  $lack  those of the dogs for whom nothing stands in the jars
     * @param  list<string>  $like  those of the dogs that are known to take something of it
     */
    private function __construct(public Candidate $candidate, public array $uses, public array $dogs, public array $refuse, public array $lack, public array $like) {}

    /**
     * @param  list<Candidate>  $candidates
     * @param  list<Eater>  $eaters
     * @param  list<array{bag: string, food: string, bestBefore: ?string}>  $open  foods that stand open
     * @return list<self> in their order; none that no dog would eat
     */
    public static function of(array $candidates, array $eaters, array $open, int $most): array
    {
        usort($open, static fn (array $one, array $two): int => ($one['bestBefore'] ?? self::NEVER) <=> ($two['bestBefore'] ?? self::NEVER) ?: $one['bag'] <=> $two['bag']);
        $lacking = [];
        foreach ($eaters as $eater) {
            $lacking += $eater->lacks ? [$eater->id => true] : [];
        }
        $roughly = [];
        foreach ($candidates as $one) {
            if ($one->clearedFor !== []) {
                $uses = self::uses($one, $open);
                $roughly[] = [self::key($uses, count(array_intersect_key($lacking, array_flip($one->clearedFor))), $one, 0, count($one->clearedFor)), $one, $uses];
            }
        }
        usort($roughly, static fn (array $one, array $two): int => $one[0] <=> $two[0]);
        $closely = [];
        foreach (array_slice($roughly, 0, self::CLOSELY) as [, $one, $uses]) {
            $next = self::closely($one, $uses, $eaters);
            if ($next->dogs !== []) {
                $closely[] = [self::key($uses, count($next->lack), $one, count($next->like), count($next->dogs)), $next];
            }
        }
        usort($closely, static fn (array $one, array $two): int => $one[0] <=> $two[0]);

        return array_slice(array_column($closely, 1), 0, $most);
    }

    /**
     * @param  list<array{bag: string, bestBefore: ?string}>  $uses
     * @param  list<Eater>  $eaters
     */
    private static function closely(Candidate $one, array $uses, array $eaters): self
    {
        $dogs = $refuse = $lack = $like = [];
        foreach ($eaters as $eater) {
            if (! in_array($eater->id, $one->clearedFor, true)) {
                continue;
            }
            $food = $eater->refuses($one->foods);
            if ($food !== null) {
                $refuse[] = ['dog' => $eater->id, 'food' => $food];

                continue;
            }
            $dogs[] = $eater->id;
            $lack = $eater->lacks ? [...$lack, $eater->id] : $lack;
            $like = $eater->likesSomeOf($one->foods) ? [...$like, $eater->id] : $like;
        }

        return new self($one, $uses, $dogs, $refuse, $lack, $like);
    }

    /**
     * @param  list<array{bag: string, bestBefore: ?string}>  $uses
     * @return list<int|string> compared place by place
     */
    private static function key(array $uses, int $lack, Candidate $one, int $like, int $dogs): array
    {
        return [$uses === [] ? self::NEVER : ($uses[0]['bestBefore'] ?? self::NEVER), -count($uses), -$lack, $one->there > 0.0 ? 1 : 0, -$like, -$dogs, $one->lastOn, $one->title, $one->recipe];
    }

    /**
     * @param  list<array{bag: string, food: string, bestBefore: ?string}>  $open
     * @return list<array{bag: string, bestBefore: ?string}>
     */
    private static function uses(Candidate $one, array $open): array
    {
        $uses = [];
        foreach ($open as $food) {
            if (in_array($food['food'], $one->foods, true)) {
                $uses[] = ['bag' => $food['bag'], 'bestBefore' => $food['bestBefore']];
            }
        }

        return $uses;
    }
}
