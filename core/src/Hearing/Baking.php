<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\NumberReader;
use MildBowl\Core\Values\Range;

/** The heat, the time and the thickness that a talk gives. */
final class Baking
{
    public ?float $celsius = null;

    public ?Range $minutes = null;

    public ?float $thicknessMm = null;

    public ?string $texture = null;

    /** How far across a piece is, and what it is cut or rolled as. */
    public ?float $sizeMm = null;

    public ?string $shape = null;

    /** @var array<string, string> each time in the oven that was told, and the words */
    public array $times = [];

    private const LENGTHS = ['mm' => 1.0, 'mil' => 1.0, 'mils' => 1.0, 'millimetre' => 1.0, 'millimeter' => 1.0, 'cm' => 10.0, 'centimetre' => 10.0, 'centimeter' => 10.0, 'inch' => 25.4];

    /** How large things are that balls are likened to, in mm across. */
    private const LIKE = ['walnut' => 30.0, 'golf ball' => 43.0, 'marble' => 16.0, 'cherry' => 20.0, 'grape' => 20.0, 'hazelnut' => 15.0, 'pea' => 8.0, 'ping pong ball' => 40.0, 'plum' => 50.0, 'blueberry' => 12.0];

    private const SHAPES = ['ball' => 'ball', 'round' => 'round', 'circle' => 'round', 'coin' => 'round', 'disc' => 'round', 'square' => 'square'];

    private const HOT = '/\b(?:bake|baked|baking|oven|ovens|preheat|heat|roast|cook|dry|dried|dehydrate|degrees?|celsius|fahrenheit|moderate|temperatures?|dehydrator)\b/u';

    private const NOT_BAKED = '/\b(?:chill|fridge|rest|rests|freeze|freezer|sit|soak|cool|keep|keeps|stand|knead|whisk|beat|microwave|poach|poached|boil|steam|simmer)\b/u';

    /** Whether the talk counts in Fahrenheit: heats that no oven has in Celsius. */
    private bool $isFahrenheit = false;

    /** Whether it weighs in ounces and pounds, and in no grams. */
    private bool $isInOunces = false;

    /** @param  list<Sentence>  $sentences */
    public static function of(array $sentences): self
    {
        $heard = new self;
        $units = [];
        foreach ($sentences as $sentence) {
            foreach ($sentence->words->amounts as $amount) {
                $units[$amount->unit] = true;
            }
            $heard->isFahrenheit = $heard->isFahrenheit || self::isInFahrenheit($sentence->words->tokens);
        }
        $heard->isInOunces = isset($units['oz']) || isset($units['lb']) ? array_intersect_key($units, ['g' => true, 'kg' => true, 'ml' => true]) === [] : false;
        $isHot = false;
        $froze = $rested = false;
        foreach ($sentences as $sentence) {
            $said = ' '.implode(' ', array_map(static fn (Token $token): string => $token->text, $sentence->words->tokens)).' ';
            $said = str_replace([' no baking ', ' no bake ', ' no oven ', ' without baking '], ' unbaked ', $said);
            $had = $heard->celsius;
            $heard->temperature($sentence, preg_match(self::HOT, $said) === 1 || ($isHot && preg_match('/^ i (?:did|do|had|used) /u', $said) === 1));
            $isHere = preg_match(self::HOT, $said) === 1 || $heard->celsius !== $had;
            $goesOn = $isHot && count($sentence->words->tokens) <= 9 && preg_match(self::NOT_BAKED, $said) !== 1;
            if ($isHere || $goesOn) {
                // "cook the lentils, fifteen minutes": the time that is told with the heat is the oven's
                $earlier = $heard->minutes;
                $heard->minutes = $had === null && $heard->celsius !== null ? null : $earlier;
                $heard->time($sentence);
                $heard->minutes ??= $earlier;
            }
            $isHot = $isHere;
            $heard->thickness($sentence);
            if ($heard->sizeMm === null && preg_match('/\b(?:size of|big as|large as|like) (?:a |an )?('.implode('|', array_keys(self::LIKE)).')s?\b/u', $said, $found) === 1) {
                $heard->sizeMm = self::LIKE[$found[1]];
                $heard->shape ??= 'ball';
            }
            $froze = $froze || preg_match('/\bfreez(?:e|es|ing)\b|\b(?:in|into|to) the freezer\b|\b(?:and|then|until|be|it) frozen\b|\bfrozen (?:treats?|pops?|cubes?)\b|\bfrozen[ .]*$/u', $said) === 1
                || (preg_match('/\bfreezer\b/u', $said) === 1 && preg_match('/\b(?:months?|weeks?|keeps?|store|stored|up to)\b/u', $said) !== 1);
            $rested = $rested || preg_match('/\b(?:unbaked|fridge|chill|sets?)\b/u', $said) === 1;
        }
        $heard->texture = match (true) {
            $heard->celsius !== null && $heard->celsius <= 95 && ($heard->minutes === null || $heard->minutes->high >= 60) => 'jerky',
            $heard->celsius !== null || $heard->minutes !== null => null,
            $froze => 'frozen',
            $rested => 'none',
            default => null,
        };

        return $heard;
    }

