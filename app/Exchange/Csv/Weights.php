<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\Weighing;
use App\Support\KitchenClock;
use App\Support\WeighBook;
use MildBowl\Core\Dogs\Weight;

/** What the dogs weighed. */
final readonly class Weights implements Table
{
    public function __construct(private DogNames $dogs, private KitchenClock $clock) {}

    public function columns(): array
    {
        return ['dog' => true, 'on' => true, 'kg' => true, 'body condition' => false];
    }

    public function rows(): iterable
    {
        foreach (Weighing::query()->with('dog')->get()->sortBy(static fn (Weighing $one): array => [$one->dog->name, $one->weighed_on->format('Y-m-d')]) as $one) {
            yield [$one->dog->name, $one->weighed_on->format('Y-m-d'), Cells::number($one->kg), (string) $one->body_condition];
        }
    }

    public function take(Row $row): string
    {
        $dog = $this->dogs->of($row);
        $on = $row->pastDay('on', $this->clock->today());
        $kg = $row->number('kg', Weight::LIGHTEST_KG, Weight::HEAVIEST_KG) ?? throw new CellRefused('kg', 'Say what it weighed, in kg.');
        $condition = $row->number('body condition', 1, 9);
        if ($condition !== null && fmod($condition, 1.0) !== 0.0) {
            throw new CellRefused('body condition', 'Body condition is a whole number from 1 to 9.');
        }
        $kept = Weighing::query()->where('dog_id', $dog->id)->where('weighed_on', $on)->first();
        if ($kept !== null && abs($kept->kg - $kg) < 1e-9 && ($condition === null || $kept->body_condition === (int) $condition)) {
            return 'same';
        }
        WeighBook::write($dog, $on, $kg, $condition === null ? [] : ['body_condition' => (int) $condition]);

        return $kept === null ? 'new' : 'changed';
    }

    public function finish(): void {}
}
