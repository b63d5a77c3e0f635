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

    /** @return list<string> words of lists and labels that the others do not have */
    public function tellingWords(): array
    {
        return match ($this) {
            self::English => ['ingredients', 'contain', 'contains', 'and', 'may', 'of', 'with', 'from', 'store', 'before', 'weight', 'milk', 'salt', 'flour', 'sugar', 'oil', 'water'],
            self::German => ['zutaten', 'kann', 'spuren', 'von', 'und', 'enthalten', 'enthält', 'mit', 'aus', 'lagern', 'haltbar', 'füllmenge', 'speisesalz', 'zucker', 'wasser', 'milch', 'salz'],
            self::French => ['ingrédients', 'peut', 'contenir', 'traces', 'et', 'des', 'du', 'de', 'à', 'conserver', 'sucre', 'eau', 'sel', 'lait', 'poids', 'farine', 'huile'],
            self::Spanish => ['ingredientes', 'puede', 'contener', 'trazas', 'y', 'del', 'conservar', 'azúcar', 'agua', 'sal', 'leche', 'peso', 'harina', 'aceite', 'una', 'lugar', 'en'],
            self::Italian => ['ingredienti', 'può', 'contenere', 'tracce', 'e', 'di', 'conservare', 'zucchero', 'acqua', 'sale', 'latte', 'peso', 'farina', 'olio', 'della', 'entro', 'da'],
        };
    }
}
