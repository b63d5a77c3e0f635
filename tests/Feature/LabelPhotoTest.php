<?php

declare(strict_types=1);

use App\Devices\LabelLanguage;
use App\Devices\PrintedWord;
use App\Devices\PrintReader;
use App\Models\ProductReading;

require_once __DIR__.'/../../bench/labels/photograph.php';
require_once __DIR__.'/../../bench/labels/alike.php';

beforeEach(fn () => $this->open('lock-cottage'));

/** @return list<string> what is printed on the label of a language */
function printedIn(string $language): array
{
    return (require __DIR__.'/../../bench/labels/texts.php')[$language];
}

function labelPicture(string $language, string $way): string
{
    return LabelPhotograph::of(printedIn($language), LabelPhotograph::WAYS[$way], 7);
}

/** A barcode as it is printed: EAN-13, its bars three points wide. */
function barcodePicture(string $number): string
{
    $odd = ['0001101', '0011001', '0010011', '0111101', '0100011', '0110001', '0101111', '0111011', '0110111', '0001011'];
    $sets = ['LLLLLL', 'LLGLGG', 'LLGGLG', 'LLGGGL', 'LGLLGG', 'LGGLLG', 'LGGGLL', 'LGLGLG', 'LGLGGL', 'LGGLGL'];
    $flipped = static fn (string $bars): string => strtr($bars, '01', '10');
    $bars = '101';
    for ($n = 1; $n <= 12; $n++) {
        $code = $odd[(int) $number[$n]];
        $bars .= $n > 6 ? $flipped($code) : ($sets[(int) $number[0]][$n - 1] === 'L' ? $code : strrev($flipped($code)));
        $bars .= $n === 6 ? '01010' : '';
    }
    $bars .= '101';
    $image = imagecreatetruecolor(3 * strlen($bars) + 120, 200);
    imagefill($image, 0, 0, 0xF0EDE4);
    foreach (str_split($bars) as $n => $bar) {
        if ($bar === '1') {
            imagefilledrectangle($image, 60 + 3 * $n, 30, 62 + 3 * $n, 170, 0x201810);
        }
    }
    ob_start();
    imagejpeg($image, null, 80);

    return (string) ob_get_clean();
}

it('reads a photographed label, each language, at least 95 of 100 words, and asks about those it is not sure of', function (string $language, string $way): void {
    $read = app(PrintReader::class)->read(labelPicture($language, $way), [LabelLanguage::from($language)]);
    $printed = preg_split('/\s+/u', implode(' ', printedIn($language))) ?: [];
    [$right, $wrong] = wordsAlike($printed, array_map(static fn (PrintedWord $one): string => $one->text, $read->words));
    expect($right)->toBeGreaterThanOrEqual(0.94)
        ->and($read->poor())->toBeNull()
        ->and(count(array_filter($read->words, $read->isDoubtful(...))))->toBeLessThan(8);
    // whatever of a food was misread is asked about
    foreach ($wrong as $n) {
        $letters = static fn (string $word): string => (string) preg_replace('/[^\p{L}]/u', '', $word);
        $isLikePrinted = in_array($letters($read->words[$n]->text), array_map($letters, $printed), true);
        expect($isLikePrinted || mb_strlen($letters($read->words[$n]->text)) < 4 || $read->isDoubtful($read->words[$n]))->toBeTrue($read->words[$n]->text);
    }
})->with(['en', 'de', 'fr', 'es', 'it'])->with(['all', 'curved', 'dim', 'skewed']);

it('finds out the language by itself, whichever the kitchen reads in', function (): void {
    $answer = $this->postJson('/api/ask/label-photo', ['image' => base64_encode(labelPicture('de', 'plain'))])->assertOk();
    expect($answer->json('languages'))->toBe(['de'])
        ->and($answer->json('list'))->toContain('Zutaten: Vollkornhaferflocken')->toContain('Rosinen')->not->toContain('lagern')
        ->and($answer->json('name'))->toBe('Hafer-Knusperstücke')
        ->and($answer->json('poor'))->toBeNull()
        ->and(schemaErrors($answer->json(), 'kitchen.json#/$defs/labelPhoto'))->toBe('');
});

it('calls a poor picture poor and asks about its words, each where it stands', function (): void {
    $answer = $this->postJson('/api/ask/label-photo', ['image' => base64_encode(labelPicture('en', 'small'))])->assertOk()->json();
    expect($answer['poor'])->toContain('13 points high')->and(count($answer['doubts']))->toBeGreaterThan(10);
    foreach ($answer['doubts'] as $doubt) {
        expect(mb_substr($answer['list'], $doubt['span'][0], $doubt['span'][1] - $doubt['span'][0]))->toBe($doubt['text']);
    }
});

it('says where a doubtful word stands in the picture as it was sent, also where it hung down', function (): void {
    // the last row of a label that is bent: its words hang at the sides
    $read = app(PrintReader::class)->read(labelPicture('en', 'curved'), [LabelLanguage::English]);
    $at = static fn (string $text): PrintedWord => array_values(array_filter($read->words, static fn (PrintedWord $one): bool => $one->text === $text))[0];
    expect($at('traces')->top)->toBeGreaterThan($at('macadamia')->top + 4)->and($at('nuts')->left)->toBeGreaterThan($at('almonds,')->left);
});

