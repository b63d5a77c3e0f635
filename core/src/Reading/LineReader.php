<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;

/** Reads one ingredient line: amounts, food, form, alternatives, condition, and what it could not read. */
final readonly class LineReader
{
    /** What an amount that is not given is for, by the verb. */
    private const PURPOSES = [
        'dust' => 'dusting', 'dusting' => 'dusting', 'flouring' => 'dusting', 'rolling' => 'dusting',
        'grease' => 'greasing', 'greasing' => 'greasing', 'oiling' => 'greasing',
        'taste' => 'taste',
    ];

    /** More than this of one food, in grams or millilitres, is a slip of the hand. */
    private const MOST = 100_000.0;

    /** Group of words that claim something about a food and are none. */
    private const CLAIM = 'check-sugar-free';

    /** Foods as they grow: that nothing was added to them claims nothing; and what a maker prepares, where it may. */
    private const WHOLE = ['fruit', 'vegetable', 'meat', 'fish', 'egg', 'grain', 'legume', 'flour', 'liquid', 'herb', 'seed', 'tree-nut'];

    private const PREPARED = ['check-sweetened', 'check-jam', 'added-sugar', 'added-sugar-part', 'composite', 'nut-butter', 'check-seasoned', 'chocolate-cocoa'];

    /** Words that open a note about something else than the food. */
    private const CONDITION = '/\b((?:leave|left|skip|omit|use|only)\b[^.;]{0,40}?\b)?(if|unless|when)\b(?!\s+(needed|necessary|required|desired|wanted|liked|preferred|possible|you (like|wish|want|prefer)|available|using))[^()]*/iu';

    public function __construct(public Catalogue $catalogue) {}

    /** A line by itself: of a label, or written by the program. */
    public function read(string $text): ReadLine
    {
        return $this->ofWords($this->words($text), Place::nowhere(), null);
    }

    public function words(string $text): Words
    {
        return Words::of($text, $this->catalogue->lexicon);
    }

    /**
     * @param  list<Amount>  $shared  amounts that stand elsewhere and are of this food too
     * @param  ?string  $purpose  what the row is for, where the line itself does not say it
     */
    public function ofWords(Words $all, Place $place, ?string $section, array $shared = [], ?string $purpose = null): ReadLine
    {
        $clean = $all->clean;
        $tokens = $all->tokens;
        $condition = self::condition($clean);
        $conditionAt = $condition[1] ?? PHP_INT_MAX;
        $ofFood = $condition === null ? $tokens : array_values(array_filter($tokens, static fn (Token $token): bool => $token->offset < $conditionAt));
        $forms = self::forms($ofFood, $all);
        $kept = $settled = [];
        foreach ($all->kept() as $mention) {
            [$id, $by] = self::inForms($mention->ingredient, $forms);
            $kept[] = $mention->as($id);
            $settled[$id] = $by + ($settled[$id] ?? []);
        }
        [$main, $others, $alternatives] = $this->sorted($kept, $conditionAt, $tokens);
        [$unread, $odd, $words] = self::unread($all);
        array_push($odd, ...self::tooMuch($all));

        return new ReadLine(
            $all->text, $place, $section, [...$shared, ...$all->amounts], $main, $others, $alternatives, $forms,
            $condition === null ? null : trim($condition[0], ' ().'),
            $unread, $odd, $main === null ? [] : array_values(array_diff($forms, array_keys($settled[$main->id] ?? []))), array_column($tokens, 'stem'),
            self::purpose($tokens, $clean) ?? $purpose, Tokenizer::hasLookAlikes($all->text), $words, $clean,
            ...self::said($tokens, $kept, $main),
        );
    }

    /** @return list<string> amounts that no kitchen has, as they were written */
    private static function tooMuch(Words $all): array
    {
        $odd = [];
        foreach ($all->amounts as $amount) {
            $size = Unit::in('metric', $amount->unit)?->size->best ?? 50.0;
            if ($size * $amount->quantity->best > self::MOST) {
                $last = $all->tokens[$amount->to - 1];
                $odd[] = substr($all->clean, $all->tokens[$amount->from]->offset, $last->offset + $last->length - $all->tokens[$amount->from]->offset);
            }
        }

        return $odd;
    }

    /** @return array{string, int}|null the condition of a line, and its first byte */
    public static function condition(string $clean): ?array
    {
        return preg_match(self::CONDITION, $clean, $found, PREG_OFFSET_CAPTURE) === 1 && $found[0][1] > 0 ? $found[0] : null;
    }

    /**
     * What is said of the line's own food, and of each alternative: its words end where the next food begins.
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $kept
     * @return array{Said, array<string, Said>}
     */
    private static function said(array $tokens, array $kept, ?Ingredient $main): array
    {
        $own = $tokens;
        $others = [];
        foreach ($kept as $n => $mention) {
            if (! $mention->alternative || $n === 0 || $mention->ingredient === $main?->id) {
                continue;
            }
            $from = $kept[$n - 1]->to;
            $to = isset($kept[$n + 1]) ? $kept[$n + 1]->from : count($tokens);
            $others[$mention->ingredient] = Said::of(array_slice($tokens, $from, $to - $from));
            for ($i = $from; $i < $to; $i++) {
                unset($own[$i]);
            }
        }

        return [Said::of(array_values($own)), $others];
    }

    /** Forms that a baker gives a food after it was counted: "2 carrots, sliced and dried" are two fresh carrots. */
    private const GIVEN = ['dried' => true, 'freeze-dried' => true, 'powder' => true];

    /**
     * @param  list<Token>  $tokens
     * @return list<string>
     */
    private static function forms(array $tokens, Words $all): array
    {
        ['first' => $first, 'phrases' => $phrases] = Compiled::tables()['formWords'];
        $forms = $covered = [];
        $starts = array_fill_keys(array_map(static fn (Mention $one): int => $one->from, $all->mentions), true);
        $count = count($tokens);
        $counted = ($all->amounts[0]->contents ?? null) === null && ($all->amounts[0]->unit ?? '') === 'each' ? ($all->kept()[0]->to ?? PHP_INT_MAX) : PHP_INT_MAX;
        foreach ($tokens as $i => $token) {
            $most = isset($covered[$i]) ? 0 : $first[$token->stem] ?? 0;
            if ($most === 0) {
                continue;
            }
            $key = '';
            for ($k = $i, $words = 0; $words < $most && $k < $count; $k++) {
                if ($tokens[$k]->kind === Token::MARK) {
                    if ($tokens[$k]->is('%')) {
                        continue;
                    }
                    break;
                }
                $key = $words === 0 ? $tokens[$k]->stem : "$key {$tokens[$k]->stem}";
                $words++;
                if (! isset($phrases[$key])) {
                    continue;
                }
                $before = $tokens[$i - 1] ?? null;
                if ($before?->is('not', 'never') === true || ($before?->is('un', 'no', 'without') === true && $words === 1)) {
                    continue;
                }
                for ($c = $words > 1 ? $i : $k + 1; $c <= $k; $c++) {
                    $covered[$c] = true;
                }
                foreach ($phrases[$key] as $form) {
                    if ($form === 'dry' && ! isset($starts[$k + 1])) {
                        // "dry beans", but not "patted dry"
                        continue;
                    }
                    if ($i < $counted || ! isset(self::GIVEN[$form])) {
                        $forms[$form] = true;
                    }
                }
            }
        }
        foreach ($all->amounts as $amount) {
            if ($amount->unit === 'juice-of') {
                $forms['juice'] = true;
            }
        }
        if (isset($forms['unsalted'])) {
            unset($forms['salted']);
        }
        if (isset($forms['unsweetened'])) {
            unset($forms['sweetened']);
        }
        if (isset($forms['unpitted'])) {
            unset($forms['pitted']);
        }

        return array_map(strval(...), array_keys($forms));
    }

    /**
     * In whatever order the forms are written.
     *
     * @param  list<string>  $forms
     * @return array{string, array<string, true>} what the food becomes, and by which forms
     */
    private static function inForms(string $id, array $forms): array
    {
        $by = [];
        for ($round = 0; $round < 2; $round++) {
            foreach (Catalogue::formsOf($id) as $form => $becomes) {
                if ($becomes !== $id && in_array($form, $forms, true)) {
                    $id = $becomes;
                    $by[$form] = true;
                    break;
                }
            }
        }

        return [$id, $by];
    }

    /**
     * @param  list<Mention>  $kept
     * @param  list<Token>  $tokens
     * @return array{?Ingredient, list<Ingredient>, list<Ingredient>} the main food, others, alternatives
     */
    private function sorted(array $kept, int $conditionAt, array $tokens): array
    {
        $main = null;
        $others = $alternatives = [];
        $category = null;
        foreach ($kept as $mention) {
            $inCondition = $tokens[$mention->from]->offset >= $conditionAt;
            $food = $this->catalogue->get($mention->ingredient);
            if (in_array($food->id, ['seeds-unnamed', 'rib-bone-in'], true) && $main?->inAny(['fruit', 'vegetable']) === true) {
                continue;
            }
            if ($main !== null && $food->inGroup(self::CLAIM) && $main->inAny(self::WHOLE) && ! $main->inAny(self::PREPARED)) {
                continue;
            }
            if ($main === null && ! $inCondition && ! $mention->within) {
                $main = $food;
                $category = $food->inGroup('category-word');
            } elseif ($mention->alternative) {
                $alternatives[$food->id] = $food;
            } elseif ($main !== null && ! $inCondition && $main->inGroup(self::CLAIM)) {
                // "sugar-free strawberry yogurt" is yogurt, and sold as sugar-free
                $others[$main->id] = $main;
                $main = $food;
                $category = $food->inGroup('category-word');
            } elseif ($main !== null && $category === true && ! $inCondition && $food->isNamedBy($main)) {
                // "oil (olive)", "flour: oat flour", "vegetable such as carrot"
                $main = $food;
                $category = false;
            } else {
                $others[$food->id] = $food;
            }
        }
        if ($main !== null) {
            unset($others[$main->id], $alternatives[$main->id]);
        }

        return [$main, array_values($others), array_values($alternatives)];
    }

    /** @return array{list<string>, list<string>, list<array{from: int, length: int, role: string}>} words nobody understood, numbers nobody can mean, and the role of each word */
    private static function unread(Words $all): array
    {
        $roles = [];
        foreach ($all->mentions as $mention) {
            for ($i = $mention->from; $i < $mention->to; $i++) {
                $roles[$i] = 'ingredient';
            }
        }
        foreach ($all->amounts as $amount) {
            for ($i = $amount->from; $i < $amount->to; $i++) {
                $roles[$i] ??= 'amount';
            }
        }
        $forms = Compiled::tables()['formWords']['phrases'];
        $unread = $odd = $words = [];
        foreach ($all->tokens as $i => $token) {
            if ($token->kind === Token::MARK) {
                continue;
            }
            $role = $roles[$i] ?? (isset($forms[$token->stem]) ? 'form' : null);
            if ($token->kind === Token::ODD) {
                $role = 'unread';
                $odd[] = $token->raw;
            } elseif ($role === null && ! isset($all->taken[$i]) && ! self::isHarmless($token) && ($all->tokens[$i + 1] ?? null)?->is('removed', 'discarded', 'trimmed') !== true) {
                $role = 'unread';
                $unread[] = $token->raw;
            }
            if ($role !== null) {
                $words[] = ['from' => $token->offset, 'length' => $token->length, 'role' => $role];
            }
        }

        return [array_values(array_unique($unread)), $odd, $words];
    }

    /** Whether a word says nothing that could be a food: by list, or because it measures, or opens a form. */
    public static function isHarmless(Token $token): bool
    {
        ['formWords' => ['first' => $openForms], 'benign' => $benign] = Compiled::tables();

        return $token->kind !== Token::WORD || strlen($token->text) < 3 || isset($benign[$token->text]) || isset($benign[$token->stem])
            || isset($openForms[$token->stem]) || Unit::isNamed($token->stem);
    }

    /** @param  list<Token>  $tokens */
    public static function purpose(array $tokens, string $clean): ?string
    {
        $last = null;
        foreach ($tokens as $i => $token) {
            $purpose = self::PURPOSES[$token->text] ?? null;
            if ($purpose !== null && (($tokens[$i - 1] ?? null)?->is('for', 'to', 'the') === true || ($purpose !== 'taste' && $token->glued))) {
                $last = $purpose;
            }
        }
        if ($last === null && preg_match('/\bfor (the|your|a|lining the|coating the) (\w+ )?(tin|pan|tray|mould|mold|sheet|dish|tins|pans|trays|moulds|molds)\b/i', $clean) === 1) {
            return 'greasing';
        }

        return $last;
    }
}
