<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Values\Range;

/** Finds the amounts of a line. Numbers that measure time, heat or length are passed over. */
final class AmountReader
{
    private const COUNTED = [
        'slice' => 'slice', 'rasher' => 'slice', 'stalk' => 'stalk', 'stick' => 'stick', 'rib' => 'stalk', 'leaf' => 'leaf', 'sprig' => 'sprig',
        'bunch' => 'bunch', 'bundle' => 'bunch', 'tin' => 'tin', 'can' => 'tin', 'packet' => 'packet', 'sachet' => 'packet', 'pack' => 'packet', 'pkg' => 'packet', 'package' => 'packet',
        'envelope' => 'packet', 'jar' => 'tin', 'carton' => 'tin', 'tub' => 'tin', 'pot' => 'tin', 'bag' => 'packet', 'box' => 'packet', 'pouch' => 'packet', 'bottle' => 'tin', 'piece' => 'each',
        'clove' => 'clove', 'head' => 'head', 'bulb' => 'each', 'fillet' => 'each', 'cube' => 'each', 'sheet' => 'each', 'whole' => 'each', 'ear' => 'each',
        'floret' => 'floret', 'punnet' => 'punnet', 'thumb' => 'thumb', 'block' => 'packet', 'tray' => 'packet', 'wedge' => 'slice',
    ];

    public const CONTAINERS = ['tin' => true, 'can' => true, 'jar' => true, 'pack' => true, 'packet' => true, 'package' => true, 'bag' => true, 'box' => true, 'carton' => true, 'block' => true, 'tub' => true, 'pouch' => true, 'bottle' => true, 'sachet' => true];

    private const SIZES = ['small' => 'small', 'little' => 'small', 'tiny' => 'small', 'sm' => 'small', 'medium' => 'medium', 'med' => 'medium', 'large' => 'large', 'big' => 'large', 'lg' => 'large', 'jumbo' => 'large', 'xl' => 'large'];

    /** Counted by length: "a 2 cm piece of ginger". */
    private const LENGTHS = ['inch' => 1.0, 'in' => 1.0, 'cm' => 0.394, 'centimetre' => 0.394, 'centimeter' => 0.394];

    private const OF_LENGTH = ['piece' => true, 'knob' => true, 'chunk' => true, 'length' => true, 'thumb' => true, 'bit' => true, 'of' => true];

    /** Before a number of pieces that something is made into. */
    private const MADE_INTO = ['into' => true, 'makes' => true, 'make' => true, 'yields' => true, 'serves' => true, 'feeds' => true, 'yield' => true];

    private const FILLERS = ['of', 'level', 'good', 'full', 'heaping', 'heaped', 'rounded', 'generous', 'scant', 'scanty', 'short', 'large', 'small', 'big', 'medium', 'ripe', 'whole', 'extra', 'fresh', 'ripened', 'mean', 'very', 'more', 'another', 'fat', 'nice', 'firm', 'packed', 'firmly', 'loosely', 'lightly', 'well', 'tightly', 'slightly', 'measuring', 'single', 'organic', 'wee', 'tiny', 'teeny', 'generous', 'hefty', 'tidy', 'proper', 'decent', 'healthy', 'hearty', 'middling', 'decently'];

    private const NOT_FOOD = ['minute', 'min', 'hour', 'hr', 'second', 'sec', 'day', 'week', 'month', 'degree', 'deg', 'f', 'mm', 'cm', 'inch', 'in', 'serving', 'portion', 'time', 'treat', 'biscuit', 'cookie', 'dog', 'people', 'gas', 'mark', 'batch', 'part', 'layer', 'tray', 'ball', 'round', 'rectangle', 'square', 'strip', 'circle', 'thick', 'thickness', 'wide', 'long', 'kcal', 'calorie', 'cal',
        'cutter', 'bowl', 'mould', 'mold', 'oven', 'fan', 'celsius', 'fahrenheit', 'shelf', 'rack', 'pan', 'percent', 'year', 'kid', 'child', 'friend', 'step', 'recipe', 'disc', 'row', 'bite', 'mouthful', 'half', 'lot', 'kind', 'sort', 'way', 'thing', 'go', 'pup', 'puppy'];

    /** @var list<Token> */
    private array $tokens;

    private NumberReader $numbers;

    /** @var array<int, bool> */
    private array $taken;

