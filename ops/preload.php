<?php

declare(strict_types=1);

// Compiled once when the server starts: the classes of core, linked and at hand for every request. See ops/instance.sh.
$folder = dirname(__DIR__).'/core';
$files = new RegexIterator(new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$folder/src", FilesystemIterator::SKIP_DOTS)), '/\.php$/');
foreach ($files as $file) {
    if (! str_contains((string) $file, '/DataCompiler/')) {
        opcache_compile_file((string) $file);
    }
}
foreach (glob("$folder/build/*.php") ?: [] as $file) {
    opcache_compile_file($file);
}
