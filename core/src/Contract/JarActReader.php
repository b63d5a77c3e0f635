<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Keeping\JarAct;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Keeping\OpenedFood;
use MildBowl\Core\Keeping\PowerCut;
use MildBowl\Core\Keeping\ShelfLife;
use MildBowl\Core\Questions\RequestRefused;

/** Reads what somebody did at the jars. What can be said of each kind, and nothing else, is said in `said`. */
final class JarActReader
{
    public const WHY = ['eaten', 'thrown', 'given-away', 'lost'];

    /** Why something was thrown away. */
    public const THROWN = ['past its day', 'mould', 'smell', 'damp', 'thawed in a power cut', 'fell down', 'not liked', 'other'];

    private const MOST_HOURS = 1000.0;

    private const MOST_GRAMS = 100000.0;

    private const KEYS = [
        'put' => ['batch', 'lot?', 'as?', 'made?', 'split'], 'found' => ['bag', 'title', 'class?', 'made', 'pieces', 'place', 'dogs?', 'note?'], 'open' => ['bag', 'title', 'food', 'ingredient?', 'grams?', 'made?', 'place', 'batch?'],
        'gone' => ['batch', 'ingredient'],
        'move' => ['bag', 'place'], 'split' => ['bag', 'to'], 'merge' => ['bag', 'into'], 'take' => ['bag', 'pieces?', 'why', 'because?'], 'count' => ['bag', 'pieces'], 'date' => ['bag', 'bestBefore'],
        'for' => ['bag', 'dogs', 'note?'], 'cut' => ['hours', 'full?', 'feels?', 'places?'], 'undo' => [],
    ];

    private function __construct() {}

    /** @throws RequestRefused */
    public static function act(Node $node): JarAct
    {
        $node->object(['id', 'at', 'by', 'do', 'said', 'corrects']);
        $kind = JarActKind::from($node->required('do', 'What was done')->choice(array_column(JarActKind::cases(), 'value')));
        $corrects = $node->get('corrects');
        if (($kind === JarActKind::Undo) !== ($corrects !== null)) {
            throw $kind === JarActKind::Undo ? RequestRefused::missing('/corrects', 'Which act is taken back') : RequestRefused::outOfRange('/corrects', 'Only `undo` takes something back.');
        }

        return new JarAct(
            self::uuid($node->required('id', 'The id of what was done')), LogReader::moment($node->required('at', 'When it was done')), trim($node->required('by', 'Who did it')->filled(60)), $kind,
            self::said($kind, $node->get('said') ?? new Node(new \stdClass, '/said')), $corrects === null ? null : self::uuid($corrects),
        );
    }

    /** @return array<string, mixed> */
    private static function said(JarActKind $kind, Node $node): array
    {
        $keys = self::KEYS[$kind->value];
        $node->object(array_map(static fn (string $key): string => rtrim($key, '?'), $keys));
        $said = [];
        foreach ($keys as $key) {
            $name = rtrim($key, '?');
            $value = str_ends_with($key, '?') ? $node->get($name) : $node->required($name, "What is said of \"$name\"");
            if ($value !== null) {
                $said[$name] = self::value($kind, $name, $value);
            }
        }

        return $said;
    }

    private static function value(JarActKind $kind, string $key, Node $value): mixed
    {
        return match ($key) {
            'batch', 'bag', 'into', 'place' => self::uuid($value),
            'lot', 'ingredient' => $value->filled(80),
            'title' => trim($value->filled(200)),
            'as' => $value->choice(['baked', 'dough']),
            'class' => $value->choice(array_keys(self::classes())),
            'food' => OpenedFood::has($value->string(40)) ? $value->string() : throw RequestRefused::outOfRange($value->path, 'This must be one of: '.implode(', ', array_map(static fn (OpenedFood $one): string => $one->kind, OpenedFood::all())).'.'),
            'made', 'bestBefore' => $value->day()->iso,
            'pieces' => $kind === JarActKind::Count ? $value->number(0, Keep::MOST_PIECES, 'pieces') : $value->positive(Keep::MOST_PIECES, 'pieces'),
            'grams' => $value->positive(self::MOST_GRAMS, 'g'),
            'hours' => $value->positive(self::MOST_HOURS, 'hours'),
            'full' => $value->boolean(),
            'why' => $value->choice(self::WHY),
            'because', 'note' => trim($value->filled(200)),
            'dogs', 'places' => array_map(self::uuid(...), $value->list(50)),
            'split', 'to' => self::bags($key, $value),
            'feels' => self::feels($value),
            default => throw new \LogicException("Nobody reads \"$key\"."),
        };
    }

    /** @return array<string, true> classes that a found bag may be of */
    private static function classes(): array
    {
        return array_fill_keys(ShelfLife::classes(), true);
    }

    /** @return non-empty-list<array<string, mixed>> the bags that are filled */
    private static function bags(string $key, Node $node): array
    {
        $bags = [];
        foreach ($node->list(100) as $one) {
            $one->object($key === 'to' ? ['bag', 'pieces', 'place', 'dogs'] : ['bag', 'pieces', 'place', 'grams', 'dogs']);
            $place = $key === 'to' ? $one->get('place') : $one->required('place', 'The place');
            $bag = ['bag' => self::uuid($one->required('bag', 'The id of the bag')), 'pieces' => $one->required('pieces', 'How many pieces')->positive(Keep::MOST_PIECES, 'pieces')];
            $bag += $place === null ? [] : ['place' => self::uuid($place)];
            $bag += $one->get('grams') === null ? [] : ['grams' => $one->required('grams', 'The weight')->positive(self::MOST_GRAMS, 'g')];
            $bags[] = $bag + ($one->get('dogs') === null ? [] : ['dogs' => array_map(self::uuid(...), $one->required('dogs', 'The dogs')->list(50))]);
        }

        return $bags === [] ? throw RequestRefused::missing($node->path, 'At least one bag') : $bags;
    }

    /** @return array<string, string> what the hand feels, by bag */
    private static function feels(Node $node): array
    {
        $feels = [];
        foreach ($node->list(1000) as $one) {
            $one->object(['bag', 'feels']);
            $feels[self::uuid($one->required('bag', 'The bag'))] = $one->required('feels', 'How it feels')->choice(PowerCut::FEELS);
        }

        return $feels;
    }

    public static function uuid(Node $node): string
    {
        $text = strtolower($node->string(40));

        return preg_match('/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/', $text) === 1 ? $text : throw RequestRefused::outOfRange($node->path, 'This must be a UUID.');
    }
}
