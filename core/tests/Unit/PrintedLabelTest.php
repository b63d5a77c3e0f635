<?php

declare(strict_types=1);

use MildBowl\Core\Screening\PrintedLabel;

/** @return list<list<string>> */
function printedRows(string $text): array
{
    return array_map(static fn (string $row): array => preg_split('/\s+/u', trim($row)) ?: [], array_values(array_filter(explode("\n", $text), static fn (string $row): bool => trim($row) !== '')));
}

it('finds the list on a label, from its head to where something else begins', function (string $printed, string $name, string $list, string $rest): void {
    $label = PrintedLabel::read(printedRows($printed));
    expect($label->name)->toBe($name)->and($label->list)->toBe($list)->and($label->rest)->toBe($rest);
})->with([
    'below a name, above how it is kept' => ["Oat Bites\nIngredients: oats, honey,\nxylitol. Store in a dry place.\nNet weight 40 g", 'Oat Bites', 'Ingredients: oats, honey, xylitol.', 'Oat Bites Store in a dry place. Net weight 40 g'],
    'a word that was broken' => ["Zutaten: Hasel-\nnüsse, Salz", '', 'Zutaten: Haselnüsse, Salz', ''],
    'a double name that was broken at its stroke' => ["Zutaten: Bio-\nHonig, Salz", '', 'Zutaten: Bio- Honig, Salz', ''],
    'a food a row' => ["Ingredients:\nOats\nHoney\nXylitol\nSalt", '', "Ingredients:\nOats\nHoney\nXylitol\nSalt", ''],
    'no head: nothing is left out' => ["peanuts, salt,\nxylitol", '', 'peanuts, salt, xylitol', ''],
    'a French head, with its space' => ["Compote\nIngrédients : pommes, sucre. À conserver\nau frais.", 'Compote', 'Ingrédients : pommes, sucre.', 'Compote À conserver au frais.'],
    'traces that are said behind how it is kept' => ['Ingredients: oats. Store in a dry place. May contain macadamia nuts.', '', 'Ingredients: oats. Store in a dry place. May contain macadamia nuts.', ''],
    'nothing' => ['', '', '', ''],
]);

it('loses no word of a label, and knows where each of its list stands', function (): void {
    mt_srand(16);
    $some = ['oats,', 'honey', '(62', '%),', 'Ingredients:', 'Zutaten:', 'salt.', 'Store', 'in', 'May', 'contain', 'nüs-', 'se', 'Best', 'before:', '½', 'xylitol', '🥜'];
    for ($n = 0; $n < 400; $n++) {
        $rows = [];
        for ($row = mt_rand(0, 6); $row > 0; $row--) {
            $rows[] = array_map(static fn (): string => $some[mt_rand(0, count($some) - 1)], range(1, mt_rand(1, 6)));
        }
        $label = PrintedLabel::read($rows);
        $words = array_merge(...$rows);
        $signs = static fn (string $text): string => (static function (array $all): string {
            sort($all);

            return implode('', $all);
        })(mb_str_split((string) preg_replace('/[\s-]/u', '', $text)));
        expect($signs($label->list.$label->rest))->toBe($signs(implode('', $words)));
        foreach ($label->spans as $number => [$from, $to]) {
            expect(rtrim($words[$number], '-'))->toBe(rtrim(mb_substr($label->list, $from, $to - $from), '-'));
        }
    }
});