    /**
     * @param  list<Token>  $tokens
     * @param  array<int, bool>  $taken  tokens that belong to a food's own name ("2% milk", "5-HTP"), or to a set phrase (false)
     * @return list<Amount>
     */
    public static function read(array $tokens, array $taken): array
    {
        $reader = new self;
        $reader->tokens = $tokens;
        $reader->taken = $taken;
        $reader->numbers = new NumberReader($tokens);

        return $reader->all();
    }

    /** @return list<Amount> */
    private function all(): array
    {
        $amounts = [];
        $i = 0;
        $count = count($this->tokens);
        while ($i < $count) {
            $amount = isset($this->taken[$i]) && ! $this->tokens[$i]->is('juice', 'zest') ? null : $this->at($i);
            if ($amount === null) {
                $i++;

                continue;
            }
            if ($amount->unit !== '' && ! $this->isOfPhrase($amount)) {
                $amounts[] = ($this->tokens[$amount->to] ?? null)?->is('each', 'apiece') === true ? $amount->ofEach($this->skipOf($amount->to + 1)) : $amount;
            }
            $i = max($i + 1, $amount->to);
        }

        $isHeaped = array_filter($this->tokens, static fn (Token $token): bool => $token->text === 'heaped' || $token->text === 'heaping') !== [];

        return $isHeaped ? array_map(fn (Amount $one): Amount => $this->heapedBehind($one), $amounts) : $amounts;
    }

    /** "1 tbsp of peanut butter, heaped": said behind it, the spoon is as full. */
    private function heapedBehind(Amount $amount): Amount
    {
        if (! in_array($amount->unit, ['tsp', 'tbsp', 'cup', 'dessertspoon'], true)) {
            return $amount;
        }
        for ($k = $amount->to; $k < $amount->to + 7 && isset($this->tokens[$k]) && $this->tokens[$k]->kind !== Token::NUMBER; $k++) {
            if ($this->tokens[$k]->is('heaped', 'heaping')) {
                $next = $this->tokens[$k + 1] ?? null;

                return $next !== null && ($next->kind === Token::WORD && ! $next->is('and', 'or', 'not', 'please', 'ones', 'it')) ? $amount
                    : new Amount($amount->quantity->times(1.25), $amount->unit, $amount->size, $amount->from, $amount->to, $amount->contents, $amount->each);
            }
        }

        return $amount;
    }

    /** "1 loaf tin", "2 baking sheets": what is counted is named by a set phrase that is no food. */
    private function isOfPhrase(Amount $amount): bool
    {
        return $amount->unit === 'each' && $amount->contents === null && ($this->taken[$amount->to] ?? null) === false
            || isset(self::MADE_INTO[$this->tokens[$amount->from - 1]->text ?? '']) && $amount->unit === 'each';
    }

    private function at(int $i): ?Amount
    {
        $token = $this->tokens[$i];
        if ($token->kind === Token::MARK && $token->text !== '~') {
            return null;
        }
        $number = $this->numbers->at($i);
        if ($number === null) {
            return $this->bareMeasure($i);
        }
        [$quantity, $j] = $number;
        $next = $this->tokens[$j] ?? null;
        if ($token->is('a', 'an') && $quantity->best === 1.0) {
            return $this->afterArticle($i, $j);
        }
        // "2 x 400 g tins", "2 400 g tins", "one 15 oz can"
        $k = $next?->is('x', '*') === true ? $j + 1 : $j;
        if (($this->tokens[$k] ?? null)?->kind === Token::NUMBER && ! isset($this->taken[$k])) {
            $contents = $this->measured($k);
            if ($contents !== null) {
                $container = $this->container($contents->to);
                if ($container !== null || $k > $j) {
                    return new Amount($quantity, 'tin', null, $i, $container ?? $contents->to, $contents);
                }
            }
        }
        $paren = $this->parenthesised($j);
        if ($paren !== null && ($container = $this->container($paren->to)) !== null) {
            return new Amount($quantity, 'tin', null, $i, $container, $paren);
        }
        if ($next !== null && isset(self::LENGTHS[$next->text]) && isset(self::OF_LENGTH[$this->tokens[$j + 1]->stem ?? ''])) {
            return new Amount($quantity->times(self::LENGTHS[$next->text]), 'inch-piece', null, $i, $this->skipOf($j + 2));
        }
        if ($next !== null && $next->is('c', 'f') && $quantity->best >= 60) {
            return new Amount($quantity, '', null, $i, $j + 1);
        }
        $measured = $this->unitAfter($quantity, $i, $j);
        if ($measured !== null) {
            $container = $this->container($measured->to);

            return $container === null ? $measured : new Amount(Range::exact(1), 'tin', null, $i, $container, $measured);
        }
        if ($next !== null && $this->isNotFood($next, $j)) {
            return new Amount($quantity, '', null, $i, $j + 1);
        }

        return $this->counted($quantity, $i, $j);
    }

