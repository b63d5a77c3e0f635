<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Reading\RecipeReader;

/**
 * The rows of a text as a person would read them: two columns one below the other, words and lines put together that a printed page parted,
 * the marks of mails and chats away, letters that a scanner took for figures. What is taken away is kept apart, never lost.
 */
final class Rows
{
    private const CHAT = '/^\W{0,2}(?:\d{1,4}[.\/-]\d{1,2}(?:[.\/-]\d{2,4})?,?\s+)?\d{1,2}:\d{2}(?::\d{2})?(?:\s?[ap]m)?(?:,?\s+\d{1,4}[.\/-]\d{1,2}(?:[.\/-]\d{2,4})?)?[\])]?\s*(?:-\s*)?[^:\n]{1,40}:\s+/iu';

    private const MAIL = '/^(?:from|to|cc|bcc|date|sent|reply-to|subject)\s*:\s*\S/i';

    private const QUOTED = '/^\s*>|^\s*On .{3,80} wrote:\s*$/i';

    private const GREETING = '/^\s*(?:hi|hello|hey|dear|good (?:morning|evening))\b[^.!?\d]{0,40}[,!]?\s*$|^\s*(?:greetings|kind regards|best wishes|regards|cheers|love|yours|see you|all the best|thanks)\b[^\d]{0,120}$/iu';

    private const PAGE = '/^\s*(?:[-–—]\s*\d{1,4}\s*[-–—]|(?:page|p\.)\s*\d{1,4}(?:\s*(?:of|\/)\s*\d{1,4})?|\d{1,4}\s*\/\s*\d{1,4})\s*$/iu';

    /** A gap that parts columns: no typist leaves three blanks inside a line. */
    private const GAP = '/\S(\s{3,}|\t+)(?=\S)/u';

    private const HEADS = '/^\s*((?:the\s+)?ingredients?\b[^\t]{0,20}?)(?:\s{3,}|\t+)((?:method|directions?|instructions?|steps|preparation)\s*:?)\s*$/iu';

    /** @var list<string> */
    public array $aside = [];

    /** @var list<string> */
    public array $rows;

    public function __construct(string $text, private readonly RecipeReader $reader)
    {
        $rows = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        $rows = $this->withoutPages($this->withoutMail($this->withoutChat($rows)));
        $this->rows = $this->captions($this->joined(array_map(self::scanned(...), self::columns(self::headed(self::facts($rows))))));
    }

    /**
     * @param  list<string>  $rows
     * @return list<string> what was said, without who and when
     */
    private function withoutChat(array $rows): array
    {
        $chat = array_filter($rows, static fn (string $row): bool => preg_match(self::CHAT, $row) === 1);

        return count($chat) < 2 ? $rows : array_map(static fn (string $row): string => preg_replace(self::CHAT, '', $row) ?? $row, $rows);
    }

    /**
     * @param  list<string>  $rows
     * @return list<string>
     */
    private function withoutMail(array $rows): array
    {
        $first = array_values(array_filter(array_slice($rows, 0, 8), static fn (string $row): bool => trim($row) !== ''));
        if (count(array_filter($first, static fn (string $row): bool => preg_match(self::MAIL, $row) === 1)) < 2) {
            return $rows;
        }
        $kept = [];
        foreach ($rows as $row) {
            if (preg_match('/^subject\s*:\s*(?:(?:re|fwd?|aw|wg)\s*:\s*)*(.+)$/i', $row, $found) === 1) {
                array_unshift($kept, '# '.trim($found[1]));
            } elseif (preg_match(self::MAIL, $row) === 1 || preg_match(self::QUOTED, $row) === 1 || preg_match(self::GREETING, $row) === 1) {
                $this->aside[] = trim($row);
            } else {
                $kept[] = $row;
            }
        }

        return $kept;
    }

    /**
     * @param  list<string>  $rows
     * @return list<string>
     */
    private function withoutPages(array $rows): array
    {
        $kept = [];
        foreach ($rows as $row) {
            if (preg_match(self::PAGE, $row) === 1) {
                $this->aside[] = trim($row);
            } else {
                $kept[] = $row;
            }
        }

        return $kept;
    }

    /**
     * "Ingredients … Method" over two columns: the left one first, then the right one.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private static function columns(array $rows): array
    {
        foreach ($rows as $at => $row) {
            if (preg_match(self::HEADS, $row, $heads) !== 1) {
                continue;
            }
            $left = [...array_slice($rows, 0, $at), $heads[1]];
            $right = [$heads[2]];
            $edge = mb_strlen($row) - mb_strlen(rtrim($heads[2])) - (mb_strlen($row) - mb_strlen(rtrim($row)));
            foreach (array_slice($rows, $at + 1) as $below) {
                [$one, $two] = self::cut($below, $edge);
                $left[] = $one;
                $right[] = $two;
            }

            return [...$left, ...array_values(array_filter($right, static fn (string $one): bool => trim($one) !== ''))];
        }

        return $rows;
    }

    /** @return array{string, string} a row cut at the gap that is nearest to where the second column begins */
    private static function cut(string $row, int $edge): array
    {
        preg_match_all(self::GAP, $row, $gaps, PREG_OFFSET_CAPTURE);
        $nearest = null;
        $at = 0;
        foreach ($gaps[1] as [$blank, $offset]) {
            $away = abs(mb_strlen(substr($row, 0, $offset)) + mb_strlen($blank) - $edge);
            if ($nearest === null || $away < $nearest) {
                [$nearest, $at] = [$away, $offset];
            }
        }
        if ($nearest !== null) {
            return [rtrim(substr($row, 0, $at)), trim(substr($row, $at))];
        }

        return mb_strlen($row) - mb_strlen(ltrim($row)) >= max(3, $edge - 4) ? ['', trim($row)] : [$row, ''];
    }