    /** @param  list<Token>  $tokens */
    private static function isInFahrenheit(array $tokens): bool
    {
        $numbers = new NumberReader($tokens);
        $isOfHeat = array_filter($tokens, static fn (Token $one): bool => $one->is('oven', 'preheat', 'heat', 'heated', 'bake', 'baked', 'baking', 'degrees')) !== [];
        foreach ($tokens as $i => $token) {
            if ($token->is('fahrenheit')) {
                return true;
            }
            $number = $token->is('at', 'oven', 'bake') || ($isOfHeat && $token->is('to')) ? $numbers->at($i + 1) : null;
            if ($number !== null && $number[0]->best > 260 && $number[0]->best <= 550 && $numbers->isFollowedBy($number[1], 'g', 'grams', 'ml', 'c', 'celsius') === false) {
                return true;
            }
        }

        return false;
    }

    private function temperature(Sentence $sentence, bool $isHot): void
    {
        $tokens = $sentence->words->tokens;
        $numbers = new NumberReader($tokens);
        $hasTime = array_filter($tokens, static fn (Token $one): bool => $one->is('minutes', 'minute', 'hour', 'hours', 'mins', 'min')) !== [];
        for ($i = 0; isset($tokens[$i]) && $this->celsius === null; $i++) {
            $token = $tokens[$i];
            if ($token->is('gas')) {
                $this->celsius = self::ofGasMark($tokens, $i, $numbers);
            }
            $number = $token->kind === Token::WORD && $token->is('about', 'the', 'another') ? null : $numbers->at($i);
            if ($number === null) {
                continue;
            }
            [$range, $k] = $number;
            $next = $tokens[$k] ?? null;
            $before = $tokens[$i - 1] ?? null;
            $i = max($i, $k - 1);
            $isNamed = $next?->is('°', 'º', 'degree', 'degrees', 'f', 'c', 'celsius', 'fahrenheit', 'fan') === true;
            $isLed = $before === null || $before->is('at', 'to', 'oven', 'on', 'is', 's', 'its', 'thats', 'did', 'bake', 'says', 'degrees', 'ovens', 'up', 'temperatures', 'balls', 'buttons', 'and');
            $least = $isNamed ? 40.0 : ($isHot && $before?->is('at', 'to', 'oven') === true ? 60.0 : 90.0);
            if ($range->best < $least || $range->best > 550.0 || self::isOfElse($sentence, $k, $next, $before)) {
                continue;
            }
            $isFollowed = $next === null || $next->is('for', ',', '.', '!', 'and', 'until', 'till', 'top', 'or', 'in', 'with', 'first', 'either', 'then', 'flip') || $numbers->at($k) !== null;
            $isPaired = $next?->is('for') === true && ($numbers->at($k + 1)[0]->best ?? 0.0) >= 5.0;
            if (! $isNamed && ! ($hasTime && $before?->is('at') === true) && ! ($isFollowed && ($hasTime || $isPaired || ($isHot && $isLed) || ($before === null || $before->is('at', 'temperatures') || ($before->is(',', ':') && ($tokens[0]->is('temperature', 'temp', 'oven', 'heat'))))))) {
                continue;
            }
            $this->celsius = $this->inCelsius($range->best, $tokens, $k, $numbers);
        }
    }

    /** Whether a number is of something else: an amount, a length, a time, or what the middle must reach. */
    private static function isOfElse(Sentence $sentence, int $k, ?Token $next, ?Token $before): bool
    {
        $tokens = $sentence->words->tokens;
        if ($next !== null && $next->kind === Token::WORD && ! $next->is('c', 'f') && (Unit::isNamed($next->stem) || isset(self::LENGTHS[$next->stem]) || isset(self::LENGTHS[$next->text])
            || $next->is('minutes', 'minute', 'hours', 'hour', 'mins', 'min', 'pieces', 'biscuits', 'treats', 'calories', 'kilos', 'percent', 'people', 'dogs'))) {
            return true;
        }
        foreach ($sentence->words->mentions as $mention) {
            if ($mention->from === $k || ($mention->from === $k + 1 && $next?->is('of') === true)) {
                return true;
            }
        }

        return $before?->is('of', 'than', 'makes', 'made', 'got', 'get', 'number', 'another') === true
            || array_filter(array_slice($tokens, $k, 5), static fn (Token $one): bool => $one->is('middle', 'centre', 'center', 'core', 'inside')) !== [];
    }

