<?php

declare(strict_types=1);

namespace App\Backup;

/** A backup that cannot be made or restored: in words, with the place in the file and what to do. Nothing was changed. */
final class BackupRefused extends \RuntimeException
{
    private function __construct(public readonly string $place, string $message, public readonly bool $isUnknown = false)
    {
        parent::__construct($message);
    }

    public static function isNoZip(): self
    {
        return new self('', 'This file is no backup of a kitchen: it cannot be opened as a zip archive. It may be cut off, or another kind of file; take one that Mild Bowl made.');
    }

    public static function foreign(string $why): self
    {
        return new self('mildbowl.json', "This is no backup of a kitchen: $why Take one that Mild Bowl made.");
    }

    public static function later(string $made): self
    {
        return new self('mildbowl.json', "This backup was made by a later version of Mild Bowl ($made). Restore it with that version, or a newer one: nothing was changed.");
    }

    public static function tooLarge(string $what): self
    {
        return new self('', "This backup was not unpacked: $what. A kitchen's own backup is never like that. Nothing was changed.");
    }

    public static function damaged(string $place, string $why): self
    {
        return new self($place, "The backup is damaged at $place: $why. Nothing was restored; take another backup.");
    }

    public static function notEmpty(): self
    {
        return new self('', 'This kitchen is not empty. Say that it may be replaced (bin/restore FILE --replace): it is backed up first.');
    }

    public static function noRoom(string $why): self
    {
        return new self('', "The backup could not be written: $why. Is there room on the disk? Nothing was changed, and the older backups are kept.");
    }

    public static function unknown(): self
    {
        return new self('', 'There is no such backup in this kitchen: it may have been removed.', true);
    }
}