    /**
     * "Prep Time: 10 mins   Cook Time: 3 hrs": facts that stand side by side.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private static function facts(array $rows): array
    {
        $kept = [];
        foreach ($rows as $row) {
            $pieces = preg_split('/\s{3,}|\t+|\s+[|•·]\s+/u', trim($row)) ?: [$row];
            $isFacts = count($pieces) > 1 && array_filter($pieces, static fn (string $piece): bool => preg_match('/^[\p{L}][\p{L} ]{1,25}:\s*\S/u', $piece) !== 1) === [];
            array_push($kept, ...$isFacts ? $pieces : [$row]);
        }

        return $kept;
    }

    /**
     * "INGREDIENTS: 200 g oats, 1 egg. METHOD: Mix …": headings inside a row begin rows of their own.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private static function headed(array $rows): array
    {
        $kept = [];
        foreach ($rows as $row) {
            foreach (preg_split('/(?<=[.!?;,)\d])\s+(?=(?:ingredients|method|directions|instructions|preparation)\s*:)/iu', $row) ?: [$row] as $piece) {
                $isHeaded = preg_match('/^(\W*(?:ingredients|method|directions|instructions|preparation)\s*:)\s*(\S.*)$/iu', $piece, $found) === 1;
                array_push($kept, ...$isHeaded ? [$found[1], $found[2]] : [$piece]);
            }
        }

        return $kept;
    }

    /** A small L at the head of a row is a one, and a capital I in "Ingredients" an l: what a scanner makes of them. */
    private static function scanned(string $row): string
    {
        return preg_replace(['/^(\s*)l(?=\s+\p{L}{2,})/u', '/(?<![\p{L}\d])l(?=\/[2348]\b)/u', '/^(\s*)lngredients\b/u', '/(?<=\d)O(?=[\s.])/u', '/(?<=\s|^)O(?=[.,]\d)/u'], ['${1}1', '1', '${1}Ingredients', '0', '0'], $row) ?? $row;
    }

    /**
     * Words that were parted at a row's end, and lines that went on in the next: only where together they are understood, and apart not.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private function joined(array $rows): array
    {
        $kept = [];
        foreach ($rows as $row) {
            $last = array_key_last($kept);
            if ($last !== null && preg_match('/\p{Ll}-$/u', rtrim($kept[$last])) === 1 && preg_match('/^\p{Ll}/u', $row) === 1) {
                $kept[$last] = substr(rtrim($kept[$last]), 0, -1).$row;
            } elseif ($last !== null && preg_match('/^\p{Ll}[\p{L}\s,()-]{1,40}$/u', $row) === 1 && preg_match('/\d.*\p{L}$/u', rtrim($kept[$last])) === 1 && $this->belongTogether($kept[$last], $row)) {
                $kept[$last] = rtrim($kept[$last]).' '.$row;
            } else {
                $kept[] = $row;
            }
        }

        return $kept;
    }

    private function belongTogether(string $row, string $next): bool
    {
        return ! $this->isUnderstood($row) && $this->isUnderstood("$row $next");
    }

    private function isUnderstood(string $row): bool
    {
        $read = $this->reader->read($row, '');

        return count($read->lines) === 1 && $read->lines[0]->isUnderstood() && $read->lines[0]->amounts !== [];
    }

    /**
     * A caption that says everything in one row: its name up to the picture, the list, the sentences after it; its tags are away.
     *
     * @param  list<string>  $rows
     * @return list<string>
     */
    private function captions(array $rows): array
    {
        $kept = [];
        foreach ($rows as $row) {
            if (preg_match('/(?:\s#\p{L}[\p{L}\d_]*){1,40}\s*$/u', $row, $tags) === 1 && preg_match('/\d/', $row) === 1) {
                $this->aside[] = trim($tags[0]);
                $row = substr($row, 0, -strlen($tags[0]));
                if (preg_match('/^([^\d½¼¾⅓⅔:,.]{6,80}?\p{So}+)\s*(?=[\d½¼¾⅓⅔])(.+)$/u', $row, $found) === 1) {
                    $kept[] = $found[1];
                    $row = $found[2];
                }
                array_push($kept, ...preg_split('/(?<=[.!?])\s+(?=\p{Lu})/u', $row) ?: [$row]);

                continue;
            }
            $kept[] = $row;
        }

        return $kept;
    }
}
