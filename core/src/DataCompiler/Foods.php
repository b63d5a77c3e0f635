<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Composition;
use RuntimeException;

/** The foods of ingredients.csv and entries.csv with all their groups, and the names they are called by. */
final readonly class Foods
{
    /** @var array<string, list<string>> */
    private array $parents;

    public function __construct(private string $folder)
    {
        $parents = [];
        foreach (Row::of($folder, 'groups') as $row) {
            $parents[$row->text('group')] = $row->list('parents');
        }
        $this->parents = $parents;
    }

    /** @return array<string, array<string, mixed>> */
    public function entries(): array
    {
        $entries = [];
        foreach (Row::of($this->folder, 'ingredients') as $row) {
            $composition = [];
            foreach (Composition::COLUMNS as $column) {
                $composition[] = $row->numberOrNull($column);
            }
            $entries[$row->text('id')] = [
                'name' => $row->text('name'),
                'groups' => $this->closure($row->list('groups')),
                'jobs' => $row->list('jobs'),
                'composition' => $composition,
                'source' => $row->text('source'),
                'confidence' => $row->text('confidence'),
            ];
        }
        foreach (Row::of($this->folder, 'entries') as $row) {
            if (isset($entries[$row->text('id')])) {
                throw new RuntimeException("entries.csv: {$row->text('id')} stands in ingredients.csv too.");
            }
            $like = $row->text('like') === '' ? null : ($entries[$row->text('like')] ?? throw new RuntimeException("entries.csv, {$row->text('id')}: there is no ingredient {$row->text('like')}."));
            $entries[$row->text('id')] = [
                'name' => $row->text('name'),
                'groups' => $this->closure($row->list('groups')),
                'jobs' => $like['jobs'] ?? [],
                'composition' => $like['composition'] ?? null,
                'source' => 'EST',
                'confidence' => 'C',
                'like' => $row->text('like'),
            ];
        }

        return $entries;
    }

    /**
     * The foods of the files and those that follow from them, and what each becomes in a form.
     *
     * @return array{array<string, array<string, mixed>>, array<string, array<string, string>>}
     */
    public function withDerived(): array
    {
        /** @var array<string, array{name: string, groups: array<string, true>, jobs: list<string>, composition: ?list<?float>, source: string, confidence: string, like?: string}> $entries */
        $entries = $this->entries();
        $forms = $this->forms();
        [$foods, $becomes] = (new Derived($this->folder, $this->closure(...)))->of($entries, $forms);
        foreach ($becomes as $id => $byForm) {
            $forms[$id] = ($forms[$id] ?? []) + $byForm;
        }

        return [$entries + $foods, $forms];
    }

    /**
     * @param  list<string>  $groups
     * @return array<string, true> the groups with all their parents
     */
    private function closure(array $groups): array
    {
        $closed = [];
        while ($groups !== []) {
            $group = array_pop($groups);
            if (! isset($closed[$group])) {
                $closed[$group] = true;
                $groups = [...$groups, ...($this->parents[$group] ?? [])];
            }
        }
        ksort($closed);

        return $closed;
    }

    /**
     * The lexicon: key of a phrase => [ingredient id, 1 when the word is ambiguous outside an ingredient list].
     * Phrases that must match letter by letter stand under "!".
     *
     * @param  array<string, mixed>  $entries  every food must have a name
     * @return array{array{first: array<string, int>, phrases: array<string, array{string, int}>}, array<string, list<string>>}
     */
    public function names(array $entries): array
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
        foreach (Row::of($this->folder, 'names') as $row) {
            foreach ($row->list('names') as $name) {
                $add($name, $row->text('ingredient'));
                $names[$row->text('ingredient')][] = rtrim($name, '~!');
            }
        }
        // what a food is called on the labels of other countries is read, and not offered
        foreach (Row::of($this->folder, 'label-names') as $row) {
            foreach ($row->list('names') as $name) {
                $add($name, $row->text('ingredient'));
                // "flocons d'avoine": the apostrophe joins two words
                $joined = preg_replace('/(?<= )([dl]) (?=\p{L})/u', '$1', $name) ?? $name;
                if ($joined !== $name) {
                    $add($joined, $row->text('ingredient'));
                }
            }
        }
        foreach (Row::of($this->folder, 'ignored') as $row) {
            $key = Tokenizer::key($row->text('phrase'));
            $phrases[$key] ??= ['', 0];
            $words = explode(' ', $key);
            $first[$words[0]] = max($first[$words[0]] ?? 0, count($words));
        }
        $own = $this->entries();
        foreach (array_keys($entries) as $id) {
            if (isset($own[$id]) && ! isset($names[$id])) {
                throw new RuntimeException("names.csv: $id has no name.");
            }
        }

        return [['first' => $first, 'phrases' => $phrases], $names];
    }

    /** @return array{labels: array<string, string>, aliases: array<string, string>, closure: array<string, list<string>>} */
    public function groups(): array
    {
        $labels = $aliases = $closure = [];
        foreach (Row::of($this->folder, 'groups') as $row) {
            $labels[$row->text('group')] = $row->text('label');
            $closure[$row->text('group')] = array_keys($this->closure([$row->text('group')]));
            foreach ($row->list('aliases') as $alias) {
                $aliases[$alias] = $row->text('group');
            }
        }

        return ['labels' => $labels, 'aliases' => $aliases, 'closure' => $closure];
    }

    /** @return array<string, array<string, string>> */
    public function forms(): array
    {
        $forms = [];
        foreach (Row::of($this->folder, 'forms') as $row) {
            $forms[$row->text('ingredient')][$row->text('form')] = $row->text('becomes');
        }

        return $forms;
    }
}
