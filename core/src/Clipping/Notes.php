<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\RecipeReader;

/**
 * A recipe written down as plain text or Markdown: a title, a list, a method, and what stands around them.
 * Several in one document are told apart by their titles.
 */
final readonly class Notes
{
    public function __construct(private RecipeReader $reader) {}

    private const LIST = '/^(the\s+)?(ingredients?|you(\'|’)?(ll| will)? need|what you(\'|’)?(ll| will)? need|for the list)\b.{0,30}$/iu';

    private const METHOD = '/^(the\s+)?(method|directions?|instructions?|steps|preparation|how to(?: make\b.{0,20})?|what to do|procedure)\s*:?$/iu';

    private const ASIDE = '/^(notes?|tips?|storage|storing|nutrition( facts| information)?|comments?|equipment|about|reviews?|video|related|you may also like|faq|newsletter|share|print|rating)\b.{0,40}$/iu';

    /** Tags and calls to the audience: nothing of a recipe. */
    private const NOT_OF_IT = '/^\s*#\p{L}\w*(?:\s+#|\s*$)|(?:#\p{L}\w+\s*){2,}|^\W*(?:tag|follow|subscribe|like and|save this|share this|link in bio|comment|dm|double tap|advertisement|sponsored|jump to recipe|pin (?:it|this)|print recipe)\b/iu';

    /** Bytes of a row; more is no line of a recipe. */
    private const LONGEST_ROW = 20_000;

    private const RULE = '/^\s*([-*_=]\s*){3,}$/';

    public function read(string $text): Clipped
    {
        $recipes = $notUnderstood = [];
        foreach (self::documents($text) as $rows) {
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
     * @return list<list<string>>
     */
    private static function documents(string $text): array
    {
        $rows = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
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
            $isBare = $rank === null && $hasList && trim($row) !== '' && ! self::isPart($row) && self::nextIsList($rows, $index) && mb_strlen($row) < 90;
            if (($isTitle || $isRule || $isBare) && self::isFilled(end($documents))) {
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
            $bare = self::bare($row);
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
            $isHeading = preg_match('/^\s*#{1,6}\s/', $row) === 1 || preg_match('/^\s*\*\*.+\*\*:?\s*$/', $row) === 1;
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
            if ($isHeading && preg_match(self::ASIDE, $bare) === 1 || preg_match('/^(notes?|tips?|storage|storing|nutrition)\s*:?\s*$/i', $bare) === 1) {
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
            $clean = trim(preg_replace('/^>\s*|\*\*|__|`|!?\[([^\]]{0,200})\]\([^)]{0,500}\)/u', '$1', $row) ?? '');
            $clean = $isHeading ? rtrim($bare, ':').':' : trim(preg_replace(RecipeReader::BULLET, '', $clean) ?? '');
            match ($part) {
                'before' => $before[] = $clean, 'list' => $list[] = $clean, 'method' => $method[] = $clean, default => $aside[] = $clean,
            };
        }
        if ($list === [] && $before !== []) {
            return $this->unmarked($title, $before, $method, $aside, $yield, $prep, $bake, $source);
        }
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
        if ($title === null && count($rows) > 1 && mb_strlen($rows[0]) <= 80 && preg_match('/^[\d½¼¾⅓⅔*•-]|[.:]$/u', $rows[0]) !== 1 && $this->namesNothing($rows[0], $rows[1])) {
            $title = array_shift($rows);
        }
        $list = $rest = [];
        $steps = $method;
        foreach ($rows as $row) {
            if (str_ends_with($row, ':')) {
                $list[] = $row;

                continue;
            }
            $read = $this->reader->read($row, '');
            $foods = array_filter($read->lines, static fn (ReadLine $line): bool => $line->food !== null || $line->amounts !== []);
            if ($read->lines === [] && $read->steps !== []) {
                $steps[] = $row;
            } elseif ($foods !== []) {
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

    /** A title has no amount, and the line below it has one. */
    private function namesNothing(string $row, string $next): bool
    {
        $amounts = fn (string $text): bool => array_filter($this->reader->read($text, '')->lines, static fn (ReadLine $line): bool => $line->amounts !== []) !== [];

        return ! $amounts($row) && ($amounts($next) || trim($next) === '' || str_ends_with($next, ':'));
    }
}
