<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;

/**
 * One value of a decoded request with its JSON Pointer. Every reading method refuses a wrong value with its place.
 * Objects are decoded as stdClass, so that {} and [] stay apart.
 */
final readonly class Node
{
    public function __construct(public mixed $value, public string $path = '') {}

    /** @throws RequestRefused */
    public static function decode(string $json): self
    {
        if (trim($json) === '') {
            throw RequestRefused::invalidJson('it is empty');
        }
        try {
            $value = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw RequestRefused::invalidJson(lcfirst($e->getMessage()));
        }

        return new self($value);
    }

    /**
     * @param  list<string>  $keys  the keys it may have
     *
     * @throws RequestRefused
     */
    public function object(array $keys): self
    {
        if (! $this->value instanceof \stdClass) {
            throw RequestRefused::wrongType($this->path, 'an object');
        }
        foreach (array_keys(get_object_vars($this->value)) as $key) {
            if (! in_array((string) $key, $keys, true)) {
                throw RequestRefused::unknownKey($this->path.'/'.self::escape((string) $key), $keys);
            }
        }

        return $this;
    }

    /** @throws RequestRefused when `version` is anything but 1 */
    public function requireVersion(): void
    {
        $version = $this->required('version', 'The version');
        if ($version->value !== 1 && $version->value !== 1.0) {
            throw is_int($version->value) || is_float($version->value) ? RequestRefused::unsupportedVersion() : RequestRefused::wrongType('/version', 'the number 1');
        }
    }

    /** @throws RequestRefused */
    public function objectValue(): \stdClass
    {
        return $this->value instanceof \stdClass ? $this->value : throw RequestRefused::wrongType($this->path, 'an object');
    }

    /** The value of a key of the contract, which none of its marks has to be escaped in; null when it is absent or null. */
    public function get(string $key): ?self
    {
        $value = $this->value instanceof \stdClass ? ($this->value->{$key} ?? null) : null;

        return $value === null ? null : new self($value, "{$this->path}/$key");
    }

    /** @throws RequestRefused */
    public function required(string $key, string $what): self
    {
        return $this->get($key) ?? throw RequestRefused::missing("{$this->path}/$key", $what);
    }

    /** @throws RequestRefused */
    public function string(int $most = 200): string
    {
        if (! is_string($this->value)) {
            throw RequestRefused::wrongType($this->path, 'text');
        }
        if (mb_strlen($this->value) > $most) {
            throw RequestRefused::tooLong($this->path, "At most $most characters.");
        }

        return $this->value;
    }

    /** @throws RequestRefused */
    public function filled(int $most = 200): string
    {
        $text = $this->string($most);
        if (trim($text) === '') {
            throw RequestRefused::outOfRange($this->path, 'This must not be empty.');
        }

        return $text;
    }

    /** @throws RequestRefused */
    public function number(float $least, float $most, string $unit = ''): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            throw RequestRefused::wrongType($this->path, 'a number');
        }
        $number = (float) $this->value;
        if (! is_finite($number) || $number < $least || $number > $most) {
            throw RequestRefused::outOfRange($this->path, 'This must be from '.self::plain($least).' to '.self::plain($most).($unit === '' ? '' : " $unit").'.');
        }

        return $number;
    }

    /** @throws RequestRefused */
    public function positive(float $most, string $unit): float
    {
        $number = $this->number(0, $most, $unit);
        if ($number <= 0.0) {
            throw RequestRefused::outOfRange($this->path, "This must be more than 0 $unit.");
        }

        return $number;
    }

    /** @throws RequestRefused */
    public function integer(int $least, int $most): int
    {
        if (! is_int($this->value) && ! (is_float($this->value) && floor($this->value) === $this->value)) {
            throw RequestRefused::wrongType($this->path, 'a whole number');
        }

        return (int) $this->number($least, $most);
    }

    /** @throws RequestRefused when it is no day that there is */
    public function day(): Day
    {
        return Day::read($this->string(10)) ?? throw RequestRefused::outOfRange($this->path, 'This must be a date such as 2026-05-14.');
    }

    /** @throws RequestRefused */
    public function boolean(): bool
    {
        return is_bool($this->value) ? $this->value : throw RequestRefused::wrongType($this->path, 'true or false');
    }

    /**
     * @param  list<string>  $choices
     *
     * @throws RequestRefused
     */
    public function choice(array $choices): string
    {
        $text = $this->string();
        if (! in_array($text, $choices, true)) {
            throw RequestRefused::outOfRange($this->path, 'This must be one of: '.implode(', ', $choices).'.');
        }

        return $text;
    }

    /**
     * @return list<self>
     *
     * @throws RequestRefused
     */
    public function list(int $most): array
    {
        if (! is_array($this->value)) {
            throw RequestRefused::wrongType($this->path, 'a list');
        }
        if (count($this->value) > $most) {
            throw RequestRefused::tooLong($this->path, "At most $most entries.");
        }
        $nodes = [];
        foreach (array_values($this->value) as $index => $value) {
            $nodes[] = new self($value, "{$this->path}/$index");
        }

        return $nodes;
    }

    private static function escape(string $key): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], $key);
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}
