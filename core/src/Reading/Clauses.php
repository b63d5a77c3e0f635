<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;

/**
 * Cuts a line into clauses of one food each, so that every amount belongs to one food and no food hides behind another. Nothing is left
 * out between the clauses but the marks and words that join them. An amount without a food is a clause of its own.
 *
 * @phpstan-type Group array{from: int, foods: list<Mention>, amounts: list<Amount>, shared: list<Amount>}
 */
final class Clauses
{
    /** What may stand between two foods of a list. */
    private const JOINTS = [',' => true, ';' => true, '+' => true, 'and' => true, '&' => true, 'plus' => true, '.' => true, '|' => true, '/' => false, 'then' => true, 'with' => true, 'also' => true, '•' => true, '·' => true, '!' => true, '?' => true, 'und' => true, 'et' => true, '=' => false];

    /** A food behind one of these belongs to what stands before it ("sardines in oil", "a flour of oats"). */
    private const LINKS = ['in' => true, 'of' => true, 'from' => true, 'like' => true, 'as' => true, 'for' => true, 'into' => true, 'to' => true, 'than' => true, 'per' => true, 'by' => true, 'on' => true, 'eg' => true, 'called' => true];

    /** Done in a liquid that stays with the food and has an amount nobody told. */
    private const DONE_IN = ['soaked', 'cooked', 'poached', 'simmered', 'boiled', 'steeped', 'fried', 'sauteed', 'browned', 'tossed', 'rolled', 'coated', 'covered', 'dipped', 'marinated', 'baked', 'roasted', 'stewed', 'braised', 'dissolved', 'mashed', 'drenched'];

    /** Foods of one of these kinds may share an amount: "a cup of peas and carrots". */
    private const KINDS = ['vegetable', 'fruit', 'herb', 'meat', 'fish', 'grain', 'legume', 'seed', 'tree-nut', 'organ'];

    private const NAMELESS = '';

    /** @var list<Token> */
    private array $tokens;

    /** Whether each food stands before its amount, all along: "salmon 200 g potato 150 g egg 1". */
    private bool $isPaired = false;

    /** @var list<int> how many brackets are open before each token */
    private array $depth = [];

    private function __construct(private readonly Words $words, private readonly Catalogue $catalogue, private readonly int $until)
    {
        $this->tokens = $words->tokens;
        $depth = 0;
        foreach ($this->tokens as $token) {
            $depth = max(0, $depth - ($token->is(')', ']', '}') ? 1 : 0));
            $this->depth[] = $depth;
            $depth += $token->is('(', '[', '{') ? 1 : 0;
        }
    }

    /**
     * @param  int  $until  byte of the line where a condition begins ("if your dog …"): nothing is cut behind it
     * @return list<Clause> in order
     */
    public static function of(Words $words, Catalogue $catalogue, int $until = PHP_INT_MAX): array
    {
        $count = count($words->tokens);
        if ($count === 0) {
            return [];
        }

        return count($words->mentions) + count($words->amounts) < 2 ? [new Clause(0, $count)] : (new self($words, $catalogue, $until))->all();
    }

