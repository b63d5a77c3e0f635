<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Devices\LabelShelf;
use App\Devices\PrintedWord;
use App\Devices\PrintReader;
use App\Devices\ReadPrint;
use App\Http\Requests\LabelPhotoRequest;
use App\Models\Product;
use App\Support\KitchenQuestion;
use Illuminate\Http\JsonResponse;
use MildBowl\Core\Screening\PrintedLabel;

/** Reads a photographed label: its list with the words that somebody has to look at, its barcode, and what dangerous is printed beside the list. Keeps nothing. */
final class LabelPhotoController
{
    public function __invoke(LabelPhotoRequest $request, PrintReader $reader, LabelShelf $shelf, KitchenQuestion $question): JsonResponse
    {
        $read = $reader->read($request->bytes(), $request->languages());
        $label = PrintedLabel::read($read->rows());

        return new JsonResponse([
            'name' => $label->name,
            'list' => mb_substr($label->list, 0, 5000),
            'rest' => $label->rest,
            'doubts' => self::doubts($read, $label),
            'besides' => $label->rest === '' ? [] : self::dangers($question, $label->rest),
            'poor' => $read->poor(),
            'letterHigh' => $read->letterHigh === null ? null : round($read->letterHigh),
            'languages' => array_column($read->languages, 'value'),
            'barcode' => $read->barcode === null ? null : self::barcode($read->barcode, $shelf),
        ]);
    }

    /** @return list<array<string, mixed>> words of the list to be looked at, in its order, and where each stands in the picture */
    private static function doubts(ReadPrint $read, PrintedLabel $label): array
    {
        $doubts = [];
        foreach ($label->spans as $n => $span) {
            $word = $read->words[$n];
            if ($read->isDoubtful($word)) {
                $doubts[] = ['span' => $span, 'text' => $word->text, 'sure' => (int) round($word->sure), 'box' => self::box($word)];
            }
        }

        return $doubts;
    }

    /** @return array{left: int, top: int, width: int, height: int} */
    private static function box(PrintedWord $word): array
    {
        return ['left' => $word->left, 'top' => $word->top, 'width' => $word->width, 'height' => $word->height];
    }

    /** @return list<array{text: string, message: string}> what no dog may have, in words that were not taken for the list */
    private static function dangers(KitchenQuestion $question, string $rest): array
    {
        $answer = $question->answer('label', (object) ['ingredients' => mb_substr($rest, 0, 5000), 'dogs' => []]);
        $dangers = [];
        foreach ($answer['parts'] as $part) {
            foreach ($part['findings'] as $finding) {
                if ($finding['level'] === 'never') {
                    $dangers[] = ['text' => $part['text'], 'message' => $finding['message']];
                }
            }
        }

        return $dangers;
    }

    /** @return array<string, mixed> */
    private static function barcode(string $number, LabelShelf $shelf): array
    {
        $own = Product::query()->where('number', $number)->first();

        return [
            'number' => $number,
            'product' => $own === null ? null : ['id' => $own->id, 'name' => $own->name],
            'shelf' => $shelf->byNumber($number)?->toArray(),
        ];
    }
}
