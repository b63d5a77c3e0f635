<?php

declare(strict_types=1);

namespace App\Devices;

/** A language that photographed labels are read in, and what Debian's tesseract calls it. */
enum LabelLanguage: string
{
    case English = 'en';
    case German = 'de';
    case French = 'fr';
    case Spanish = 'es';
    case Italian = 'it';

    /** @return list<string> */
    public static function all(): array
    {
        return array_column(self::cases(), 'value');
    }

    public function model(): string
    {
        return match ($this) {
            self::English => 'eng',
            self::German => 'deu',
            self::French => 'fra',
            self::Spanish => 'spa',
            self::Italian => 'ita',
        };
    }
}
