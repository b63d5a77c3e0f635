<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Batch;
use App\Models\BatchEntry;
use Carbon\CarbonImmutable;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Questions\RequestRefused;

/** Writes entries into the log of a batch, each as if it had been tapped at its own time. The rules are those of core's log. */
final readonly class BatchRecords
{
    public function __construct(private KitchenClock $clock) {}

    /**
     * @param  list<Entry>  $entries
     *
     * @throws RequestRefused when one of them cannot be so
     */
    public function record(Batch $batch, array $entries): void
    {
        foreach ($entries as $entry) {
            $log = $batch->log();
            $why = $log->log->refusal($entry, $log->planned);
            if ($why !== null) {
                throw RequestRefused::outOfRange('/said', $why);
            }
            $this->write($batch, $entry);
        }
        $batch->summary = $batch->log()->summary();
        $batch->save();
    }

    public function write(Batch $batch, Entry $entry): BatchEntry
    {
        return BatchEntry::query()->create([
            'id' => $entry->id, 'batch_id' => $batch->id, 'at' => new CarbonImmutable($entry->at), 'by' => $entry->by, 'kind' => $entry->kind->value,
            'said' => json_encode((object) $entry->said, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), 'corrects' => $entry->corrects, 'came_at' => $this->clock->now(),
        ]);
    }
}
