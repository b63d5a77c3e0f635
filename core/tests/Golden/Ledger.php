<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Golden;

use MildBowl\Core\Contract\Choices;
use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Screening\LabelDifference;
use MildBowl\Core\Swaps\Swap;
use MildBowl\Core\Telling\RuleBook;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/**
 * What the core says of every food by itself, a short block each: what 100 g of it hold, what a cup and one of it weigh, what is
 * found in it, what may stand in for it. The foods and the names they are asked by come from cases/names.txt, not from the catalogue.
 */
final class Ledger
{
    public const THEMES = [
        'bowls',
        'choices',
        'differences',
        'foods',
        'labels-by-chance',
        'lines',
        'lines-by-chance',
        'measures',
        'nearest',
        'ovens',
        'rule-book',
        'swaps',
        'words',
    ];

    private const UNITS = [
        'cup',
        'each',
        'small',
        'medium',
        'large',
        'slice',
        'stalk',
        'stick',
        'leaf',
        'sprig',
        'bunch',
        'tin',
        'packet',
        'clove',
        'handful',
        'juice of',
        'zest of',
    ];

    private const FORMS = ['', 'grated', 'mashed', 'pureed', 'sliced', 'chopped'];

    /** @return array<string, string> */
    public static function of(string $theme): array
    {
        return match ($theme) {
            'foods' => self::each(self::food(...)),
            'bowls' => self::each(BakingLedger::bowl(...)),
            'ovens' => BakingLedger::ovens(),
            'measures' => self::each(self::measures(...)),
            'swaps' => self::each(self::swaps(...)),
            'lines', 'lines-by-chance' => self::lines("$theme.txt"),
            'labels-by-chance' => self::labels(),
            'nearest' => self::nearest(),
            'differences' => self::differences(),
            'rule-book' => self::ruleBook(),
            'choices' => self::choices(),
            default => self::words(),
        };
    }

    /**
     * @param  callable(string, string): string  $say
     * @return array<string, string>
     */
    private static function each(callable $say): array
    {
        $said = [];
        foreach (Cases::rows('names.txt') as $row) {
            [$id, $names] = array_map(trim(...), explode(':', $row, 2));
            $said[$id] = Asking::kitchen()->catalogue->has($id) ? $say($id, trim(explode('|', $names)[0])) : '(there is no such food)';
        }

        return $said;
    }

    private static function food(string $id, string $name): string
    {
        $food = Asking::food($id);
        $composition = $food->composition === null ? '(unknown)' : self::figures(get_object_vars($food->composition));
        $hot = self::ask("100 g $name", 'biscuit');
        $cold = self::ask("100 g $name", 'none');

        return implode("\n", [
            "{$food->name} ({$food->source} {$food->confidence}); jobs: ".
            implode(' ', $food->jobs).
            '; groups: '.
            implode(' ', array_keys($food->groups)),
            "100 g: $composition",
            'piece: '.self::figures($hot['piece']['nutrients']),
            'heated: '.self::found($hot),
            'not heated: '.self::found($cold),
            'with 100 g water: '.Golden::plain(self::ask("100 g $name\n100 g water", 'biscuit')['batch']['wetness']),
        ]);
    }

    private static function measures(string $id, string $name): string
    {
        $asked = [];
        foreach (self::UNITS as $unit) {
            $amount = match ($unit) {
                'each' => '2',
                'juice of', 'zest of' => "$unit 1",
                default => "1 $unit",
            };
            foreach ($unit === 'cup' ? self::FORMS : [''] as $form) {
                $asked[(string) preg_replace('/ +/', ' ', "$amount $form $name")] = trim("$amount $form");
            }
        }
        $said = [];
        foreach (self::ask(implode("\n", array_keys($asked)), 'biscuit')['lines'] as $line) {
            if ($line['grams'] !== null && $line['ingredient'] === $id && isset($asked[$line['text']])) {
                $said[] = "{$asked[$line['text']]}: ".Golden::plain($line['grams']);
            }
        }

        return $said === [] ? '(weighed only)' : implode("\n", $said);
    }

    private static function swaps(string $id): string
    {
        $rows = array_map(
            static fn (Swap $swap): string => Golden::plain($swap->in)." {$swap->job} {$swap->rank} \"{$swap->note}\" {$swap->source}",
            Swap::for(Asking::food($id))
        );

        return $rows === [] ? '(none)' : implode("\n", $rows);
    }

    /** What each part of a printed list is, and what is found in it for a dog that reacts to much. @return array<string, string> */
    private static function labels(): array
    {
        $dogs = [['name' => 'Rex', 'allergies' => ['dairy', 'wheat', 'soy', 'peanut', 'chicken'], 'conditions' => ['diabetes', 'copper-storage']]];
        $said = [];
        foreach (Cases::rows('labels-by-chance.txt') as $list) {
            $answer = Asking::json('label', (json_encode(['version' => 1, 'ingredients' => $list, 'dogs' => $dogs], JSON_THROW_ON_ERROR))
            );
            $parts = array_map(
                static fn (array $part): string => str_repeat('> ', $part['depth']).
                    $part['text'].
                    ': '.
                    ($part['ingredient'] ?? '?').
                    ($part['percent'] === null ? '' : ' '.Golden::plain($part['percent']).' %').
                    ($part['trace'] ? ' trace' : '').
                    '; '.
                    self::found(['lines' => [$part], 'steps' => []]),
                $answer['parts']
            );
            $said[$list] = implode("\n", [$answer['worst'], ...$parts]);
        }

        return $said;
    }

