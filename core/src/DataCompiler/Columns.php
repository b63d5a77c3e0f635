<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use RuntimeException;

/**
 * What each column of each file may hold. Everything that is wrong is told at once, with its file, row and column and the nearest word
 * that would be known.
 */
final class Columns
{
    /**
     * Columns in their order, each with what it holds: `text`, `id`, `number`, `flag`, a closed list of Vocabulary, or `food`, `group`,
     * `food-or-group`, `source`, `when`, `parts` (foods with a ratio), `threshold`. `?` after it: it may be empty; `;` or `|`: several
     * values, divided by it. Those before `/` are the key: no two rows share it.
     */
    private const FILES = [
        'actives' => 'ingredient:food substance:substance / low:number best:number high:number source:source',
        'aisles' => 'aisle:id / label:text groups:any-group|',
        'bites' => 'upToKg:number / biteMm:number source:source',
        'bindings' => 'below:number / feel:text word:text sign:text density:number made:made',
        'breeds' => 'breed:text / aliases:text?| terrier:flag research:number? fragile:flag note:text? group:group?; kgLow:number kgHigh:number source:source',
        'claims' => 'words:text| / known:text source:source',
        'conditions' => 'condition:condition / vet:flag oneAtATime:flag label:text message:text? advice:text? source:source',
        'cores' => 'group:group word:core-word? / celsius:number holdMinutes:number what:text source:source',
        'cross' => 'allergy:group group:group / level:level unless:text?| message:text advice:text',
        'cutters' => 'shape:shape mm:number / source:source',
        'densities' => 'ingredient:food-or-group form:form? / low:number best:number high:number source:source',
        'changes' => 'form:form / level:any-level code:id applies:any-group; exempt:food-or-trait?; message:text advice:text source:source',
        'derived' => 'form:form groups:group id:id / except:food-or-trait?| named:text| by:derived-by low:number best:number high:number like:food? sodium:number? adds:group?; drops:group?; name:text source:source',
        'doses' => 'code:dose substance:substance basis:basis caution:number? limit:number? floorPerKgDay:number? unit:text who:who?| / message:text advice:text source:source',
        'dough-parameters' => 'parameter:dough-parameter / value:number start:number low:number high:number meaning:text source:source',
        'doughs' => 'dough:text / says:text also:text? set:text source:source',
        'energy' => 'key:energy / low:number value:number high:number unit:text? meaning:text source:source',
        'entries' => 'id:id / name:text groups:group; like:food?',
        'exceptions' => 'ingredient:food check:check / reason:text',
        'exclusions' => 'condition:condition groups:group; / unless:text?| message:text advice:text source:source',
        'feels' => 'below:number / feel:text word:text sign:text density:number made:made middle:number',
        'findings' => 'code:id about:about when:when-dog?; / level:any-level trigger:text? message:text advice:text figure:text? source:source',
        'form-words' => 'form:form / words:text|',
        'forms' => 'ingredient:food form:form / becomes:food',
        'free-water' => 'of:food-or-trait form:form? counts:free-counts / parameter:dough-parameter source:source',
        'gas-marks' => 'mark:text / celsius:number source:source',
        'groups' => 'group:id / parents:group?; label:text aliases:text?|',
        'drying' => 'key:drying / value:number unit:text meaning:text source:source',
        'heat' => 'class:heat-class process:process? of:heat-of? shapes:shape?| textures:texture?| by:heat-by? size:number? does:heat-does / minutesLow:number? minutesHigh:number? celsius:number? celsiusLow:number? celsiusHigh:number? sign:text turn:text? source:source',
        'ignored' => 'phrase:text /',
        'ingredients' => 'id:id / name:text groups:group?; jobs:job?; water:number kcal:number protein:number fat:number carbohydrate:number fibre:number sugars:number ash:number sodium:number? calcium:number? phosphorus:number? potassium:number? copper:number? vitaminA:number? vitaminD:number? magnesium:number? zinc:number? iron:number? source:source confidence:confidence',
        'keeping' => 'class:keeping / jarDays:number jarCoolDays:number? fridgeDays:number fridgeAtMost:number? fridgeLiverDays:number? freezerDays:number freezerAtMost:number? meaning:text jarIf:text? fridgeIf:text? freezerIf:text? source:source',
        'label-friends' => 'head:text word:text / means:text',
        'label-allergens' => 'group:group / source:source',
        'label-names' => 'ingredient:food / names:text|',
        'left-over' => 'foods:food-or-trait| / endings:text?| except:food-or-trait?| kind:opened leaves:food? meaning:text source:source',
        'losses' => 'class:heat-class textures:texture?| / how:loss-how low:number best:number high:number meaning:text source:source',
        'measures' => 'unit:id / kind:unit-kind low:number best:number high:number names:text| source:source',
        'medicines' => 'medicine:medicine / label:text message:text? advice:text? source:source',
        'most' => 'of:food-or-trait / percent:number meaning:text source:source',
        'names' => 'ingredient:food / names:text|',
        'opened' => 'kind:opened / name:text fridgeDays:number fridgeAtMost:number freezerDays:number meaning:text source:source',
        'pieces' => 'ingredient:food-or-group unit:piece-unit size:size? / low:number best:number high:number source:source',
        'plausible' => 'group:group nutrient:nutrient / low:number high:number unit:text source:source',
        'power-cuts' => 'place:text / coldHours:number fullHours:number? meaning:text source:source',
        'rescue-weights' => 'key:rescue-weight / weight:number meaning:text source:source',
        'roles' => 'word:text / role:role process:process? strained:flag source:source',
        'rules' => 'code:id level:level emergency:flag groups:any-group; words:text?| unless:text?| when:when?; / message:text advice:text figure:text? source:source example:text',
        'scraps' => 'foods:food-or-trait| scrap:text / endings:text?| except:food-or-trait?| exceptEndings:text?| reach:reach entry:food? says:text source:source',
        'sign-kinds' => 'kind:sign-kind / name:text windowDays:number watchDays:number anyIsBad:flag said:text source:source',
        'sign-steps' => 'kind:sign-kind step:number / score:number name:text meaning:text urgent:flag source:source',
        'sources' => 'source:text / name:text',
        'swaps' => 'out:food-or-group| in:parts?; job:job state:plate-state? / except:food?| rank:number note:text? source:source',
        'states' => 'state:plate-state / foods:food-or-trait| meaning:text source:source',
        'textures' => 'texture:texture / moistureLow:number? moistureBest:number? moistureHigh:number? heated:flag hard:flag name:text source:source',
        'toxic-doses' => 'substance:substance / name:text unit:text thresholds:threshold?| anyAmount:flag who:toxic-who? remark:text? source:source',
        'traits' => 'trait:id / meaning:text',
        'units' => 'unit:id / kind:unit-kind us:number metric:number imperial:number australian:number names:text| source:source',
        'uptake' => 'ingredient:food / uptake:number kind:uptake-kind class:dough-parameter source:source',
        'weekly' => 'code:id of:text / days:number within:number says:text advice:text source:source',
        'work' => 'job:work-job / minutesLow:number minutes:number minutesHigh:number per:work-per? hands:flag meaning:text source:source',
        'work-notes' => 'note:id / as:note-as kind:work-kind when:note-when text:text source:source',
        'work-places' => 'words:text / process:process',
        'work-verbs' => 'word:text / kind:work-kind noun:flag dough:flag',
        'wanted-feels' => 'shapes:shape?| textures:texture?| process:process? / driest:text aim:text wettest:text why:text? source:source',
    ];

