<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\ReadLine;

/** Reads the ingredient list printed on a tub: parts in order, nested brackets, percent values, "may contain". */
final class LabelReader
{
    /** The head of words that are meant so in every list, where they are a whole part. */
    private const ANY_LIST = '*';

    /** What a list begins with, in the languages of labels. */
    public const HEAD_WORDS = '(?:ingredients?( list)?|contains|composition|zutaten|ingr[ée]dients|ingredientes|ingredienti|ingredi[ëe]nten|ingredienser|inneh[åa]ll|sk[łl]adniki|sk[łl]ad)';

    private const HEAD = '/^\s*'.self::HEAD_WORDS.'\s*:\s*/iu';

    public const TRACE_WORDS = '(?:may (?:also )?contain(?: small amounts? of)?(?: traces? of)?|(?:contains )?traces? of|(?:made|produced|packed|manufactured) (?:in|on) (?:a |an |the )?(?:\w+ ){0,3}(?:that|which|where|with|handling|using)(?: (?:also )?(?:handles|uses|processes|handle|use|process|we use))?|not suitable for (?:\w+ ){0,4}(?:with|allergic to)|kann spuren von|peut contenir(?: des traces de)?|puede contener(?: trazas de)?|pu[òo] contenere(?: tracce di)?|kan (?:sporen van|inneh[åa]lla(?: sp[åa]r av)?|indeholde(?: spor af)?)|mo[żz]e zawiera[ćc](?: [śs]ladowe ilo[śs]ci)?|pode conter(?: vest[íi]gios de)?)(?!\p{L})';

    private const TRACE = '/\G'.self::TRACE_WORDS.':?/iu';

    /** "Kann Spuren von anderen Nüssen enthalten": words about the traces, and not of them. */
    private const AROUND_TRACES = '/(?<!\p{L})(?:other|anderen?|autres?|otr[oa]s|altr[aei]|andere|andra|andre|inn[ey]ch|outros?|enthalten(?: sein)?|bevatten|inneh[åa]lla|indeholde|sp[åa]r av|spor af)(?!\p{L})/iu';

    /** Sentences on a tub that are no part of its list. */
    public const OTHER_WORDS = '(?:allerg\w+ (?:advice|information|info)|for allergens|nutrition\w*|storage|store (?:in|at|below)|keep (?:in|cool|refrigerated|out)|best before|use by|net w\w+|nett?o(?:gewicht|f[üu]llmenge)|f[üu]llmenge|poids net|peso net[ot]o|once open\w*|una vez abierto|una volta aperto|apr[èe]s ouverture|produced (?:by|for)|distributed by|made in \w+|shake well|stir before|serving suggestion|free from|mindestens haltbar|k[üu]hl|trocken lagern|nach dem [öo]ffnen|n[äa]hrwerte?|[àa] (?:conserver|consommer)|valeurs nutritionnelles|conservar|consumir|informaci[óo]n nutricional|conservare|da consumarsi|valori nutrizionali|(?:koel |droog )?bewaren|ten minste houdbaar|voedingswaarde|f[öo]rvaras|b[äa]st f[öo]re|n[äa]ringsv[äa]rde|opbevares|mindst holdbar|n[æa]ringsindhold|przechowywa[ćc]|najlepiej spo[żz]y[ćc]|warto[śs][ćc] od[żz]ywcza)\b';

    private const OTHER = '/(?:(?<=[.;\n])|^)\s*'.self::OTHER_WORDS.'[^.\n]*[.\n]?/iu';

    /** A full stop after these ends no part: "L. acidophilus", "incl. celery". */
    private const SHORTENED = '/(?:^|[\s(])(?:\p{L}|incl|min|max|approx|nat|art|veg|conc|var|spp)$/iu';

    private function __construct(private readonly LineReader $reader) {}

    /** @var list<LabelPart> */
    private array $parts = [];

    /** @var list<string> the part each open bracket belongs to */
    private array $parents = [];

    private ?int $traceDepth = null;

    private string $buffer = '';

    /** @return list<LabelPart> */
    public static function read(string $ingredients, LineReader $lines): array
    {
        $reader = new self($lines);
        $reader->all(trim(preg_replace([self::HEAD, self::OTHER], ' ', self::inItsLanguage(Tokenizer::clean($ingredients))) ?? ''));

        return array_map(
            static fn (int $n, LabelPart $part): LabelPart => $part->spelled(self::follows($part, $reader->parts[$n + 1] ?? null)),
            array_keys($reader->parts),
            $reader->parts,
        );
    }

    private function all(string $text): void
    {
        $length = strlen($text);
        for ($i = 0; $i < $length; $i++) {
            $char = $text[$i];
            if (($i === 0 || ! ctype_alpha($text[$i - 1])) && ctype_alpha($char) && preg_match(self::TRACE, $text, $found, 0, $i) === 1) {
                $this->flush();
                $this->traceDepth ??= count($this->parents);
                $i += strlen($found[0]) - 1;

                continue;
            }
            if (str_contains('([{', $char)) {
                $this->open();
            } elseif (str_contains(')]}', $char)) {
                $this->close();
            } elseif ($char === ';' || $char === "\n" || $char === '|' || ($char === ',' && ! self::insideNumber($text, $i)) || ($char === '.' && ! ctype_digit($text[$i + 1] ?? '') && preg_match(self::SHORTENED, $this->buffer) !== 1)) {
                $this->flush();
                if (($char === '.' || $char === "\n") && $this->parents === []) {
                    $this->traceDepth = null;
                }
            } else {
                $this->buffer .= $char;
            }
        }
        $this->flush();
    }

