<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Emoji;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\RecipeReader;

/**
 * A recipe written down as plain text or Markdown: a title, a list, a method, and what stands around them.
 * Several in one document are told apart by their titles.
 */
final readonly class Notes
{
    public function __construct(private RecipeReader $reader) {}

    private const LIST = '/^(?!.*\d\s*(?:g|kg|ml|cups?|tbsp|tsp|oz|lb)\b)(?:(?:amounts?|quantit(?:y|ies))\s+(?:ingredients?|foods?|items?)|(?:ingredients?|foods?|items?)\s+(?:amounts?|quantit(?:y|ies))|(?:the\s+)?(?:ingredients?\b.{0,30}|what goes in(?:to)?(?: it| them)?|what(?:\'|’)?s in (?:it|them)|shopping list|(?:you(?:\'|’)?(?:ll| will)? need|what you(?:\'|’)?(?:ll| will)? need|for the list)\b[^\d½¼¾⅓⅔]{0,30}))$/iu';

    private const METHOD = '/^(the\s+)?(method|how|directions?|instructions?|steps|preparation|how to(?: make\b.{0,20})?|what to do|procedure)\s*:?$/iu';

    private const ASIDE = '/^(notes?|tips?|storage|storing|nutrition( facts| information)?|comments?|equipment|about|reviews?|video|related|you may also like|faq|newsletter|share|print|rating)\b.{0,40}$/iu';

    /** Where a page goes on to something else, whatever mark stands before it. */
    private const ELSEWHERE = '/^(?:\d{1,5}\s+)?(?:comments?|replies|reviews?|ratings?|responses)\s*(?:\(\d+\))?$|^(?:leave a (?:reply|comment)|you may also like|more recipes|related (?:recipes|posts)|share this|nutrition(?: facts| information)?|video|did you make this)\b.{0,60}$/iu';

    /** Tags and calls to the audience: nothing of a recipe. */
    private const NOT_OF_IT = '/^\s*#\p{L}\w*(?:\s+#|\s*$)|(?:#\p{L}\w+\s*){2,}|^\W*(?:tag|follow|subscribe|like and|save this|share this|link in bio|comment|dm|double tap|advertisement|sponsored|jump to recipe|skip to recipe|pin (?:it|this)|print recipe|only \d+ ingredients|just \d+ ingredients)\b|^\W*[\d.]+ from \d+ votes|^\W*\p{Lu}\p{L}+(?: \p{Lu}\p{L}*\.?)?(?: \([^)]{1,30}\))? (?:says|wrote|writes|commented|replied)\s*:|^\W*(?:total|chill(?:ing)?|resting|active)\s+time\s*:|^\s*[★☆][★☆\s]*[\d.]*/iu';

    /** A heading that somebody says rather than writes: "here is what I make for Flint:". */
    private const SPEAKER = '/\b(?:I|my|we|our|here(?:\'s|’s| is| are| it is))\b/iu';

    /** "A) Turkey rolls": one of several recipes that are counted. */
    private const NUMBERED = '/^\s*(?:recipe\s+)?(?:[A-H]|\d{1,2}|[IVX]{1,4})[).:]\s+\p{Lu}[^.!?:\d]{2,60}$/u';

    /** "3 ingredient pumpkin dog treats": counted in a headline, not in the bowl. */
    private const HEADLINE = '/^\s*\d{1,2}[ -](?:ingredients?|minutes?|reasons?|ways|easy|simple|best|healthy|steps?|quick|homemade|favou?rite|things|tips)\b/iu';

    /** Bytes of a row; more is no line of a recipe. */
    private const LONGEST_ROW = 20_000;

    /** Rows of a document; fifty recipes have fewer. */
    private const MOST_ROWS = 20_000;

    /** What a card of a shop declares: allergens, who it is not for. */
    private const DECLARED = '/^(?:allerg(?:en|y)\w*(?: advice| information)?|may contain|not suitable(?: for)?|suitable for|best before|keep refrigerated|find us)\b\s*:?/iu';

    /** Rows of a chat that are of its people. */
    private const CHAT = '/\b(?:see (?:you|u) (?:at|on|tomorrow|later|soon)|i(?:\'|’)?ll bring|thx|tysm|lol)\b/iu';

    private const RULE = '/^\s*([-*_=]\s*){3,}$/';

    public function read(string $text): Clipped
    {
        $rows = substr_count($text, "\n");
        if ($rows > self::MOST_ROWS) {
            return new Clipped([], ['These are '.number_format($rows).' rows: no recipe has so many. Bring in the part that is one.']);
        }
        $read = new Rows($text, $this->reader);
        $recipes = [];
        $notUnderstood = $read->aside;
        foreach (self::documents($read->rows) as $rows) {
            [$recipe, $rest] = $this->one($rows);
            if ($recipe !== null) {
                $recipes[] = $recipe;
            }
            array_push($notUnderstood, ...$rest);
        }

        return new Clipped($recipes, array_values(array_unique($notUnderstood)));
    }

    /**
     * A new recipe begins at a title of the highest rank used, or at a ruled line, when a list follows.
     *
     * @param  list<string>  $rows
     * @return list<list<string>>
     */
    private static function documents(array $rows): array
    {
        $rank = null;
        foreach ($rows as $row) {
            if (preg_match('/^(#{1,3})\s+(.+)$/', $row, $found) === 1 && ! self::isPart($found[2])) {
                $rank = min($rank ?? 9, strlen($found[1]));
            }
        }
        $documents = [[]];
        $hasList = false;
        foreach ($rows as $index => $row) {
            $isTitle = $rank !== null && preg_match('/^#{'.$rank.'}\s+(.+)$/', $row, $found) === 1 && ! self::isPart($found[1]);
            $isRule = preg_match(self::RULE, $row) === 1;
            // without marks: a lone line right above "Ingredients" once a list has been seen
            $isNumbered = $rank === null && preg_match(self::NUMBERED, $row) === 1 && self::nextIsAmount($rows, $index);
            $isBare = $isNumbered || $rank === null && $hasList && trim($row) !== '' && ! self::isPart($row) && self::nextIsList($rows, $index) && mb_strlen($row) < 90;
            if (($isTitle || $isRule || $isBare) && self::isFilled(end($documents)) && ($isRule || self::hasBegun(end($documents)))) {
                $documents[] = [];
                $hasList = false;
            }
            if (! $isRule) {
                $documents[array_key_last($documents)][] = $row;
            }
            $hasList = $hasList || preg_match(self::LIST, self::bare($row)) === 1;
        }

        return array_values(array_filter($documents, self::isFilled(...)));
    }

    /**
     * Whether a document holds more than titles and talk: a second title right after the first names the same recipe.
     *
     * @param  list<string>  $rows
     */
    private static function hasBegun(array $rows): bool
    {
        return array_filter($rows, static fn (string $row): bool => preg_match('/^\s*[-*•▢□☐\d½¼¾⅓⅔]/u', $row) === 1 || preg_match(self::LIST, self::bare($row)) === 1) !== [];
    }

    /** @param  list<string>  $rows */
    private static function nextIsAmount(array $rows, int $index): bool
    {
        for ($i = $index + 1; $i <= $index + 2 && isset($rows[$i]); $i++) {
            if (trim($rows[$i]) !== '') {
                return preg_match('/^\s*(?:[-*•]\s*)?(?!\d{1,2}[.)]\s)[\d½¼¾⅓⅔]/u', $rows[$i]) === 1;
            }
        }

        return false;
    }

    /** @param  list<string>  $rows */
    private static function nextIsList(array $rows, int $index): bool
    {
        for ($i = $index + 1; $i <= $index + 4 && isset($rows[$i]); $i++) {
            if (preg_match(self::LIST, self::bare($rows[$i])) === 1) {
                return true;
            }
            if (trim($rows[$i]) !== '' && preg_match('/^(makes|yields?|serves|prep|cook|bake|from|source)\b/i', self::bare($rows[$i])) !== 1) {
                return false;
            }
        }

        return false;
    }

    /** @param  list<string>  $rows */
    private static function isFilled(array $rows): bool
    {
        return trim(implode('', $rows)) !== '';
    }

    private static function isPart(string $heading): bool
    {
        $heading = self::bare($heading);

        return preg_match(self::LIST, $heading) === 1 || preg_match(self::METHOD, $heading) === 1 || preg_match(self::ASIDE, $heading) === 1 || preg_match('/^for the\b/i', $heading) === 1;
    }

    private static function bare(string $row): string
    {
        return trim(preg_replace('/^[#>\s]+|[*_`]+|:\s*$|^[^\p{L}\p{N}(\[#]+(?=\p{L})|[^\p{L}\p{N})\].!?%]+$/u', '', $row) ?? '', " \t:");
    }

    /**
     * @param  list<string>  $rows
     * @return array{?Clipping, list<string>}
     */
    private function one(array $rows): array
    {
        $title = $yield = $source = null;
        $prep = $bake = null;
        $before = $list = $method = $aside = [];
        $part = 'before';
        foreach ($rows as $row) {
            if (preg_match('/^--\s*$/', $row) === 1) {
                // a signature follows
                $part = 'aside';

                continue;
            }
            $bare = self::bare($row);
            if ($bare === '' && Emoji::isFood($row)) {
                $bare = trim($row);
            }
            if ($bare === '') {
                continue;
            }
            if (strlen($row) > self::LONGEST_ROW) {
                $aside[] = 'A row of '.number_format(mb_strlen($row)).' letters is longer than a sheet: part it in lines. It begins "'.mb_substr(trim($row), 0, 60).'".';

                continue;
            }
            if (preg_match(self::NOT_OF_IT, $row) === 1) {
                $aside[] = trim($row);

                continue;
            }
            if (preg_match(self::DECLARED, $bare) === 1) {
                $aside[] = trim($row);

                continue;
            }
            $isHeading = preg_match('/^\s*#{1,6}\s/', $row) === 1 || preg_match('/^\s*\*\*.+\*\*:?\s*$/', $row) === 1;
            if ($title === null && preg_match(self::NUMBERED, $row) === 1 && $before === [] && $list === []) {
                $title = trim(preg_replace('/^\s*(?:recipe\s+)?\w{1,4}[).:]\s+/iu', '', $row) ?? $row);

                continue;
            }
            if ($isHeading && mb_strtolower($bare) === mb_strtolower($title ?? '')) {
                continue;
            }
            if ($isHeading && $title === null && ! self::isPart($bare)) {
                $title = $bare;

                continue;
            }
            if (preg_match(self::LIST, $bare) === 1) {
                $part = 'list';

                continue;
            }
            if (preg_match(self::METHOD, $bare) === 1) {
                $part = 'method';

                continue;
            }
            if ($isHeading && preg_match(self::ASIDE, $bare) === 1 || preg_match(self::ELSEWHERE, $bare) === 1 || preg_match('/^(notes?|tips?|storage|storing|nutrition)\s*:?\s*$/i', $bare) === 1) {
                $part = 'aside';

                continue;
            }
            if ($part !== 'method' && preg_match('/^(?:makes|yields?|serves|servings)\b\s*:?\s*(.+)$/iu', $bare, $found) === 1 && $yield === null) {
                $yield = trim($found[1], ' .');

                continue;
            }
            if (preg_match('/^(?:prep(?:aration)?)(?:\s+time)?\s*:?\s*(.{0,40})$/iu', $bare, $found) === 1 && Minutes::ofWords($found[1]) !== null) {
                $prep = Minutes::ofWords($found[1]);

                continue;
            }
            if (preg_match('/^(?:cook(?:ing)?|bak(?:e|ing))(?:\s+time)\s*:?\s*(.{0,40})$/iu', $bare, $found) === 1 && Minutes::ofWords($found[1]) !== null) {
                $bake = Minutes::ofWords($found[1]);

                continue;
            }
            if (preg_match('/^(?:source|from|recipe by|adapted from|clipped from)\s*:\s*(.{1,200})$/iu', $bare, $found) === 1) {
                $source = $found[1];

                continue;
            }
            $row = preg_replace('/(?<![*\w])\*(?=\S)([^*\n]{1,80})(?<=\S)\*(?![*\w])/u', '$1', $row) ?? $row;
            $clean = trim(preg_replace('/^>\s*|\*\*|__|`|!?\[([^\]]{0,200})\]\([^)]{0,500}\)/u', '$1', $row) ?? '');
            $clean = $isHeading ? rtrim($bare, ':').':' : trim(preg_replace(RecipeReader::BULLET, '', $clean) ?? '');
            match ($part) {
                'before' => $before[] = $clean, 'list' => $list[] = $clean, 'method' => $method[] = $clean, default => $aside[] = $clean,
            };
        }
        if ($list === [] && $before !== []) {
            return $this->unmarked($title, $before, $method, $aside, $yield, $prep, $bake, $source);
        }
        $measured = array_filter($before, fn (string $row): bool => mb_strlen($row) <= 120 && $this->isMeasured($row));
        $before = array_values(array_diff_key($before, $measured));
        $list = $list === [] ? [] : [...array_values($measured), ...$list];
        if ($title === null && $before !== [] && mb_strlen($before[0]) <= 120) {
            $title = array_shift($before);
        }
        $rest = [...$before, ...$aside];
        if ($list === []) {
            return [null, array_values(array_filter([$title, ...$rest, ...$method], static fn (?string $row): bool => $row !== null))];
        }

        return [new Clipping($title ?? 'Untitled', implode("\n", $list), implode("\n", $method), $yield, $prep, $bake, $source), $rest];
    }

    /**
     * Without an "Ingredients" heading: lines that name foods are the list, sentences that cook are the method, a short first line
     * without a food is the title.
     *
     * @param  list<string>  $rows
     * @param  list<string>  $method
     * @param  list<string>  $aside
     * @return array{?Clipping, list<string>}
     */
    private function unmarked(?string $title, array $rows, array $method, array $aside, ?string $yield, ?float $prep, ?float $bake, ?string $source): array
    {
        $isHeadline = count($rows) > 1 && preg_match(self::HEADLINE, $rows[0]) === 1 && $this->hasAmount($rows[1]);
        if ($title === null && $isHeadline) {
            $title = array_shift($rows);
        }
        if ($title === null && count($rows) > 1 && mb_strlen($rows[0]) <= 80 && preg_match('/^[\d½¼¾⅓⅔*•-]|[.:]$/u', $rows[0]) !== 1 && $this->namesNothing($rows[0], $rows[1])) {
            $title = array_shift($rows);
        }
        $list = $rest = [];
        $steps = $method;
        $named = $this->nameBefore($rows);
        if ($named !== null) {
            array_push($rest, ...array_slice($rows, 0, $named), ...array_filter([$title], static fn (?string $one): bool => $one !== null));
            $title = rtrim($rows[$named], ':');
            $rows = array_slice($rows, $named + 1);
        }
        foreach ($rows as $row) {
            if (preg_match(self::CHAT, $row) === 1 || (preg_match('/\?\W*$/u', $row) === 1 && ! $this->hasAmount($row))) {
                $rest[] = $row;

                continue;
            }
            if (preg_match('/\d\s*(?:mins?|minutes|hours?|°)\b/iu', $row) === 1 && array_filter($this->reader->read($row, '')->lines, static fn (ReadLine $line): bool => $line->food !== null) === []) {
                $steps[] = $row;

                continue;
            }
            if (str_ends_with($row, ':') && preg_match(self::SPEAKER, $row) !== 1) {
                $list[] = $row;

                continue;
            }
            $read = $this->reader->read($row, '');
            $foods = array_filter($read->lines, static fn (ReadLine $line): bool => $line->food !== null || $line->amounts !== []);
            $isMeasured = array_filter($read->lines, static fn (ReadLine $line): bool => $line->amounts !== []) !== [];
            if (($read->lines === [] && $read->steps !== [] && $this->cooks($row)) || (! $isMeasured && preg_match('/[.!]\s*$/', $row) === 1 && $this->cooks($row))) {
                $steps[] = $row;
            } elseif ($foods !== [] && ! self::isRemark($row, $read->lines)) {
                $list[] = $row;
            } else {
                $rest[] = $row;
            }
        }
        $hasFood = array_filter($list, static fn (string $row): bool => ! str_ends_with($row, ':')) !== [];
        if (! $hasFood) {
            return [null, array_values(array_filter([$title, ...$rows, ...$method, ...$aside], static fn (?string $row): bool => $row !== null))];
        }

        return [new Clipping($title ?? 'Untitled', implode("\n", $list), implode("\n", $steps), $yield, $prep, $bake, $source), [...$rest, ...$aside]];
    }

    /**
     * The short row that stands right before the list, with only talk above it: what is made.
     *
     * @param  list<string>  $rows
     */
    private function nameBefore(array $rows): ?int
    {
        foreach ($rows as $n => $row) {
            if ($this->hasAmount($row)) {
                $above = array_slice($rows, 0, $n);
                $naming = array_keys(array_filter($above, fn (string $one): bool => ! $this->isTalk($one)));
                if ($naming === [0] && $n > 1 && $n < 4 && mb_strlen($rows[0]) <= 60 && preg_match('/[.!?:,]\W*$/u', $rows[0]) !== 1) {
                    // "Pumpkin paws", "Save this for later", and then the list
                    return 0;
                }
                $name = $rows[$n - 1] ?? '';
                $isName = $n > 0 && mb_strlen($name) <= 60 && str_word_count($name) <= 8 && preg_match('/[.!?:,]\W*$/u', $name) !== 1 && preg_match(self::SPEAKER, $name) !== 1;

                return $isName && array_filter(array_slice($rows, 0, $n - 1), fn (string $one): bool => preg_match('/[.!?:,]\W*$/u', $one) !== 1 && ! $this->isTalk($one)) === [] ? $n - 1 : null;
            }
        }

        return null;
    }

    /** Whether a row above a list is of no list: it names no food. */
    private function isTalk(string $row): bool
    {
        return array_filter($this->reader->read($row, '')->lines, static fn (ReadLine $line): bool => $line->food !== null) === [];
    }

    /**
     * "My vet said he should eat more vegetables.": somebody speaks, without an amount, of no food in particular.
     *
     * @param  list<ReadLine>  $lines
     */
    private static function isRemark(string $row, array $lines): bool
    {
        return preg_match('/[.!]\W*$/u', $row) === 1 && preg_match(self::SPEAKER, $row) === 1
            && array_filter($lines, static fn (ReadLine $line): bool => $line->amounts !== [] || array_filter($line->foods(), static fn (Ingredient $food): bool => ! $food->inGroup('category-word')) !== []) === [];
    }

    /** Whether a sentence tells what to do: it names a heat or a time, or something is done in it. "Have fun." does neither. */
    private function cooks(string $row): bool
    {
        $heads = preg_match_all('/(?:^|[.;,!]|\b(?:and|then|now|gently|carefully|first|next|finally|next|until)\b)\W*(\p{L}+)/u', mb_strtolower($row), $found) > 0 ? $found[1] : [];

        return preg_match('/\d/', $row) === 1 || array_intersect_key(array_flip($heads), Compiled::tables()['verbs']) !== [];
    }

    /** A title has no amount, and the line below it has one. */
    private function namesNothing(string $row, string $next): bool
    {

        return ! $this->hasAmount($row) && ($this->hasAmount($next) || trim($next) === '' || str_ends_with($next, ':'));
    }

    private function hasAmount(string $row): bool
    {
        return array_filter($this->reader->read($row, '')->lines, static fn (ReadLine $line): bool => $line->food !== null && $line->amounts !== []) !== [];
    }

    /** Whether a row is a line of a list wherever it stands: it begins with its number, or its amount has a unit, and it is no sentence. */
    private function isMeasured(string $row): bool
    {
        if (preg_match('/^[^.!?]*[\d½¼¾⅓⅔][^.!?]*$/u', $row) !== 1 || preg_match(self::HEADLINE, $row) === 1 || ! $this->hasAmount($row)) {
            return false;
        }

        return preg_match('/^\s*[\d½¼¾⅓⅔]/u', $row) === 1 || array_filter($this->reader->read($row, '')->lines, static fn (ReadLine $line): bool => array_filter($line->amounts, static fn (Amount $one): bool => $one->unit !== 'each') !== []) !== [];
    }
}
