<?php

declare(strict_types=1);

namespace App\Devices;

/** A stand-in for a label service: a shelf of made-up products that ships with the program. Some of them are traps. */
final class PaperLabelShelf implements LabelShelf
{
    /** @var list<ShelfProduct>|null */
    private ?array $products = null;

    public function __construct(private readonly string $path) {}

    public function byNumber(string $number): ?ShelfProduct
    {
        foreach ($this->all() as $product) {
            if ($product->number === $number) {
                return $product;
            }
        }

        return null;
    }

    public function byName(string $words): array
    {
        $wanted = array_filter(explode(' ', mb_strtolower(trim($words))), static fn (string $word): bool => $word !== '');
        $found = array_filter($this->all(), static fn (ShelfProduct $product): bool => array_filter($wanted, static fn (string $word): bool => ! str_contains(mb_strtolower($product->name), $word)) === []);

        return array_slice(array_values($found), 0, 20);
    }

    public function isStandIn(): bool
    {
        return true;
    }

    /** @return list<ShelfProduct> */
    private function all(): array
    {
        if ($this->products === null) {
            $this->products = [];
            $file = fopen($this->path, 'r') ?: throw new \RuntimeException("{$this->path} cannot be read.");
            fgetcsv($file, escape: '');
            while (($row = fgetcsv($file, escape: '')) !== false) {
                $this->products[] = new ShelfProduct((string) $row[0], (string) $row[1], (string) $row[2]);
            }
            fclose($file);
        }

        return $this->products;
    }
}
