<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Feeding\Gift;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Questions\RequestRefused;

/** Reads what somebody gave. */
final class GiftReader
{
    public const MOST_PIECES = 100.0;

    /** A whole jar. */
    public const MOST_IN_A_RAID = 1000.0;

    private const LONGEST_TEXT = 500;

    private function __construct() {}

    /** @throws RequestRefused */
    public static function gift(Node $node): Gift
    {
        $node->object(['id', 'at', 'by', 'dogs', 'unsure', 'bag', 'batch', 'text', 'label', 'raid']);
        $most = $node->get('raid')?->boolean() === true ? self::MOST_IN_A_RAID : self::MOST_PIECES;
        $of = array_filter(['bag' => $node->get('bag'), 'batch' => $node->get('batch'), 'text' => $node->get('text'), 'label' => $node->get('label')]);
        if (count($of) !== 1) {
            throw RequestRefused::missing('/bag', 'What was given (one of bag, batch, text or label)');
        }
        $unsure = $node->get('unsure');
        $isUnsure = $unsure?->object(['pieces']) !== null;
        $isText = isset($of['text']);
        if ($isText && $isUnsure) {
            throw RequestRefused::outOfRange('/unsure', 'What is written in words is shared among nobody: say to whom, or how many pieces of what.');
        }
        $dogs = $seen = [];
        foreach ($node->required('dogs', 'To which dog')->list(50) as $one) {
            $one->object(['dog', 'pieces']);
            $dog = JarActReader::uuid($one->required('dog', 'The dog'));
            if (isset($seen[$dog])) {
                throw RequestRefused::outOfRange("{$one->path}/dog", 'This dog stands here twice: say it once, with all that it had.');
            }
            $seen[$dog] = true;
            $pieces = $one->get('pieces');
            if ($pieces !== null && ($isText || $isUnsure)) {
                throw RequestRefused::outOfRange($pieces->path, $isText ? 'What is written in words has its amount in its words.' : 'Nobody knows who had it: say how many there were in all, with `unsure`.');
            }
            $dogs[] = ['dog' => $dog, 'pieces' => $isText || $isUnsure ? null : self::pieces($pieces ?? throw RequestRefused::missing("{$one->path}/pieces", 'How many pieces'), $most)];
        }
        if ($dogs === []) {
            throw RequestRefused::missing('/dogs', 'At least one dog');
        }
        if ($unsure !== null && ! $isText) {
            $each = self::pieces($unsure->required('pieces', 'How many pieces in all'), $most) / count($dogs);
            $dogs = array_map(static fn (array $one): array => ['pieces' => $each] + $one, $dogs);
        }

        return new Gift(
            JarActReader::uuid($node->required('id', 'The id of what was given')), LogReader::moment($node->required('at', 'When it was given')), trim($node->required('by', 'Who gave it')->filled(60)),
            $dogs, isset($of['bag']) ? JarActReader::uuid($of['bag']) : null, isset($of['batch']) ? JarActReader::uuid($of['batch']) : null,
            isset($of['text']) ? trim($of['text']->filled(self::LONGEST_TEXT)) : null, isset($of['label']) ? self::label($of['label']) : null, $isUnsure,
        );
    }

    private static function pieces(Node $node, float $most): float
    {
        $pieces = $node->positive(1e9, 'pieces');
        if ($pieces > $most) {
            throw RequestRefused::outOfRange($node->path, 'More than '.(int) $most.' pieces to one dog at once is a slip'.($most < self::MOST_IN_A_RAID ? ', or a raid: for that there is "It ate something".' : '.'));
        }

        return $pieces;
    }

    /** @return array<string, mixed> */
    private static function label(Node $node): array
    {
        $node->object(['name', 'kcal', 'grams', 'ingredients', ...Given::SUBSTANCES]);
        $label = ['name' => trim($node->required('name', 'The name of what was bought')->filled(200))];
        foreach (['kcal' => [0.0, 2000.0], 'grams' => [0.1, 2000.0]] + array_fill_keys(Given::SUBSTANCES, [0.0, 1e6]) as $key => [$least, $most]) {
            $value = $node->get($key)?->number($least, $most);
            if ($value !== null) {
                $label[$key] = $value;
            }
        }
        $list = $node->get('ingredients')?->filled(5000);

        return $list === null ? $label : $label + ['ingredients' => $list];
    }
}
