<?php

declare(strict_types=1);

namespace MildBowl\Core\Data;

use MildBowl\Core\Build\Days;
use MildBowl\Core\Build\Doughs;
use MildBowl\Core\Build\Search;
use MildBowl\Core\Build\Signs;
use MildBowl\Core\Build\Tables;

/**
 * The reference data as the build step wrote them: constants of the program, shared by opcache, never changed and never kept in a
 * variable. Only the readers of this folder know their shape; everybody else asks the reader of a table for typed rows.
 *
 * @phpstan-type Lexicon array{first: array<string, int>, phrases: array<string, array{string, int}>}
 * @phpstan-type EntryRow array{name: string, groups: array<string, true>, jobs: list<string>, composition: ?list<?float>, source: string, confidence: string, like?: string}
 * @phpstan-type RuleRow array{id: string, code: string, level: string, emergency: bool, groups: list<string>, words: list<string>, unless: list<string>, when: array<string, list<string>>, message: string, advice: string, figure: string, source: string, example: string}
 * @phpstan-type CrossRow array{allergy: string, group: string, level: string, unless: list<string>, message: string, advice: string}
 * @phpstan-type ExclusionRow array{condition: string, groups: list<string>, unless: list<string>, message: string, advice: string, source: string}
 * @phpstan-type BreedRow array{breed: string, terrier: bool, research: ?float, fragile: bool, note: string, groups: list<string>, kgLow: ?float, kgHigh: ?float, source: string}
 * @phpstan-type SwapRow array{except: list<string>, in: array<string, float>, job: string, state: string, rank: float, note: string, source: string}
 * @phpstan-type DoseRow array{code: string, substance: string, basis: string, caution: ?float, limit: ?float, floorPerKgDay: ?float, unit: string, who: list<string>, message: string, advice: string, source: string}
 * @phpstan-type FindingRow array{code: string, about: string, level: string, when: array<string, list<string>>, trigger: string, message: string, advice: string, figure: string, source: string}
 * @phpstan-type TextureRow array{texture: string, moistureLow: ?float, moistureBest: ?float, moistureHigh: ?float, heated: bool, hard: bool, name: string, source: string}
 * @phpstan-type RoleRow array{word: string, role: string, process: string, strained: bool, source: string}
 * @phpstan-type FeelRow array{below: float, feel: string, word: string, sign: string, density: float, made: string, middle?: float}
 * @phpstan-type WantedRow array{shapes: list<string>, textures: list<string>, process: string, driest: string, aim: string, wettest: string, why: string, source: string}
 * @phpstan-type HeatRow array{class: string, process: string, of: string, shapes: list<string>, textures: list<string>, by: string, size: ?float, does: string, minutesLow: ?float, minutesHigh: ?float, celsius: ?float, celsiusLow: ?float, celsiusHigh: ?float, sign: string, turn: string, source: string}
 * @phpstan-type LossRow array{class: string, textures: list<string>, how: string, low: float, best: float, high: float, meaning: string, source: string}
 * @phpstan-type CoreRow array{group: string, word: string, celsius: float, holdMinutes: float, what: string, source: string}
 * @phpstan-type ConditionRow array{condition: string, vet: bool, oneAtATime: bool, label: string, message: string, advice: string, source: string}
 * @phpstan-type MedicineRow array{medicine: string, label: string, message: string, advice: string, source: string}
 * @phpstan-type EnergyConstant array{key: string, low: float, value: float, high: float, unit: string, meaning: string, source: string}
 * @phpstan-type ToxicRow array{substance: string, name: string, unit: string, thresholds: list<array{float, string}>, anyAmount: bool, who: string, remark: string, source: string}
 * @phpstan-type KeepingRow array{class: string, jarDays: float, jarCoolDays: ?float, fridgeDays: float, fridgeAtMost: ?float, fridgeLiverDays: ?float, freezerDays: float, freezerAtMost: ?float, meaning: string, jarIf: string, fridgeIf: string, freezerIf: string, source: string}
 * @phpstan-type LeftOverRow array{foods: list<string>, endings: list<string>, except: list<string>, kind: string, leaves: string, meaning: string, source: string}
 * @phpstan-type ScrapRow array{foods: list<string>, endings: list<string>, scrap: string, except: list<string>, exceptEndings: list<string>, reach: string, entry: string, says: string, source: string}
 * @phpstan-type OpenedRow array{kind: string, name: string, fridgeDays: float, fridgeAtMost: float, freezerDays: float, meaning: string, source: string}
 * @phpstan-type PowerCutRow array{place: string, coldHours: float, fullHours: ?float, meaning: string, source: string}
 * @phpstan-type WeeklyRow array{code: string, of: string, days: float, within: float, says: string, advice: string, source: string}
 * @phpstan-type SignKindRow array{kind: string, name: string, windowDays: float, watchDays: float, anyIsBad: bool, said: string, source: string}
 * @phpstan-type SignStepRow array{kind: string, step: float, score: float, name: string, meaning: string, urgent: bool, source: string}
 * @phpstan-type Three array{float, float, float}
 * @phpstan-type ChangeRow array{form: string, level: string, code: string, applies: array<string, true>, exempt: array<string, true>, message: string, advice: string, source: string}
 * @phpstan-type DoughTables array{parameters: array<string, float>, uptake: array<string, array{float, string}>, free: array<string, array{forms: array<string, float>, plain: float}>, bindings: list<FeelRow>, wanted: list<WantedRow>, heat: array<string, list<HeatRow>>, losses: list<LossRow>, drying: array<string, float>, states: array<string, list<string>>, most: array<string, float>}
 * @phpstan-type All array{
 *     version: string,
 *     entries: array<string, EntryRow>,
 *     lexicon: Lexicon,
 *     names: array<string, list<string>>,
 *     forms: array<string, array<string, string>>,
 *     formWords: array{first: array<string, int>, phrases: array<string, list<string>>},
 *     changes: array<string, ChangeRow>,
 *     units: array{names: array<string, string>, sizes: array<string, array<string, array{string, float}>>},
 *     measures: array{names: array<string, string>, sizes: array<string, array{string, float, float, float}>},
 *     densities: array<string, array<string, Three>>,
 *     pieces: array<string, array<string, Three>>,
 *     groupsWith: array{densities: list<string>, pieces: list<string>},
 *     textures: array<string, TextureRow>,
 *     roles: array<string, RoleRow>,
 *     feels: list<FeelRow>,
 *     aisles: list<array{aisle: string, label: string, groups: list<string>}>,
 *     labelAllergens: list<string>,
 *     labelFriends: list<array{head: string, word: string, means: string}>,
 *     gasMarks: list<array{mark: string, celsius: float, source: string}>,
 *     cores: list<CoreRow>,
 *     work: array<string, array{job: string, minutesLow: float, minutes: float, minutesHigh: float, per: string, hands: bool, meaning: string, source: string}>,
 *     workNotes: list<array{note: string, as: string, kind: string, when: string, text: string, source: string}>,
 *     workPlaces: array<string, string>,
 *     workVerbs: array<string, string>,
 *     workDoughs: array<string, true>,
 *     workNouns: array<string, true>,
 *     cutters: list<array{shape: string, mm: float, source: string}>,
 *     actives: array<string, array<string, Three>>,
 *     groups: array{labels: array<string, string>, aliases: array<string, string>, closure: array<string, list<string>>},
 *     cross: array<string, list<CrossRow>>,
 *     rules: list<RuleRow>,
 *     rulesByGroup: array<string, list<int>>,
 *     rulesByFood: array<string, list<int>>,
 *     findings: array<string, list<FindingRow>>,
 *     findingsOfDogs: list<FindingRow>,
 *     exclusions: array<string, list<ExclusionRow>>,
 *     conditions: array<string, ConditionRow>,
 *     medicines: array<string, MedicineRow>,
 *     breeds: array<string, BreedRow>,
 *     doses: list<DoseRow>,
 *     energy: array<string, EnergyConstant>,
 *     bites: list<array{upToKg: float, biteMm: float, source: string}>,
 *     toxicDoses: list<ToxicRow>,
 *     swaps: array<string, list<SwapRow>>,
 *     rescueWeights: array<string, float>,
 *     claims: list<array{words: list<string>, known: string, source: string}>,
 *     sources: array<string, string>,
 *     benign: array<string, true>,
 *     verbs: array<string, true>
 * }
 */
final class Compiled
{
    /** @return All */
    public static function tables(): array
    {
        // the build step checked every row: its literal type is of no use to anybody
        return Tables::ALL; // @phpstan-ignore return.type
    }

    /** @return DoughTables what a dough is judged by */
    public static function doughs(): array
    {
        return Doughs::ALL;
    }

    /** @return array{keeping: array<string, KeepingRow>, opened: array<string, OpenedRow>, powerCuts: array<string, PowerCutRow>, weekly: list<WeeklyRow>, leftOver: list<LeftOverRow>, scraps: list<ScrapRow>} how long things keep, and what is for some days of a week */
    public static function days(): array
    {
        return Days::ALL;
    }

    /** @return array{kinds: array<string, SignKindRow>, steps: list<SignStepRow>} what is watched in a dog */
    public static function signs(): array
    {
        return Signs::ALL;
    }

    /** What changes with any row of the data; it stands in every answer. */
    public static function version(): string
    {
        return Tables::ALL['version'];
    }

    /** @return array{names: list<array{string, string}>, grams: array<string, list<int>>} what the search for the nearest food looks through */
    public static function search(): array
    {
        return Search::ALL;
    }
}