    /** @return list<Clause> */
    private function all(): array
    {
        /** @var list<Amount|Mention> $elements */
        $elements = [...$this->words->amounts, ...$this->words->kept(), ...$this->nameless()];
        usort($elements, static fn (Amount|Mention $one, Amount|Mention $two): int => [$one->from, $one->to] <=> [$two->from, $two->to]);
        $this->isPaired = self::isPaired($elements);
        /** @var list<Group> $groups */
        $groups = [];
        $group = ['from' => 0, 'foods' => [], 'amounts' => [], 'shared' => []];
        $end = 0;
        foreach ($elements as $n => $element) {
            $next = $elements[$n + 1] ?? null;
            $isFood = $element instanceof Mention;
            $opens = $this->tokens[$element->from]->offset < $this->until
                && ($element instanceof Mention ? $this->foodOpens($element, $group, $end, $next) : $this->amountOpens($element, $group, ...$this->foodOf($element, array_slice($elements, $n + 1, 6))));
            if ($opens) {
                $groups[] = $group;
                $last = $group['amounts'] === [] ? ($group['shared'][0] ?? null) : $group['amounts'][array_key_last($group['amounts'])];
                $group = ['from' => $this->start($element->from, $end, ! $isFood), 'foods' => [], 'amounts' => [], 'shared' => $isFood && $last?->each === true ? [new Amount($last->quantity, $last->unit, $last->size, 0, 0, $last->contents, true)] : []];
            }
            if ($element instanceof Mention) {
                $group['foods'][] = $element;
            } else {
                $group['amounts'][] = $element;
                if ($element->each && $group['foods'] !== []) {
                    self::shareBack($groups, $element);
                }
            }
            $end = max($end, $element->to);
        }
        $groups[] = $group;
        for ($n = count($groups) - 2; $n >= 0; $n--) {
            // "carob only: 1 tbsp carob powder": named first, measured after
            [$one, $two] = [$groups[$n], $groups[$n + 1]];
            if ($one['amounts'] === [] && $one['shared'] === [] && count($one['foods']) === 1 && $two['foods'] !== [] && $two['amounts'] !== [] && $this->isSaidAgain($one['foods'][0], $two['foods'][0])) {
                array_splice($groups, $n, 2, [['from' => $one['from']] + $two]);
            }
        }
        $clauses = [];
        foreach ($groups as $n => $one) {
            $to = isset($groups[$n + 1]) ? $this->stop($groups[$n + 1]['from'], $one['from']) : count($this->tokens);
            $clauses[] = new Clause($one['from'], $to, $one['amounts'] === [] ? $one['shared'] : []);
        }

        return $clauses;
    }

    /** @param  list<Amount|Mention>  $elements */
    private static function isPaired(array $elements): bool
    {
        if (count($elements) < 4 || count($elements) % 2 !== 0) {
            return false;
        }
        foreach ($elements as $n => $one) {
            if (($one instanceof Mention) !== ($n % 2 === 0)) {
                return false;
            }
        }

        return true;
    }

    /**
     * "honey and oil, 2 tbsp each": the amount is of those before it too.
     *
     * @param  list<Group>  $groups
     */
    private static function shareBack(array &$groups, Amount $amount): void
    {
        for ($n = count($groups) - 1; $n >= 0 && $groups[$n]['amounts'] === []; $n--) {
            $groups[$n]['shared'] = [new Amount($amount->quantity, $amount->unit, $amount->size, 0, 0, $amount->contents, true)];
        }
    }

    /** @param  Group  $group */
    private function amountOpens(Amount $amount, array $group, ?Mention $next, int $end): bool
    {
        $food = $group['foods'][0] ?? null;
        if ($food === null || ($amount->from <= $food->from && $food->to <= $amount->to)) {
            return false;
        }
        if ($this->tokens[$amount->from]->is('a', 'an', 'the') && ($this->tokens[$amount->from - 1] ?? null)?->is('from', 'like') === true) {
            // "breadcrumbs from a wholemeal loaf"
            return false;
        }
        $isWithin = $this->depth[$amount->from] > $this->depth[$food->from];
        if ($this->isPaired && $group['amounts'] === []) {
            return false;
        }
        if ($next !== null && ! ($isWithin && $this->depth[$next->from] < $this->depth[$amount->from]) && ! $this->isJoined($end, $next->from)) {
            return ! $next->alternative || ($this->tokens[$amount->from - 1] ?? null)?->is('or', '/') !== true;
        }
        if ($isWithin || $group['amounts'] === []) {
            return false;
        }
        if (($this->tokens[$amount->from - 1] ?? null)?->is('+', 'plus', 'and', 'or', '&', '/', '=', '(') === true) {
            return false;
        }
        $before = $group['amounts'][0];

        // "1 carrot, about 100 g" and "3 carrots, 1 grated" say the same again; "1 cup oats, 2 tbsp" does not
        return $amount->unit !== 'each' && $this->kindOf($amount) === $this->kindOf($before) && $this->kindOf($amount) !== 'count';
    }

