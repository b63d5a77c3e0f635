<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Change;
use App\Models\Dog;
use App\Models\Kitchen;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;

/**
 * A write names the version it was made on (If-Match). What another person changed in between stays, where this write does not touch it;
 * lists are put together entry by entry, so that nothing that was added elsewhere is lost; where both wrote in one field, it is asked.
 */
final readonly class Merge
{
    /** Lists of objects that are sets: an entry is one as a whole. */
    private const SETS = ['confirmed', 'bound'];

    /** Lists of things, each known by one of its words: two hands may write in two of them. */
    private const KEYED = ['guests' => 'id', 'boxes' => 'id', 'treats' => 'recipeId', 'shares' => 'dog'];

    public function __construct(private Request $request) {}

    /**
     * What is to be written over a row.
     *
     * @param  Model  $row  as it stands now, locked with its kitchen
     * @param  array<string, mixed>  $columns
     * @return array<string, mixed>
     *
     * @throws Conflict where both changed one field
     */
    public function onto(Model $row, array $columns): array
    {
        $base = $this->base();
        $now = (int) $row->getAttribute('version');
        if ($base === null || $base >= $now) {
            return $columns;
        }
        $before = $this->changedSince($row, $base, $now);
        $theirs = $row->attributesToArray();
        $mine = array_replace($theirs, $row->newInstance([], true)->setRawAttributes($row->getAttributes())->forceFill($columns)->attributesToArray());
        $conflicts = [];
        foreach (array_keys($columns) as $column) {
            if (! array_key_exists($column, $before) || self::same($mine[$column], $theirs[$column])) {
                continue;
            }
            [$was, $known] = $before[$column];
            if ($known && self::same($mine[$column], $was)) {
                unset($columns[$column]);
            } elseif ($known && isset(self::KEYED[$column]) && ($both = self::byKey(self::KEYED[$column], (array) $was, (array) $mine[$column], (array) $theirs[$column])) !== null) {
                $columns[$column] = $both;
            } elseif ($known && self::isSet($column, $was) && self::isSet($column, $mine[$column]) && self::isSet($column, $theirs[$column])) {
                $columns[$column] = self::together((array) $was, (array) $mine[$column], (array) $theirs[$column]);
            } else {
                $conflicts[] = ['field' => Str::camel($column), 'before' => $known ? $was : null, 'mine' => $mine[$column], 'theirs' => $theirs[$column]];
            }
        }
        // a weight and the words it was said in are one thing
        if ($row instanceof Dog && ! array_key_exists('weight_kg', $columns)) {
            unset($columns['weight_said']);
        }
        if ($conflicts !== []) {
            throw new Conflict($conflicts, $now);
        }

        return $columns;
    }

    /** @throws RequestRefused when If-Match names no version */
    private function base(): ?int
    {
        $header = $this->request->headers->get('If-Match');
        if ($header === null) {
            return null;
        }
        if (preg_match('/^(?:W\/)?"?(\d{1,9})"?$/', trim($header), $found) !== 1) {
            throw RequestRefused::outOfRange('/If-Match', 'If-Match names the version that the change was made on, such as "3".');
        }

        return (int) $found[1];
    }

    /**
     * What stood in the columns that were changed after a version.
     *
     * @return array<string, array{mixed, bool}> the value at that version, and whether it is known
     */
    private function changedSince(Model $row, int $base, int $now): array
    {
        $changes = Change::query()->where('kind', $row instanceof Kitchen ? 'kitchen' : Kinds::of($row))->where('row_id', $row instanceof Kitchen ? null : $row->getKey())
            ->where('version', '>', $base)->orderBy('version')->get();
        $before = [];
        $page = Journal::page($this->request);
        foreach ($changes as $change) {
            // what a page did itself it knows: it wrote this over that
            if ($page !== null && $change->page === $page) {
                continue;
            }
            foreach ($change->before as $column => $value) {
                $before[$column] ??= [$value, true];
            }
        }
        if ($changes->count() < $now - $base) {
            // of what is not written down any more, anything may have changed
            foreach (array_keys($row->getAttributes()) as $column) {
                $before[$column] ??= [null, false];
            }
        }

        return $before;
    }

    private static function isSet(string $column, mixed $value): bool
    {
        return is_array($value) && array_is_list($value) && (in_array($column, self::SETS, true) || array_filter($value, is_array(...)) === []);
    }

    /**
     * @param  array<mixed>  $was
     * @param  array<mixed>  $mine
     * @param  array<mixed>  $theirs
     * @return list<mixed> theirs, with what I added and without what I took away
     */
    private static function together(array $was, array $mine, array $theirs): array
    {
        $lacks = static fn (array $list): \Closure => static fn (mixed $one): bool => array_filter($list, static fn (mixed $other): bool => self::same($one, $other)) === [];
        $added = array_filter(array_filter($mine, $lacks($was)), $lacks($theirs));
        $taken = array_filter($was, $lacks($mine));

        return array_values([...array_filter($theirs, $lacks($taken)), ...$added]);
    }

    /**
     * @param  array<mixed>  $was
     * @param  array<mixed>  $mine
     * @param  array<mixed>  $theirs
     * @return list<mixed>|null theirs with what I changed; null where both changed one and the same
     */
    private static function byKey(string $key, array $was, array $mine, array $theirs): ?array
    {
        [$was, $mine, $theirs] = array_map(static fn (array $list): array => array_column($list, null, $key), [$was, $mine, $theirs]);
        $both = [];
        foreach (array_keys($theirs + $mine) as $one) {
            $own = $mine[$one] ?? null;
            $other = $theirs[$one] ?? null;
            $before = $was[$one] ?? null;
            if (! self::same($own, $before) && ! self::same($other, $before) && ! self::same($own, $other)) {
                return null;
            }
            $both[] = self::same($own, $before) ? $other : $own;
        }

        return array_values(array_filter($both, static fn (mixed $one): bool => $one !== null));
    }

    private static function same(mixed $one, mixed $two): bool
    {
        return self::plain($one) === self::plain($two);
    }

    private static function plain(mixed $value): string
    {
        $sorted = static function (mixed $one) use (&$sorted): mixed {
            if (! is_array($one)) {
                return is_int($one) ? (float) $one : $one;
            }
            if (! array_is_list($one)) {
                ksort($one);
            }

            return array_map($sorted, $one);
        };

        return json_encode($sorted($value), JSON_THROW_ON_ERROR);
    }
}
