<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Weighing;
use Carbon\CarbonImmutable;
use MildBowl\Core\Contract\DogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Dogs\WeighingDue;
use MildBowl\Core\Questions\RequestRefused;

/** Which dogs should stand on the scale again, and since when. */
final readonly class WeighDays
{
    public function __construct(private KitchenParts $parts) {}

    /**
     * @param  list<Dog>  $dogs
     * @return list<array{dog: string, lastOn: ?string, dueOn: ?string}> those that are due on a day; never weighed: both null
     */
    public function due(string $on, array $dogs): array
    {
        $last = Weighing::query()->toBase()->selectRaw('dog_id, max(weighed_on) as last_on')->groupBy('dog_id')->pluck('last_on', 'dog_id')->all();
        $due = [];
        foreach ($dogs as $dog) {
            $days = $this->everyDays($dog);
            $lastOn = is_string($last[$dog->id] ?? null) ? substr($last[$dog->id], 0, 10) : null;
            $dueOn = $days === null || $lastOn === null ? null : CarbonImmutable::parse($lastOn)->addDays($days)->format('Y-m-d');
            if ($days !== null && ($dueOn === null || $dueOn <= $on)) {
                $due[] = ['dog' => $dog->id, 'lastOn' => $lastOn, 'dueOn' => $dueOn];
            }
        }

        return $due;
    }

    private function everyDays(Dog $dog): ?int
    {
        try {
            return WeighingDue::everyDays(DogReader::one(new Node($dog->known()), $this->parts->catalogue()));
        } catch (RequestRefused) {
            return null;
        }
    }
}