    /**
     * The food an amount stands before, past other words for the same amount: "1 1/2 cups (350 ml) water", "1 cup + 1 tbsp oats".
     *
     * @param  list<Amount|Mention>  $behind
     * @return array{?Mention, int} the food, and where the amount's words end
     */
    private function foodOf(Amount $amount, array $behind): array
    {
        $end = $amount->to;
        foreach ($behind as $one) {
            if ($one instanceof Mention) {
                return [$one, $end];
            }
            if ($this->depth[$one->from] <= $this->depth[$amount->from] && ($one->from > $end + 1 || ($one->from === $end + 1 && ! $this->tokens[$end]->is('+', 'plus', 'and', '&', '/', '=', '-', '.')))) {
                return [null, $end];
            }
            $end = $one->to;
        }

        return [null, $end];
    }

    /**
     * Words behind an amount that nobody knows and no food follows: a food without a name, that keeps the amount to itself ("1 cup flurbl and …").
     *
     * @return list<Mention>
     */
    private function nameless(): array
    {
        $starts = [];
        foreach ([...$this->words->amounts, ...$this->words->mentions] as $one) {
            $starts[$one->from] = $one instanceof Mention;
        }
        $nameless = [];
        foreach ($this->words->amounts as $amount) {
            for ($k = $amount->to; isset($this->tokens[$k]) && ! isset($starts[$k]) && ! $this->isJoined($amount->to, $k + 1); $k++) {
                if ($this->tokens[$k]->kind === Token::WORD && ! isset($this->words->taken[$k]) && ! LineReader::isHarmless($this->tokens[$k]) && ! $this->leadsToFood($k + 1, $starts)) {
                    $nameless[] = new Mention(self::NAMELESS, $k, $k + 1);
                    break;
                }
            }
        }

        return $nameless;
    }

    /** @param  array<int, bool>  $starts  of foods (true) and of amounts */
    private function leadsToFood(int $from, array $starts): bool
    {
        for ($k = $from; isset($this->tokens[$k]) && ! (self::JOINTS[$this->tokens[$k]->text] ?? false) && $this->tokens[$k]->kind !== Token::MARK; $k++) {
            if (isset($starts[$k])) {
                return $starts[$k];
            }
        }

        return false;
    }

    /** @param  Group  $group */
    private function foodOpens(Mention $mention, array $group, int $end, Amount|Mention|null $next): bool
    {
        $food = $group['foods'][0] ?? null;
        if ($food === null || $mention->alternative) {
            return false;
        }
        $last = $group['foods'][count($group['foods']) - 1];
        if ($last->within || $last->to >= $mention->from || $this->depth[$mention->from] > $this->depth[$food->from]) {
            return false;
        }
        if (in_array($mention->ingredient, Mention::PARTS, true) && ! ($next instanceof Amount && $next->from <= $mention->to + 1)) {
            return false;
        }
        if ($mention->ingredient === self::NAMELESS) {
            return true;
        }
        if ($this->catalogue->get($mention->ingredient)->inGroup('check-sugar-free') || $this->isSaidAgain($mention, $food)) {
            return false;
        }
        if ($mention->from > 1 && $this->tokens[$mention->from - 1]->is(',') && $this->tokens[$mention->from - 2]->is('no', 'sorry', 'rather', 'wait', 'actually')) {
            // "spelt ... no, oat flour"
            return false;
        }
        $isJoined = $this->isJoined($end, $mention->from) || ($this->isPaired && $group['amounts'] !== []);
        if (! $isJoined) {
            return $this->isDoneIn($end, $mention);
        }
        if ($this->isLinked($end, $mention->from)) {
            return $this->isDoneIn($end, $mention);
        }
        $own = $food->ingredient === self::NAMELESS ? null : $this->catalogue->get($food->ingredient);
        if ($own !== null && $this->catalogue->get($mention->ingredient)->isNamedBy($own)) {
            return false;
        }

        return ! $this->isMixed($group, $mention, $end, $next);
    }

    /** "plain pumpkin, 100 % pumpkin": words of the same food once more. */
    private function isSaidAgain(Mention $mention, Mention $food): bool
    {
        $stems = fn (Mention $one): array => array_map(static fn (Token $token): string => $token->stem, array_slice($this->tokens, $one->from, $one->to - $one->from));

        return $mention->ingredient === $food->ingredient || array_diff($stems($mention), $stems($food)) === [];
    }

