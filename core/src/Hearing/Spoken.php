<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\RecipeReader;
use MildBowl\Core\Reading\Told;

/** Makes the sheets of a talk: as many as it holds recipes, each line with the words it came from. */
final readonly class Spoken
{
    private const WORKS = '/\b(?:mix|stir|knead|roll|rolled|cut|bake|baked|baking|oven|shape|press|spoon|drop|pour|blend|blitz|mash|mashed|fold|whisk|chill|freeze|cool|turn|flip|slice|dry|boil|steam|simmer|poach|line|grease|preheat|spread|rest|soak|squeeze|flatten|scoop|store|keep|keeps|tray|tin)\b/u';

    public function __construct(private RecipeReader $reader) {}

    /** Whether a text is told rather than listed: sentences, and hardly a row that is a line of a list. */
    public static function isTold(string $text): bool
    {
        $rows = array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $row): bool => $row !== ''));
        if ($rows === [] || preg_match('/^\W*(?:the\s+)?(?:ingredients?|directions?|method|instructions?|what you(?:\'|’)?(?:ll| will)? need|you(?:\'|’)?(?:ll| will)? need)\W*$/imu', $text) === 1) {
            return false;
        }
        if (preg_match('/^\W*ingredients?\s*:(?:[^\n]*?\d\s*(?:g|kg|ml|cups?|tbsp|tsp|oz|lb)\b){2}/imu', $text) === 1) {
            return false;
        }
        $timed = count(array_filter($rows, static fn (string $row): bool => preg_match('/^[\[(]?\d{1,2}:\d{2}(?::\d{2})?[\])]?\s+(?!\p{Lu}[\p{L} ]{0,20}:)/u', $row) === 1));
        if ($timed >= 0.6 * count($rows) && str_word_count($text) >= 35) {
            // captions of a film, however few words stand in a row
            return true;
        }
        $words = $listed = 0;
        foreach ($rows as $row) {
            $count = str_word_count($row);
            $words += $count;
            $listed += $count <= 9 && preg_match('/^(?:[-*•·–▢☐✓]|\d{1,2}[.)]\s|\d|[½¼¾⅓⅔⅛])/u', $row) === 1 && preg_match('/^[\[(]?\d{1,2}:\d{2}/', $row) !== 1 ? 1 : 0;
        }

        return $words >= 35 && $listed < 0.25 * count($rows) && $words / count($rows) >= 6.5;
    }

    /** @return array{list<HeardRecipe>, list<array{said: string, span: array{int, int}}>} recipes, and what was set aside */
    public function read(string $content): array
    {
        $plain = Talk::plain($content, $this->reader->lines->catalogue->lexicon);
        $marks = Recipes::marks($plain);
        $recipes = $aside = [];
        $point = 0;
        $at = 0;
        if ($marks !== [] && $marks[0][0] > 0) {
            $intro = substr($plain, 0, $marks[0][0]);
            array_push($aside, ...self::asides(Talk::sentences($intro, 0, $this->reader->lines->catalogue->lexicon)));
            $at = $marks[0][0];
            $point = mb_strlen($intro);
        }
        foreach ($marks === [] ? [[0, 0]] : $marks as $n => [$from, $after]) {
            $end = $marks[$n + 1][0] ?? strlen($plain);
            $part = substr($plain, $at, $end - $at);
            $title = null;
            if ($marks !== []) {
                $opens = substr($part, 0, $after - $from);
                $rest = substr($part, $after - $from);
                [$title, $length] = Recipes::title($rest);
                $part = str_repeat(' ', mb_strlen($opens)).str_repeat(' ', mb_strlen(substr($rest, 0, $length))).substr($rest, $length);
            }
            $sentences = Talk::sentences($part, $point, $this->reader->lines->catalogue->lexicon);
            $recipe = $this->recipe($sentences, $title, $aside);
            if ($recipe !== null) {
                $recipes[] = $recipe;
            }
            $point += mb_strlen($part);
            $at = $end;
        }
        usort($aside, static fn (array $one, array $two): int => $one['span'] <=> $two['span']);

        return [$recipes, $aside];
    }

    /**
     * @param  list<Sentence>  $sentences
     * @param  list<array{said: string, span: array{int, int}}>  $aside
     */
    private function recipe(array $sentences, ?string $title, array &$aside): ?HeardRecipe
    {
        $heard = (new Listener($this->reader->lines->catalogue))->hear($sentences, $title === null ? null : $this->reader->lines->words($title));
        if ($heard->servings === []) {
            array_push($aside, ...self::asides($sentences));

            return null;
        }
        $lines = $questions = $steps = $left = [];
        foreach ($heard->servings as $serving) {
            $text = $this->line($serving);
            $lines[] = ['text' => $text, 'said' => self::saidOf($serving, $sentences), 'span' => end($serving->spans) ?: [0, 0], 'spans' => $serving->spans, 'sure' => $serving->isSure && $serving->amounts !== []];
            if ($serving->amounts === []) {
                $questions[] = ['about' => $serving->plain, 'options' => [], 'said' => [self::saidOf($serving, $sentences)], 'question' => "How much {$serving->plain}? It was not said."];
            } elseif ($serving->earlier !== []) {
                $now = Written::amounts($serving->amounts);
                $questions[] = ['about' => $serving->plain, 'options' => array_values(array_unique([$now, ...array_reverse($serving->earlier)])), 'said' => array_map(static fn (array $span): string => self::between($span, $sentences), $serving->spans), 'question' => "Is it $now of {$serving->plain}? It was told more than once."];
            }
        }
        foreach ($sentences as $n => $sentence) {
            $step = $this->step($sentence, $heard->servings);
            if ($step !== null) {
                $steps[] = $step;
            } elseif (! isset($heard->used[$n])) {
                $left[] = $sentence;
            }
        }
        array_push($aside, ...self::asides($left));
        $baking = Baking::of($sentences);
        if (count($baking->times) > 1) {
            $questions[] = ['about' => 'minutes', 'options' => array_keys($baking->times), 'said' => array_values($baking->times), 'question' => 'The time in the oven was told more than once: which one holds?'];
        }
        $warnings = [];
        foreach ($heard->warned as $id => [$words, $spans, $said]) {
            $warnings[] = ['ingredient' => $id, 'name' => $this->reader->lines->catalogue->get($id)->name, 'said' => $said, 'span' => $spans[0]];
        }

        return new HeardRecipe($title === null ? Product::title($sentences, $heard) : Product::tidied($title), $lines, $steps, $questions, $warnings, $baking);
    }

    /** A line as a sheet has it, that reads back as the food it is of. */
    private function line(Serving $serving): string
    {
        $amount = Written::amounts($serving->amounts);
        $short = $serving->plain.Phrase::formsIn($serving->words, $serving->plain);
        foreach ($this->isTalkative($serving->words) && $this->nameSame("$amount $serving->words", "$amount $short") ? [$short, $serving->words] : [$serving->words, $short] as $words) {
            $text = trim("$amount $words");
            $read = $this->reader->read($text, '')->lines;
            if (count($read) === 1 && $read[0]->food !== null && $read[0]->unread === [] && $read[0]->odd === []) {
                return $text;
            }
        }

        return trim("$amount {$serving->plain}");
    }

    /** "Coconut oil, which I've melted": more than a sheet says. */
    private function isTalkative(string $words): bool
    {
        return preg_match('/\b(?:i|i[’\']ve|we|which|that|it|it[’\']s|they[’\']re|the|so|and)\b/iu', $words) === 1;
    }

    private function nameSame(string $one, string $two): bool
    {
        [$one, $two] = [$this->reader->read(trim($one), '')->lines, $this->reader->read(trim($two), '')->lines];

        return count($one) === 1 && count($two) === 1 && $one[0]->food?->id === $two[0]->food?->id;
    }

    /**
     * What of a sentence tells of the work; what went into the bowl stands in the list.
     *
     * @param  list<Serving>  $servings
     */
    private function step(Sentence $sentence, array $servings): ?string
    {
        $from = $sentence->from;
        foreach ($servings as $serving) {
            foreach ($serving->spans as [$first, $last]) {
                $from = $first >= $sentence->from && $last <= $sentence->to ? max($from, $last) : $from;
            }
        }
        $text = trim((string) preg_replace('/^[\s,;.]*(?:(?:and|then|so|now|well|okay|right|you|just|to|we)\b[\s,]*)*/iu', '', mb_substr($sentence->text, $from - $sentence->from)));
        if ($sentence->isQuestion() || str_word_count($text) < 2) {
            return null;
        }
        $words = $from === $sentence->from ? $sentence->words : $this->reader->lines->words($text);
        $said = implode(' ', array_map(static fn (Token $token): string => $token->text, $words->tokens));
        $works = preg_match(self::WORKS, $said) === 1 && preg_match('/\b(?:you can (?:also|buy|use)|comments?|video|subscribe|if you liked)\b|^if\b/u', $said) !== 1;

        return $works && ($from > $sentence->from || Told::isOfMethod($words) || preg_match('/\b(?:oven|minutes?|hours?|degrees|freezer)\b/u', $said) === 1) ? Product::tidied($text) : null;
    }

    /** @param  list<Sentence>  $sentences */
    private static function saidOf(Serving $serving, array $sentences): string
    {
        return implode(' … ', array_unique(array_map(static fn (array $span): string => self::between($span, $sentences), $serving->spans)));
    }

    /**
     * @param  array{int, int}  $span
     * @param  list<Sentence>  $sentences
     */
    private static function between(array $span, array $sentences): string
    {
        foreach ($sentences as $one) {
            if ($span[0] >= $one->from && $span[1] <= $one->to) {
                return ltrim(mb_substr($one->text, $span[0] - $one->from, $span[1] - $span[0]), ' ,.;:');
            }
        }

        return '';
    }

    /**
     * What was not used, each stretch of it once.
     *
     * @param  list<Sentence>  $sentences
     * @return list<array{said: string, span: array{int, int}}>
     */
    private static function asides(array $sentences): array
    {
        $aside = [];
        foreach ($sentences as $one) {
            $last = array_key_last($aside);
            if ($last !== null && $one->from - $aside[$last]['span'][1] <= 12) {
                $aside[$last] = ['said' => "{$aside[$last]['said']} {$one->text}", 'span' => [$aside[$last]['span'][0], $one->to]];
            } else {
                $aside[] = ['said' => $one->text, 'span' => [$one->from, $one->to]];
            }
        }

        return $aside;
    }
}
