<?php

declare(strict_types=1);

namespace App\Printing;

/** Pages as they are printed: words and lines, each at its place in millimetres. */
final readonly class Printed
{
    /**
     * @param  list<array{runs: list<array{x: float, y: float, size: float, bold: bool, text: string}>, lines: list<array{points: list<array{float, float}>}>, frames: list<array{x: float, y: float, width: float, height: float}>}>  $pages
     * @param  list<string>  $leftOut  what had no room, in words
     */
    private function __construct(public Sheet $sheet, public array $pages, public array $leftOut, public ?string $problem) {}

    /**
     * @param  list<list<Block>>  $labels
     * @param  int  $from  the first free label of the first sheet, from 0
     */
    public static function of(array $labels, Sheet $sheet, int $from): self
    {
        $pages = $leftOut = [];
        $place = $from;
        foreach ($labels as $blocks) {
            $set = Setting::of($blocks, $sheet->width, $sheet->height);
            if (! $set->fits) {
                return new self($sheet, [], [], 'That does not fit on this label in type that can be read: choose a larger one.');
            }
            $page = intdiv($place, $sheet->onAPage());
            [$left, $top] = $sheet->at($place % $sheet->onAPage());
            $pages[$page] ??= ['runs' => [], 'lines' => [], 'frames' => []];
            foreach ($set->runs as $run) {
                $pages[$page]['runs'][] = ['x' => round($run['x'] + $left, 2), 'y' => round($run['y'] + $top, 2)] + $run;
            }
            foreach ($set->lines as $line) {
                $pages[$page]['lines'][] = ['points' => array_map(static fn (array $one): array => [round($one[0] + $left, 2), round($one[1] + $top, 2)], $line['points'])];
            }
            $pages[$page]['frames'][] = ['x' => $left, 'y' => $top, 'width' => $sheet->width, 'height' => $sheet->height];
            array_push($leftOut, ...$set->leftOut);
            $place++;
        }

        return new self($sheet, array_values($pages), array_values(array_unique($leftOut)), null);
    }

    /** @return array<string, mixed> */
    public function told(): array
    {
        return ['sheet' => ['id' => $this->sheet->id, 'says' => $this->sheet->says, 'width' => $this->sheet->pageWidth, 'height' => $this->sheet->pageHeight, 'onAPage' => $this->sheet->onAPage()], 'pages' => $this->pages, 'leftOut' => $this->leftOut, 'ascent' => Type::ASCENT];
    }
}