    /** "chicken, simmered in milk": what is told to be done in it goes in too, and nobody said how much. */
    private function isDoneIn(int $end, Mention $mention): bool
    {
        if (in_array($mention->ingredient, ['water', 'ice'], true)) {
            return false;
        }
        for ($k = $mention->from - 1; $k > $end; $k--) {
            if ($this->tokens[$k]->is('in', 'with')) {
                return in_array($this->tokens[$k - 1]->text, self::DONE_IN, true);
            }
        }

        return false;
    }

    /**
     * A cup of peas and carrots: kin that share one amount.
     *
     * @param  Group  $group
     */
    private function isMixed(array $group, Mention $mention, int $end, Amount|Mention|null $next): bool
    {
        $amount = $group['amounts'][0] ?? null;
        if (count($group['amounts']) !== 1 || $amount === null || $amount->each || $amount->unit === 'each' || $amount->from > $group['foods'][0]->from
            || ($next instanceof Amount && $next->from <= $mention->to + 1 && ! $this->isJoined($mention->to, $next->from))) {
            return false;
        }
        for ($k = $end; $k < $mention->from; $k++) {
            if (! $this->tokens[$k]->is('and', '&', ',') && $this->tokens[$k]->kind === Token::MARK) {
                return false;
            }
        }
        if (! $this->tokens[$mention->from - 1]->is('and', '&') && ! $this->tokens[$end]->is('and', '&')) {
            return false;
        }
        foreach (self::KINDS as $kind) {
            if (Catalogue::isInGroup($group['foods'][0]->ingredient, [$kind]) && Catalogue::isInGroup($mention->ingredient, [$kind])) {
                return true;
            }
        }

        return false;
    }

    private function kindOf(Amount $amount): string
    {
        return match (true) {
            Unit::isMass('metric', $amount->unit) => 'mass',
            Unit::in('metric', $amount->unit) !== null => 'volume',
            default => 'count',
        };
    }

    /** Whether a mark or word of a list stands between two tokens, brackets left out. */
    private function isJoined(int $from, int $to): bool
    {
        $level = min($this->depth[min($from, count($this->tokens) - 1)], $this->depth[min($to, count($this->tokens) - 1)]);
        for ($k = $from; $k < $to; $k++) {
            if ($this->depth[$k] <= $level && (self::JOINTS[$this->tokens[$k]->text] ?? false)) {
                return true;
            }
        }

        return false;
    }

    /** Whether the last joining word before a food makes it part of what stands before ("such as", "in"). */
    private function isLinked(int $end, int $from): bool
    {
        for ($k = $from - 1; $k >= $end; $k--) {
            if (self::JOINTS[$this->tokens[$k]->text] ?? false) {
                return false;
            }
            if (isset(self::LINKS[$this->tokens[$k]->text]) && ! $this->isOfAMeasure($k)) {
                return true;
            }
        }

        return false;
    }

    /** "As much skimmed milk as", "some of the water": words of an amount that nobody told. */
    private function isOfAMeasure(int $k): bool
    {
        return ($this->tokens[$k]->is('as') && ($this->tokens[$k + 1] ?? null)?->is('much', 'many', 'little') === true)
            || ($this->tokens[$k]->is('of') && ($this->tokens[$k - 1] ?? null)?->is('much', 'many', 'most', 'rest', 'all', 'some', 'lots', 'plenty', 'little') === true);
    }

    /** Where the clause of an element begins: behind the last joint before it. What tells of a form before an amount belongs to the food before. */
    private function start(int $from, int $end, bool $isAmount): int
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        for ($k = $from - 1; $k >= $end; $k--) {
            if (self::JOINTS[$this->tokens[$k]->text] ?? false) {
                return $k + 1;
            }
            if ($isAmount && isset($forms[$this->tokens[$k]->stem])) {
                return $k + 1;
            }
        }

        return $from;
    }

    /** Where the clause before another ends: without the joints between them. */
    private function stop(int $from, int $least): int
    {
        while ($from - 1 > $least && (self::JOINTS[$this->tokens[$from - 1]->text] ?? false)) {
            $from--;
        }

        return $from;
    }
}