    /** A number directly followed by a unit of volume or mass. */
    private function measured(int $i): ?Amount
    {
        $number = $this->numbers->at($i);
        if ($number === null) {
            return null;
        }

        return $this->unitAfter($number[0], $i, $number[1]);
    }

    private function unitAfter(Range $quantity, int $i, int $j): ?Amount
    {
        [$quantity, $j] = $this->qualified($quantity, $j);
        $unit = $this->unitAt($j, $length);
        if ($unit === null) {
            return null;
        }
        $j += $length;
        if (($this->tokens[$j]->text ?? '') === '.') {
            $j++;
        }
        [$quantity, $j] = $this->andAHalf($quantity, $j);
        $each = $this->parenthesised($j);
        if ($each !== null && $this->saysEach($j, $each->to)) {
            return new Amount($quantity, 'tin', null, $i, $this->skipOf($each->to), $each);
        }

        return new Amount($quantity, $unit, null, $i, $this->skipOf($j));
    }

    /**
     * "a cup and a half", "two cups and one-third": more of the same unit, where no other unit follows.
     *
     * @return array{Range, int}
     */
    private function andAHalf(Range $quantity, int $j): array
    {
        if (($this->tokens[$j] ?? null)?->is('and', '&', 'plus') !== true) {
            return [$quantity, $j];
        }
        $part = $this->numbers->part($j + 1);
        if ($part === null || $this->unitAt($part[1], $length) !== null || (($this->tokens[$part[1]] ?? null)?->is('a', 'an', 'one') === true)) {
            return [$quantity, $j];
        }
        $k = $this->skipOf($part[1]);
        if ($k > $part[1] && (($this->tokens[$k] ?? null)?->is('a', 'an', 'one') === true)) {
            return [$quantity, $j];
        }

        // "2 cups and half a" is another amount; "a cup and a half of", "a cup and a half, sifted" is this one
        return $this->tokens[$j + 1]->is('half', 'quarter') && $k === $part[1] && ($this->tokens[$k] ?? null)?->kind === Token::WORD ? [$quantity, $j]
            : [$quantity->plus(Range::exact($part[0])), $part[1]];
    }

    private function saysEach(int $from, int $to): bool
    {
        for ($k = $from; $k < $to; $k++) {
            if ($this->tokens[$k]->is('each', 'apiece')) {
                return true;
            }
        }

        return false;
    }

    /** @return array{Range, int} */
    private function qualified(Range $quantity, int $j): array
    {
        $start = $j;
        while (isset($this->tokens[$j]) && $j < $start + 3 && in_array($this->tokens[$j]->text, self::FILLERS, true)) {
            $quantity = match ($this->tokens[$j]->text) {
                'heaped', 'heaping', 'rounded' => $quantity->times(($this->tokens[$j - 1] ?? null)?->is('slightly', 'little') === true ? 1.1 : 1.25),
                'generous' => $quantity->times(1.1),
                'scant', 'scanty', 'short', 'mean' => $quantity->times(0.9),
                default => $quantity,
            };
            $j++;
        }

        return [$quantity, $j];
    }

    private function unitAt(int $j, ?int &$length = null): ?string
    {
        $token = $this->tokens[$j] ?? null;
        if ($token === null || $token->kind !== Token::WORD || isset($this->taken[$j])) {
            return null;
        }
        $next = $this->tokens[$j + 1] ?? null;
        if ($next !== null && $next->kind === Token::MARK && $next->text === '.') {
            $next = $this->tokens[$j + 2] ?? null;
            $two = 3;
        } else {
            $two = 2;
        }
        $joint = $next === null ? null : Unit::named("{$token->stem} {$next->stem}") ?? Unit::measureNamed("{$token->stem} {$next->stem}");
        if ($joint !== null) {
            $length = $two;

            return $joint;
        }
        $length = 1;
        if ($token->raw === 'T') {
            return 'tbsp';
        }
        if ($token->raw === 't') {
            return 'tsp';
        }

        return Unit::named($token->stem) ?? Unit::named($token->text) ?? Unit::measureNamed($token->stem);
    }