    /** Files whose first column must name every word of its list. */
    private const WHOLE = ['conditions', 'medicines', 'textures', 'energy', 'rescue-weights', 'keeping', 'form-words', 'dough-parameters', 'drying', 'states', 'work', 'sign-kinds'];

    private const MOST_TOLD = 20;

    /** @var array<string, list<array<string, string>>> */
    private array $tables = [];

    /** @var array<string, list<string>> */
    private array $known = [];

    /** @var array<string, array<string, true>> the same words, to be found quickly */
    private array $index = [];

    /** @var list<string> */
    private array $slips = [];

    /** @throws RuntimeException that tells every slip: file, row, column, and the nearest word */
    public static function check(string $folder): void
    {
        $self = new self;
        foreach (array_keys(self::FILES) as $file) {
            $self->tables[$file] = (new Table($folder, $file))->rows();
        }
        $self->learn();
        foreach (self::FILES as $file => $columns) {
            $self->file($file, $columns);
        }
        if ($self->slips === []) {
            array_push($self->slips, ...Groups::unused($self->tables), ...Groups::implausible($self->tables), ...Groups::idleExceptions($self->tables), ...Spans::outOfOrder($self->tables));
        }
        if ($self->slips !== []) {
            $more = count($self->slips) - self::MOST_TOLD;
            throw new RuntimeException(implode("\n", array_slice($self->slips, 0, self::MOST_TOLD)).($more > 0 ? "\n… and $more more." : ''));
        }
    }

