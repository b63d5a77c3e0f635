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

    /** Group of words that claim something about a food and are none. */
    private const CLAIM = 'check-sugar-free';

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

    public function ofWords(Words $all, Place $place, ?string $section): ReadLine
    {
        $text = $all->text;
        $clean = $all->clean;
        $tokens = $all->tokens;
        $taken = $all->taken;
        $amounts = AmountReader::read($tokens, $taken);
        $mentions = self::withoutUnits($all->mentions, $amounts, $tokens);
        $negated = $mentions === $all->mentions ? $all->negated : Negation::of($tokens, $mentions);
        $condition = preg_match(self::CONDITION, $clean, $found, PREG_OFFSET_CAPTURE) === 1 && $found[0][1] > 0 ? $found[0] : null;
        $conditionAt = $condition[1] ?? PHP_INT_MAX;
        $ofFood = $condition === null ? $tokens : array_values(array_filter($tokens, static fn (Token $token): bool => $token->offset < $conditionAt));
        $forms = self::forms($ofFood, $mentions, $negated);

        $kept = [];
        foreach ($mentions as $index => $mention) {
            if (! isset($negated[$index])) {
                $kept[] = $mention->as(self::inForms($mention->ingredient, $forms));
            }
        }
        [$main, $others, $alternatives] = $this->sorted($kept, $conditionAt, $tokens);
        [$unread, $words] = self::unread($tokens, $mentions, $taken, $amounts, $clean);

        return new ReadLine(
            $text, $place, $section, $amounts, $main, $others, $alternatives, $forms,
            $condition === null ? null : trim($condition[0], ' ().'),
            $unread, array_column($tokens, 'stem'),
            self::purpose($tokens, $clean), Tokenizer::hasLookAlikes($text), $words, $clean,
        );
    }

    /**
     * "2 cloves garlic", "a stick of butter", "1 head of broccoli": the counted word is no food.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Amount>  $amounts
     * @param  list<Token>  $tokens
     * @return list<Mention>
     */
    private static function withoutUnits(array $mentions, array $amounts, array $tokens): array
    {
        foreach ($mentions as $index => $mention) {
            if ($mention->ingredient === 'clove' && ($mentions[$index + 1] ?? null) !== null
                && str_starts_with($mentions[$index + 1]->ingredient, 'garlic') && $mentions[$index + 1]->from <= $mention->to + 1) {
                unset($mentions[$index]);
            }
            foreach ($amounts as $amount) {
                if ($mention->from >= $amount->from && $mention->to <= $amount->to && in_array($amount->unit, ['juice-of', 'zest-of'], true) && $mention->ingredient !== 'citrus-peel') {
                    unset($mentions[$index]);
                }
            }
        }

        return array_values($mentions);
    }

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, true>  $negated
     * @return list<string>
     */
    private static function forms(array $tokens, array $mentions, array $negated): array
    {
        ['first' => $first, 'phrases' => $phrases] = Compiled::tables()['formWords'];
        $forms = [];
        $count = count($tokens);
        foreach ($tokens as $i => $token) {
            $most = $first[$token->stem] ?? 0;
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
                if ($before?->is('not', 'un', 'never', 'no', 'without') === true && $words === 1) {
                    continue;
                }
                foreach ($phrases[$key] as $form) {
                    $forms[$form] = true;
                }
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

    /** @param  list<string>  $forms */
    private static function inForms(string $id, array $forms): string
    {
        for ($round = 0; $round < 2; $round++) {
            foreach ($forms as $form) {
                $becomes = Catalogue::inForm($id, $form);
                if ($becomes !== $id) {
                    $id = $becomes;
                    break;
                }
            }
        }

        return $id;
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
            if ($main === null && ! $inCondition) {
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

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, true>  $taken
     * @param  list<Amount>  $amounts
     * @return array{list<string>, list<array{from: int, length: int, role: string}>}
     */
    private static function unread(array $tokens, array $mentions, array $taken, array $amounts, string $clean): array
    {
        $roles = [];
        foreach ($mentions as $mention) {
            for ($i = $mention->from; $i < $mention->to; $i++) {
                $roles[$i] = 'ingredient';
            }
        }
        foreach ($amounts as $amount) {
            for ($i = $amount->from; $i < $amount->to; $i++) {
                $roles[$i] ??= 'amount';
            }
        }
        ['formWords' => ['first' => $openForms, 'phrases' => $forms], 'benign' => $benign] = Compiled::tables();
        $unread = $words = [];
        foreach ($tokens as $i => $token) {
            if ($token->kind === Token::MARK) {
                continue;
            }
            $role = $roles[$i] ?? (isset($forms[$token->stem]) ? 'form' : null);
            if ($role === null && $token->kind === Token::WORD && ! isset($taken[$i])
                && ! isset($benign[$token->text]) && ! isset($benign[$token->stem])
                && ! isset($openForms[$token->stem]) && ! Unit::isNamed($token->stem) && strlen($token->text) > 2
                && preg_match('/(ed|ly|ing|ish)$/', $token->text) !== 1) {
                $role = 'unread';
                $unread[] = $token->raw;
            }
            if ($role !== null) {
                $words[] = ['from' => $token->offset, 'length' => $token->length, 'role' => $role];
            }
        }

        return [array_values(array_unique($unread)), $words];
    }

    /** @param  list<Token>  $tokens */
    private static function purpose(array $tokens, string $clean): ?string
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
        if ($last === null && preg_match('/\bas (needed|required|necessary)\b|\bto (bind|mix|thin)\b/i', $clean) === 1) {
            return 'taste';
        }

        return $last;
    }
}