    /** @param  list<Token>  $tokens */
    private function inCelsius(float $degrees, array $tokens, int $k, NumberReader $numbers): float
    {
        $unit = '';
        for ($j = $k; $j < $k + 3 && isset($tokens[$j]); $j++) {
            $unit = $tokens[$j]->is('f', 'fahrenheit') ? 'f' : ($tokens[$j]->is('c', 'celsius') ? 'c' : $unit);
        }
        $isOunces = $this->isInOunces && in_array($degrees, [225.0, 250.0, 275.0], true);
        $isFahrenheit = $unit === 'f' || ($unit === '' && ($degrees > 260 || $isOunces || ($this->isFahrenheit && $degrees >= 100)));

        return $isFahrenheit ? self::saidInCelsius($numbers, $k) ?? 5 * round(($degrees - 32) / 1.8 / 5) : $degrees;
    }

    /** "350 Fahrenheit, so that's 180 Celsius": the same once more, as an oven has it. */
    private static function saidInCelsius(NumberReader $numbers, int $from): ?float
    {
        for ($i = $from; $i < $from + 7; $i++) {
            $number = $numbers->at($i);
            if ($number !== null && $numbers->isFollowedBy($number[1], 'celsius', 'c', 'centigrade')) {
                return $number[0]->best;
            }
        }

        return null;
    }

    /**
     * "Gas mark four".
     *
     * @param  list<Token>  $tokens
     */
    private static function ofGasMark(array $tokens, int $at, NumberReader $numbers): ?float
    {
        $at += ($tokens[$at + 1] ?? null)?->is('mark') === true ? 2 : 1;
        $number = $numbers->at($at);

        return $number === null ? null : Heat::ofGasMark($number[0]->best);
    }

    private function time(Sentence $sentence): void
    {
        $tokens = $sentence->words->tokens;
        $numbers = new NumberReader($tokens);
        for ($i = 0; isset($tokens[$i]); $i++) {
            $number = $numbers->at($i);
            if ($number === null) {
                continue;
            }
            [$range, $k] = $number;
            $unit = $tokens[$k] ?? null;
            $times = $unit?->is('minutes', 'minute', 'min', 'mins') === true ? 1.0 : ($unit?->is('hours', 'hour', 'hr', 'hrs') === true ? 60.0 : null);
            if ($times === null && $unit?->is(',') === true && ($more = $numbers->at($k + 1)) !== null && ($tokens[$more[1]] ?? null)?->is('minutes', 'mins') === true && $more[0]->best > $range->best && $more[0]->best <= 2 * $range->best && $range->best >= 5) {
                // "thirty, thirty-five minutes"
                [$range, $k, $times] = [Range::of($range->best, ($range->best + $more[0]->best) / 2, $more[0]->best), $more[1], 1.0];
            }
            if ($times === null && (($tokens[$i - 1] ?? null)?->is('for') === true || (($tokens[$i - 1] ?? null)?->is('like') === true && ($tokens[$i - 2] ?? null)?->is('for') === true)) && ($unit === null || $unit->is('.', ',', 'or', 'until', 'till', 'and')) && $range->best >= 5 && $range->best <= 90 && $this->celsius !== null) {
                // "180 for 25"
                $times = 1.0;
            }
            if ($times === 60.0) {
                [$range, $k] = self::andAPart($numbers, $tokens, $range, $k);
            }
            if ($times === null) {
                $i = max($i, $k - 1);

                continue;
            }
            if (($tokens[$i - 1] ?? null)?->is('another', 'rest', 'chill') === true || $tokens[$i]->is('another') || self::isOfRest($tokens, $i)) {
                $i = $k;

                continue;
            }
            $more = ($tokens[$k + 1] ?? null)?->is(',', 'or') === true ? $numbers->at($k + (($tokens[$k + 2] ?? null)?->is('maybe', 'or', 'even', 'perhaps') === true ? 3 : 2)) : null;
            if ($more !== null && $more[0]->best > $range->high && $more[0]->best <= 1.6 * $range->high && ($tokens[$more[1]] ?? null)?->is('.', ',', 'minutes', 'mins', '!') !== false) {
                // "twenty-five minutes, maybe thirty"
                $range = Range::of($range->low, ($range->low + $more[0]->best) / 2, $more[0]->best);
            }
            $this->times[sprintf('%g–%g', $range->low * $times, $range->high * $times)] ??= $sentence->text;
            $this->minutes ??= $range->times($times);
            $i = $k;
        }
    }

