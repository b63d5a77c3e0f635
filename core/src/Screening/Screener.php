<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadStep;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Range;

/** Says what there is to say about a line, a step or a label, for every dog at the table. */
final readonly class Screener
{
    public function __construct(private Circumstances $circumstances) {}

    /** @return list<Finding> */
    public function line(ReadLine $line, ?Range $grams): array
    {
        $findings = $this->foods($line->foods(), $line->says(...));
        if ($line->ingredient === null) {
            $findings[] = new Finding(null, Level::Unknown, 'unrecognised', 'This line was not recognised.', 'Write the food by a plainer name, or leave it out.', source: 'the catalogue');
        } elseif ($line->unread !== []) {
            $findings[] = new Finding(null, Level::Unknown, 'unread-words', 'Not understood: '.implode(', ', $line->unread).'.', 'Write it in plainer words, or leave the word out if it says nothing about the food.', source: 'the catalogue');
        }
        if ($line->lookAlikes) {
            $findings[] = new Finding(null, Level::Unknown, 'look-alike-letters', 'This line holds letters of another alphabet that look like ours.', 'Type the line again.', source: 'the reader');
        }
        if ($line->ingredient !== null && $grams === null) {
            if ($line->amounts === []) {
                $findings[] = new Finding(null, Level::Unknown, 'amount-missing', 'No amount is given.', 'Write how much.', source: 'the reader');
            } elseif (Catalogue::get($line->ingredient)->composition !== null) {
                $findings[] = new Finding(null, Level::Unknown, 'amount-unweighed', 'How much that weighs is not known.', 'Write the amount in grams or cups.', source: 'the reader');
            }
        }

        return self::unique($findings);
    }

    /**
     * @param  list<string>  $ids
     * @param  callable(list<string>): bool  $says
     * @return list<Finding>
     */
    public function foods(array $ids, callable $says): array
    {
        $findings = [];
        foreach ($ids as $id) {
            $food = Catalogue::get($id);
            array_push($findings, ...Rules::apply($food, $says, $this->circumstances));
            foreach ($this->circumstances->dogs as $dog) {
                if ($dog->allergies !== [] || $dog->conditions !== [] || $dog->allowList !== null) {
                    array_push($findings, ...Allergies::apply($food, $dog, $says, $this->circumstances));
                }
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
        foreach ($step->foods as $id) {
            if ($this->hasLine($id, $step->phrases[$id] ?? '', $lines)) {
                continue;
            }
            array_push($findings, ...$this->foods([$id], $step->says(...)));
            $name = Catalogue::get($id)->name;
            $findings[] = new Finding(null, Level::Unknown, 'named-only-in-step', ucfirst($name).' is named only in the method.', 'Give it a line of its own with its amount, or take it out of the step.', source: 'the reader');
        }

        return self::unique($findings);
    }

    /** @param  list<ReadLine>  $lines */
    private function hasLine(string $id, string $phrase, array $lines): bool
    {
        if ($id === 'water' || $id === 'ice') {
            return true;
        }
        $food = Catalogue::get($id);
        $words = explode(' ', $phrase);
        foreach ($lines as $line) {
            foreach ($line->foods() as $known) {
                // "flour" in the method is the oat flour of the list
                if ($known === $id || Catalogue::get($known)->isNamedBy($food)) {
                    return true;
                }
            }
            if ($line->ingredient !== null && $words !== [''] && array_diff($words, $line->keys) === [] && ! $this->isWorse($id, $line)) {
                return true;
            }
        }

        return false;
    }

    /** A poison is not covered by a harmless line that happens to hold the same word. */
    private function isWorse(string $id, ReadLine $line): bool
    {
        $nothing = static fn (array $phrases): bool => false;

        return self::worst($this->foods([$id], $nothing)) < self::worst($this->foods($line->foods(), $nothing));
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
    public function label(string $name, string $ingredients): array
    {
        $findings = [];
        foreach (LabelReader::read($ingredients) as $part) {
            foreach ($this->labelPart($part) as $finding) {
                $findings[] = new Finding(
                    $finding->dog, $finding->level, $finding->code, "On the label of $name: {$finding->message}", $finding->advice,
                    $finding->figure, $finding->emergency, $finding->source,
                );
            }
        }

        return self::unique($findings);
    }

    /** @return list<Finding> */
    public function labelPart(LabelPart $part): array
    {
        $findings = [];
        foreach ($part->lines as $line) {
            foreach ($line->foods() as $id) {
                foreach ($this->foods([$id], $line->says(...)) as $finding) {
                    $harmless = $finding->level === Level::Caution
                        || ($finding->level === Level::CheckLabel && (in_array($finding->code, ['nut-butter', 'cured-meat', 'food-colour', 'sweetened-check', 'pie-filling-check'], true)
                            || ($finding->code === 'category' && ! Catalogue::get($id)->inGroup('spice-mix'))));
                    if (! $harmless || $part->trace) {
                        $findings[] = $part->trace ? $this->asTrace($finding) : $finding;
                    }
                }
            }
            if (! $part->trace && ($line->ingredient === null || $line->unread !== [])) {
                $findings[] = new Finding(null, Level::Unknown, 'unrecognised', "\"{$part->text}\" was not recognised.", 'Find out what it is before any dog gets it.', source: 'the catalogue');
            }
        }

        return self::unique(array_values(array_filter($findings)));
    }

    private function asTrace(Finding $finding): ?Finding
    {
        $level = match (true) {
            $finding->code === 'xylitol', $finding->level === Level::Allergen => Level::CheckLabel,
            $finding->level === Level::Never => Level::Caution,
            default => null,
        };

        return $level === null ? null : new Finding($finding->dog, $level, 'trace-'.$finding->code, 'May contain traces. '.$finding->message, 'Ask the maker, or take another product.', $finding->figure, false, $finding->source);
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public static function unique(array $findings): array
    {
        $seen = [];
        foreach ($findings as $finding) {
            $seen["{$finding->dog}|{$finding->level->value}|{$finding->code}|{$finding->message}"] ??= $finding;
        }
        $findings = array_values($seen);
        usort($findings, static fn (Finding $a, Finding $b): int => $a->level->rank() <=> $b->level->rank());

        return $findings;
    }
}
