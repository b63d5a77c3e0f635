<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/**
 * The words of a web page, without anything that could run or be drawn. The page is never built into a tree: what holds
 * structured data is taken out first, scripts and styles are dropped, block marks become line breaks.
 */
final class PlainPage
{
    private const BLOCKS = 'p|div|br|li|ul|ol|h[1-6]|tr|td|th|section|article|header|footer|main|nav|aside|table|blockquote|pre|hr|dd|dt|dl|figure|figcaption|form|title|option';

    /** @return list<string> the bodies of its JSON-LD scripts */
    public static function structured(string $html): array
    {
        $found = [];
        $at = 0;
        while (count($found) < 50 && ($start = stripos($html, '<script', $at)) !== false) {
            $open = strpos($html, '>', $start);
            if ($open === false) {
                break;
            }
            $end = stripos($html, '</script', $open);
            $end = $end === false ? strlen($html) : $end;
            if (stripos(substr($html, $start, $open - $start), 'ld+json') !== false) {
                // a "</script" inside a string ends the script for a browser, but need not end it for us
                for ($tries = 0, $longer = $end; $tries < 8 && json_decode(self::body($html, $open, $longer)) === null; $tries++) {
                    $next = $longer + 8 < strlen($html) ? stripos($html, '</script', $longer + 8) : false;
                    if ($next === false || $next - $longer > 5000) {
                        $longer = $end;
                        break;
                    }
                    $longer = $next;
                }
                $end = $tries < 8 ? $longer : $end;
                $found[] = self::body($html, $open, $end);
            }
            $at = $end;
        }

        return $found;
    }

    private static function body(string $html, int $open, int $end): string
    {
        return trim(preg_replace('/^\s*(<!--|\/\/\s*<!\[CDATA\[|<!\[CDATA\[)|(-->|\/\/\s*\]\]>|\]\]>)\s*$/', '', substr($html, $open + 1, $end - $open - 1)) ?? '');
    }

    public static function words(string $html): string
    {
        foreach (['script', 'style', 'noscript', 'template', 'svg', 'iframe', 'object', 'nav', 'footer', 'aside', 'form', 'button'] as $name) {
            $html = self::without($html, $name);
        }
        $html = self::withoutBystanders(preg_match('/<h[12][\s>]/i', $html) === 1 ? self::without($html, 'title') : $html);
        $html = preg_replace('/<!--.*?(-->|$)/s', ' ', $html) ?? '';
        $html = preg_replace('/\s*[\r\n]+\s*/', ' ', $html) ?? '';
        $html = preg_replace('/<\/t[dh]>\s*<t[dh](?:\s[^>]{0,2000})?>/i', ' ', $html) ?? '';
        $html = preg_replace('/<h[1-3][^>]{0,2000}>/i', "\n# ", $html) ?? '';
        $html = preg_replace('/<li[^>]{0,2000}>/i', "\n- ", $html) ?? '';
        $html = preg_replace('/<\/?(?:'.self::BLOCKS.')(?:\s[^>]{0,4000})?\/?>/i', "\n", $html) ?? '';
        $text = html_entity_decode(self::withoutTags($html), ENT_QUOTES | ENT_HTML5, 'UTF-8');
        $lines = array_map(static fn (string $line): string => trim(preg_replace('/[ \t\x{00A0}]+/u', ' ', $line) ?? ''), explode("\n", $text));

        return trim(preg_replace('/\n{3,}/', "\n\n", implode("\n", array_filter($lines, static fn (string $line): bool => ! in_array($line, ['#', '-'], true)))) ?? '');
    }

    /** A short text from outside: its marks removed, its entities read. */
    public static function line(string $text): string
    {
        // twice: "&lt;b&gt;" is a mark too once it has been read
        for ($i = 0; $i < 2; $i++) {
            $text = html_entity_decode(self::withoutTags(preg_replace('/<(br|\/p|\/li|\/div)[^>]{0,500}>/i', "\n", $text) ?? ''), ENT_QUOTES | ENT_HTML5, 'UTF-8');
        }

        return trim(preg_replace('/[ \t\x{00A0}]+/u', ' ', $text) ?? '');
    }

    private static function withoutTags(string $html): string
    {
        return preg_replace('/<(?=[a-z\/!?])[^<>]{0,20000}>/i', ' ', $html) ?? '';
    }

    /** Comments, adverts and what else stands around a recipe on its page, by what its boxes are called. */
    private static function withoutBystanders(string $html): string
    {
        $at = 0;
        for ($n = 0; $n < 500 && preg_match('/<(div|section|ul|ol)\s[^>]{0,1000}?(?:class|id)\s*=\s*["\'][^"\']{0,300}?(?<![a-z])(?:comments?|respond|adverts?|advertisement|ads?|sidebar|newsletter|related|cookies?|share|social|promo|breadcrumbs?)(?![a-z])[^>]{0,1000}>/i', $html, $found, PREG_OFFSET_CAPTURE, $at) === 1; $n++) {
            [$open, $start] = $found[0];
            $end = self::closing($html, $found[1][0], $start + strlen($open));
            $inside = substr($html, $start, $end - $start);
            $at = $start + 1;
            if (stripos($inside, 'ingredients') === false) {
                $html = substr($html, 0, $start).' '.substr($html, $end);
            }
        }

        return $html;
    }

    /** Where the box ends that was opened just before a place: after the mark that closes it, or at the end of the page. */
    private static function closing(string $html, string $name, int $at): int
    {
        $depth = 1;
        while (preg_match('/<(\/?)'.$name.'(?=[\s>])[^>]{0,4000}>/i', $html, $found, PREG_OFFSET_CAPTURE, $at) === 1) {
            $depth += $found[1][0] === '' ? 1 : -1;
            $at = $found[0][1] + strlen($found[0][0]);
            if ($depth === 0) {
                return $at;
            }
        }

        return strlen($html);
    }

    private static function without(string $html, string $name): string
    {
        $kept = '';
        $at = 0;
        while (($start = stripos($html, "<$name", $at)) !== false) {
            $kept .= substr($html, $at, $start - $at).' ';
            $end = stripos($html, "</$name", $start);
            if ($end === false) {
                return $kept;
            }
            $close = strpos($html, '>', $end);
            $at = $close === false ? strlen($html) : $close + 1;
        }

        return $kept.substr($html, $at);
    }
}
