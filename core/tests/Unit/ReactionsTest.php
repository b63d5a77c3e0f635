<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Choices;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/**
 * What is said of a line, or of the whole, for one dog and not for a healthy one beside it: "level:code".
 *
 * @param  array<string, mixed>  $more  of the dog
 * @return list<string>
 */
function reactionsTo(string $line, array $more, string $texture = 'biscuit'): array
{
    $answer = answer("200 g potato starch\n$line", ['dogs' => [dog('Rex', $more), dog('Other')], 'bake' => ['texture' => $texture]]);
    $for = static function (string $name) use ($answer): array {
        $found = [];
        foreach ([...$answer['lines'], ...$answer['verdict']['dogs']] as $part) {
            foreach ($part['findings'] as $one) {
                if ($one['dog'] === $name) {
                    $found[] = "{$one['level']}:{$one['code']}";
                }
            }
        }

        return $found;
    };

    return array_values(array_unique(array_diff($for('Rex'), $for('Other'))));
}

/** Findings that a dog has whatever is in the bowl. */
const OF_THE_DOG = ['ask-vet:ask-vet', 'limit:too-rich', 'limit:sodium', 'limit:fat', 'caution:sodium', 'limit:vitamin-a'];

it('says for a condition what the reference says, and for no other dog', function (
    string $condition,
    string $texture,
    string $line,
    string $says
): void {
    $found = array_values(array_diff(reactionsTo($line, ['conditions' => [$condition]], $texture), OF_THE_DOG));
    expect($found)->toBe($says === 'nothing' ? [] : [$says]);
})->with(fn (): array => Cases::cells('exclusions.txt'));

it('asks the vet, and counts or leaves it, as the reference says of each condition', function (
    string $condition,
    string $vet,
    string $percent,
    string $ration
): void {
    $answer = answer('100 g oat flour', ['dogs' => [dog('Rex', ['conditions' => [$condition]])]]);
    $settled = answer('100 g oat flour', [
        'dogs' => [dog('Rex', ['conditions' => [$condition]])],
        'confirmed' => [['code' => 'ask-vet', 'dog' => 'Rex']],
    ]);
    $given = $answer['rations'][0];
    $codes = array_column($answer['verdict']['dogs'][0]['findings'], 'level', 'code');

    expect(isset($codes['ask-vet']))
        ->toBe($vet === 'asks')
        ->and($answer['verdict']['cleared'])
        ->toBe($vet !== 'asks')
        ->and($settled['verdict']['cleared'])
        ->toBe($ration === 'counted')
        ->and($given['ifCleared'] > 0)
        ->toBe($ration === 'counted');
    if ($ration === 'counted') {
        $energy = $condition === 'weight-loss' || $condition === 'weight-gain' ? $given['dailyKcal']['best'] : 70 * 10 ** 0.75 * 1.6;
        expect($given['treatBudgetKcal'])->toEqualWithDelta(($energy * (float) $percent) / 100, 1e-6);
    } else {
        expect($given['dailyKcal'])->toBeNull()->and($given['treatBudgetKcal'])->toBeNull()->and($given['piecesPerDay'])->toBe(0.0);
    }
})->with(fn (): array => Cases::cells('conditions.txt'));

it('offers every condition and medicine of the reference, and no other', function (): void {
    expect(array_column(Choices::all()['conditions'], 'id'))
        ->toEqualCanonicalizing(array_column(Cases::cells('conditions.txt'), 0))
        ->and(array_column(Choices::all()['medicines'], 'id'))
        ->toEqualCanonicalizing(array_values(array_unique(array_column(Cases::cells('medicines.txt'), 0))));
});

it('says for a medicine what the reference says', function (string $medicine, string $texture, string $line, string $says): void {
    $found = reactionsTo($line, ['medicines' => [$medicine]], $texture);
    expect(in_array('ask-vet:ask-vet', $found, true))
        ->toBe($medicine !== 'selegiline')
        ->and(array_values(array_diff($found, ['ask-vet:ask-vet'])))
        ->toBe(in_array($says, ['vet', 'nothing'], true) ? [] : [$says]);
})->with(fn (): array => Cases::cells('medicines.txt'));

