<?php

declare(strict_types=1);

namespace App\Devices;

/** What was read in a picture. */
final readonly class ReadPrint
{
    /** Letters lower than this many points are read with mistakes that nobody notices. */
    public const HIGH_ENOUGH = 22;

    /** Of a picture that is read well, words are this sure in the middle. */
    private const SURE_ENOUGH = 80.0;

    private const FEW = 3;

    /**
     * @param  list<PrintedWord>  $words  in the order in which one reads
     * @param  list<LabelLanguage>  $languages  that it was read in
     * @param  ?float  $letterHigh  how many points of the picture a capital letter is high
     * @param  ?string  $barcode  its number
     */
    public function __construct(public array $words, public array $languages, public ?float $letterHigh, public ?string $barcode) {}

    /** @return list<list<string>> by rows */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->words as $word) {
            $rows[$word->row][] = $word->text;
        }

        return array_values($rows);
    }

    public function isEmpty(): bool
    {
        return count(array_filter($this->words, static fn (PrintedWord $one): bool => $one->sure >= PrintedWord::ASKED && preg_match('/\p{L}{3}/u', $one->text) === 1)) < self::FEW;
    }

    /** Why this is a poor picture, in words; null when it is a good one. */
    public function poor(): ?string
    {
        return match (true) {
            $this->isEmpty() => 'No print can be read in this picture. Take it from nearer, in good light, with the list of ingredients filling it; or type the list.',
            $this->letterHigh !== null && $this->letterHigh < self::HIGH_ENOUGH => 'A poor picture: its print is only '.round($this->letterHigh).' points high, and from 24 on it is read well. Take it from nearer, or go through every word.',
            $this->middle() < self::SURE_ENOUGH => 'A poor picture: much of it could not be read for sure. Take it again in better light and without glare, or go through every word.',
            default => null,
        };
    }

    /** Whether somebody has to look at a word: it is not sure, or nothing is in a poor picture. */
    public function isDoubtful(PrintedWord $word): bool
    {
        return $word->sure < ($this->poor() === null ? PrintedWord::ASKED : PrintedWord::ASKED_IN_A_POOR_PICTURE);
    }

    private function middle(): float
    {
        $sure = array_map(static fn (PrintedWord $one): float => $one->sure, $this->words);
        sort($sure);

        return $sure === [] ? 0.0 : $sure[intdiv(count($sure), 2)];
    }
}