    /** Words that mean another food in English, in a list whose head tells its language: an Italian "latte" is milk. */
    private static function inItsLanguage(string $text): string
    {
        foreach (Compiled::tables()['labelFriends'] as $friend) {
            if ($friend['head'] !== self::ANY_LIST && preg_match('/^\s*'.preg_quote($friend['head'], '/').'\s*:/iu', $text) === 1) {
                $text = preg_replace('/(?<!\p{L})'.preg_quote($friend['word'], '/').'(?!\p{L})/iu', $friend['means'], $text) ?? $text;
            }
        }

        return $text;
    }

    /** Whether the next part begins what a part is made of: "spices (including pepper)" leaves the rest unsaid. */
    private static function follows(LabelPart $part, ?LabelPart $next): bool
    {
        return $next !== null && $next->depth > $part->depth && ! $next->trace && preg_match('/^(incl|contain|with\b|inkl|dont\b|con\b|met\b|mit\b)/iu', $next->text) !== 1;
    }

    private static function insideNumber(string $text, int $i): bool
    {
        return ctype_digit($text[$i + 1] ?? '') && ctype_digit($text[$i - 1] ?? '');
    }

    private function open(): void
    {
        $parent = trim($this->buffer);
        $this->flush();
        $this->parents[] = $parent;
    }

    private function close(): void
    {
        $inside = trim($this->buffer);
        // "roasted peanuts (95 %)": the figure belongs to what stands before the bracket
        if (preg_match('/^(?:min(?:imum)?\.?\s*)?(\d+(?:[.,]\d+)?)\s*%$/u', $inside, $found) === 1 && $this->parts !== []) {
            $last = array_pop($this->parts);
            $this->parts[] = new LabelPart($last->text, self::number($found[1]), $last->depth, $last->trace, $last->lines);
            $this->buffer = '';
        }
        $this->flush();
        array_pop($this->parents);
        if ($this->traceDepth !== null && count($this->parents) < $this->traceDepth) {
            $this->traceDepth = null;
        }
    }

    private static function number(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }

    private function flush(): void
    {
        $text = trim($this->buffer, " \t:*•·-†‡");
        $this->buffer = '';
        $atMost = '/(contains?\s+)?(less than|not more than|max\.?)?\s*\d+(?:[.,]\d+)?\s*%(\s*or less)?(\s*of)?(\s*(each|the following))?\s*:?/iu';
        $percent = preg_match('/(less than|not more than|max\.?|contains?)?\s*(\d+(?:[.,]\d+)?)\s*%(\s*or less)?/iu', $text, $found) === 1 && $found[1] === '' && ($found[3] ?? '') === '' ? self::number($found[2]) : null;
        $bare = trim(preg_replace([$atMost, '/^(and|contains?|including|incl\.?|from|of which|or less of|each of the following)\b[: ]*/iu'], ' ', $text) ?? '');
        if ($this->traceDepth !== null) {
            $bare = trim(preg_replace(self::AROUND_TRACES, ' ', $bare) ?? $bare);
        }
        if (preg_match('/[\p{L}\d]/u', $bare) !== 1) {
            return;
        }
        $this->parts[] = new LabelPart($text, $percent, count($this->parents), $this->traceDepth !== null, $this->lines($bare));
    }

    /** @return non-empty-list<ReadLine> */
    private function lines(string $bare): array
    {
        $bare = self::ofListsOnly($bare);
        $whole = $this->reader->read($bare);
        if (preg_match('/^(.{2,60}?)\s+(?:and|or|&|und|et|y|e)\s+(.{2,60})$/iu', $bare, $two) === 1) {
            $both = [$this->inContext($two[1]), $this->inContext($two[2])];
            if ($both[0]->food !== null && $both[1]->food !== null) {
                return $both;
            }
        }

        return ! $whole->isUnderstood() ? [$this->inContext($bare)] : [$whole];
    }

    /** "Vitamins", "copper": words that name a nutrient as a part of a printed list, and nothing on a line of a recipe. */
    private static function ofListsOnly(string $bare): string
    {
        foreach (Compiled::tables()['labelFriends'] as $friend) {
            if ($friend['head'] === self::ANY_LIST && mb_strtolower($bare) === $friend['word']) {
                return $friend['means'];
            }
        }

        return $bare;
    }

    /** "vegetable oils (palm, rapeseed)": what stands in the bracket is palm oil and rapeseed oil. */
    private function inContext(string $bare): ReadLine
    {
        $line = $this->reader->read($bare);
        if ($line->isUnderstood()) {
            return $line;
        }
        foreach (array_reverse($this->parents) as $parent) {
            if (preg_match('/(\p{L}+)\W*$/u', $parent, $word) === 1) {
                // "vegetable oils (palm)", "vitamins (A, D3)"
                foreach (["$bare {$word[1]}", rtrim($word[1], 's')." $bare"] as $longer) {
                    $longer = $this->reader->read($longer);
                    if ($longer->isUnderstood()) {
                        return $longer;
                    }
                }
            }
        }

        return $line;
    }
}
