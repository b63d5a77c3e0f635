<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use RuntimeException;

/**
 * Turns the CSV files people edit into the one constant array the program reads.
 * What each column may hold is checked by Columns before, so that a typing slip stops the build and not a dog's supper.
 */
final readonly class Compiler
{
    /** What is worked out from the rows alone: it changes no answer. */
    private const DERIVED = ['rulesByGroup' => 1, 'rulesByFood' => 1, 'groupsWith' => 1, 'findingsOfDogs' => 1];

    /** @param  ?string  $neverCases  the file in which every `never` code must have its cases; null where the tests did not come along */
    public function __construct(private string $folder, private ?string $neverCases = null) {}

    /**
     * @return array<string, mixed>
     *
     * @throws RuntimeException that names the file, the row and the column of each slip
     */
    public function compile(): array
    {
        Columns::check($this->folder);
        $this->everyPoisonHasItsCases();
        [$foods, $words, $measures, $screens] = [new Foods($this->folder), new Phrases($this->folder), new Measures($this->folder), new Screens($this->folder)];
        [$entries, $forms] = $foods->withDerived();
        [$lexicon, $names] = $foods->names($entries);
        $rules = $screens->rules();
        $byGroup = Screens::byGroup($rules);
        $findings = $screens->findings();
        $data = [
            'entries' => $entries,
            'lexicon' => $lexicon,
            'names' => $names,
            'forms' => $forms,
            'formWords' => $words->forms(),
            'changes' => $screens->changes(),
            'units' => $measures->units(),
            'measures' => $measures->measures(),
            'densities' => $measures->densities(),
            'pieces' => Measures::inherited($measures->pieces(), $forms),
            'groupsWith' => ['densities' => $measures->groupsWith('densities'), 'pieces' => $measures->groupsWith('pieces')],
            'dough' => [
                'parameters' => $measures->doughParameters(), 'uptake' => $measures->uptake(),
                'free' => (new FreeWaters($this->folder, $measures->doughParameters()))->of($entries),
                'heat' => $this->heat(), 'losses' => $this->rows('losses'), 'drying' => array_column($this->rows('drying'), 'value', 'key'),
                'states' => array_column($this->rows('states'), 'foods', 'state'), 'most' => array_column($this->rows('most'), 'percent', 'of'),
                'bindings' => $this->rows('bindings'), 'wanted' => $this->rows('wanted-feels'),
            ],
            'textures' => $this->by('textures', 'texture'),
            'roles' => $this->by('roles', 'word'),
            'feels' => $this->rows('feels'),
            'gasMarks' => $this->rows('gas-marks'),
            'aisles' => $this->rows('aisles'),
            'labelAllergens' => array_column($this->rows('label-allergens'), 'group'),
            'labelFriends' => $this->rows('label-friends'),
            'cores' => $this->rows('cores'),
            'cutters' => $this->rows('cutters'),
            'work' => $this->by('work', 'job'),
            'workNotes' => $this->rows('work-notes'),
            'workPlaces' => array_column($this->rows('work-places'), 'process', 'words'),
            'workVerbs' => array_column($this->rows('work-verbs'), 'kind', 'word'),
            'workDoughs' => array_column(array_filter($this->rows('work-verbs'), static fn (array $row): bool => $row['dough'] === true), 'dough', 'word'),
            'workNouns' => array_column(array_filter($this->rows('work-verbs'), static fn (array $row): bool => $row['noun'] === true), 'noun', 'word'),
            'actives' => $measures->actives(),
            'groups' => $foods->groups(),
            'cross' => $screens->cross(),
            'rules' => $rules,
            'rulesByGroup' => $byGroup,
            'rulesByFood' => Screens::byFood($byGroup, $entries),
            'findings' => $findings,
            'findingsOfDogs' => array_merge(...array_values(array_filter($findings, static fn (string $key): bool => str_ends_with($key, '|dog'), ARRAY_FILTER_USE_KEY))),
            'exclusions' => $screens->exclusions(),
            'conditions' => $this->by('conditions', 'condition'),
            'medicines' => $this->by('medicines', 'medicine'),
            'breeds' => $screens->breeds(),
            'doses' => $this->rows('doses'),
            'energy' => $this->by('energy', 'key'),
            'bites' => $this->rows('bites'),
            'toxicDoses' => $this->rows('toxic-doses'),
            'swaps' => $screens->swaps(),
            'rescueWeights' => array_column($this->rows('rescue-weights'), 'weight', 'key'),
            'days' => ['keeping' => $this->by('keeping', 'class'), 'opened' => $this->by('opened', 'kind'), 'powerCuts' => $this->by('power-cuts', 'place'), 'weekly' => $this->rows('weekly'), 'leftOver' => $this->rows('left-over'), 'scraps' => $this->rows('scraps')],
            'signs' => ['kinds' => $this->by('sign-kinds', 'kind'), 'steps' => $this->rows('sign-steps')],
            'claims' => $this->rows('claims'),
            'sources' => array_column($this->rows('sources'), 'name', 'source'),
            'benign' => $words->benign(),
            'verbs' => $words->listed('cooking-verbs'),
        ];
        $data['version'] = substr(hash('sha256', serialize(array_diff_key($data, self::DERIVED))), 0, 16);

        return $data;
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $file): array
    {
        return array_map(static fn (Row $row): array => $row->typed(), Row::of($this->folder, $file));
    }

    /** @return array<string, array<string, mixed>> by what stands in one column */
    private function by(string $file, string $column): array
    {
        $rows = [];
        foreach (Row::of($this->folder, $file) as $row) {
            $rows[$row->text($column)] = $row->typed();
        }

        return $rows;
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
        foreach (Row::of($this->folder, 'rules') as $n => $row) {
            if ($row->text('level') === 'never' && ! isset($cases[$row->text('code')])) {
                throw new RuntimeException('rules.csv, row '.($n + 2).", column code: \"{$row->text('code')}\" is never, but cases/never.txt holds no case of it.");
            }
        }
    }

    /** @return array<string, list<array<string, mixed>>> rows of heat.csv by the textures they are for */
    private function heat(): array
    {
        $heat = [];
        foreach (array_keys($this->by('textures', 'texture')) as $texture) {
            $heat[$texture] = array_values(array_filter($this->rows('heat'), static fn (array $row): bool => $row['textures'] === [] || in_array($texture, (array) $row['textures'], true)));
        }

        return $heat;
    }
}
