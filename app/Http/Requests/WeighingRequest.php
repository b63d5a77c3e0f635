<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\KitchenClock;
use MildBowl\Core\Dogs\Weight;

/** What a dog weighed, and when. */
final class WeighingRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => ['required', 'date_format:Y-m-d', 'before_or_equal:'.app(KitchenClock::class)->today()->format('Y-m-d'), 'after:-35 years'],
            'weight' => ['sometimes', 'required', 'string', 'max:40', $this->isWeight(...)],
            'bodyCondition' => ['nullable', 'integer', 'between:1,9'],
            'kg' => ['required_without:weight', 'numeric', 'between:'.Weight::LIGHTEST_KG.','.Weight::HEAVIEST_KG],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['kg.between' => 'A dog weighs from 0.3 to 120 kg.', 'kg.required_without' => 'Say what it weighed.', 'kg.numeric' => 'The weight should be a number, in kg.', 'on.before_or_equal' => 'That day lies in the future.', 'on.date_format' => 'This must be a date such as 2026-05-14.', 'bodyCondition.*' => 'Body condition is a whole number from 1 (starved) to 9 (very fat); 4 and 5 are ideal.'];
    }

    private function isWeight(string $path, mixed $value, \Closure $fail): void
    {
        $range = is_string($value) ? Weight::read($value) : null;
        if ($range === null || ! $range->isExact()) {
            $fail('What a scale showed is one number, such as 17 or 38 lb.');
        } elseif ($range->low < Weight::LIGHTEST_KG || $range->high > Weight::HEAVIEST_KG) {
            $fail('A dog weighs from 0.3 to 120 kg.');
        }
    }

    /** From 1 to 9; null where nobody looked. */
    public function bodyCondition(): ?int
    {
        $said = $this->validated('bodyCondition');

        return is_numeric($said) ? (int) $said : null;
    }

    public function kg(): float
    {
        $said = $this->validated('weight');
        $kg = $this->validated('kg');

        return is_string($said) ? round((float) Weight::read($said)?->low, 2) : (is_numeric($kg) ? (float) $kg : 0.0);
    }
}