    /** "pinch of ginger", "handful of oats": a measure without a number counts once. */
    private function bareMeasure(int $i): ?Amount
    {
        $token = $this->tokens[$i];
        if ($token->kind !== Token::WORD) {
            return null;
        }
        if ($token->is('juice', 'zest') && ($this->tokens[$i + 1] ?? null)?->is('of') === true) {
            $number = $this->numbers->at($i + 2);

            return new Amount($number[0] ?? Range::exact(1), $token->text.'-of', null, $i, $number[1] ?? $i + 2);
        }
        $measure = isset($this->taken[$i]) ? null : Unit::measureNamed($token->stem);
        if ($measure === null || $token->is('bit', 'little', 'drop', 'scoop', 'trace', 'stick', 'clove', 'shake', 'spoon', 'drizzle', 'pat', 'lump', 'dash', 'splash', 'squeeze', 'touch', 'shot', 'glass', 'mug') && ($this->tokens[$i + 1] ?? null)?->is('of') !== true) {
            return null;
        }

        return new Amount(Range::exact(1), $measure, null, $i, $this->skipOf($i + 1));
    }

    private function afterArticle(int $i, int $j): ?Amount
    {
        [$quantity, $k] = $this->qualified(Range::exact(1), $j);
        $unit = $this->unitAt($k, $length);
        if ($unit !== null) {
            return $this->unitAfter($quantity, $i, $k);
        }
        $paren = $this->measured($k);
        if ($paren !== null && ($container = $this->container($paren->to)) !== null) {
            return new Amount(Range::exact(1), 'tin', null, $i, $container, $paren);
        }
        if (isset($this->tokens[$j]) && $this->isNotFood($this->tokens[$j], $j)) {
            return null;
        }

        return $this->counted(Range::exact(1), $i, $j);
    }

    private function counted(Range $quantity, int $i, int $j): Amount
    {
        $size = null;
        $k = $j;
        while (isset($this->tokens[$k]) && $k < $j + 4 && $this->tokens[$k]->kind === Token::WORD && ! isset($this->taken[$k])) {
            $text = $this->tokens[$k]->text;
            if (isset(self::SIZES[$text])) {
                $size = self::SIZES[$text];
            } elseif (! in_array($text, self::FILLERS, true)) {
                break;
            }
            $k++;
        }
        $word = $this->tokens[$k] ?? null;
        if ($word !== null && isset(self::LENGTHS[$word->text]) && isset(self::OF_LENGTH[$this->tokens[$k + 1]->stem ?? ''])) {
            return new Amount($quantity->times(self::LENGTHS[$word->text]), 'inch-piece', null, $i, $this->skipOf($k + 2));
        }
        if ($word !== null && ! isset($this->taken[$k]) && isset(self::COUNTED[$word->stem])) {
            $unit = self::COUNTED[$word->stem];
            $to = $this->skipOf($k + 1);
            $contents = $unit === 'tin' || $unit === 'packet' ? $this->parenthesised($k + 1) ?? ($to > $k + 1 ? $this->measured($to) : null) : null;
            if ($contents !== null) {
                $to = $contents->to;
            }

            return new Amount($quantity, $unit, $size, $i, $to, $contents);
        }

        return new Amount($quantity, 'each', $size, $i, $size === null ? $j : $k);
    }

    /** "(15 oz)" or "(about 400 g each)" at this place. */
    private function parenthesised(int $j): ?Amount
    {
        if (($this->tokens[$j] ?? null)?->is('(', '[') !== true) {
            return null;
        }
        $inside = $this->measured($j + 1);
        if ($inside === null) {
            return null;
        }
        $k = $inside->to;
        $drained = ($this->tokens[$k] ?? null)?->is('drained') === true ? Amount::DRAINED : null;
        while (isset($this->tokens[$k]) && ! $this->tokens[$k]->is(')', ']')) {
            $k++;
        }

        return new Amount($inside->quantity, $inside->unit, $drained, $j, min($k + 1, count($this->tokens)));
    }

    /** Index after a container word at this place, or null. */
    private function container(int $j): ?int
    {
        $token = $this->tokens[$j] ?? null;
        if ($token === null || ! in_array(self::COUNTED[$token->stem] ?? '', ['tin', 'packet'], true)) {
            return null;
        }

        return $this->skipOf($j + 1);
    }

    private function isNotFood(Token $token, int $j): bool
    {
        if ($token->kind === Token::MARK) {
            return $token->is('°', '"', '%', ':', 'º');
        }
        if ($token->is('c') && ($this->tokens[$j - 1]->value ?? 0) >= 30) {
            return true;
        }

        return ! isset($this->taken[$j]) && in_array($token->stem, self::NOT_FOOD, true);
    }

    private function skipOf(int $j): int
    {
        return isset($this->tokens[$j]) && $this->tokens[$j]->is('of') ? $j + 1 : $j;
    }
}
