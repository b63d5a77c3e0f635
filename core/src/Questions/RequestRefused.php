<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use InvalidArgumentException;

/** A request that cannot be answered: what is wrong, and where (a JSON Pointer). */
final class RequestRefused extends InvalidArgumentException
{
    private function __construct(public readonly string $errorCode, string $message, public readonly string $path)
    {
        parent::__construct($message);
    }

    public static function invalidJson(string $why): self
    {
        return new self('invalid-json', "This is not valid JSON: $why.", '');
    }

    public static function unsupportedVersion(): self
    {
        return new self('unsupported-version', 'Only version 1 is answered here.', '/version');
    }

    public static function missing(string $path, string $what): self
    {
        return new self('missing', "$what is missing.", $path);
    }

    /** @param  list<string>  $known  keys that would be known in its place */
    public static function unknownKey(string $path, array $known): self
    {
        $key = str_replace(['~1', '~0'], ['/', '~'], substr($path, (int) strrpos($path, '/') + 1));
        $nearest = self::nearest($key, $known);

        return new self('unknown-key', "Nobody knows the key \"$key\" here".($nearest === null ? '' : "; is \"$nearest\" meant?").($known === [] ? '.' : ($nearest === null ? '. ' : ' ').'There are: '.implode(', ', $known).'.'), $path);
    }

    public static function wrongType(string $path, string $expected): self
    {
        return new self('wrong-type', "This should be $expected.", $path);
    }

    public static function outOfRange(string $path, string $message): self
    {
        return new self('out-of-range', $message, $path);
    }

    public static function tooLong(string $path, string $message): self
    {
        return new self('too-long', $message, $path);
    }

    /** The same refusal, of a request that stands inside another at a path. */
    public function within(string $path): self
    {
        return new self($this->errorCode, $this->getMessage(), $path.$this->path);
    }

    /** @param  list<string>  $known */
    private static function nearest(string $key, array $known): ?string
    {
        $nearest = null;
        $least = max(2, intdiv(strlen($key), 2));
        foreach (strlen($key) > 60 ? [] : $known as $one) {
            $distance = levenshtein(strtolower($key), strtolower($one));
            if ($distance < $least) {
                [$nearest, $least] = [$one, $distance];
            }
        }

        return $nearest;
    }
}
