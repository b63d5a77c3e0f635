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
            'kg' => ['required', 'numeric', 'between:'.Weight::LIGHTEST_KG.','.Weight::HEAVIEST_KG],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['kg.between' => 'A dog weighs from 0.3 to 120 kg.', 'kg.required' => 'Say what it weighed.', 'kg.numeric' => 'The weight should be a number, in kg.', 'on.before_or_equal' => 'That day lies in the future.', 'on.date_format' => 'This must be a date such as 2026-05-14.'];
    }
}
