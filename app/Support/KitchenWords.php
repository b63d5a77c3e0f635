<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Confirmation;
use App\Models\Dog;
use Illuminate\Database\Eloquent\Collection;
use stdClass;

/**
 * What was confirmed in the open kitchen and still holds: a vet's word for a dog and a rule, until its day and as long as the dog has no
 * condition or medicine that the vet did not know of; a label that was read on a jar, wherever that jar is used.
 */
final class KitchenWords
{
    /** @var Collection<int, Confirmation>|null */
    private ?Collection $words = null;

    public function __construct(private readonly KitchenClock $clock) {}

    /**
     * @param  iterable<Dog>  $dogs
     * @return list<stdClass> as core takes them
     */
    public function ofVets(iterable $dogs): array
    {
        $said = [];
        foreach ($dogs as $dog) {
            foreach ($this->words()->where('dog_id', $dog->id) as $word) {
                if ($this->holds($word, $dog)) {
                    $said[] = (object) ['code' => $word->code, 'line' => null, 'dog' => $dog->id];
                }
            }
        }

        return $said;
    }

    /** Whether a vet's word is to be taken for a dog as it is today. */
    public function holds(Confirmation $word, Dog $dog): bool
    {
        return $word->level === 'ask-vet' && $word->taken_back_at === null && $word->holds_until !== null && ! $word->holds_until->lt($this->clock->today())
            && array_diff([...$dog->conditions, ...$dog->medicines], $word->known) === [];
    }

    /**
     * The labels that were read of jars, for the lines that name one or are bound to one.
     *
     * @param  list<stdClass>  $products  of the kitchen: id and name
     * @param  list<array{string, string}>  $bound  lines and the ids of their products
     * @return list<stdClass> as core takes them
     */
    public function ofLabels(string $text, array $products, array $bound): array
    {
        $read = $this->words()->where('level', 'check-label')->whereNotNull('product_id')->whereNull('taken_back_at')->groupBy('product_id');
        if ($read->isEmpty()) {
            return [];
        }
        $lines = array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $line): bool => $line !== '');
        $said = [];
        foreach ($products as $product) {
            $mine = array_filter($lines, static fn (string $line): bool => in_array([$line, $product->id], $bound, true) || mb_stripos($line, (string) $product->name) !== false);
            foreach ($read->get($product->id) ?? [] as $word) {
                foreach ($mine as $line) {
                    $said[] = (object) ['code' => $word->code, 'line' => mb_substr($line, 0, 2000), 'dog' => null];
                }
            }
        }

        return $said;
    }

    /** @return list<array{string, bool}> what of it a verdict rests on */
    public function mark(): array
    {
        $today = $this->clock->today();

        return array_values($this->words()->map(static fn (Confirmation $one): array => [$one->id, $one->holds_until !== null && $one->holds_until->lt($today)])->all());
    }

    /** @return Collection<int, Confirmation> those that last: of a dog, or of a jar */
    private function words(): Collection
    {
        return $this->words ??= Confirmation::query()->whereNull('taken_back_at')
            ->where(static fn ($query) => $query->whereNotNull('product_id')->orWhere(static fn ($query) => $query->where('level', 'ask-vet')->whereNotNull('dog_id')))->orderBy('said_at')->orderBy('id')->get();
    }
}
