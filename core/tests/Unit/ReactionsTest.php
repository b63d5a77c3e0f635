<?php

declare(strict_types=1);

use MildBowl\Core\Data;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Swaps\LineWriter;

/** A plain line of the first food of a group that has a composition; null where the catalogue holds none. */
function lineOf(string $group): ?string
{
    foreach (Data::tables()['entries'] as $id => $entry) {
        if ($entry['composition'] !== null && ! isset($entry['groups']['category-word']) && Catalogue::get($id)->inGroup($group)) {
            return '50 g '.LineWriter::name($id);
        }
    }

    return null;
}

/** @param  array<string, mixed>  $more  of the dog. @return list<array<string, mixed>> findings of the line for that dog alone */
function reactionsTo(string $line, array $more): array
{
    $answer = answer("200 g potato starch\n$line", ['dogs' => [dog('Rex', $more), dog('Other')]]);
    $for = static fn (string $name): array => array_values(array_filter($answer['lines'][1]['findings'], static fn (array $one): bool => $one['dog'] === $name));

    return array_values(array_filter($for('Rex'), static fn (array $one): bool => ! in_array($one['code'], array_column($for('Other'), 'code'), true)));
}

it('keeps from a dog what its condition excludes, and from no other dog', function (string $condition, string $group): void {
    $line = lineOf($group);
    expect($line)->not->toBeNull("The catalogue holds nothing of $group.");
    $levels = array_column(reactionsTo((string) $line, ['conditions' => [$condition]]), 'level');
    expect(array_intersect($levels, ['allergen', 'never', 'ask-vet']))->not->toBe([], "$line for $condition");
})->with(function () {
    foreach (Data::tables()['exclusions'] as $condition => $rows) {
        foreach ($rows as $row) {
            foreach ($row['groups'] as $group) {
                if ($row['unless'] === [] && lineOf($group) !== null) {
                    yield "$group, $condition" => [$condition, $group];
                }
            }
        }
    }
});

it('says so where one allergy often goes with another', function (string $allergy, string $group, string $level): void {
    foreach (Data::tables()['entries'] as $id => $entry) {
        $food = Catalogue::get($id);
        // a food that is itself what the dog reacts to is more than a cross-reaction
        if ($entry['composition'] === null || isset($entry['groups']['category-word']) || ! $food->inGroup($group) || $food->isCoveredBy($allergy)) {
            continue;
        }
        $levels = array_column(reactionsTo('50 g '.LineWriter::name($id), ['allergies' => [$allergy]]), 'level');
        expect(in_array($level, $levels, true))->toBeTrue(LineWriter::name($id)." for $allergy");

        return;
    }
    // nothing with a composition is left that is not the allergen itself: the row is for labels
    expect($group)->toBe('soy-trace');
})->with(function () {
    foreach (Data::tables()['cross'] as $allergy => $rows) {
        foreach ($rows as $row) {
            yield "$allergy and {$row['group']}" => [(string) $allergy, $row['group'], $row['level']];
        }
    }
});

it('keeps a dog from every food of a group it reacts to', function (string $group): void {
    $tried = 0;
    foreach (Data::tables()['entries'] as $id => $entry) {
        if ($entry['composition'] === null || isset($entry['groups']['category-word']) || ! Catalogue::get($id)->isCoveredBy($group)) {
            continue;
        }
        $found = array_column(answer('50 g '.LineWriter::name($id), ['dogs' => [dog('Rex', ['allergies' => [$group]])]])['lines'][0]['findings'], 'level');
        expect(array_intersect($found, ['allergen', 'never']))->not->toBe([], LineWriter::name($id)." for a dog that reacts to $group");
        $tried++;
    }
    expect($tried)->toBeGreaterThan(0);
})->with(fn (): array => array_values(array_filter(array_keys(Data::tables()['groups']['labels']), static fn (string $group): bool => lineOf($group) !== null)));

it('asks the vet for every condition that wants one, and for every medicine', function (array $more): void {
    $dog = answer('100 g oat flour', ['dogs' => [dog('Rex', $more)]])['verdict']['dogs'][0];
    expect(array_column($dog['findings'], 'level'))->toContain('ask-vet')->and($dog['cleared'])->toBeFalse();
    $settled = answer('100 g oat flour', ['dogs' => [dog('Rex', $more)], 'confirmed' => [['code' => 'ask-vet', 'dog' => 'Rex']]])['verdict']['dogs'][0];
    expect($settled['cleared'])->toBe(! array_intersect($more['conditions'] ?? [], ['pregnant', 'nursing']));
})->with(function () {
    foreach (Data::tables()['conditions'] as $condition => $row) {
        if ($row['vet'] === '1') {
            yield $condition => [['conditions' => [$condition]]];
        }
    }
    foreach (Data::tables()['medicines'] as $medicine => $row) {
        if ($row['message'] !== '') {
            yield $medicine => [['medicines' => [$medicine]]];
        }
    }
});

it('tells each breed\'s note once, as a caution and never as an exclusion', function (string $breed, string $group): void {
    $line = (string) lineOf($group);
    $findings = answer("200 g potato starch\n$line", ['dogs' => [dog('Rex', ['breed' => $breed])]])['verdict']['dogs'][0]['findings'];
    $notes = array_values(array_filter($findings, static fn (array $one): bool => $one['code'] === 'breed-note'));
    expect($notes)->toHaveCount(1)->and($notes[0]['level'])->toBe('caution');
})->with(function () {
    foreach (Data::tables()['breeds'] as $name => $row) {
        if ($row['note'] !== '' && lineOf($row['groups'][0]) !== null) {
            yield $name => [(string) $name, $row['groups'][0]];
        }
    }
});