    /** @return array<string, string> what each column of a file holds, by its name */
    public static function kinds(string $file): array
    {
        $kinds = [];
        foreach (array_filter(explode(' ', str_replace(' / ', ' ', self::FILES[$file]))) as $column) {
            if ($column !== '/') {
                [$name, $kind] = explode(':', $column);
                $kinds[$name] = $kind;
            }
        }

        return $kinds;
    }

    private function learn(): void
    {
        $groups = [...array_column($this->tables['groups'], 'group'), ...array_column($this->tables['traits'], 'trait')];
        $foods = [...array_column($this->tables['ingredients'], 'id'), ...array_column($this->tables['entries'], 'id')];
        // a group called like a food is that food's own kin: an allergy to the one covers the other
        $groups = [...$groups, ...array_values(array_intersect($foods, $this->namedAsGroups()))];
        $this->known = [
            'food' => $foods,
            'group' => $groups,
            'any-group' => [...$groups, '*'],
            'food-or-trait' => [...$foods, ...$groups],
            'food-or-group' => [...$foods, ...array_map(static fn (string $group): string => "group:$group", $groups)],
            'source' => array_column($this->tables['sources'], 'source'),
        ];
    }

    /** @return list<string> */
    private function namedAsGroups(): array
    {
        $named = [];
        foreach (['ingredients', 'entries'] as $file) {
            foreach ($this->tables[$file] as $row) {
                array_push($named, ...Table::parts($row['groups'] ?? '', ';'));
            }
        }

        return array_values(array_unique($named));
    }

    private function file(string $file, string $columns): void
    {
        $kinds = self::kinds($file);
        $keys = [];
        foreach (explode(' ', explode(' /', $columns, 2)[0]) as $column) {
            $keys[] = explode(':', $column)[0];
        }
        $heads = array_keys($this->tables[$file][0] ?? []);
        foreach (array_diff($heads, array_keys($kinds)) as $odd) {
            $this->slips[] = "$file.csv, row 1: nobody knows a column \"$odd\"".self::meant((string) $odd, array_keys($kinds)).'.';
        }
        foreach (array_diff(array_keys($kinds), $heads) as $missing) {
            $this->slips[] = "$file.csv, row 1: the column \"$missing\" is missing.";
        }
        if ($this->slips !== [] && array_diff(array_keys($kinds), $heads) !== []) {
            return;
        }
        $seen = [];
        foreach ($this->tables[$file] as $n => $row) {
            foreach ($kinds as $column => $kind) {
                $this->cell($file, $n + 2, $column, $kind, $row[$column]);
            }
            $id = implode(', ', array_map(static fn (string $column): string => $row[$column], $keys));
            if (isset($seen[$id])) {
                $this->slips[] = "$file.csv, row ".($n + 2).", column {$keys[0]}: \"$id\" stands in row {$seen[$id]} too.";
            }
            $seen[$id] ??= $n + 2;
        }
        if (in_array($file, self::WHOLE, true)) {
            foreach (array_diff($this->words(rtrim($kinds[$keys[0]], '?;|')) ?? [], array_column($this->tables[$file], $keys[0])) as $absent) {
                $this->slips[] = "$file.csv, column {$keys[0]}: there is no row for \"$absent\".";
            }
        }
    }