it('says so where one allergy often goes with another, and where not', function (string $allergy, string $line, string $says): void {
    expect(reactionsTo($line, ['allergies' => [$allergy]]))->toBe($says === 'nothing' ? [] : [$says]);
})->with(fn (): array => Cases::cells('cross-reactions.txt'));

it('keeps a dog from every food of a group it reacts to, and no other dog', function (string $group): void {
    $tried = 0;
    foreach (Catalogue::ids() as $id) {
        $food = Asking::food($id);
        if ($food->composition === null || $food->inGroup('category-word') || ! $food->isCoveredBy($group)) {
            continue;
        }
        expect(reactionsTo('50 g '.Asking::kitchen()->writer()->name($id), ['allergies' => [$group]]))->toContain("allergen:allergy-$group");
        $tried++;
    }
    expect($tried)->toBeGreaterThan(0);
})->with(fn (): array => array_values(array_diff(array_column(Choices::all()['allergens'], 'id'), ['storage-mite'])));

it('tells a breed\'s note once, as a caution, and only where it says something about the recipe', function (
    string $breed,
    string $terrier,
    string $research,
    string $fragile,
    string $note,
    string $from,
    string $to
): void {
    $text = "100 g rye flour\n20 g onion\n20 g beef liver\n20 g cooked mussels\n20 g cooked sardines\n20 g butter";
    $ask = static fn (string $breed): array => answer($text, ['dogs' => [dog('Rex', ['breed' => $breed, 'weightKg' => 10])]]);
    $notes = array_values(array_filter($ask($breed)['verdict']['dogs'][0]['findings'], static fn (array $one): bool => $one['code'] === 'breed-note'));
    $elsewhere = array_column(answer('100 g potato starch', ['dogs' => [dog('Rex', ['breed' => $breed])]])['verdict']['dogs'][0]['findings'], 'code');

    expect(array_column($notes, 'message'))
        ->toBe($note === '-' ? [] : [$note])
        ->and(array_column($notes, 'level'))
        ->toBe($note === '-' ? [] : ['caution'])
        ->and($elsewhere)
        ->not->toContain('breed-note');
    // garlic, measured, is refused to a breed with fragile red cells and to no other
    $garlic = found(answer('1 clove garlic', ['dogs' => [dog('Rex', ['breed' => $breed])], 'policy' => ['garlic' => 'measured']]));
    expect(in_array('never:allium', $garlic, true))->toBe($fragile === 'fragile');
    $daily = answer('100 g oat flour', ['dogs' => [dog('Rex', ['breed' => $breed, 'activity' => 'active'])], 'policy' => ['energySchool' => 'nrc']])[
        'rations'
    ][0]['dailyKcal']['best'];
    expect($daily)->toEqualWithDelta(10 ** 0.75 * ($research === '-' ? ($terrier === 'terrier' ? 180 : 130) : (float) $research), 1e-6);
    // a weight far outside the breed's is questioned, of a pure dog
    $asks = static fn (float $kg, string $more = ''): array => array_values(
        array_filter(
            profile(['breed' => $breed.$more, 'weightKg' => $kg])['questions'],
            static fn (string $one): bool => str_contains($one, ' kg for a ')
        )
    );
    $isCross = str_contains($breed, 'cross');
    expect($asks(min(120.0, 2 * (float) $to)))
        ->toBe([])
        ->and($asks(max(0.3, (float) $from / 2)))
        ->toBe([]);
    if (2.02 * (float) $to <= 120 && ! $isCross) {
        expect($asks(2.02 * (float) $to)[0] ?? '')
            ->toContain("Most are $from to $to kg.")
            ->and($asks(2.02 * (float) $to, ' cross'))
            ->toBe([]);
    }
    if ((float) $from > 1 && ! $isCross) {
        expect($asks(0.49 * (float) $from)[0] ?? '')->toContain("Most are $from to $to kg.");
    }
})->with(fn (): array => Cases::cells('breeds.txt'));
