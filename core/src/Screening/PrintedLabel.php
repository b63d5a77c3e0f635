<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

/**
 * What is printed on a label, row by row as it stands there, with its list of ingredients found in it: the list runs from its head to
 * where something else begins; where no head is read, everything is taken for the list, since a food must not be lost. Rows are joined to
 * running text, as they were before they were broken.
 */
final readonly class PrintedLabel
{
    /** A list with fewer separators than this to a row has a food a row. */
    private const SEPARATORS = 0.34;

    private const SEPARATOR = '/[,;.]/u';

    /**
     * @param  string  $name  the first row above the list; empty where there is none
     * @param  string  $list  with its head
     * @param  string  $rest  what stands above and below
     * @param  array<int, array{int, int}>  $spans  where each word of the list stands in it, by the word's number on the label, in code points
     */
    private function __construct(public string $name, public string $list, public string $rest, public array $spans) {}

    /** @param  list<list<string>>  $rows the words of each row */
    public static function read(array $rows): self
    {
        [$from, $to] = self::listIn($rows);
        $words = [];
        foreach ($rows as $row => $those) {
            foreach ($those as $word) {
                $words[] = [$word, $row];
            }
        }
        $isARowEach = self::isARowEach(array_slice($words, $from, $to - $from));
        $list = '';
        /** @var array<int, array{int, int}> $spans */
        $spans = [];
        for ($n = $from; $n < $to; $n++) {
            [$word, $row] = $words[$n];
            $isNext = $n > $from && $words[$n - 1][1] !== $row;
            if ($isNext && preg_match('/\p{L}-$/u', $list) === 1 && preg_match('/^\p{Ll}/u', $word) === 1) {
                $list = mb_substr($list, 0, -1);
                $spans[$n - 1] = [$spans[$n - 1][0], $spans[$n - 1][1] - 1];
            } elseif ($n > $from) {
                $list .= $isNext && $isARowEach ? "\n" : ' ';
            }
            $begin = mb_strlen($list);
            $list .= $word;
            $spans[$n] = [$begin, mb_strlen($list)];
        }
        $above = array_slice($words, 0, $from);
        $name = $above === [] ? '' : self::said(array_values(array_filter($above, static fn (array $one): bool => $one[1] === $above[0][1])));

        return new self($name, $list, trim(self::said($above).' '.self::said(array_slice($words, $to))), $spans);
    }

    /**
     * @param  list<list<string>>  $rows
     * @return array{int, int} its first word, and the first behind it
     */
    private static function listIn(array $rows): array
    {
        $text = '';
        $starts = [];
        foreach ($rows as $row) {
            foreach ($row as $n => $word) {
                $text .= $n === 0 ? ($text === '' ? '' : "\n") : ' ';
                $starts[] = strlen($text);
                $text .= $word;
            }
        }
        $wordAt = static function (int $at) use ($starts): int {
            $n = 0;
            while ($n < count($starts) && $starts[$n] < $at) {
                $n++;
            }

            return $n;
        };
        $from = 0;
        // a head begins a row, or follows a full stop
        if (preg_match('/(?:^|(?<=\n)|(?<=\. ))'.LabelReader::HEAD_WORDS.'\s*:/iu', $text, $head, PREG_OFFSET_CAPTURE) === 1) {
            $from = $wordAt($head[0][1]);
        }
        $to = count($starts);
        if ($from < $to && preg_match('/(?<=[.;\n])\s*'.LabelReader::OTHER_WORDS.'/iu', $text, $other, PREG_OFFSET_CAPTURE, $starts[$from]) === 1) {
            // what may be in it is said behind everything else on some labels
            $end = $wordAt($other[0][1] + strlen($other[0][0]) - strlen(ltrim($other[0][0])));
            $to = preg_match('/'.LabelReader::TRACE_WORDS.'/iu', $text, $trace, 0, $other[0][1]) === 1 ? $to : $end;
        }

        return [$from, $to];
    }

    /** @param  list<array{string, int}>  $words */
    private static function said(array $words): string
    {
        return implode(' ', array_column($words, 0));
    }

    /** @param  list<array{string, int}>  $words */
    private static function isARowEach(array $words): bool
    {
        $rows = count(array_unique(array_column($words, 1)));
        $separators = count(array_filter($words, static fn (array $one): bool => preg_match(self::SEPARATOR, $one[0]) === 1));

        return $rows > 2 && $separators < self::SEPARATORS * $rows;
    }
}