    private function cell(string $file, int $row, string $column, string $kind, string $cell): void
    {
        $divider = strpbrk($kind, ';|');
        $word = rtrim($kind, '?;|');
        $place = "$file.csv, row $row, column $column";
        if ($cell === '') {
            if (! str_contains($kind, '?')) {
                $this->slips[] = "$place: it is empty.";
            }

            return;
        }
        foreach ($divider === false ? [$cell] : explode($divider[0], $cell) as $one) {
            $slip = $this->slip($word, trim($one));
            if ($slip !== null) {
                $this->slips[] = "$place: $slip";
            }
        }
    }

    private function slip(string $kind, string $one): ?string
    {
        $words = $this->words($kind);
        $this->index[$kind] ??= array_fill_keys($words ?? [], true);

        return match (true) {
            $one === '' => 'one of its values is empty.',
            $words !== null => isset($this->index[$kind][$one]) ? null : "nobody knows \"$one\"".self::meant($one, $words).'.',
            $kind === 'number' => self::isFigure($one) ? null : "\"$one\" is no figure of 0 or more.",
            $kind === 'flag' => in_array($one, ['0', '1'], true) ? null : "\"$one\" is neither 0 nor 1.",
            $kind === 'id' => preg_match('/^[a-z0-9]+(-[a-z0-9é]+)*$/', $one) === 1 ? null : "\"$one\" is no id: small letters, figures and hyphens.",
            $kind === 'when' => $this->when($one, Vocabulary::WHEN),
            $kind === 'when-dog' => $this->when($one, Vocabulary::WHEN_DOG),
            $kind === 'parts' => $this->part($one),
            $kind === 'threshold' => preg_match('/^\d+(\.\d+)?=\S/', $one) === 1 ? null : "\"$one\" is no threshold: write FIGURE=WHAT HAPPENS.",
            $kind === 'text' => null,
            default => throw new RuntimeException("Nobody knows the kind of column \"$kind\"."),
        };
    }

    /** @param  array<string, list<string>|null>  $kinds */
    private function when(string $token, array $kinds): ?string
    {
        [$kind, $values] = [...explode(':', $token, 2), ''];
        if (! array_key_exists($kind, $kinds)) {
            return "nobody knows \"$kind\"".self::meant($kind, array_keys($kinds)).'.';
        }
        $known = $kinds[$kind] ?? $this->known['group'];
        if (($known === []) !== ($values === '')) {
            return $known === [] ? "\"$kind\" takes no value." : "\"$kind\" wants a value.";
        }
        foreach (Table::parts($values) as $value) {
            if (! in_array($value, $known, true)) {
                return "nobody knows \"$value\"".self::meant($value, $known).'.';
            }
        }

        return null;
    }

    private function part(string $part): ?string
    {
        [$id, $ratio] = [...explode('=', $part, 2), ''];
        $this->index['food'] ??= array_fill_keys($this->known['food'], true);
        if (! isset($this->index['food'][$id])) {
            return "nobody knows \"$id\"".self::meant($id, $this->known['food']).'.';
        }

        return self::isFigure($ratio) ? null : "\"$part\" has no ratio: write FOOD=RATIO.";
    }

    /** @return list<string>|null */
    private function words(string $kind): ?array
    {
        return $this->known[$kind] ?? Vocabulary::words($kind);
    }

    private static function isFigure(string $text): bool
    {
        return preg_match('/^(\d+(\.\d+)?|\.\d+)$/', $text) === 1;
    }

    /**
     * The nearest known word, to be offered; nothing where none is near.
     *
     * @param  list<string>  $words
     */
    private static function meant(string $word, array $words): string
    {
        $nearest = null;
        $least = 4;
        foreach ($words as $known) {
            $distance = levenshtein($word, $known);
            if ($distance < $least && $distance < strlen($word)) {
                [$nearest, $least] = [$known, $distance];
            }
        }

        return $nearest === null ? '' : "; is \"$nearest\" meant?";
    }
}
