<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Recipe;
use App\Printing\Block;
use App\Printing\Outline;
use App\Printing\Setting;
use App\Printing\Sheet;
use App\Printing\Type;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

beforeEach(function (): void {
    $this->open('lock-cottage');
    $this->bag = Bag::query()->where('state', 'here')->where('content', 'treats')->whereNotNull('batch_id')->where('title', 'like', 'Venison%')->firstOrFail();
    $this->recipe = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
});

/** @return list<string> the words of a page, in the order of its runs */
function wordsPrinted(array $printed, int $page = 0): array
{
    return preg_split('/\s+/', implode(' ', array_column($printed['pages'][$page]['runs'], 'text'))) ?: [];
}

it('prints what a gift has to say: what went in as made, energy, keeping, who made it, and that it is no complete food', function (): void {
    $printed = $this->getJson('/api/print?'.http_build_query(['what' => 'gift', 'sheet' => 'a4-8', 'bags' => $this->bag->id, 'madeFor' => 'Mabel']))->assertOk()->json();
    expect(schemaErrors($printed, 'kitchen.json#/$defs/printed'))->toBe('');
    $words = implode(' ', wordsPrinted($printed));
    foreach (['Venison and parsnip coins', 'Made for Mabel', 'Made of: minced venison', 'kcal in 100 g', 'Pieces a day, by body weight', 'Best before', "bag {$this->bag->number}", 'A treat, not a complete food', 'Made by Ines Marlow, Lock Cottage', 'ask the vet'] as $said) {
        expect($words)->toContain($said);
    }
    $bold = array_column(array_filter($printed['pages'][0]['runs'], static fn (array $run): bool => $run['bold']), 'text');
    expect(implode(' ', $bold))->toContain('egg')->not->toContain('parsnip,')->and($printed['leftOut'])->toBe([]);
});

it('tells energy a kilogram where the convention of pet food is chosen', function (): void {
    $ask = fn (string $perKilo): string => implode(' ', wordsPrinted($this->getJson('/api/print?'.http_build_query(['what' => 'gift', 'sheet' => 'a4-8', 'recipe' => $this->recipe->id, 'perKilo' => $perKilo]))->assertOk()->json()));
    expect($ask('1'))->toContain('kcal ME a kg')->toContain('modified Atwater')->and($ask('0'))->not->toContain('ME a kg');
});

it('leaves out what may be left out where a label is small and says so, and never what may not', function (): void {
    $printed = $this->getJson('/api/print?'.http_build_query(['what' => 'gift', 'sheet' => 'a4-21', 'bags' => $this->bag->id]))->assertOk()->json();
    expect($printed['leftOut'])->toContain('the pieces a day by body weight');
    $words = implode(' ', wordsPrinted($printed));
    foreach (['Made of:', 'Best before', 'not a complete food', 'kcal'] as $said) {
        expect($words)->toContain($said);
    }
    // so many foods that no label of that size holds them
    $this->recipe->update(['text' => implode("\n", array_map(static fn (string $food): string => "10 g $food", ['oat flour', 'barley flour', 'carrot', 'egg', 'pumpkin', 'turkey', 'parsley', 'pear', 'millet flour', 'beetroot', 'celery', 'blueberries', 'sorghum flour', 'rapeseed oil', 'venison', 'parsnip', 'lentils', 'hake', 'sardines', 'cottage cheese', 'apple', 'quinoa', 'chia', 'spelt flour', 'courgette', 'broccoli', 'kale', 'rabbit', 'duck']))]);
    $this->getJson('/api/print?'.http_build_query(['what' => 'gift', 'sheet' => 'letter-30', 'recipe' => $this->recipe->id]))->assertStatus(422)->assertJsonPath('path', '/sheet')->assertJsonPath('message', fn (string $message): bool => str_contains($message, 'larger'));
});

it('begins at the label that is free, and goes on to the next sheet', function (): void {
    $printed = $this->getJson('/api/print?'.http_build_query(['what' => 'bag', 'sheet' => 'a4-8', 'bags' => $this->bag->id, 'from' => 7, 'copies' => 5]))->assertOk()->json();
    expect(array_map(static fn (array $page): int => count($page['frames']), $printed['pages']))->toBe([2, 3])
        ->and($printed['pages'][0]['frames'][0])->toEqual(['x' => 4.65, 'y' => 216.2, 'width' => 99.1, 'height' => 67.7]);
});

