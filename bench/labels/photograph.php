<?php

declare(strict_types=1);

/**
 * Photographs that are none: a printed label, bent round a tub, turned, badly lit, made small, pressed hard, with noise. The same each time.
 *
 * @phpstan-type Way array{high: int, font: string, dark?: bool, bend?: float, turn?: float, aside?: float, unsharp?: int, light?: array{float, float}, noise?: int, quality?: int}
 */
final class LabelPhotograph
{
    /** How a label can be photographed. `high` is the height of a capital letter in points of the picture; `light` how bright it is at the left and the right. */
    public const WAYS = [
        'plain' => ['high' => 26, 'font' => 'plain'],
        'curved' => ['high' => 26, 'font' => 'plain', 'bend' => 0.5],
        'dim' => ['high' => 26, 'font' => 'plain', 'light' => [0.42, 0.16], 'noise' => 5],
        'skewed' => ['high' => 26, 'font' => 'plain', 'turn' => 5.5],
        'small' => ['high' => 13, 'font' => 'plain', 'quality' => 70],
        'pressed' => ['high' => 24, 'font' => 'plain', 'noise' => 16, 'quality' => 22],
        'narrow' => ['high' => 25, 'font' => 'narrow', 'dark' => true],
        'aside' => ['high' => 26, 'font' => 'plain', 'aside' => 0.14],
        'unsharp' => ['high' => 28, 'font' => 'plain', 'unsharp' => 5],
        'all' => ['high' => 27, 'font' => 'narrow', 'bend' => 0.35, 'turn' => -2.5, 'light' => [0.75, 0.4], 'noise' => 8, 'quality' => 50],
    ];

    private const FONTS = ['plain' => '@expo-google-fonts/nunito-sans/400Regular/NunitoSans_400Regular.ttf', 'narrow' => '@expo-google-fonts/roboto-condensed/400Regular/RobotoCondensed_400Regular.ttf'];

    /** A capital letter's height to the size of the type. */
    private const CAPITAL = 0.72;

    private const WIDTH = 34;

    /**
     * @param  list<string>  $rows
     * @param  Way  $way
     * @return string a JPEG
     */
    public static function of(array $rows, array $way, int $seed): string
    {
        mt_srand($seed);
        $image = self::bent(self::printed($rows, $way), $way['bend'] ?? 0.0);
        if (isset($way['aside'])) {
            $image = self::fromAside($image, $way['aside']);
        }
        for ($n = 0; $n < ($way['unsharp'] ?? 0); $n++) {
            imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);
        }
        if (isset($way['turn'])) {
            $image = imagerotate($image, $way['turn'], (int) imagecolorallocate($image, 150, 148, 140)) ?: $image;
        }
        self::light($image, $way['light'] ?? [0.95, 0.9], $way['noise'] ?? 2);
        ob_start();
        imagejpeg($image, null, $way['quality'] ?? 85);

        return (string) ob_get_clean();
    }

    /**
     * @param  list<string>  $rows
     * @param  Way  $way
     */
    private static function printed(array $rows, array $way): GdImage
    {
        $font = dirname(__DIR__, 2).'/node_modules/'.self::FONTS[$way['font']];
        $points = $way['high'] / self::CAPITAL * 0.75;
        $lines = [];
        foreach ($rows as $row) {
            $lines = [...$lines, ...explode("\n", wordwrap($row, self::WIDTH, "\n")), ''];
        }
        $step = (int) ($way['high'] * 2.1);
        $width = 0;
        foreach ($lines as $line) {
            $box = imagettfbbox($points, 0, $font, $line);
            $width = max($width, is_array($box) ? $box[2] : 0);
        }
        $margin = 3 * $way['high'];
        $image = imagecreatetruecolor($width + 2 * $margin, count($lines) * $step + 2 * $margin) ?: throw new RuntimeException('no picture');
        [$paper, $ink] = ($way['dark'] ?? false) ? [[58, 30, 44], [240, 228, 205]] : [[236, 230, 214], [48, 42, 36]];
        imagefill($image, 0, 0, (int) imagecolorallocate($image, ...$paper));
        foreach ($lines as $n => $line) {
            imagettftext($image, $points, 0, $margin, $margin + ($n + 1) * $step, (int) imagecolorallocate($image, ...$ink), $font, $line);
        }

        return $image;
    }

    /** As round a tub: narrower towards the sides, and hanging down there. */
    private static function bent(GdImage $flat, float $bend): GdImage
    {
        if ($bend === 0.0) {
            return $flat;
        }
        [$width, $height] = [imagesx($flat), imagesy($flat)];
        $sag = (int) ($bend * 60);
        $bent = imagecreatetruecolor($width, $height + $sag) ?: throw new RuntimeException('no picture');
        imagefill($bent, 0, 0, (int) imagecolorallocate($bent, 236, 230, 214));
        $most = asin(min(0.95, $bend + 0.3));
        for ($x = 0; $x < $width; $x++) {
            $side = 2 * $x / $width - 1;
            $from = (int) round(($width - 1) * (asin($side * sin($most)) / $most + 1) / 2);
            $down = (int) round($sag * $side * $side);
            imagecopy($bent, $flat, $x, $down, max(0, min($width - 1, $from)), 0, 1, $height);
        }

        return $bent;
    }

    /** The far side of it lower than the near one: rows run together. */
    private static function fromAside(GdImage $image, float $far): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $aside = imagecreatetruecolor($width, $height) ?: throw new RuntimeException('no picture');
        imagefill($aside, 0, 0, (int) imagecolorallocate($aside, 236, 230, 214));
        for ($x = 0; $x < $width; $x++) {
            $high = (int) round($height * (1 - $far * $x / $width));
            imagecopyresampled($aside, $image, $x, intdiv($height - $high, 2), $x, 0, 1, $high, 1, $height);
        }

        return $aside;
    }

    /** @param  array{float, float}  $light */
    private static function light(GdImage $image, array $light, int $noise): void
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        for ($x = 0; $x < $width; $x++) {
            $bright = $light[0] + ($light[1] - $light[0]) * $x / $width;
            for ($y = 0; $y < $height; $y++) {
                $colour = (int) imagecolorat($image, $x, $y);
                $off = $noise === 0 ? 0 : (mt_rand(-$noise, $noise) + mt_rand(-$noise, $noise)) / 1.4;
                $shade = static fn (int $one): int => (int) max(0, min(255, $one * $bright + $off));
                imagesetpixel($image, $x, $y, ($shade(($colour >> 16) & 255) << 16) | ($shade(($colour >> 8) & 255) << 8) | $shade($colour & 255));
            }
        }
    }
}
