<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;

/** Splits a recipe's text into headings, ingredient lines and steps, also when it is told in sentences. */
final class RecipeReader
{
    private const METHOD = '/^(the\s+)?(method|directions|instructions|steps|preparation|how to make( it| them)?|what to do|to make)\b.{0,20}$/iu';

    private const INGREDIENTS = '/^(the\s+)?(ingredients?|you will need|you need|what you need|shopping list)\b.{0,20}$/iu';

    /** Marks and numbers that open a row of a list. */
    public const BULLET = '/^\s*(?:[-*•·–—▢□☐◦▪‣+]\s*|\[[ xX]?\]\s*|\d{1,2}[.)]\s+(?=\S))+/u';

    private const MOST_KNOWN = 4000;

    public readonly LineReader $lines;

    /** @var array<string, array{list<ReadLine>, list<ReadStep>}> sentences read before, remembered: variants of one recipe repeat most of theirs */
    private array $known = [];

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->lines = new LineReader($catalogue);
    }

    public function read(string $text, string $steps): ReadRecipe
    {
        $lines = $read = [];
        $section = null;
        $inMethod = false;
        foreach (self::rows($text) as $row => $line) {
            [$plain, $place] = self::plain($line, $row, Place::TEXT);
            if ($plain === '') {
                continue;
            }
            $heading = self::heading($plain);
            if ($heading !== null) {
                if (preg_match(self::METHOD, $heading) === 1) {
                    $inMethod = true;
                } else {
                    $inMethod = false;
                    $section = preg_match(self::INGREDIENTS, $heading) === 1 ? null : $heading;
                }

                continue;
            }
            if ($inMethod) {
                $read[] = ReadStep::read($plain, $this->catalogue, $place);

                continue;
            }
            foreach (self::sentences($plain) as [$sentence, $at]) {
                [$newLines, $newSteps] = $this->sentence($sentence, $place, $at, $section);
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

        return new ReadRecipe($lines, $read, self::otherAnimals($text."\n".$steps));
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

    private static function heading(string $line): ?string
    {
        $line = trim($line, "*#_ \t");
        if (ctype_digit($line[0] ?? '') && ! str_ends_with($line, ':')) {
            return null;
        }
        if (preg_match(self::METHOD, rtrim($line, ':')) === 1 || preg_match(self::INGREDIENTS, rtrim($line, ':')) === 1) {
            return rtrim($line, ': ');
        }
        if (str_ends_with($line, ':') && mb_strlen($line) <= 80) {
            return rtrim($line, ': ');
        }
        if (preg_match('/^for the\b/i', $line) === 1 && preg_match('/\d|½|¼|¾|⅓|⅔/u', $line) !== 1 && ! str_contains($line, ',') && str_word_count($line) <= 7) {
            return rtrim($line, '. ');
        }

        return null;
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
        $lines = $steps = [];
        $all = $this->lines->words($sentence);
        [$clean, $tokens, $mentions, $taken, $negated] = [$all->clean, $all->tokens, $all->mentions, $all->taken, $all->negated];
        $named = count($mentions) - count($negated);
        if (self::isProse($tokens, $mentions)) {
            [$inSteps] = MentionFinder::find($tokens, $this->catalogue->lexicon, true);
            $amounts = array_values(array_filter(AmountReader::read($tokens, $taken), static fn (Amount $amount): bool => self::servesFood($amount, $mentions, $tokens)));
            $chunks = $amounts === [] || $inSteps === [] || $named === 0 ? [] : self::chunks($clean, $tokens, $mentions, $negated, $amounts);
            foreach ($chunks as [$chunk, $from]) {
                [$first, $last] = Alignment::of($sentence, $clean, $from, $from + strlen($chunk));
                $lines[] = $this->lines->ofWords($this->lines->words($chunk), $place->part($first, $last - $first), $section);
            }
            $steps[] = ReadStep::read($sentence, $this->catalogue, $place);

            return [$lines, $steps];
        }
        if ($mentions !== [] && $named === 0 && AmountReader::read($tokens, $taken) === []) {
            // a warning only ("No raisins, please"): kept, but nothing goes in the bowl
            $steps[] = ReadStep::read($sentence, $this->catalogue, $place);

            return [$lines, $steps];
        }
        if (preg_match('/\p{L}/u', $clean) !== 1) {
            if (trim($clean, "-_=*. \t") === '') {
                return [[], []];
            }
        }
        $lines[] = $this->lines->ofWords($all, $place, $section);

        return [$lines, $steps];
    }

    /**
     * A step opens with a cooking verb that is not part of a food's name ("cream cheese", "ground oats").
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     */
    private static function isProse(array $tokens, array $mentions): bool
    {
        $first = null;
        foreach ($tokens as $index => $token) {
            if ($token->kind === Token::WORD) {
                $first = $index;
                break;
            }
            if ($token->kind === Token::NUMBER) {
                return false;
            }
        }
        if ($first === null) {
            return false;
        }
        foreach ($mentions as $mention) {
            if ($mention->from === $first && ! $mention->ambiguous) {
                return false;
            }
        }
        $verbs = Compiled::tables()['verbs'];
        $word = $tokens[$first]->text;
        if (! isset($verbs[$word])) {
            return false;
        }
        $next = $tokens[$first + 1] ?? null;

        // "dry oats" or "whole mix" would be a line; an imperative takes an article, a preposition, an amount or a food
        return $next !== null && (count($tokens) > 3 || $next->is('the', 'it', 'all', 'well', 'in', 'with', 'out', 'up', 'until', 'for', 'to', 'together')
            || in_array($word, ['mix', 'stir', 'bake', 'preheat', 'roll', 'combine', 'add', 'use', 'dust', 'knead', 'sprinkle', 'fold', 'beat', 'whisk', 'freeze', 'serve'], true));
    }

    /**
     * Whether an amount of a told sentence goes into the bowl; "cut into 30 biscuits" and "makes 40 treats" come out of it.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Token>  $tokens
     */
    private static function servesFood(Amount $amount, array $mentions, array $tokens): bool
    {
        if (($tokens[$amount->from - 1] ?? null)?->is('into', 'makes', 'yields', 'make') === true) {
            return false;
        }
        foreach ($mentions as $mention) {
            if ($mention->from >= $amount->from && $mention->from <= $amount->to + 4) {
                return true;
            }
        }

        return false;
    }

    /**
     * Cuts a sentence into one piece a food: each new amount opens one, and so does a food after a comma or "and".
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, true>  $negated
     * @param  list<Amount>  $amounts
     * @return list<array{string, int}> each with its first byte in the cleaned sentence
     */
    private static function chunks(string $clean, array $tokens, array $mentions, array $negated, array $amounts): array
    {
        $starts = [];
        foreach ($amounts as $amount) {
            $before = $tokens[$amount->from - 1] ?? null;
            if ($starts !== [] && $before?->is('(', '+', 'plus', '[') === true) {
                continue;
            }
            $starts[$amount->from] = true;
        }
        foreach ($mentions as $index => $mention) {
            if (isset($negated[$index])) {
                continue;
            }
            $before = $tokens[$mention->from - 1] ?? null;
            $covered = false;
            foreach ($amounts as $amount) {
                if ($mention->from >= $amount->from && $mention->from <= $amount->to + 4 && ! self::marked($tokens, $amount->to, $mention->from)) {
                    $covered = true;
                }
            }
            if (! $covered && $before?->is(',', 'and', '&', 'with') === true) {
                $starts[$mention->from] = true;
            }
        }
        ksort($starts);
        $indexes = array_keys($starts);
        $chunks = [];
        foreach ($indexes as $n => $index) {
            $from = $tokens[$index]->offset;
            $to = isset($indexes[$n + 1]) ? $tokens[$indexes[$n + 1]]->offset : strlen($clean);
            $chunk = substr($clean, $from, $to - $from);
            $from += strlen($chunk) - strlen(ltrim($chunk, " ,.;\t"));
            // what follows the food's own clause belongs to the telling
            $chunk = (string) preg_replace('/[.;!?]\s.*$|\s+(and|&|with|plus|then|until|into|before|together)\s*$|\s+(then|until|into|before|over|in a|in the|and (then )?(mix|stir|bake|roll|knead|cut|form|shape|let|leave|chill|freeze|press|spread|cook|pour|blend))\b.*$/iu', '', trim($chunk, " ,.;\t"));
            $chunk = trim((string) preg_replace('/[,\s]+(and|&|with|plus|then)?\s*$/iu', '', $chunk), ' ,.;');
            if ($chunk !== '') {
                $chunks[] = [$chunk, $from];
            }
        }

        return $chunks;
    }

    /** @param  list<Token>  $tokens */
    private static function marked(array $tokens, int $from, int $to): bool
    {
        for ($i = $from; $i < $to; $i++) {
            if ($tokens[$i]->is(',', 'and', '&', ';', '.')) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function otherAnimals(string $text): array
    {
        preg_match_all('/\b(cats?|kittens?|ferrets?|parrots?|budgies?|hamsters?|guinea pigs?|hedgehogs?|horses?|ponies|pony)\b(?!\s*(meat|mackerel|chestnut|radish))/iu', $text, $found);

        return array_values(array_unique(array_map(mb_strtolower(...), $found[0])));
    }
}
