<?php

declare(strict_types=1);

namespace App\Devices;

use GdImage;

/** A photograph made ready for reading: grey, dark print on light, rows straight, evenly lit. */
final readonly class LabelPicture
{
    /** What is larger is made smaller first: more points read no better, and slower. */
    private const LONGEST = 2200;

    private const SAMPLES = 60;

    /** The paper of a picture that needs more light. */
    private const DIM = 150;

    /** How bright paper becomes. */
    private const PAPER = 205;

    private const TILE = 24;

    /** @param  float  $scale points of the picture to those of the one that was given */
    private function __construct(private GdImage $image, public float $scale, private float $slant, private float $sag) {}

    /** @throws PrintUnreadable */
    public static function from(string $bytes): self
    {
        $image = @imagecreatefromstring($bytes) ?: throw PrintUnreadable::cannotBeOpened();
        $longest = max(imagesx($image), imagesy($image));
        $scale = 1.0;
        if ($longest > self::LONGEST) {
            $scale = self::LONGEST / $longest;
            $image = imagescale($image, max(1, (int) round(imagesx($image) * $scale)), -1, IMG_BICUBIC) ?: $image;
        }
        $image = self::onWhite($image);
        imagefilter($image, IMG_FILTER_GRAYSCALE);
        if (self::isDark($image)) {
            imagefilter($image, IMG_FILTER_NEGATE);
        }
        [$image, $slant, $sag] = Straightening::of($image);

        return new self($image, $scale, $slant, $sag);
    }

    /** As a BMP, which costs nothing to write or to read. */
    public function bytes(): string
    {
        $isDim = self::paper($this->image) < self::DIM;
        if ($isDim) {
            imagefilter($this->image, IMG_FILTER_GAUSSIAN_BLUR);
        }
        ob_start();
        imagebmp($this->image, null, false);
        $bmp = (string) ob_get_clean();
        // GD counts the bytes without what fills up each row: 0 leaves the count to the reader
        $bmp = substr_replace($bmp, pack('V', 0), 34, 4);

        return $isDim ? self::evenlyLit($this->image, $bmp) : $bmp;
    }

    /**
     * Where something of this picture stands in the one that was given.
     *
     * @return array{int, int}
     */
    public function inTheGiven(float $x, float $y): array
    {
        return Straightening::back($x, $y, imagesx($this->image), $this->slant, $this->sag, $this->scale);
    }

    private static function onWhite(GdImage $image): GdImage
    {
        $white = imagecreatetruecolor(imagesx($image), imagesy($image));
        imagefill($white, 0, 0, 0xFFFFFF);
        imagecopy($white, $image, 0, 0, 0, 0, imagesx($image), imagesy($image));

        return $white;
    }

    /** @return non-empty-list<int> how bright it is at many places, in order */
    private static function brightness(GdImage $image): array
    {
        $few = imagescale($image, self::SAMPLES, self::SAMPLES) ?: $image;
        $those = [];
        for ($x = 0; $x < self::SAMPLES; $x++) {
            for ($y = 0; $y < self::SAMPLES; $y++) {
                $those[] = imagecolorat($few, $x, $y) & 255;
            }
        }
        sort($those);

        return $those;
    }

    private static function paper(GdImage $image): int
    {
        $those = self::brightness($image);

        return $those[(int) (0.9 * count($those))];
    }

    /** Light print on a dark ground: what is rare is bright. */
    private static function isDark(GdImage $image): bool
    {
        $those = self::brightness($image);
        $at = static fn (float $share): int => $those[(int) ($share * (count($those) - 1))];

        return $at(0.95) - $at(0.5) > 1.5 * ($at(0.5) - $at(0.05)) && $at(0.5) < 140;
    }

    /** Each tile made so much brighter that its paper is as bright as that of the others. */
    private static function evenlyLit(GdImage $image, string $bmp): string
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $columns = intdiv($width, self::TILE) + 1;
        $round = imagescale(imagescale($image, max(2, intdiv($columns, 2)), max(2, intdiv($height, 2 * self::TILE)), IMG_BILINEAR_FIXED) ?: $image, $columns, intdiv($height, self::TILE) + 1, IMG_BILINEAR_FIXED) ?: $image;
        $begin = unpack('V', substr($bmp, 10, 4));
        $isUpsideDown = (unpack('l', substr($bmp, 22, 4)) ?: [1 => 1])[1] > 0;
        $bytes = intdiv((unpack('v', substr($bmp, 28, 2)) ?: [1 => 24])[1], 8);
        $stride = (int) (4 * ceil($width * $bytes / 4));
        $at = $begin === false ? 54 : $begin[1];
        $lit = substr($bmp, 0, $at);
        /** @var array<int, array{string, string}> $tables */
        $tables = [];
        for ($row = 0; $row < $height; $row++) {
            $tileY = intdiv($isUpsideDown ? $height - 1 - $row : $row, self::TILE);
            $line = '';
            for ($tile = 0; $tile < $columns; $tile++) {
                $part = substr($bmp, $at + $row * $stride + $tile * self::TILE * $bytes, min(self::TILE * $bytes, max(0, $width * $bytes - $tile * self::TILE * $bytes)));
                $paper = max(1, imagecolorat($round, $tile, $tileY) & 255);
                $tables[$paper] ??= self::brighter($paper);
                $line .= strtr($part, ...$tables[$paper]);
            }
            $lit .= str_pad($line, $stride, "\0");
        }

        return $lit;
    }

    /** @return array{string, string} each shade, and what becomes of it */
    private static function brighter(int $paper): array
    {
        $from = $to = '';
        for ($shade = 0; $shade < 256; $shade++) {
            $from .= chr($shade);
            $to .= chr((int) min(255, $shade * self::PAPER / $paper));
        }

        return [$from, $to];
    }
}
