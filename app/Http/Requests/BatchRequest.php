<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Batch;
use Carbon\CarbonImmutable;
use MildBowl\Core\Questions\BakeQuestion;
use stdClass;

/** A batch is begun: what would be asked about the sheet, who begins it, when, and in which oven. */
final class BatchRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'asked' => ['required', 'array'],
            'title' => ['sometimes', 'nullable', 'string', 'max:200'],
            'at' => ['required', 'string', 'regex:/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?Z$/', 'date'],
            'startAt' => ['required', 'string', 'regex:/^\d{4}-\d\d-\d\dT\d\d:\d\d$/'],
            'by' => ['required', 'string', 'filled', 'max:60'],
            'oven' => ['sometimes', 'nullable', 'string', 'filled', 'max:60'],
            'ovens' => ['sometimes', 'nullable', 'integer', 'between:1,'.BakeQuestion::MOST_OVENS],
            'trays' => ['sometimes', 'nullable', 'integer', 'between:1,'.BakeQuestion::MOST_TRAYS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'asked.required' => 'Say what is to be baked.', 'asked.array' => 'Say what is to be baked.', 'title.max' => 'A name has at most 200 letters.', 'by.max' => 'A name has at most 60 letters.',
            'oven.max' => 'The name of an oven has at most 60 letters.', 'oven.filled' => 'An oven has a name, or none is said.',
            'ovens.between' => 'From 1 to '.BakeQuestion::MOST_OVENS.' ovens.', 'trays.between' => 'From 1 to '.BakeQuestion::MOST_TRAYS.' trays at once.',
            'by.required' => 'Say who is baking: a name is enough.', 'by.filled' => 'Say who is baking: a name is enough.', 'at.regex' => 'This must be a moment in UTC such as 2026-05-14T12:05:30.000Z.', 'startAt.regex' => 'This must be a minute such as 2026-05-14T14:05.',
        ];
    }

    /** As it was sent, objects apart from lists. */
    public function asked(): stdClass
    {
        $whole = json_decode($this->getContent());

        return $whole instanceof stdClass && $whole->asked instanceof stdClass ? $whole->asked : new stdClass;
    }

    public function title(): ?string
    {
        $title = $this->validated('title');

        return is_string($title) ? $title : null;
    }

    /** @return array{ovens: ?int, trays: ?int} */
    public function room(): array
    {
        $of = fn (string $key): ?int => is_numeric($this->validated($key)) ? (int) $this->validated($key) : null;

        return ['ovens' => $of('ovens'), 'trays' => $of('trays')];
    }

    public function at(): CarbonImmutable
    {
        return new CarbonImmutable((string) $this->validated('at'));
    }

    public function oven(): string
    {
        $oven = $this->validated('oven');

        return is_string($oven) ? trim($oven) : Batch::OVEN;
    }
}
