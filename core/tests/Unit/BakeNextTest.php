<?php

declare(strict_types=1);

use MildBowl\Core\Dogs\Taste;
use MildBowl\Core\Watching\BakeNext;
use MildBowl\Core\Watching\Candidate;
use MildBowl\Core\Watching\Eater;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @param  list<string>  $foods  @param  list<string>  $for */
function couldBake(string $title, array $foods, array $for = ['a', 'b'], float $there = 0, string $last = ''): Candidate
{
    return new Candidate($title, $title, $foods, $for, $there, $last);
}

/** @param  list<string>  $dislikes  @param  array<string, Taste>  $tastes */
function eater(string $id, array $dislikes = [], array $tastes = [], bool $lacks = false): Eater
{
    return new Eater($id, $dislikes, $tastes, $lacks);
}

/** @return list<string> */
function bakedNext(array $candidates, ?array $eaters = null, array $open = []): array
{
    return array_map(static fn (BakeNext $one): string => $one->candidate->title, BakeNext::of($candidates, $eaters ?? [eater('a'), eater('b')], $open, 10));
}

it('uses what is open, that which goes off first in front', function (): void {
    $open = [['bag' => 'x', 'food' => 'pumpkin-puree', 'bestBefore' => '2026-05-17'], ['bag' => 'y', 'food' => 'lentil-cooked', 'bestBefore' => '2026-05-15'], ['bag' => 'z', 'food' => 'honey', 'bestBefore' => null]];
    $candidates = [couldBake('plain', ['oat-flour']), couldBake('honey', ['honey']), couldBake('pumpkin', ['pumpkin-puree']), couldBake('lentil', ['lentil-cooked']), couldBake('both', ['lentil-cooked', 'pumpkin-puree'])];
    expect(bakedNext($candidates, null, $open))->toBe(['both', 'lentil', 'pumpkin', 'honey', 'plain']);
    expect(array_column(BakeNext::of($candidates, [eater('a')], $open, 1)[0]->uses, 'bag'))->toBe(['y', 'x']);
});

it('prefers whom nothing is there for, then what is not in the jars, then what is liked, then the most dogs, then the longest ago', function (): void {
    expect(bakedNext([couldBake('for a', ['rice'], ['a']), couldBake('for b', ['rice'], ['b'])], [eater('a'), eater('b', lacks: true)]))->toBe(['for b', 'for a']);
    $liked = ['pear' => new Taste(5, 5)];
    expect(bakedNext([couldBake('there', ['pear'], ['a', 'b'], 12, '2026-05-10'), couldBake('new', ['rice'], last: '2026-05-12'), couldBake('old', ['rice'], last: '2026-04-01'), couldBake('few', ['rice'], ['a']), couldBake('liked', ['pear'], ['a'], last: '2026-05-13')], [eater('a', [], $liked), eater('b')]))
        ->toBe(['liked', 'old', 'new', 'few', 'there']);
    // a few times say nothing
    expect(bakedNext([couldBake('pear', ['pear'], last: '2026-05-13'), couldBake('rice', ['rice'])], [eater('a', [], ['pear' => new Taste(2, 2)])]))->toBe(['rice', 'pear']);
});

it('offers nothing to a dog that may not have it or that refuses it, as it was told or as it showed', function (): void {
    $candidates = [couldBake('pear', ['pear']), couldBake('nobody', ['rice'], [])];
    $next = BakeNext::of($candidates, [eater('a', ['pear']), eater('b', [], ['pear' => new Taste(4, 4)])], [], 5);
    expect($next)->toHaveCount(1)->and($next[0]->dogs)->toBe(['b'])->and($next[0]->refuse)->toBe([['dog' => 'a', 'food' => 'pear']])->and($next[0]->like)->toBe(['b']);
    expect(bakedNext($candidates, [eater('a', ['pear'])]))->toBe([]);
    expect(eater('a', ['raw pear'])->refuses(['pear']))->toBeNull()->and(eater('a', ['mushy pear'])->refuses(['pear']))->toBe('mushy pear')->and(eater('a', ['Oat-flour'])->refuses(['oat-flour']))->toBe('Oat-flour');
    expect(eater('a', [], ['mussel' => new Taste(0, 3)])->refuses(['rice', 'mussel']))->toBe('mussel')->and(eater('a', [], ['mussel' => new Taste(0, 2)])->refuses(['mussel']))->toBeNull();
});

it('answers the same in any order, and loses no dog that may have it', function (): void {
    $chance = new Randomizer(new Mt19937(9));
    $foods = ['pear', 'rice', 'mussel', 'oat-flour'];
    for ($n = 0; $n < 50; $n++) {
        $eaters = array_map(static fn (string $id): Eater => eater($id, $chance->getInt(0, 2) === 0 ? [$foods[$chance->getInt(0, 3)]] : [], [$foods[$chance->getInt(0, 3)] => new Taste($chance->getInt(0, 5), 5)], $chance->getInt(0, 3) === 0), ['a', 'b', 'c', 'd']);
        $candidates = array_map(static fn (int $i): Candidate => couldBake("r$i", $chance->pickArrayKeys(array_flip($foods), $chance->getInt(1, 3)), $chance->pickArrayKeys(['a' => 1, 'b' => 1, 'c' => 1, 'd' => 1], $chance->getInt(1, 4)), $chance->getInt(0, 1), ''), range(1, 12));
        $open = [['bag' => 'x', 'food' => 'pear', 'bestBefore' => '2026-05-17'], ['bag' => 'y', 'food' => 'rice', 'bestBefore' => null]];
        $next = BakeNext::of($candidates, $eaters, $open, 50);
        expect(bakedNext($chance->shuffleArray($candidates), $eaters, array_reverse($open)))->toBe(array_slice(array_map(static fn (BakeNext $one): string => $one->candidate->title, $next), 0, 10));
        foreach ($next as $one) {
            $all = [...$one->dogs, ...array_column($one->refuse, 'dog')];
            expect($all)->toEqualCanonicalizing($one->candidate->clearedFor)->and(array_diff([...$one->lack, ...$one->like], $one->dogs))->toBe([]);
        }
    }
});