it('finds no print in a picture of a dog', function (): void {
    $image = imagecreatetruecolor(900, 700);
    imagefill($image, 0, 0, 0x7A9A60);
    foreach ([[450, 400, 420, 240, 0x6B4A2E], [640, 260, 190, 170, 0x5B3D25], [700, 220, 26, 26, 0x101010], [745, 270, 40, 30, 0x080808], [560, 210, 70, 120, 0x3A2616], [300, 560, 50, 180, 0x5B3D25], [560, 560, 50, 180, 0x5B3D25]] as [$x, $y, $w, $h, $colour]) {
        imagefilledellipse($image, $x, $y, $w, $h, $colour);
    }
    ob_start();
    imagejpeg($image, null, 85);
    $answer = $this->postJson('/api/ask/label-photo', ['image' => base64_encode((string) ob_get_clean())])->assertOk()->json();
    expect($answer['poor'])->toContain('No print can be read')->and(count($answer['doubts']))->toBeLessThanOrEqual(6);
});

it('reads the barcode with it, and finds what it stands on', function (): void {
    $number = array_filter(file(resource_path('stand-ins/label-shelf.csv')) ?: [], static fn (string $row): bool => str_contains($row, 'crunchy peanut'));
    $number = substr((string) array_values($number)[0], 0, 13);
    $send = fn () => $this->postJson('/api/ask/label-photo', ['image' => base64_encode(barcodePicture($number))])->assertOk()->json('barcode');
    expect($send())->toMatchArray(['number' => $number, 'product' => null])->and($send()['shelf']['name'])->toContain('crunchy peanut');
    $id = $this->postJson('/api/products', ['name' => 'Our peanut tub', 'number' => $number, 'ingredients' => 'peanuts'])->json('id');
    expect($send()['product'])->toBe(['id' => $id, 'name' => 'Our peanut tub']);
});

it('says what is dangerous beside the list as well', function (): void {
    $rows = ['Raisin and Oat Bites', 'Ingredients: oats, honey, sunflower oil, barley malt, sea salt.', 'Store in a cool, dry place.'];
    $picture = LabelPhotograph::of($rows, LabelPhotograph::WAYS['plain'], 3);
    $answer = $this->postJson('/api/ask/label-photo', ['image' => base64_encode($picture)])->assertOk()->json();
    expect($answer['list'])->not->toContain('Raisin')->and($answer['besides'][0]['message'] ?? '')->toContain('Raisin');
});

it('refuses what is no picture in words', function (string $bytes, string $says): void {
    $answer = $this->postJson('/api/ask/label-photo', ['image' => base64_encode($bytes)])->assertStatus(422);
    expect($answer->json('path'))->toBe('/image')->and($answer->json('message'))->toContain($says);
})->with([
    'a PDF with a script' => ["%PDF-1.7\n1 0 obj <</OpenAction <</S /JavaScript /JS (app.alert(1))>>>> endobj", 'no photograph'],
    'a picture of sixty million points' => ["\x89PNG\r\n\x1A\n".pack('N', 13).'IHDR'.pack('NNC5', 10000, 6000, 8, 2, 0, 0, 0).pack('N', 0), 'million points'],
    'a picture that is cut off' => ["\xFF\xD8\xFF\xE0 and nothing more", 'cannot be opened'],
    'an SVG' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'no photograph'],
    'nothing' => ['', 'base64'],
]);

it('keeps the photograph with the wording it was read from; read again later, it shows what changed', function (): void {
    $photo = fn (): string => (string) $this->postJson('/api/photos', ['image' => base64_encode(labelPicture('en', 'small'))])->assertCreated()->json('id');
    $first = $photo();
    $product = $this->postJson('/api/products', ['name' => 'Peanut spread', 'ingredients' => 'peanuts, sea salt', 'photoId' => $first])->assertCreated()->json();
    expect($product['photoId'])->toBe($first);
    $this->travelTo('2026-11-20 12:00:00');
    $second = $photo();
    $again = $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'peanuts, xylitol, sea salt', 'photoId' => $second])->assertOk()->json();
    expect($again['photoId'])->toBe($second)
        ->and($again['readings'][1]['photoId'])->toBe($first)
        ->and($again['difference']['added'])->toBe(['xylitol'])
        ->and($again['worst'])->toBe('never');
    // the same wording photographed anew keeps one reading, with the newer picture
    $third = $photo();
    $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'peanuts, xylitol, sea salt', 'photoId' => $third])->assertOk()->assertJsonPath('photoId', $third);
    expect(ProductReading::query()->where('product_id', $product['id'])->count())->toBe(2);
    $this->postJson('/api/products', ['name' => 'Another', 'ingredients' => 'oats', 'photoId' => fake()->uuid()])->assertStatus(422)->assertJsonPath('path', '/photoId');
});
