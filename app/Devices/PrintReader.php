<?php

declare(strict_types=1);

namespace App\Devices;

/** Reads what is printed in a picture, on this machine. */
interface PrintReader
{
    /**
     * @param  string  $bytes  a JPEG, PNG or WebP
     * @param  non-empty-list<LabelLanguage>  $languages  that it may be printed in
     *
     * @throws PrintUnreadable where the picture cannot be opened, or the reader does not answer
     */
    public function read(string $bytes, array $languages): ReadPrint;
}