it('refuses what may not be given away, or claims, or is nobody\'s, in words', function (array $asked, string $path, string $says): void {
    $asked = array_map(fn (mixed $one): mixed => $one === 'RECIPE' ? $this->recipe->id : ($one === 'BAG' ? $this->bag->id : $one), $asked);
    if (($asked['poison'] ?? null) !== null) {
        $this->recipe->update(['text' => "200 g oat flour\n50 g raisins"]);
        unset($asked['poison']);
    }
    $answer = $this->getJson('/api/print?'.http_build_query($asked))->assertStatus(422)->json();
    expect($answer['path'])->toBe($path)->and($answer['message'])->toContain($says);
})->with([
    'a poison' => [['what' => 'gift', 'sheet' => 'a4-8', 'recipe' => 'RECIPE', 'poison' => 1], '/recipe', 'not to be given away'],
    'a claim' => [['what' => 'gift', 'sheet' => 'a4-8', 'recipe' => 'RECIPE', 'title' => 'Calming rounds'], '/title', 'never printed'],
    'a claim for whom' => [['what' => 'gift', 'sheet' => 'a4-8', 'recipe' => 'RECIPE', 'madeFor' => 'Mabel\'s arthritis'], '/madeFor', 'never printed'],
    'no paper' => [['what' => 'gift', 'recipe' => 'RECIPE'], '/sheet', 'on which paper'],
    'paper of nobody' => [['what' => 'gift', 'sheet' => 'a0', 'recipe' => 'RECIPE'], '/sheet', 'kinds'],
    'nothing' => [['what' => 'gift', 'sheet' => 'a4-8'], '/recipe', 'recipe'],
    'no bags' => [['what' => 'bag', 'sheet' => 'a4-8'], '/bags', 'bags'],
    'a bag of nobody' => [['what' => 'bag', 'sheet' => 'a4-8', 'bags' => '018f2f6e-0000-7000-8000-00000000dead'], '/bags', 'No bag'],
    'a word that is nothing' => [['what' => 'bag', 'sheet' => 'a4-8', 'bags' => 'BAG', 'colour' => 'red'], '/colour', 'spelled'],
    'too many' => [['what' => 'bag', 'sheet' => 'a4-8', 'bags' => 'BAG', 'copies' => 61], '/copies', 'copies'],
]);

it('is the same on paper: the PDF has the words at their places, at true size, with its type in it and nothing that runs', function (array $asked, array $size): void {
    $asked['sheet'] === 'card-a5' ? $asked['recipe'] = $this->recipe->id : $asked['bags'] = $this->bag->id;
    $query = http_build_query($asked);
    $printed = $this->getJson("/api/print?$query")->assertOk()->json();
    $pdf = $this->get("/api/print/pdf?$query")->assertOk()->assertHeader('Content-Type', 'application/pdf')->content();
    expect(substr($pdf, 0, 5))->toBe('%PDF-')->and(preg_match_all('~/Type /Page\b~', $pdf))->toBe(count($printed['pages']))
        ->and(preg_match('~/FontFile2~', $pdf))->toBe(1)->and(preg_match('~/JavaScript|/JS\b|/Launch|/URI~', $pdf))->toBe(0)
        ->and(preg_match('~/BaseFont /SUB[A-Z]+\+NunitoSans-Regular~', $pdf))->toBe(1)->and(preg_match('~/BaseFont /(Helvetica|Times)~', $pdf))->toBe(0);
    expect(preg_match('~/MediaBox \[0\.000 0\.000 ([\d.]+) ([\d.]+)\]~', $pdf, $box))->toBe(1)
        ->and((float) $box[1])->toEqualWithDelta($size[0] / Type::MM, 0.1)->and((float) $box[2])->toEqualWithDelta($size[1] / Type::MM, 0.1);
    if ((new Process(['which', 'pdftotext']))->run() === 0) {
        $path = sys_get_temp_dir().'/mildbowl-'.bin2hex(random_bytes(4)).'.pdf';
        file_put_contents($path, $pdf);
        $read = new Process(['pdftotext', '-bbox', $path, '-']);
        $read->mustRun();
        unlink($path);
        preg_match_all('~<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(.*?)</word>~', $read->getOutput(), $words, PREG_SET_ORDER);
        $page = $printed['pages'][0];
        // a sign that follows a word at once is read as part of it
        foreach (array_slice(array_filter($page['runs'], static fn (array $run): bool => preg_match('/^[\p{L}\d]/u', $run['text']) === 1), 0, 12) as $run) {
            $first = explode(' ', $run['text'])[0];
            $found = array_filter($words, static fn (array $word): bool => str_starts_with(html_entity_decode($word[5], ENT_QUOTES), $first) && abs((float) $word[1] * Type::MM - $run['x']) < 0.3);
            // the base of its line, to half a millimetre
            $base = $run['y'] + $run['size'] * Type::MM * Type::ASCENT;
            $near = array_filter($found, static fn (array $word): bool => abs(((float) $word[2] * Type::MM) - ($base - $run['size'] * Type::MM * 1.011)) < 0.6);
            expect(count($near))->toBeGreaterThan(0, "{$run['text']} at {$run['x']}, {$run['y']}");
        }
    }
})->with([
    [['what' => 'gift', 'sheet' => 'a4-8', 'copies' => 9], [210, 297]],
    [['what' => 'bag', 'sheet' => 'roll-62', 'copies' => 2], [62, 100]],
    [['what' => 'card', 'sheet' => 'card-a5'], [148, 210]],
]);