    /** What is offered for a word that nobody knows. @return array<string, string> */
    private static function nearest(): array
    {
        $words = Cases::rows('misspelled.txt');

        return array_combine(
            $words,
            array_map(
                static fn (string $word): string => implode(
                    "\n",
                    array_map(static fn (array $one): string => Golden::plain($one), Nearest::to($word))
                ) ?:
                '(nothing)',
                $words
            )
        );
    }

    /** What changed from one wording of a label to another. @return array<string, string> */
    private static function differences(): array
    {
        $said = [];
        foreach (Cases::cells('wordings.txt') as [$before, $after]) {
            $said["$before | $after"] = Golden::plain(get_object_vars(LabelDifference::between($before, $after, Asking::kitchen()->reader->lines)));
        }

        return $said;
    }

    /** @return array<string, string> every rule as it stands in the rule book */
    private static function ruleBook(): array
    {
        $rules = array_map(Presenter::object(...), RuleBook::shipped()->rules);

        return array_combine(array_column($rules, 'id'), array_map(static fn (array $rule): string => ltrim(Golden::plain($rule), "\n"), $rules));
    }

    /** @return array<string, string> what a person may choose from */
    private static function choices(): array
    {
        return array_map(static fn (mixed $one): string => ltrim(Golden::plain($one), "\n"), array_diff_key(Choices::all(), ['dataVersion' => 1]));
    }

    /** How each line is read: food, amount, form and findings, on a line of its own. @return array<string, string> */
    private static function lines(string $file): array
    {
        $said = [];
        foreach (Cases::rows($file) as $text) {
            $answer = self::ask($text, 'biscuit');
            $read = [];
            foreach ($answer['lines'] as $line) {
                $read[] =
                    ($line['ingredient'] ?? '?').
                    ' '.
                    ($line['grams'] === null ? '-' : Golden::plain($line['grams'])).
                    ($line['form'] === null ? '' : " ({$line['form']})").
                    (isset($line['alternatives']) ? ' or '.implode(', ', $line['alternatives']) : '').
                    (isset($line['condition']) ? " if \"{$line['condition']}\"" : '').
                    '; '.
                    self::found(['lines' => [$line], 'steps' => []]).
                    self::unread($line);
            }
            foreach ($answer['steps'] as $step) {
                $read[] = "step \"{$step['text']}\"; ".self::found(['lines' => [], 'steps' => [$step]]);
            }
            $said[$text] = $read === [] ? '(nothing)' : implode("\n", $read);
        }

        return $said;
    }

    /** @param  array<string, mixed>  $line */
    private static function unread(array $line): string
    {
        foreach ($line['findings'] as $one) {
            if ($one['code'] === 'unread-words') {
                return ' '.$one['message'];
            }
        }

        return '';
    }

    /** Words that say nothing about a food, twelve to a line: what of them is not passed over. @return array<string, string> */
    private static function words(): array
    {
        $said = [];
        foreach (array_chunk(Cases::rows('harmless-words.txt'), 12) as $words) {
            $line = implode(', ', $words);
            $said[$line] = self::found(self::ask("100 g oat flour, $line", 'biscuit'));
        }
        foreach (array_chunk(Cases::rows('verbs.txt'), 1) as [$verb]) {
            $answer = self::ask("1 egg\n100 g oat flour\n".ucfirst($verb).' the egg and the oat flour well for a while.', 'biscuit');
            $said["verb: $verb"] = count($answer['steps']).' steps; '.self::found($answer);
        }

        return $said;
    }

    /** @return array<string, mixed> */
    private static function ask(string $text, string $texture): array
    {
        return Asking::json('formulate', (
            json_encode(
                [
                    'version' => 1,
                    'recipe' => ['text' => $text],
                    'cut' => ['shape' => 'pieces', 'count' => 1],
                    'bake' => ['texture' => $texture],
                ],
                JSON_THROW_ON_ERROR
            )
        )
        );
    }

    /** @param  array<string, mixed>  $figures */
    private static function figures(array $figures): string
    {
        return implode(
            ' ',
            array_map(static fn (string $name, mixed $figure): string => "$name ".Golden::plain($figure), array_keys($figures), $figures)
        );
    }

    /** @param  array<string, mixed>  $answer */
    private static function found(array $answer): string
    {
        $found = [];
        foreach ([...$answer['lines'], ...$answer['steps']] as $part) {
            foreach ($part['findings'] as $one) {
                $found[] = "{$one['level']}:{$one['code']}".($one['emergency'] ? '!' : '');
            }
        }

        return $found === [] ? 'nothing' : implode(' ', $found);
    }
}
