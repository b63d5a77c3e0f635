<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Support\Facades\File;

/** The same pages as a PDF, with the type in it. Nothing is fetched, and nothing in it runs. */
final class Pdf
{
    private const INK = [0.16, 0.14, 0.11];

    /** pt */
    private const LINE = 0.6;

    public static function of(Printed $printed, string $title): string
    {
        $cache = storage_path('app/fonts');
        File::ensureDirectoryExists($cache, 0700);
        $options = new Options(['fontDir' => $cache, 'fontCache' => $cache, 'tempDir' => sys_get_temp_dir(), 'chroot' => [base_path('node_modules/@expo-google-fonts'), $cache], 'isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false, 'isFontSubsettingEnabled' => true]);
        $pdf = new Dompdf($options);
        $sheet = $printed->sheet;
        $pdf->setPaper([0, 0, $sheet->pageWidth / Type::MM, $sheet->pageHeight / Type::MM]);
        $canvas = $pdf->getCanvas();
        $canvas->add_info('Title', $title);
        $canvas->add_info('Producer', 'Mild Bowl');
        $fonts = [];
        foreach ([false, true] as $isBold) {
            $style = ['family' => Type::FAMILY, 'weight' => $isBold ? 'bold' : 'normal', 'style' => 'normal'];
            $pdf->getFontMetrics()->registerFont($style, Type::path($isBold));
            $fonts[(int) $isBold] = $pdf->getFontMetrics()->getFont(Type::FAMILY, $isBold ? 'bold' : 'normal') ?? throw new \RuntimeException('The type for printing is not installed: run bin/start.');
        }
        foreach ($printed->pages as $n => $page) {
            if ($n > 0) {
                $canvas->new_page();
            }
            foreach ($page['runs'] as $run) {
                $font = $fonts[(int) $run['bold']];
                // the canvas counts from the upper edge of the type as the font has it
                $top = $run['y'] / Type::MM + $run['size'] * Type::ASCENT - $canvas->get_font_baseline($font, $run['size']);
                $canvas->text($run['x'] / Type::MM, $top, $run['text'], $font, $run['size'], self::INK);
            }
            foreach ($page['lines'] as $line) {
                $points = array_map(static fn (array $one): array => [$one[0] / Type::MM, $one[1] / Type::MM], [...$line['points'], $line['points'][0]]);
                for ($m = 1; $m < count($points); $m++) {
                    $canvas->line($points[$m - 1][0], $points[$m - 1][1], $points[$m][0], $points[$m][1], self::INK, self::LINE);
                }
            }
        }

        return (string) $canvas->output();
    }
}
