<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Breed;
use MildBowl\Core\Dogs\Condition;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Pantry\Groups;
use MildBowl\Core\Screening\Exclusion;
use MildBowl\Core\Screening\Rule;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Values\Level;

/** Every rule the tool judges by, row by row, for whoever wants to audit it: no finding has a code that does not stand here. */
final readonly class RuleBook
{
    private const ABOUT = ['line' => 'reading', 'step' => 'reading', 'label' => 'label', 'food' => 'allergy', 'dog' => 'dog', 'ration' => 'dose', 'ration-age' => 'dose', 'given' => 'dose'];

    /** @param  list<RuleBookRow>  $rules */
    private function __construct(public string $version, public array $rules) {}

    public static function shipped(): self
    {
        return new self(Compiled::version(), [...self::rules(), ...self::doses(), ...self::exclusions(), ...self::near(), ...self::dogs(), ...self::sayings()]);
    }

    private static function row(string $id, string $kind, string $code, Level $level, string $trigger, string $message, string $advice, string $source, ?string $threshold = null, ?string $example = null, bool $emergency = false): RuleBookRow
    {
        return new RuleBookRow($id, $kind, $code, $level, $emergency, $trigger, $threshold === '' ? null : $threshold, $message, $advice, Sources::name($source), $example);
    }

    /** @return list<RuleBookRow> */
    private static function rules(): array
    {
        $rows = [];
        foreach (Rule::all() as $rule) {
            $trigger = $rule->groups === ['*'] ? 'any food' : implode(', ', self::foods($rule->groups));
            $trigger .= $rule->words === [] ? '' : '; the line says '.self::quoted($rule->words);
            $trigger .= $rule->unless === [] ? '' : '; not when it says '.self::quoted($rule->unless);
            $rows[] = self::row($rule->id, 'food', $rule->code, $rule->level, $trigger.$rule->when->says(), self::blanks($rule->message), $rule->advice, $rule->source, $rule->figure, $rule->example, $rule->emergency);
        }

        return $rows;
    }

    /** @return list<RuleBookRow> */
    private static function doses(): array
    {
        $rows = [];
        foreach (Doses::all()->rows as $index => $dose) {
            $who = $dose->who === [] ? 'every dog' : implode(', ', $dose->who);
            foreach ([[Level::Limit, $dose->limit], [Level::Caution, $dose->caution]] as [$level, $threshold]) {
                if ($threshold !== null) {
                    $rows[] = self::row("dose-{$dose->code}-".($index + 1)."-{$level->value}", 'dose', $dose->code, $level, "the ration of $who", self::blanks($dose->message), $dose->advice, $dose->source, "$threshold {$dose->unit}");
                }
            }
        }

        return $rows;
    }

    /** @return list<RuleBookRow> */
    private static function exclusions(): array
    {
        $rows = [];
        foreach (Exclusion::all() as $condition => $list) {
            foreach ($list as $index => $row) {
                $rows[] = self::row("excluded-$condition-".($index + 1), 'condition', $row->code, $row->level, str_replace('-', ' ', $condition).': '.implode(', ', self::foods($row->groups)), self::blanks($row->message), $row->advice, $row->source);
            }
        }

        return $rows;
    }

    /** @return list<RuleBookRow> */
    private static function near(): array
    {
        $rows = [];
        foreach (Exclusion::allCross() as $allergy => $list) {
            foreach ($list as $index => $row) {
                $rows[] = self::row("cross-$allergy-".($index + 1), 'allergy', $row->code, $row->level, "reacts to $allergy, and the food is ".Groups::label($row->groups[0] ?? ''), self::blanks($row->message), $row->advice, $row->source);
            }
        }

        return $rows;
    }

    /** @return list<RuleBookRow> */
    private static function dogs(): array
    {
        $rows = [];
        foreach (['condition' => Condition::all(), 'medicine' => Condition::medicines()] as $kind => $all) {
            foreach ($all as $id => $row) {
                if ($row->message !== '') {
                    $rows[] = self::row("$kind-$id", 'dog', 'ask-vet', Level::AskVet, "$kind: {$row->label}", self::blanks($row->message), $row->advice, $row->source);
                }
            }
        }
        foreach (Breed::all() as $breed) {
            if ($breed->note !== '') {
                $rows[] = self::row('breed-'.str_replace(' ', '-', $breed->name), 'dog', 'breed-note', Level::Caution, "breed: {$breed->name}; ".implode(', ', self::foods($breed->groups)), $breed->note, 'Ask your vet if you have seen signs.', $breed->source);
            }
        }

        return $rows;
    }

    /** @return list<RuleBookRow> what is said of lines, steps, labels and dogs by findings.csv */
    private static function sayings(): array
    {
        $rows = $seen = [];
        foreach (Saying::all() as $saying) {
            $seen[$saying->code] = ($seen[$saying->code] ?? 0) + 1;
            $id = $saying->code.($seen[$saying->code] === 1 ? '' : '-'.$seen[$saying->code]);
            $code = match ($saying->code) {
                'allergy' => 'allergy-…', 'trace' => 'trace-…', default => $saying->code,
            };
            $trigger = $saying->code === 'allergy' ? $saying->trigger.': '.implode(', ', Groups::labels()) : $saying->trigger.$saying->when->says();
            $rows[] = self::row($id, self::ABOUT[$saying->about], $code, $saying->level, ltrim($trigger, '; '), self::blanks($saying->message), self::blanks($saying->advice), $saying->source, self::blanks($saying->figure));
        }

        return $rows;
    }

    /** What stands for a word of the row that only a case can fill. */
    private static function blanks(string $text): string
    {
        return (string) preg_replace_callback('/\{(\w+)\}/', static fn (array $word): string => match (lcfirst($word[1])) {
            'dog' => '(the dog)', 'food' => '(the food)', 'value' => '(the dose)', default => '('.lcfirst($word[1]).')',
        }, $text);
    }

    /**
     * Names of a few foods in these groups, so that a person knows what is meant.
     *
     * @param  list<string>  $groups
     * @return list<string>
     */
    private static function foods(array $groups): array
    {
        $names = [];
        foreach ($groups as $group) {
            $foods = [];
            foreach (Compiled::tables()['entries'] as $entry) {
                if (isset($entry['groups'][$group])) {
                    $foods[] = $entry['name'];
                }
            }
            $label = Groups::labels()[$group] ?? null;
            $some = implode(', ', array_slice($foods, 0, 12)).(count($foods) > 12 ? ' …' : '');
            $names[] = $label !== null && count($foods) > 12 ? "$label ($some)" : $some;
        }

        return array_values(array_filter($names));
    }

    /** @param  list<string>  $phrases */
    private static function quoted(array $phrases): string
    {
        return implode(', ', array_map(static fn (string $phrase): string => '"'.str_replace('+', ' … ', $phrase).'"', $phrases));
    }
}
