<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;

/** Splits a recipe's text into headings, ingredient lines and steps, also when it is told in sentences. */
final class RecipeReader
{
    /** Marks and numbers that open a row of a list. */
    public const BULLET = '/^\s*(?:\d\x{FE0F}?\x{20E3}\s*|[-*•·–—▢□☐◦▪‣+]\s*|\[[ xX]?\]\s*|\d{1,2}[.)]\s+(?=\S))+/u';

    private const MOST_KNOWN = 4000;

    public readonly LineReader $lines;

    /** @var array<string, array{list<ReadLine>, list<ReadStep>}> sentences read before, remembered: variants of one recipe repeat most of theirs */
    private array $known = [];

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->lines = new LineReader($catalogue);
    }

    /** @throws MadeRefused when what was made does not fit what is written */
    public function read(string $text, string $steps, AsMade $made = new AsMade): ReadRecipe
    {
        $lines = $read = $headings = [];
        $section = null;
        $inMethod = false;
        foreach (self::rows($text) as $row => $line) {
            [$plain, $place] = self::plain($line, $row, Place::TEXT);
            if ($plain === '') {
                continue;
            }
            $heading = Heading::of($plain, $this->lines->words(...));
            if ($heading->opens !== null) {
                $inMethod = $heading->opens === Heading::METHOD;
                $section = $inMethod ? $section : $heading->section;
                if ($heading->opens === Heading::SECTION && $heading->section !== null) {
                    $headings[] = [$heading->section, $place->part(0, mb_strlen($heading->section))];
                }
            }
            if ($heading->rest === '') {
                continue;
            }
            $at = $heading->from === 0 ? 0 : mb_strlen(substr($plain, 0, $heading->from));
            if ($inMethod && $heading->opens === null) {
                $read[] = ReadStep::read($heading->rest, $this->catalogue, $place->part($at, mb_strlen($heading->rest)));

                continue;
            }
            foreach (self::sentences($heading->rest) as [$sentence, $from]) {
                [$newLines, $newSteps] = $this->sentence($sentence, $place, $at + $from, $section);
                array_push($lines, ...$newLines);
                array_push($read, ...$newSteps);
            }
        }
        foreach (self::rows($steps) as $row => $line) {
            [$plain, $place] = self::plain($line, $row, Place::STEPS);
            if ($plain !== '') {
                $read[] = ReadStep::read($plain, $this->catalogue, $place);
            }
        }
        [$lines, $leftOut] = $made->of($lines);
        $added = array_merge([], ...array_map($this->added(...), $made->added));
        foreach ($headings as [$name, $place]) {
            array_push($lines, ...$this->namedOnlyIn($name, $place, [...$lines, ...$added]));
        }
        usort($lines, static fn (ReadLine $one, ReadLine $two): int => [$one->place->row, $one->place->from] <=> [$two->place->row, $two->place->from]);
        $said = [$text, $steps, ...array_map(static fn (Addition $one): string => $one->text, $made->added)];

        return new ReadRecipe([...$lines, ...$added], $read, self::otherAnimals(implode("\n", $said)), $leftOut);
    }

    /**
     * Reads as the same words on a row of the list; what would be no line there is one all the same: nothing that went in is passed over.
     *
     * @return non-empty-list<ReadLine>
     */
    private function added(Addition $one): array
    {
        $text = trim((string) preg_replace('/\s*\R\s*/u', ', ', trim($one->text)));
        [$plain] = self::plain($text, 0, Place::TEXT);
        $lines = [];
        foreach (self::sentences($plain) as [$sentence]) {
            array_push($lines, ...$this->sentence($sentence, Place::nowhere(), 0, $one->section)[0]);
        }
        $lines = $lines === [] ? [$this->lines->ofWords($this->lines->words($plain), Place::nowhere(), $one->section)] : $lines;

        return array_map(static fn (ReadLine $line): ReadLine => $line->asAdded(), $lines);
    }

    /**
     * A heading that names a food is a line too, unless a line holds that food.
     *
     * @param  list<ReadLine>  $lines
     * @return list<ReadLine>
     */
    private function namedOnlyIn(string $heading, Place $place, array $lines): array
    {
        $words = $this->lines->words($heading);
        foreach ($words->kept() as $mention) {
            $food = $this->catalogue->get($mention->ingredient);
            $last = $words->tokens[$mention->to - 1];
            $roles = Compiled::tables()['roles'];
            if ($food->inGroup('composite-head') && $mention->ambiguous || isset($roles[$last->text]) || isset($roles[$last->stem])) {
                continue;
            }
            $stems = array_map(static fn (Token $token): string => $token->stem, array_slice($words->tokens, $mention->from, $mention->to - $mention->from));
            $isHeld = array_filter($lines, static fn (ReadLine $line): bool => array_filter(
                $line->foods(), static fn (Ingredient $known): bool => $known->id === $food->id || $known->isNamedBy($food) || $known->isCoveredBy($food->id) || $known->like === $food->id
            ) !== [] || array_diff($stems, $line->keys) === []) !== [];
            if (! $isHeld) {
                return [$this->lines->ofWords($words, $place, $heading)->asHeading()];
            }
        }

        return [];
    }

    /** A row of a method by itself. */
    public function step(string $row): ReadStep
    {
        return ReadStep::read($row, $this->catalogue, Place::nowhere());
    }

    /** @return list<string> the rows of a text as they are counted */
    public static function rows(string $text): array
    {
        return explode("\n", str_replace(["\r\n", "\r", "\u{2028}", "\u{2029}", "\u{0085}", "\v", "\f"], "\n", $text));
    }

    /**
     * A row without its bullet, and where what is left of it stands.
     *
     * @param  'text'|'steps'  $in
     * @return array{string, Place}
     */
    private static function plain(string $line, int $row, string $in): array
    {
        $rest = ltrim((string) preg_replace(self::BULLET, '', $line));
        $plain = rtrim($rest);
        $cut = strlen($line) - strlen($rest);
        $from = $cut === 0 ? 0 : mb_strlen(substr($line, 0, $cut));

        return [$plain, new Place($row, $in, $from, $from + mb_strlen($plain))];
    }

    /** @return list<array{string, int}> each with its first code point in the line */
    private static function sentences(string $line): array
    {
        if (strlen($line) < 60 && preg_match('/[.!?]\s+\p{Lu}/u', $line) !== 1) {
            return [[$line, 0]];
        }
        $sentences = [];
        $at = 0;
        foreach (preg_split('/(?<=[.!?;])(\s+)(?=[\p{Lu}"\'(])/u', $line, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$line] as $part) {
            $from = $at;
            $at += strlen($part);
            $rest = ltrim($part);
            if (rtrim($rest) !== '') {
                $sentences[] = [rtrim($rest), mb_strlen(substr($line, 0, $from + strlen($part) - strlen($rest)))];
            }
        }

        return $sentences;
    }

    /**
     * A sentence reads the same each time.
     *
     * @return array{list<ReadLine>, list<ReadStep>}
     */
    private function sentence(string $sentence, Place $line, int $at, ?string $section): array
    {
        if (count($this->known) > self::MOST_KNOWN) {
            $this->known = [];
        }

        $from = $line->from + $at;

        return $this->known["{$line->row}|$from|$section|$sentence"] ??= $this->readSentence($sentence, $line->part($at, mb_strlen($sentence)), $section);
    }

    /** @return array{list<ReadLine>, list<ReadStep>} */
    private function readSentence(string $sentence, Place $place, ?string $section): array
    {
        $all = $this->lines->words($sentence);
        $step = fn (): array => [[], [ReadStep::read($sentence, $this->catalogue, $place)]];
        if (Told::isOfMethod($all)) {
            $lines = array_map(fn (Clause $clause): ReadLine => $this->clause($all, $clause, $sentence, $place, $section, null), Told::servings($all, $this->catalogue));

            return [$lines, $step()[1]];
        }
        $isEmpty = $all->amounts === [] && count($all->mentions) === count($all->negated);
        if (Told::isYield($all) || $isEmpty && ($all->mentions !== [] || Told::isRemark($all))) {
            // a warning ("No raisins, please"), a remark ("Makes 24"): kept, but nothing goes in the bowl
            return $step();
        }
        if (preg_match('/\p{L}/u', $all->clean) !== 1 && trim($all->clean, "-_=*. \t") === '') {
            return [[], []];
        }
        $condition = LineReader::condition($all->clean);
        $clauses = Clauses::of($all, $this->catalogue, $condition[1] ?? PHP_INT_MAX);
        $purpose = count($clauses) === 1 ? null : LineReader::purpose($all->tokens, $all->clean);

        return [array_map(fn (Clause $clause): ReadLine => $this->clause($all, $clause, $sentence, $place, $section, $purpose), $clauses), []];
    }

    private function clause(Words $all, Clause $clause, string $sentence, Place $place, ?string $section, ?string $purpose): ReadLine
    {
        if ($clause->from === 0 && $clause->to === count($all->tokens)) {
            return $this->lines->ofWords($all, $place, $section, $clause->shared);
        }
        $last = $all->tokens[$clause->to - 1];
        [$first, $end] = Alignment::of($sentence, $all->clean, $all->tokens[$clause->from]->offset, $last->offset + $last->length);
        $words = $all->part($clause->from, $clause->to, mb_substr($sentence, $first, $end - $first));

        return $this->lines->ofWords($words, $place->part($first, $end - $first), $section, $clause->shared, $purpose);
    }

    /** @return list<string> */
    private static function otherAnimals(string $text): array
    {
        preg_match_all('/\b(cats?|kittens?|ferrets?|parrots?|budgies?|hamsters?|guinea pigs?|hedgehogs?|horses?|ponies|pony)\b(?!\s*(meat|mackerel|chestnut|radish))/iu', $text, $found);

        return array_values(array_unique(array_map(mb_strtolower(...), $found[0])));
    }
}
