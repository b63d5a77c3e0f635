<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Reading\NumberReader;

/** A heat that a method tells, in °C of an oven without a fan; or what the middle of a piece is to reach. */
final readonly class Warmth
{
    /** Beyond this no oven is told in Celsius. */
    private const HOTTEST_CELSIUS = 290.0;

    private const COOLEST = 30.0;

    private const HOTTEST = 570.0;

    private const FAN = 20.0;

    /** A number without a unit is a heat from here on: behind "at", and with nothing in front of it. */
    private const LED = 60.0;

    private const UNLED = 100.0;

    /** letters from "for" to its time */
    private const BEHIND = 10;

    /** °C below which a heat can be that of a core */
    private const A_CORE = 110.0;

    private const OF_THE_CORE = ['core', 'inside', 'internal', 'middle', 'centre', 'center', 'thermometer', 'probe'];

    /** tokens around a heat in which its core is named */
    private const NEAR = 7;

    private function __construct(public float $celsius, public bool $isOfCore, public string $written) {}

    /** @return list<self> in the order they stand; the same heat told in another unit behind it once */
    public static function in(string $text): array
    {
        $clean = Tokenizer::clean($text);
        $tokens = Tokenizer::tokenize($clean);
        $numbers = new NumberReader($tokens);
        $all = [];
        $end = null;
        for ($i = 0; isset($tokens[$i]); $i++) {
            $found = self::gas($tokens, $numbers, $i) ?? self::degrees($tokens, $numbers, $i, $clean);
            if ($found === null) {
                continue;
            }
            [$celsius, $last] = $found;
            $isAgain = $end !== null && array_filter(array_slice($tokens, $end + 1, $i - $end - 1), static fn (Token $one): bool => ! $one->is('(', '/', ',', '=', 'or', 'about')) === [];
            $end = $last;
            if (! $isAgain) {
                $near = array_slice($tokens, max(0, $i - self::NEAR), $last - max(0, $i - self::NEAR) + self::NEAR);
                $isOfCore = $celsius < self::A_CORE && array_filter($near, static fn (Token $one): bool => $one->is(...self::OF_THE_CORE)) !== [];
                $from = $tokens[$i]->offset;
                $all[] = new self($celsius, $isOfCore, substr($clean, $from, $tokens[$last]->offset + $tokens[$last]->length - $from));
            }
            $i = $last;
        }

        return $all;
    }

    /**
     * @param  list<Token>  $tokens
     * @return array{float, int}|null °C, and the index of the last token
     */
    private static function gas(array $tokens, NumberReader $numbers, int $i): ?array
    {
        if (! $tokens[$i]->is('gas')) {
            return null;
        }
        $number = $numbers->at($i + (($tokens[$i + 1] ?? null)?->is('mark') === true ? 2 : 1));
        $celsius = $number === null ? null : Heat::ofGasMark($number[0]->best);

        return $number === null || $celsius === null ? null : [$celsius, $number[1] - 1];
    }

    /**
     * @param  list<Token>  $tokens
     * @return array{float, int}|null
     */
    private static function degrees(array $tokens, NumberReader $numbers, int $i, string $clean): ?array
    {
        $number = $tokens[$i]->is('about', 'around', 'the', 'a few') ? null : $numbers->at($i);
        if ($number === null || $number[0]->best < self::COOLEST || $number[0]->best > self::HOTTEST) {
            return null;
        }
        [$range, $k] = $number;
        $unit = '';
        $last = $k - 1;
        for (; ($tokens[$k] ?? null)?->is('°', 'º', 'degree', 'degrees', 'c', 'f', 'celsius', 'fahrenheit', 'fan') === true; $k++) {
            $unit .= ' '.$tokens[$k]->text;
            $last = $k;
        }
        $led = $tokens[$i - (($tokens[$i - 1] ?? null)?->is(',') === true ? 2 : 1)] ?? null;
        $isLed = $led?->is('at', 'to', 'bake', 'oven') === true && (($tokens[$k] ?? null) === null || $tokens[$k]->is('for', 'until', 'till', ',', '.', ';', 'and', '(', 'if', 'when', 'or', 'then'));
        if ($unit === '' && ! ($isLed && $range->best >= self::LED) && ! ($range->best >= self::UNLED && self::isForATime($tokens[$k] ?? null, $clean))) {
            return null;
        }
        $isFahrenheit = preg_match('/ f/', str_replace(' fan', '', $unit)) === 1 || (preg_match('/ c/', $unit) !== 1 && $range->best > self::HOTTEST_CELSIUS);
        $celsius = $isFahrenheit ? ($range->best - 32) * 5 / 9 : $range->best;

        return [$celsius + (str_contains($unit, ' fan') ? self::FAN : 0.0), $last];
    }

    /** "170 for half an hour", "170, half an hour" */
    private static function isForATime(?Token $next, string $clean): bool
    {
        return $next?->is('for', ',') === true && (Duration::in(mb_strcut($clean, $next->offset, 40))[0] ?? null)?->isNear(self::BEHIND) === true;
    }

    /** The same figure in °F, where nobody said of what it is; null where somebody did. */
    public function asFahrenheit(): ?self
    {
        return preg_match('/^[^°ºcfg]*$/iu', str_replace('degrees', '', $this->written)) === 1 ? new self(($this->celsius - 32) * 5 / 9, $this->isOfCore, $this->written) : null;
    }

    /** Whether it is told of an oven with a fan: the air itself is cooler by as much. */
    public function isOfFan(): bool
    {
        return preg_match('/\bfan\b/iu', $this->written) === 1;
    }

    /** To five degrees, as a dial is set. */
    public function onTheDial(): int
    {
        return 5 * (int) round($this->celsius / 5);
    }
}
