<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Questions\RequestRefused;

/** Reads entries of the log of a batch. What can be said of each kind, and nothing else, is said in `said`. */
final class LogReader
{
    /** What was wasted, and why. */
    public const WHY = ['burnt', 'broken', 'edges', 'stuck', 'dropped', 'other'];

    public const ABOUT = ['oven', 'dough', 'next', 'other'];

    public const PLACES = ['jar', 'fridge', 'freezer'];

    private const MOST = 100000;

    /** @throws RequestRefused */
    public static function entry(Node $node): Entry
    {
        $node->object(['id', 'at', 'by', 'kind', 'said', 'corrects']);
        $kind = EntryKind::from($node->required('kind', 'What happened')->choice(array_column(EntryKind::cases(), 'value')));
        $at = $node->required('at', 'When it happened');

        return new Entry(
            $node->required('id', 'The id of the entry')->filled(60), self::moment($at), trim($node->required('by', 'Who did it')->filled(60)), $kind,
            self::said($kind, $node->get('said') ?? new Node(new \stdClass, "{$node->path}/said")), $node->get('corrects')?->filled(60),
        );
    }

    /** To the millisecond, in UTC: two of them compare as texts. */
    public static function moment(Node $node): string
    {
        $text = $node->string(40);
        if (preg_match('/^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d)(?:\.(\d{1,6}))?Z$/', $text, $part) !== 1 || strtotime($part[1].'Z') === false || gmdate('Y-m-d\TH:i:s', (int) strtotime($part[1].'Z')) !== $part[1]) {
            throw RequestRefused::outOfRange($node->path, 'This must be a moment in UTC such as 2026-05-14T12:05:30.000Z.');
        }

        return $part[1].'.'.substr(str_pad($part[2] ?? '', 3, '0'), 0, 3).'Z';
    }

    /** @return array<string, mixed> */
    private static function said(EntryKind $kind, Node $node): array
    {
        $keys = match ($kind) {
            EntryKind::Begun, EntryKind::Done, EntryKind::Skipped => ['step'],
            EntryKind::Timer => ['timer', 'name', 'seconds', 'step?', 'lot?'],
            EntryKind::More => ['timer', 'seconds'],
            EntryKind::Stopped => ['timer'],
            EntryKind::Made => ['entry', 'says?'],
            EntryKind::Felt => ['feel'],
            EntryKind::Tasted => ['dog', 'name', 'what', 'took', 'grams?', 'ofBatch?'],
            EntryKind::Core => ['celsius', 'step?', 'lot?'],
            EntryKind::Count => ['pieces', 'lot?'],
            EntryKind::Weight => ['grams', 'lot?'],
            EntryKind::Waste => ['pieces?', 'grams?', 'why', 'lot?'],
            EntryKind::Mould => ['percent', 'lot?'],
            EntryKind::Note => ['about', 'text'],
            EntryKind::Photo => ['photo'],
            EntryKind::Bag => ['place', 'pieces', 'bags', 'lot?'],
            EntryKind::GivenUp => ['why?'],
            EntryKind::Finished, EntryKind::Undone => [],
        };
        $node->object(array_map(static fn (string $key): string => rtrim($key, '?'), $keys));
        $said = [];
        foreach ($keys as $key) {
            $name = rtrim($key, '?');
            $value = str_ends_with($key, '?') ? $node->get($name) : $node->required($name, "What is said of \"$name\"");
            if ($value !== null) {
                $said[$name] = self::value($kind, $name, $value);
            }
        }
        if ($kind === EntryKind::Waste && ! isset($said['pieces']) && ! isset($said['grams'])) {
            throw RequestRefused::missing($node->path, 'How much was wasted, in pieces or grams,');
        }

        return $said;
    }

    private static function value(EntryKind $kind, string $key, Node $value): mixed
    {
        return match ($key) {
            'seconds' => $value->number($kind === EntryKind::More ? -self::MOST : 0, self::MOST, 's'),
            'celsius' => $value->number(-self::MOST, self::MOST, '°C'),
            'pieces' => (float) $value->integer(0, 10000),
            'bags' => (float) $value->integer(1, 200),
            'grams' => $value->number(0, self::MOST, 'g'),
            'percent' => $value->number(0, 100, '%'),
            'took', 'ofBatch' => $value->boolean(),
            'why' => $kind === EntryKind::Waste ? $value->choice(self::WHY) : $value->string(500),
            'about' => $value->choice(self::ABOUT),
            'place' => $value->choice(self::PLACES),
            'feel' => Feel::called($value->string())->feel ?? throw RequestRefused::outOfRange($value->path, 'No dough feels so.'),
            'entry' => self::made($value),
            'text' => $value->filled(2000),
            default => $value->filled(200),
        };
    }

    /** @return array<array-key, mixed> one entry of `recipe.asMade`, as it was said */
    private static function made(Node $value): array
    {
        AsMadeReader::one($value);

        return (array) json_decode((string) json_encode($value->value), true);
    }
}
