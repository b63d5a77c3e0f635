<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/**
 * The recipes of the open kitchen as their cards on the shelf show them: without what is only read once one is opened. Thousands of them
 * are asked for at once, so the database writes them as they are sent.
 */
final readonly class Slips
{
    private const FIELDS = "json_build_object('id', id, 'version', version, 'title', title, 'begins', left(text, 240), 'hasMethod', steps <> '', 'texture', texture, 'shape', cut->>'shape',
        'tags', tags, 'favourite', favourite, 'photoId', photo_id, 'promoted', promoted, 'parentId', parent_id, 'notes', notes, 'foods', coalesce(judged->'foods', '[]'::jsonb),
        'judged', CASE WHEN judged->>'of' = ? THEN judged - 'of' - 'foods' END, 'updatedAt', to_char(updated_at AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"'))";

    public function __construct(private CurrentKitchen $current, private KitchenState $state) {}

    /** @return string a JSON list, by title */
    public function all(): string
    {
        return $this->written('', []);
    }

    /**
     * @param  list<string>  $ids
     * @return list<mixed> as JSON has them
     */
    public function some(array $ids): array
    {
        $ids = array_values(array_filter($ids, \Illuminate\Support\Str::isUuid(...)));

        /** @var list<mixed> */
        return $ids === [] ? [] : json_decode($this->written(' AND id IN ('.implode(', ', array_fill(0, count($ids), '?')).')', $ids), false, 64, JSON_THROW_ON_ERROR);
    }

    /** @param  list<string>  $ids */
    private function written(string $which, array $ids): string
    {
        $row = DB::selectOne('SELECT coalesce(json_agg('.self::FIELDS.' ORDER BY lower(title), id), \'[]\') AS slips FROM recipes WHERE kitchen_id = ? AND deleted_at IS NULL'.$which, [$this->state->mark(), $this->current->id(), ...$ids]);

        return (string) $row->slips;
    }
}
