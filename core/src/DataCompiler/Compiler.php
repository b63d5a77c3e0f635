<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Composition;
use MildBowl\Core\Pantry\Nearest;
use RuntimeException;

/**
 * Turns the CSV files people edit into the one constant array the program reads.
 * What each column may hold is checked by Columns before, so that a typing slip stops the build and not a dog's supper.
 */
final class Compiler
{
    /** @var array<string, array<string, mixed>> */
    private array $entries = [];

    /** @param  ?string  $neverCases  the file in which every `never` code must have its cases; null where the tests did not come along */
    public function __construct(private readonly string $folder, private readonly ?string $neverCases = null) {}

    /**
     * @return array<string, mixed>
     *
     * @throws RuntimeException that names the file, the row and the column of each slip
     */
    public function compile(): array
    {
        Columns::check($this->folder);
        $this->everyPoisonHasItsCases();
        $this->entries = $this->readEntries();
        [$lexicon, $names] = $this->readNames();
        $data = [
            'entries' => $this->entries,
            'lexicon' => $lexicon,
            'names' => $names,
            'forms' => $this->readForms(),
            'formWords' => $this->readFormWords(),
            'units' => $this->readUnits(),
            'measures' => $this->readMeasures(),
            'densities' => $this->byIngredientAndForm('densities'),
            'pieces' => $this->readPieces(),
            'groupsWith' => ['densities' => $this->groupsWith('densities'), 'pieces' => $this->groupsWith('pieces')],
            'uptake' => $this->readUptake(),
            'textures' => $this->readKeyed('textures', 'texture'),
            'roles' => $this->readKeyed('roles', 'word'),
            'feels' => $this->table('feels'),
            'heat' => $this->table('heat'),
            'gasMarks' => $this->table('gas-marks'),
            'cores' => $this->table('cores'),
            'cutters' => $this->table('cutters'),
            'actives' => $this->readActives(),
            'groups' => $this->readGroups(),
            'cross' => $this->readCross(),
            'rules' => $rules = $this->readRules(),
            'rulesByGroup' => $byGroup = self::byGroup($rules),
            'rulesByFood' => $this->byFood($byGroup),
            'findings' => $findings = $this->readFindings(),
            'findingsOfDogs' => array_merge(...array_values(array_filter($findings, static fn (string $key): bool => str_ends_with($key, '|dog'), ARRAY_FILTER_USE_KEY))),
            'exclusions' => $this->readExclusions(),
            'conditions' => $this->readKeyed('conditions', 'condition'),
            'medicines' => $this->readKeyed('medicines', 'medicine'),
            'breeds' => $this->readBreeds(),
            'doses' => $this->readDoses(),
            'energy' => $this->readKeyed('energy', 'key'),
            'bites' => $this->table('bites'),
            'toxicDoses' => $this->table('toxic-doses'),
            'swaps' => $this->readSwaps(),
            'rescueWeights' => array_map(static fn (array $row): float => (float) $row['weight'], $this->readKeyed('rescue-weights', 'key')),
            'keeping' => $this->table('keeping'),
            'claims' => $this->table('claims'),
            'sources' => array_column($this->table('sources'), 'name', 'source'),
            'benign' => $this->readBenign(),
            'verbs' => $this->readWordList('cooking-verbs'),
        ];
        // what is derived from the rows alone changes no answer
        $data['version'] = substr(hash('sha256', serialize(array_diff_key($data, ['rulesByGroup' => 1, 'rulesByFood' => 1, 'groupsWith' => 1, 'findingsOfDogs' => 1]))), 0, 16);

        return $data;
    }

