<?php

declare(strict_types=1);

namespace App\Devices;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/**
 * Debian's tesseract reads the print, zbarimg the barcode, both on this machine. What is printed is taken once for a page of several blocks
 * and once for one block, side by side; the reading that is surer of more is taken. In which language it
 * turns out to be, it is read once more, and in that alone: a word is not mistaken for one of another language then.
 */
final class TesseractPrintReader implements PrintReader
{
    private const SECONDS = 8.0;

    /** How a page is laid out: several blocks found by themselves; one block. */
    private const LAYOUTS = [3, 6];

    /** Words in one language more often than this (of those that tell) make it the label's. */
    private const MOSTLY = 0.6;

    /** Fewer words than this tell no language. */
    private const TELLING = 2;

    public function read(string $bytes, array $languages): ReadPrint
    {
        $folder = sys_get_temp_dir().'/mildbowl-label-'.bin2hex(random_bytes(6));
        File::ensureDirectoryExists($folder, 0700);
        try {
            file_put_contents("$folder/given", $bytes);
            $barcode = new Process(['zbarimg', '--quiet', '--nodbus', '-Sdisable', '-Sean13.enable', '-Sean8.enable', '-Supca.enable', '-Supce.enable', "$folder/given"], timeout: self::SECONDS);
            $barcode->start();
            $picture = LabelPicture::from($bytes);
            file_put_contents("$folder/page.bmp", $picture->bytes());
            $words = $this->best("$folder/page.bmp", $languages);
            $mostly = self::mostly($words);
            if ($mostly !== null && $languages !== [$mostly]) {
                $languages = [$mostly];
                $words = $this->best("$folder/page.bmp", $languages);
            }

            return new ReadPrint(self::inTheGiven($words, $picture), $languages, self::letterHigh($words, $picture->scale), self::number($barcode));
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /**
     * @param  non-empty-list<LabelLanguage>  $languages
     * @return list<array{text: string, sure: float, row: int, box: array{int, int, int, int}, rowHigh: int}>
     */
    private function best(string $page, array $languages): array
    {
        $readings = [];
        foreach (self::LAYOUTS as $layout) {
            $process = new Process(['tesseract', $page, '-', '-l', implode('+', array_map(static fn (LabelLanguage $one): string => $one->model(), $languages)), '--psm', (string) $layout, '-c', 'thresholding_method=2', 'tsv'], env: ['OMP_THREAD_LIMIT' => '1'], timeout: self::SECONDS);
            $process->start();
            $readings[] = $process;
        }
        $best = [];
        $most = -1.0;
        foreach ($readings as $process) {
            $process->wait();
            if (! $process->isSuccessful()) {
                throw PrintUnreadable::readerIsAway('tesseract');
            }
            $words = self::words($process->getOutput());
            $sure = array_sum(array_map(static fn (array $one): float => ($one['sure'] - 50) * mb_strlen($one['text']), $words));
            if ($sure > $most) {
                [$best, $most] = [$words, $sure];
            }
        }

        return $best;
    }

    /** @return list<array{text: string, sure: float, row: int, box: array{int, int, int, int}, rowHigh: int}> */
    private static function words(string $tsv): array
    {
        $words = [];
        $row = -1;
        $high = 0;
        foreach (array_slice(explode("\n", $tsv), 1) as $line) {
            $cells = explode("\t", $line);
            if (count($cells) < 12) {
                continue;
            }
            if ($cells[0] === '4') {
                $row++;
                $high = (int) $cells[9];
            }
            $text = trim($cells[11]);
            // a stroke or a speck is no word; a colon that stands apart ends a head
            if ($cells[0] === '5' && preg_match('/[\p{L}\d%]|^[:;,.()&*]+$/u', $text) === 1) {
                $words[] = ['text' => $text, 'sure' => max(0.0, (float) $cells[10]), 'row' => $row, 'box' => [(int) $cells[6], (int) $cells[7], (int) $cells[8], (int) $cells[9]], 'rowHigh' => $high];
            }
        }

        return $words;
    }

    /**
     * The language that the words tell, whichever was asked for.
     *
     * @param  list<array{text: string, sure: float, row: int, box: array{int, int, int, int}, rowHigh: int}>  $words
     */
    private static function mostly(array $words): ?LabelLanguage
    {
        $counts = [];
        foreach (LabelLanguage::cases() as $language) {
            $counts[$language->value] = count(array_filter($words, static fn (array $one): bool => in_array(trim(mb_strtolower($one['text']), '.,:;()'), $language->tellingWords(), true)));
        }
        arsort($counts);
        $all = array_sum($counts);
        $first = array_key_first($counts);

        return $all >= self::TELLING && $counts[$first] >= self::MOSTLY * $all ? LabelLanguage::from((string) $first) : null;
    }

    /**
     * @param  list<array{text: string, sure: float, row: int, box: array{int, int, int, int}, rowHigh: int}>  $words
     * @return list<PrintedWord>
     */
    private static function inTheGiven(array $words, LabelPicture $picture): array
    {
        return array_map(static function (array $one) use ($picture): PrintedWord {
            [$left, $top, $width, $height] = $one['box'];
            [$x, $y] = $picture->inTheGiven($left, $top);

            return new PrintedWord($one['text'], $one['sure'], $one['row'], $x, $y, (int) ceil($width / $picture->scale), (int) ceil($height / $picture->scale));
        }, $words);
    }

    /**
     * Of the words that have a capital, a figure or a tall letter, and nothing below the line, the middle height.
     *
     * @param  list<array{text: string, sure: float, row: int, box: array{int, int, int, int}, rowHigh: int}>  $words
     */
    private static function letterHigh(array $words, float $scale): ?float
    {
        $high = [];
        foreach ($words as $one) {
            if ($one['sure'] > 60 && preg_match('/[\p{Lu}bdfhklß0-9]/u', $one['text']) === 1 && preg_match('/[gjpqyçQ,;()]/u', $one['text']) !== 1 && preg_match('/\p{L}{2}/u', $one['text']) === 1) {
                $high[] = $one['box'][3];
            }
        }
        sort($high);

        return $high === [] ? null : $high[intdiv(count($high), 2)] / $scale;
    }

    private static function number(Process $barcode): ?string
    {
        try {
            $barcode->wait();
        } catch (\RuntimeException) {
            return null;
        }

        return preg_match('/^(?:EAN-13|EAN-8|UPC-A|UPC-E):(\d{8,13})$/m', $barcode->getOutput(), $found) === 1 ? $found[1] : null;
    }
}
