<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadStep;
use MildBowl\Core\Reading\Said;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Values\Range;

/** Says what there is to say about a line, a step or a label, for every dog at the table. */
final readonly class Screener
{
    /** Codes that tell nothing new of a product whose list is read. */
    private const SETTLED_BY_LABEL = ['nut-butter', 'cured-meat', 'food-colour', 'sweetened-check', 'pie-filling-check'];

    /** Codes that the brackets behind a part settle, and nothing else of its list. */
    private const SETTLED_WHEN_SPELLED = ['broth', 'bakery'];

    /** Forms that bring what no list names: the others bring salt, sugar or smoke, which it does. */
    private const SEASONED = ['pickled', 'marinated', 'seasoned', 'stuffed', 'breaded', 'flavoured', 'creamed'];

    /** Poison by the spoon, and a trace in a printed list. */
    private const HARMLESS_IN_LISTS = ['nutrient', 'cooked-bone', 'raw-bone'];

    /** Cautions that a printed list may not swallow. */
    private const TOLD_IN_LISTS = ['polyol-other'];

    /** Words of a list that may stand for a poison: onion, raisins, macadamia. */
    private const MAY_HIDE = ['spice-mix', 'hides-poison'];

    /** @var list<Dog> who may not have some food that the others may */
    private array $particular;

    public function __construct(private Circumstances $circumstances, private LineReader $reader)
    {
        $this->particular = array_values(array_filter($circumstances->dogs, static fn (Dog $dog): bool => $dog->allergies !== [] || $dog->conditions !== [] || $dog->allowList !== null || $dog->watched->leftOut !== [] || $dog->watched->wentBadly !== []));
    }

    /** @return list<Finding> */
    public function line(ReadLine $line, ?Range $grams): array
    {
        $findings = [];
        foreach ($line->foods() as $food) {
            array_push($findings, ...$this->foods([$food], $line->saidOf($food)));
        }
        if ($line->odd !== []) {
            $findings[] = Saying::of('number-odd')->finding(fill: ['{words}' => implode(', ', $line->odd)]);
        }
        if ($line->food === null) {
            $findings[] = Saying::of('unrecognised')->finding();
        } elseif ($line->unread !== []) {
            $findings[] = Saying::of('unread-words')->finding(fill: ['{words}' => implode(', ', $line->unread)]);
        }
        foreach ($line->food === null ? [] : Change::of($line->food, $line->unsettled) as $change) {
            $findings[] = $change;
        }
        if ($line->lookAlikes) {
            $findings[] = Saying::of('look-alike-letters')->finding();
        }
        if ($line->isHeading) {
            $findings[] = Saying::of('named-only-in-heading')->finding(fill: ['{Food}' => ucfirst($line->food->name ?? $line->text)]);
        } elseif ($line->food !== null && $grams === null) {
            if ($line->amounts === []) {
                $findings[] = Saying::of('amount-missing')->finding();
            } elseif ($line->food->composition !== null) {
                $findings[] = Saying::of('amount-unweighed')->finding();
            }
        }

        return Finding::unique($findings);
    }

    /**
     * @param  list<Ingredient>  $foods
     * @return list<Finding>
     */
    public function foods(array $foods, Said $said): array
    {
        $findings = [];
        foreach ($foods as $food) {
            array_push($findings, ...Rule::findings($food, $said, $this->circumstances));
            foreach ($this->particular as $dog) {
                array_push($findings, ...Allergies::findings($food, $dog, $said, $this->circumstances->policy));
            }
        }

        return $findings;
    }

    /**
     * A step is screened for what it names; a food without a line of its own keeps the recipe from being cleared.
     *
     * @param  list<ReadLine>  $lines
     * @return list<Finding>
     */
    public function step(ReadStep $step, array $lines): array
    {
        $findings = [];
        if ($step->unread !== []) {
            $findings[] = Saying::of('unread-words')->finding(fill: ['{words}' => implode(', ', $step->unread)]);
        }
        foreach ($step->foods as $food) {
            if ($this->hasLine($food, $step->phrases[$food->id] ?? '', $lines)) {
                continue;
            }
            array_push($findings, ...$this->foods([$food], $step->said));
            $findings[] = Saying::of('named-only-in-step', 'step')->finding(fill: ['{Food}' => ucfirst($food->name)]);
        }

        return Finding::unique($findings);
    }

    /** @param  list<ReadLine>  $lines */
    private function hasLine(Ingredient $food, string $phrase, array $lines): bool
    {
        if ($food->id === 'water' || $food->id === 'ice') {
            return true;
        }
        $words = explode(' ', $phrase);
        foreach ($lines as $line) {
            foreach ($line->foods() as $known) {
                // "flour" in the method is the oat flour of the list
                if ($known->id === $food->id || $known->isNamedBy($food) || $food->isCoveredBy($known->id) || $known->like === $food->id) {
                    return true;
                }
            }
            if ($line->food !== null && $words !== [''] && array_diff($words, $line->keys) === [] && ! $this->isWorse($food, $line)) {
                return true;
            }
        }

        return false;
    }

    /** A poison is not covered by a harmless line that happens to hold the same word. */
    private function isWorse(Ingredient $food, ReadLine $line): bool
    {
        return self::worst($this->foods([$food], Said::nothing())) < self::worst($this->foods($line->foods(), Said::nothing()));
    }

    /**
     * Rank of the worst of these findings; one more than the mildest where there is none.
     *
     * @param  list<Finding>  $findings
     */
    private static function worst(array $findings): int
    {
        return min([Level::Caution->rank() + 1, ...array_map(static fn (Finding $finding): int => $finding->level->rank(), $findings)]);
    }

    /**
     * What the parts of a label say, to stand on the line bound to it.
     *
     * @return list<Finding>
     */
    public function label(string $name, string $ingredients, ?Range $grams = null): array
    {
        $findings = [];
        $parts = LabelReader::read($ingredients, $this->reader);
        foreach ($this->labelParts($parts) as $n => $ofPart) {
            foreach ($ofPart as $finding) {
                $findings[] = $finding->onLabelOf($name, $grams === null ? null : self::share($parts[$n], $grams));
            }
        }

        return Finding::unique($findings);
    }

    /** "cocoa 7.4 %" of 50 g: what a printed share comes to on this line; null where none is printed. */
    private static function share(LabelPart $part, Range $grams): ?string
    {
        return $part->percent === null ? null : $part->text.', '.Figure::of($part->percent * $grams->high / 100).' g of the '.Figure::of($grams->high).' g';
    }

    /**
     * @param  list<LabelPart>  $parts
     * @return list<list<Finding>> of each part of a printed list
     */
    public function labelParts(array $parts): array
    {
        $areSavoury = LabelGoods::areSavoury($parts);

        return array_map(fn (LabelPart $part): array => $this->labelPart($part, $areSavoury), $parts);
    }

    /** @return list<Finding> */
    private function labelPart(LabelPart $part, bool $isSavoury): array
    {
        $findings = [];
        foreach ($part->lines as $line) {
            foreach ($line->foods() as $food) {
                foreach ($this->foods([$food], $line->saidOf($food)) as $finding) {
                    if ($part->trace) {
                        $findings[] = self::asTrace($finding, $food);
                    } elseif (! self::isHarmlessInList($finding, $food, $part->isSpelled, $isSavoury)) {
                        $findings[] = $finding;
                    }
                }
            }
            if (! $part->trace && ! $part->isSpelled && $line->food !== null) {
                array_push($findings, ...Change::of($line->food, array_values(array_intersect($line->unsettled, self::SEASONED))));
            }
            if (! $part->trace && ! $line->isUnderstood()) {
                $findings[] = Saying::of('unrecognised', 'label')->finding(fill: ['{text}' => $part->text]);
            }
        }

        return Finding::unique(array_values(array_filter($findings)));
    }

    /** What matters of a spoonful and not in a printed list, or is answered by what the list says next to it. */
    private static function isHarmlessInList(Finding $finding, Ingredient $food, bool $isSpelled, bool $isSavoury): bool
    {
        return match (true) {
            $finding->level === Level::Caution => ! in_array($finding->code, self::TOLD_IN_LISTS, true),
            in_array($finding->code, self::HARMLESS_IN_LISTS, true) => true,
            $finding->level !== Level::CheckLabel => false,
            $finding->code === 'category' => $isSpelled || ! $food->inAny(self::MAY_HIDE),
            $finding->code === 'seasoned' => $food->inGroup('check-flavouring') ? ! $isSavoury : $isSpelled,
            in_array($finding->code, self::SETTLED_WHEN_SPELLED, true) => $isSpelled,
            default => in_array($finding->code, self::SETTLED_BY_LABEL, true),
        };
    }

    /** What is only there in traces: xylitol and allergens are asked about, other poisons are told of, the rest is nothing. */
    private static function asTrace(Finding $finding, Ingredient $food): ?Finding
    {
        return match (true) {
            $finding->code === 'category' && $food->inAny(self::MAY_HIDE) => $finding->inTraces(Level::Caution),
            $finding->code === 'xylitol', $finding->level === Level::Allergen => $finding->inTraces(Level::CheckLabel),
            $finding->level === Level::Never => $finding->inTraces(Level::Caution),
            default => null,
        };
    }
}