    /** A poison without a case is one that a slip can lose unseen. */
    private function everyPoisonHasItsCases(): void
    {
        if ($this->neverCases === null) {
            return;
        }
        $cases = [];
        foreach (file($this->neverCases, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $row) {
            $cases[trim(explode(':', $row)[0])] = true;
        }
        foreach ($this->table('rules') as $n => $row) {
            if ($row['level'] === 'never' && ! isset($cases[$row['code']])) {
                throw new RuntimeException('rules.csv, row '.($n + 2).", column code: \"{$row['code']}\" is never, but cases/never.txt holds no case of it.");
            }
        }
    }

    /**
     * A name that stands for two things is a slip.
     *
     * @param  array<array-key, mixed>  $known
     */
    private function once(array $known, string $name, string $place): void
    {
        if (isset($known[$name])) {
            throw new RuntimeException("$place: the name \"$name\" is taken already.");
        }
    }

    /** @return list<array<string, string>> */
    private function table(string $name): array
    {
        return (new Table($this->folder, $name))->rows();
    }

    /** @return array<string, array<string, string>> */
    private function readKeyed(string $name, string $key): array
    {
        $rows = [];
        foreach ($this->table($name) as $row) {
            $rows[$row[$key]] = $row;
        }

        return $rows;
    }

    /** @return array<string, array<string, mixed>> */
    private function readEntries(): array
    {
        $parents = [];
        foreach ($this->table('groups') as $row) {
            $parents[$row['group']] = Table::parts($row['parents'], ';');
        }
        $entries = [];
        foreach ($this->table('ingredients') as $row) {
            $composition = [];
            foreach (Composition::COLUMNS as $column) {
                $composition[] = Table::number($row[$column]);
            }
            $entries[$row['id']] = [
                'name' => $row['name'],
                'groups' => $this->closure(Table::parts($row['groups'], ';'), $parents),
                'jobs' => Table::parts($row['jobs'], ';'),
                'composition' => $composition,
                'source' => $row['source'],
                'confidence' => $row['confidence'],
            ];
        }
        foreach ($this->table('entries') as $row) {
            if (isset($entries[$row['id']])) {
                throw new RuntimeException("entries.csv: {$row['id']} stands in ingredients.csv too.");
            }
            $like = $row['like'] === '' ? null : ($entries[$row['like']] ?? throw new RuntimeException("entries.csv, {$row['id']}: there is no ingredient {$row['like']}."));
            $entries[$row['id']] = [
                'name' => $row['name'],
                'groups' => $this->closure(Table::parts($row['groups'], ';'), $parents),
                'jobs' => $like['jobs'] ?? [],
                'composition' => $like['composition'] ?? null,
                'source' => 'EST',
                'confidence' => 'C',
                'like' => $row['like'],
            ];
        }

        return $entries;
    }

    /**
     * @param  list<string>  $groups
     * @param  array<string, list<string>>  $parents
     * @return array<string, true> the groups with all their parents
     */
    private function closure(array $groups, array $parents): array
    {
        $closed = [];
        while ($groups !== []) {
            $group = array_pop($groups);
            if (! isset($closed[$group])) {
                $closed[$group] = true;
                $groups = [...$groups, ...($parents[$group] ?? [])];
            }
        }
        ksort($closed);

        return $closed;
    }

    /**
     * The lexicon: key of a phrase => [ingredient id, 1 when the word is ambiguous outside an ingredient list].
     * Phrases that must match letter by letter stand under "!".
     *
     * @return array{array{first: array<string, int>, phrases: array<string, array{string, int}>}, array<string, list<string>>}
     */
    private function readNames(): array
    {
        $phrases = $first = $names = [];
        $add = function (string $name, string $id) use (&$phrases, &$first): void {
            $ambiguous = str_ends_with($name, '~') ? 1 : 0;
            $exact = str_ends_with($name, '!');
            $plain = rtrim($name, '~!');
            $key = $exact ? '!'.$plain : Tokenizer::key($plain);
            if (isset($phrases[$key]) && $phrases[$key][0] !== $id) {
                throw new RuntimeException("names.csv: \"$plain\" names both {$phrases[$key][0]} and $id.");
            }
            $phrases[$key] = [$id, $ambiguous];
            if (! $exact) {
                $words = explode(' ', $key);
                $first[$words[0]] = max($first[$words[0]] ?? 0, count($words));
            }
        };
        foreach ($this->table('names') as $row) {
            foreach (Table::parts($row['names']) as $name) {
                $add($name, $row['ingredient']);
                $names[$row['ingredient']][] = rtrim($name, '~!');
            }
        }
        foreach ($this->table('ignored') as $row) {
            $key = Tokenizer::key($row['phrase']);
            $phrases[$key] ??= ['', 0];
            $words = explode(' ', $key);
            $first[$words[0]] = max($first[$words[0]] ?? 0, count($words));
        }
        foreach (array_keys($this->entries) as $id) {
            if (! isset($names[$id])) {
                throw new RuntimeException("names.csv: $id has no name.");
            }
        }

        return [['first' => $first, 'phrases' => $phrases], $names];
    }

    /** @return array<string, array<string, string>> */
    private function readForms(): array
    {
        $forms = [];
        foreach ($this->table('forms') as $row) {
            $forms[$row['ingredient']][$row['form']] = $row['becomes'];
        }

        return $forms;
    }

    /** @return array{first: array<string, int>, phrases: array<string, list<string>>} */
    private function readFormWords(): array
    {
        $phrases = $first = [];
        foreach ($this->table('form-words') as $row) {
            foreach (Table::parts($row['words']) as $phrase) {
                $key = Tokenizer::key($phrase);
                $phrases[$key][] = $row['form'];
                $words = explode(' ', $key);
                $first[$words[0]] = max($first[$words[0]] ?? 0, count($words));
            }
        }

        return ['first' => $first, 'phrases' => $phrases];
    }

    /** @return array{names: array<string, string>, sizes: array<string, array<string, array{string, float}>>} */
    private function readUnits(): array
    {
        $names = $sizes = [];
        foreach ($this->table('units') as $row) {
            foreach (Table::parts($row['names']) as $name) {
                $this->once(array_diff($names, [$row['unit']]), Tokenizer::key($name), "units.csv, {$row['unit']}");
                $names[Tokenizer::key($name)] = $row['unit'];
            }
            foreach (Unit::SYSTEMS as $system) {
                $sizes[$system][$row['unit']] = [$row['kind'], (float) $row[$system]];
            }
        }

        return ['names' => $names, 'sizes' => $sizes];
    }

    /** @return array{names: array<string, string>, sizes: array<string, array{string, float, float, float}>} */
    private function readMeasures(): array
    {
        $names = $sizes = [];
        foreach ($this->table('measures') as $row) {
            foreach (Table::parts($row['names']) as $name) {
                $this->once(array_diff($names, [$row['unit']]), Tokenizer::key($name), "measures.csv, {$row['unit']}");
                $names[Tokenizer::key($name)] = $row['unit'];
            }
            $sizes[$row['unit']] = [$row['kind'], ...$this->ordered($row, "measures.csv, {$row['unit']}")];
        }

        return ['names' => $names, 'sizes' => $sizes];
    }

    /** @return array<string, array<string, array{float, float, float}>> */
    private function byIngredientAndForm(string $name): array
    {
        $result = [];
        foreach ($this->table($name) as $row) {
            $result[$row['ingredient']][$row['form']] = $this->ordered($row, "$name.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> keyed by ingredient, then "unit:size" */
    private function readPieces(): array
    {
        $result = [];
        foreach ($this->table('pieces') as $row) {
            $result[$row['ingredient']]["{$row['unit']}:{$row['size']}"] = $this->ordered($row, "pieces.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /**
     * @param  array<string, string>  $row
     * @return array{float, float, float}
     */
    private function ordered(array $row, string $place): array
    {
        [$low, $best, $high] = [(float) $row['low'], (float) $row['best'], (float) $row['high']];
        if (! ($low >= 0 && $low <= $best && $best <= $high)) {
            throw new RuntimeException("$place: low, best and high are not in order.");
        }

        return [$low, $best, $high];
    }

    /** @return list<string> groups that have a row of their own, in the order of the file: the narrower stands first */
    private function groupsWith(string $table): array
    {
        $groups = [];
        foreach ($this->table($table) as $row) {
            if (str_starts_with($row['ingredient'], 'group:')) {
                $groups[substr($row['ingredient'], 6)] = true;
            }
        }

        return array_map(strval(...), array_keys($groups));
    }

    /** @return array<string, array{float, string}> */
    private function readUptake(): array
    {
        $result = [];
        foreach ($this->table('uptake') as $row) {
            $result[$row['ingredient']] = [(float) $row['uptake'], $row['kind']];
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> per 100 g, keyed by ingredient and substance */
    private function readActives(): array
    {
        $result = [];
        foreach ($this->table('actives') as $row) {
            $result[$row['ingredient']][$row['substance']] = $this->ordered($row, "actives.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /** @return array{labels: array<string, string>, aliases: array<string, string>, closure: array<string, list<string>>} */
    private function readGroups(): array
    {
        $labels = $aliases = $parents = $closure = [];
        foreach ($this->table('groups') as $row) {
            $parents[$row['group']] = Table::parts($row['parents'], ';');
        }
        foreach ($this->table('groups') as $row) {
            $labels[$row['group']] = $row['label'];
            $closure[$row['group']] = array_keys($this->closure([$row['group']], $parents));
            foreach (Table::parts($row['aliases']) as $alias) {
                $aliases[$alias] = $row['group'];
            }
        }

        return ['labels' => $labels, 'aliases' => $aliases, 'closure' => $closure];
    }

    /** @return array<string, list<array<string, mixed>>> keyed by allergy */
    private function readCross(): array
    {
        $result = [];
        foreach ($this->table('cross') as $row) {
            $result[$row['allergy']][] = ['unless' => $this->keys($row['unless'])] + $row;
        }

        return $result;
    }

    /** @return list<array<string, mixed>> */
    private function readRules(): array
    {
        $rules = [];
        $seen = [];
        foreach ($this->table('rules') as $row) {
            $rules[] = [
                'id' => $row['code'].(($seen[$row['code']] = ($seen[$row['code']] ?? 0) + 1) === 1 ? '' : '-'.$seen[$row['code']]),
                'groups' => Table::parts($row['groups'], ';'),
                'words' => $this->keys($row['words']),
                'unless' => $this->keys($row['unless']),
                'when' => self::when($row['when']),
                'emergency' => $row['emergency'] === '1',
            ] + $row;
        }

        return $rules;
    }

    /**
     * @param  array<string, list<int>>  $byGroup
     * @return array<string, list<int>> numbers of the rules that speak of a food, in the order they are looked at
     */
    private function byFood(array $byGroup): array
    {
        $byFood = [];
        foreach ($this->entries as $id => $entry) {
            $numbers = [];
            /** @var array<string, true> $groups */
            $groups = $entry['groups'];
            foreach (['*', ...array_keys($groups)] as $group) {
                foreach ($byGroup[$group] ?? [] as $number) {
                    $numbers[$number] = $number;
                }
            }
            $byFood[$id] = array_values($numbers);
        }

        return $byFood;
    }

    /** @return array<string, list<string>> values by kind of clause */
    private static function when(string $cell): array
    {
        $when = [];
        foreach (Table::parts($cell, ';') as $token) {
            [$kind, $values] = [...explode(':', $token, 2), ''];
            $when[$kind] = Table::parts($values);
        }

        return $when;
    }

    /** @return list<array<string, mixed>> */
    private function readDoses(): array
    {
        return array_map(static fn (array $row): array => [
            'caution' => Table::number($row['caution']), 'limit' => Table::number($row['limit']), 'who' => Table::parts($row['who']),
        ] + $row, $this->table('doses'));
    }

    /** @return array<string, list<array<string, mixed>>> rows in the order of the file, by code and what they are about */
    private function readFindings(): array
    {
        $result = [];
        foreach ($this->table('findings') as $row) {
            $result["{$row['code']}|{$row['about']}"][] = ['when' => self::when($row['when'])] + $row;
        }

        return $result;
    }

    /**
     * @param  list<array<string, mixed>>  $rules
     * @return array<string, list<int>> numbers of the rules that speak of a group
     */
    private static function byGroup(array $rules): array
    {
        $rows = [];
        foreach ($rules as $number => $rule) {
            /** @var list<string> $groups */
            $groups = $rule['groups'];
            foreach ($groups as $group) {
                $rows[$group][] = $number;
            }
        }

        return $rows;
    }

    /** @return array<string, list<array<string, mixed>>> keyed by condition */
    private function readExclusions(): array
    {
        $result = [];
        foreach ($this->table('exclusions') as $row) {
            $result[$row['condition']][] = ['groups' => Table::parts($row['groups'], ';'), 'unless' => $this->keys($row['unless'])] + $row;
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> by the food or group taken out */
    private function readSwaps(): array
    {
        $result = $seen = [];
        foreach ($this->table('swaps') as $n => $row) {
            $in = [];
            foreach (Table::parts($row['in'], ';') as $part) {
                [$id, $ratio] = [...explode('=', $part, 2), ''];
                $in[$id] = Table::number($ratio) ?? throw new RuntimeException("swaps.csv, {$row['out']}: \"$part\" has no ratio.");
            }
            foreach (Table::parts($row['out']) as $out) {
                $key = "$out, {$row['in']}, {$row['job']}";
                if (isset($seen[$key])) {
                    throw new RuntimeException('swaps.csv, row '.($n + 2).", column out: \"$key\" stands in row {$seen[$key]} too.");
                }
                $seen[$key] = $n + 2;
                $result[$out][] = ['except' => Table::parts($row['except']), 'in' => $in, 'job' => $row['job'], 'rank' => (float) $row['rank'], 'note' => $row['note'], 'source' => $row['source']];
            }
        }

        return $result;
    }

    /** @return array<string, array<string, mixed>> */
    private function readBreeds(): array
    {
        $result = [];
        foreach ($this->table('breeds') as $row) {
            $entry = [
                'breed' => $row['breed'],
                'terrier' => $row['terrier'] === '1',
                'research' => Table::number($row['research']),
                'fragile' => $row['fragile'] === '1',
                'note' => $row['note'],
                'groups' => Table::parts($row['group'], ';'),
                'kgLow' => Table::number($row['kgLow']),
                'kgHigh' => Table::number($row['kgHigh']),
                'source' => $row['source'],
            ];
            foreach ([$row['breed'], ...Table::parts($row['aliases'])] as $name) {
                $this->once($result, $name, "breeds.csv, {$row['breed']}");
                $result[$name] = $entry;
            }
        }

        return $result;
    }

    /** @return array<string, true> */
    private function readBenign(): array
    {
        $words = [];
        $listed = $this->readWordList('benign-words');
        foreach ($listed as $word => $_) {
            $stem = Tokenizer::stem($word);
            if ($stem !== $word && isset($listed[$stem])) {
                throw new RuntimeException("benign-words.txt: \"$word\" is read as \"$stem\", which stands there: leave it out.");
            }
            $words[$stem] = true;
            $words[$word] = true;
        }

        return $words;
    }

    /** @return array<string, true> */
    private function readWordList(string $name): array
    {
        $words = [];
        foreach (file("{$this->folder}/$name.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $word) {
            $words[trim($word)] = true;
        }

        return $words;
    }

    /** @return list<string> */
    private function keys(string $cell): array
    {
        return array_map(static fn (string $phrase): string => implode('+', array_map(Tokenizer::key(...), Table::parts($phrase, '+'))), Table::parts($cell));
    }

    /**
     * What the search for the nearest food looks through; a file of its own, read only when somebody searches.
     *
     * @param  array<string, list<string>>  $names
     * @return array{names: list<array{string, string}>, grams: array<string, list<int>>}
     */
    public static function searchIndex(array $names): array
    {
        $list = [];
        foreach ($names as $id => $own) {
            foreach ($own as $name) {
                $list[] = [Tokenizer::key($name), (string) $id];
            }
        }

        return ['names' => $list, 'grams' => Nearest::indexOf($list)];
    }
}
