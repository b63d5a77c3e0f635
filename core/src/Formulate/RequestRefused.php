<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

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

    public static function unknownKey(string $path): self
    {
        return new self('unknown-key', 'Nobody knows this key. Is it spelled right?', $path);
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

    /** @return array{error: array{code: string, message: string, path: string}} */
    public function toArray(): array
    {
        return ['error' => ['code' => $this->errorCode, 'message' => $this->getMessage(), 'path' => $this->path]];
    }
}