it('keeps every word within its label, whatever is set, in type that can be read', function (): void {
    mt_srand(9);
    for ($n = 0; $n < 120; $n++) {
        $blocks = [];
        for ($k = mt_rand(1, 6); $k > 0; $k--) {
            $runs = [];
            for ($m = mt_rand(1, 5); $m > 0; $m--) {
                $runs[] = [Str::random(mt_rand(1, 30)).(mt_rand(0, 1) === 1 ? ' ' : '').(mt_rand(0, 3) === 0 ? "\n" : '').implode(' ', array_map(static fn (): string => Str::random(mt_rand(1, 9)), range(1, mt_rand(1, 9)))), mt_rand(0, 1) === 1];
            }
            $blocks[] = new Block($runs, mt_rand(8, 20) / 10, mt_rand(0, 1) === 1 ? "part $k" : null);
        }
        $sheet = Sheet::of(Sheet::ids()[mt_rand(0, count(Sheet::ids()) - 1)]);
        $set = Setting::of($blocks, $sheet->width, $sheet->height);
        if (! $set->fits) {
            continue;
        }
        foreach ($set->runs as $run) {
            expect($run['size'])->toBeGreaterThanOrEqual(Setting::SMALLEST)
                ->and($run['x'] + Type::width($run['text'], $run['size'], $run['bold']))->toBeLessThanOrEqual($sheet->width + 0.8)
                ->and($run['y'] + $run['size'] * Type::MM * Type::LEADING)->toBeLessThanOrEqual($sheet->height);
        }
        // no letter is lost of what stayed
        $letters = static fn (string $text): string => (string) preg_replace('/\s+/u', '', $text);
        $stayed = array_filter($blocks, static fn (Block $block): bool => $block->mayGo === null || ! in_array($block->mayGo, $set->leftOut, true));
        expect($letters(implode('', array_column($set->runs, 'text'))))->toBe($letters(implode('', array_map(static fn (Block $block): string => implode('', array_column($block->runs, 0)), $stayed))));
    }
});

it('lays no label over another, nor over the edge of its page', function (string $id): void {
    $sheet = Sheet::of($id);
    for ($place = 0; $place < $sheet->onAPage(); $place++) {
        [$x, $y] = $sheet->at($place);
        expect($x)->toBeGreaterThanOrEqual(0)->and($y)->toBeGreaterThanOrEqual(0)->and($x + $sheet->width)->toBeLessThanOrEqual($sheet->pageWidth + 0.11)->and($y + $sheet->height)->toBeLessThanOrEqual($sheet->pageHeight + 0.11);
        for ($other = 0; $other < $place; $other++) {
            [$ox, $oy] = $sheet->at($other);
            expect(abs($ox - $x) >= $sheet->width - 1e-6 || abs($oy - $y) >= $sheet->height - 1e-6)->toBeTrue();
        }
    }
})->with(Sheet::ids());

it('draws a cut at its true size', function (string $path, float $width, float $height): void {
    $outline = Outline::ofPath($path, $width, $height);
    $xs = array_column($outline->points, 0);
    $ys = array_column($outline->points, 1);
    expect(max($xs) - min($xs))->toEqualWithDelta($width, 1e-9)->and(max($ys) - min($ys))->toEqualWithDelta($height, 1e-9)->and(min($xs))->toBe(0.0)->and(count($outline->points))->toBeGreaterThan(3);
})->with([
    'round' => ['M0 .5 a.5 .5 0 1 0 1 0 a.5 .5 0 1 0 -1 0z', 25, 25],
    'box' => ['M0 0 h1 v1 h-1z', 40, 20],
    'bone' => ['M.2 .3 H.8 a.1 .25 0 1 1 .1 .2 a.1 .25 0 1 1 -.1 .2 H.2 a.1 .25 0 1 1 -.1 -.2 a.1 .25 0 1 1 .1 -.2z', 60, 25],
    'heart' => ['M.5 1 C-.35 .45 .15 -.25 .5 .22 C.85 -.25 1.35 .45 .5 1z', 30, 28],
]);