    /**
     * "An hour and a quarter", "an hour and twenty minutes".
     *
     * @param  list<Token>  $tokens
     * @return array{Range, int} hours, and the index of the last token
     */
    private static function andAPart(NumberReader $numbers, array $tokens, Range $hours, int $k): array
    {
        if (($tokens[$k + 1] ?? null)?->is('and') !== true) {
            return [$hours, $k];
        }
        $part = $numbers->part($k + 2);
        if ($part !== null) {
            return [$hours->plus(Range::exact($part[0])), $part[1] - 1];
        }
        $more = $numbers->at($k + 2);

        return $more !== null && ($tokens[$more[1]] ?? null)?->is('minutes', 'minute', 'min', 'mins') === true ? [$hours->plus($more[0]->times(1 / 60)), $more[1]] : [$hours, $k];
    }

    /**
     * Whether the nearest thing done before a time is no baking: "rest for ten minutes, roll out, and bake …".
     *
     * @param  list<Token>  $tokens
     */
    private static function isOfRest(array $tokens, int $at): bool
    {
        for ($k = $at - 1; $k >= max(0, $at - 6); $k--) {
            $said = " {$tokens[$k]->text} ";
            if (preg_match(self::HOT, $said) === 1) {
                return false;
            }
            if (preg_match(self::NOT_BAKED, $said) === 1) {
                return true;
            }
        }

        return false;
    }

    private function thickness(Sentence $sentence): void
    {
        $tokens = $sentence->words->tokens;
        $numbers = new NumberReader($tokens);
        $unit = null;
        foreach ($tokens as $i => $token) {
            $this->shape ??= self::SHAPES[$token->stem] ?? null;
            $number = $numbers->at($i) ?? ($token->is('good', 'full') && ($tokens[$i - 1] ?? null)?->is('a') === true ? [Range::exact(1), $i + 1] : null);
            if ($number !== null && $unit !== null && ($tokens[$number[1]] ?? null)?->is('thick', 'deep', 'high') === true) {
                // "four centimetres across and one thick"
                $this->thicknessMm ??= round($number[0]->best * $unit);
            }
            $length = $number === null ? null : self::LENGTHS[$tokens[$number[1]]->stem ?? ''] ?? self::LENGTHS[$tokens[$number[1]]->text ?? ''] ?? null;
            if ($number === null || $length === null) {
                continue;
            }
            if (array_filter(array_slice($tokens, $number[1] + 1, 4), static fn (Token $one): bool => $one->is('tin', 'tins', 'tray', 'pan', 'dish', 'sheet', 'mat')) !== []) {
                continue;
            }
            $unit = $length;
            $mm = $number[0]->best * $length;
            $isCorrected = $this->thicknessMm !== null && array_filter(array_slice($tokens, 0, $i), static fn (Token $one): bool => $one->is('no', 'sorry', 'wait', 'rather')) !== [];
            if ($tokens[$number[1]]->is('mil', 'mils') && ($number[0]->best > 15.0 || self::isOfAFood($sentence, $number[1] + 1))) {
                // "40 mils water"
                continue;
            }
            if (($tokens[$number[1] + 1] ?? null)?->is('piece', 'of', 'pieces', 'from', 'apart') === true) {
                continue;
            }
            if (array_filter(array_slice($tokens, $number[1] + 1, 2), static fn (Token $one): bool => $one->is('across', 'wide', 'square', 'round', 'diameter', 'ball', 'balls', 'long', 'cutter')) !== []) {
                $this->sizeMm ??= round($mm);
            } elseif ($mm <= 60 && ($this->thicknessMm === null || $isCorrected)) {
                $this->thicknessMm = round($mm);
            }
        }
    }

    private static function isOfAFood(Sentence $sentence, int $at): bool
    {
        foreach ($sentence->words->mentions as $mention) {
            if ($mention->from === $at || ($mention->from === $at + 1 && ($sentence->words->tokens[$at] ?? null)?->is('of') === true)) {
                return true;
            }
        }

        return false;
    }
}
