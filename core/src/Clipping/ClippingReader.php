<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Hearing\Baking;
use MildBowl\Core\Hearing\HeardRecipe;
use MildBowl\Core\Hearing\Spoken;
use MildBowl\Core\Hearing\Talk;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Reading\RecipeReader;

/** Finds out what a document is and takes the recipes out of it. Nothing in it is ever run or passed on as markup. */
final class ClippingReader
{
    public const KINDS = ['auto', 'text', 'html', 'json-ld', 'markdown'];

    private const MOST_RECIPES = 50;

    public static function read(string $content, string $kind, RecipeReader $reader): Clipped
    {
        $content = (string) preg_replace('/^\x{FEFF}/u', '', mb_scrub($content));
        $kind = $kind === 'auto' ? self::kindOf($content) : $kind;
        $clipped = match ($kind) {
            'json-ld' => JsonLd::read($content),
            'html' => self::page($content, $reader),
            default => Spoken::isTold($content) ? self::told($content, $reader) : (new Notes($reader))->read($content),
        };

        return self::fit($clipped, $reader);
    }

    public static function kindOf(string $content): string
    {
        $start = ltrim(substr($content, 0, 4000));

        return match (true) {
            $start !== '' && in_array($start[0], ['{', '['], true) && json_decode($content) !== null => 'json-ld',
            preg_match('/^<(!doctype|html|head|body|script|div|main|article|section|\?xml)\b/i', $start) === 1, stripos($content, 'ld+json') !== false => 'html',
            preg_match('/<(p|li|ul|h[1-3]|div|br|script)\b[^>]{0,200}>/i', $start) === 1 => 'html',
            default => 'markdown',
        };
    }

    private static function told(string $content, RecipeReader $reader): Clipped
    {
        if (mb_strlen($content) > Talk::LONGEST) {
            return new Clipped([], ['This is more than two hours of talk ('.number_format(Talk::LONGEST).' letters are heard at once): bring it in parts.']);
        }
        [$recipes, $aside] = (new Spoken($reader))->read($content);
        if ($recipes === []) {
            return (new Notes($reader))->read($content);
        }

        return new Clipped(array_map(static fn (HeardRecipe $one): Clipping => new Clipping(
            $one->title, implode("\n", array_column($one->lines, 'text')), implode("\n", $one->steps), null, null, $one->baking->minutes?->high, heard: $one,
        ), $recipes), [], $aside);
    }

    private static function page(string $html, RecipeReader $reader): Clipped
    {
        $recipes = $notUnderstood = [];
        foreach (PlainPage::structured($html) as $json) {
            $one = JsonLd::read($json);
            array_push($recipes, ...$one->recipes);
            array_push($notUnderstood, ...$one->notUnderstood);
        }
        $recipes = array_values(array_filter($recipes, static fn (Clipping $one): bool => $one->text !== ''));
        if ($recipes !== []) {
            return new Clipped($recipes, $notUnderstood);
        }
        $words = (new Notes($reader))->read(mb_substr(PlainPage::words($html), 0, 200_000));

        return new Clipped($words->recipes, [...$notUnderstood, ...$words->notUnderstood]);
    }

    /** What is too long for a sheet is cut at a line and said, not lost in silence. */
    private static function fit(Clipped $clipped, RecipeReader $reader): Clipped
    {
        $recipes = [];
        $notUnderstood = $clipped->notUnderstood;
        foreach ($clipped->recipes as $index => $one) {
            if ($index >= self::MOST_RECIPES) {
                $notUnderstood[] = "\"{$one->title}\": more than ".self::MOST_RECIPES.' recipes in one document.';

                continue;
            }
            $steps = self::cut($one->steps, $one->title, $notUnderstood);
            $recipes[] = $one->with(self::cut($one->text, $one->title, $notUnderstood), $steps, $one->heard === null ? self::baking($steps, $reader) : $one->heard->baking);
        }

        if ($recipes === [] && $notUnderstood === []) {
            $notUnderstood[] = 'No recipe was found in it.';
        }

        return new Clipped($recipes, array_map(static fn (string $text): string => mb_substr($text, 0, 300), array_slice($notUnderstood, 0, 200)), $clipped->setAside);
    }

    /** The heat, the time and the size of a written method; null where it gives none. */
    private static function baking(string $steps, RecipeReader $reader): ?Baking
    {
        $baking = Baking::of(Talk::sentences($steps, 0, $reader->lines->catalogue->lexicon));

        return $baking->celsius === null && $baking->minutes === null && $baking->thicknessMm === null && $baking->sizeMm === null && $baking->texture === null ? null : $baking;
    }

    /** @param  list<string>  $notUnderstood */
    private static function cut(string $text, string $title, array &$notUnderstood): string
    {
        $kept = [];
        $length = 0;
        foreach (explode("\n", $text) as $row) {
            $length += mb_strlen($row) + 1;
            if ($length > Question::LONGEST_TEXT || count($kept) >= Question::MOST_LINES) {
                $notUnderstood[] = "\"$title\" is longer than one sheet: what follows \"".mb_substr(end($kept) ?: '', 0, 60).'" was left out.';
                break;
            }
            $kept[] = $row;
        }

        return implode("\n", $kept);
    }
}
