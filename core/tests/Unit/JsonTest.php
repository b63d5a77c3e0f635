<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Json;

it('writes a figure so that nobody can weigh the difference', function (): void {
    mt_srand(14);
    $figures = [0.1, 1 / 3, 2 / 3, 0.1 + 0.2, 1e-9, 123456.789012345, 1e15 + 0.5, 5.0, 0.0];
    for ($n = 0; $n < 2000; $n++) {
        $figures[] = mt_rand() / mt_getrandmax() * 10 ** mt_rand(-6, 9);
    }
    foreach ($figures as $figure) {
        $back = json_decode(Json::of(['is' => $figure]), false, 4, JSON_THROW_ON_ERROR)->is;
        expect(abs($back - $figure))->toBeLessThanOrEqual(abs($figure) * 5e-14);
    }
});

it('writes what a person typed as it was typed', function (string $typed): void {
    expect(Json::of(['is' => (float) $typed]))->toBe('{"is":'.$typed.'}');
})->with(['0.1', '4.25', '12.5', '0.3', '1234567.25', '0.0625', '99999.99', '37']);

it('leaves the precision of everything else as it was, also where an answer cannot be written', function (): void {
    Json::of([1 / 3]);
    expect(json_encode(1 / 3))->toBe('0.3333333333333333')
        ->and(fn () => Json::of([INF]))
        ->toThrow(JsonException::class)
        ->and(json_encode(1 / 3))
        ->toBe('0.3333333333333333');
});

it('replaces a byte that is no letter, and leaves letters and slashes alone', function (): void {
    expect(Json::of(['a' => "x\xffy", 'b' => 'purée/½']))->toBe('{"a":"x�y","b":"purée/½"}');
});
