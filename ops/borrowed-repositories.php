<?php

declare(strict_types=1);

/*
 * Prints composer.json with a repository entry for each named package that comes
 * from Debian instead of Packagist.
 *
 * Usage: php borrowed-repositories.php COMPOSER_JSON BORROWED_FOLDER NAME…
 */

[, $manifest, $folder] = $argv;
$names = array_slice($argv, 3);

$packages = [
    'league/config' => ['php-league-config', 'League/Config', ['psr-4' => ['League\\Config\\' => '']]],
    'symfony/clock' => ['php-symfony-clock', 'Symfony/Component/Clock', ['psr-4' => ['Symfony\\Component\\Clock\\' => ''], 'files' => ['Resources/now.php']]],
    'fruitcake/php-cors' => ['php-fruitcake-php-cors', 'Fruitcake/Cors', ['psr-4' => ['Fruitcake\\Cors\\' => '']]],
    'symfony/polyfill-php85' => ['php-symfony-polyfill-php85', 'Symfony/Polyfill/Php85', ['psr-4' => ['Symfony\\Polyfill\\Php85\\' => ''], 'files' => ['bootstrap.php'], 'classmap' => ['Resources/stubs']]],
];

$composer = json_decode((string) file_get_contents($manifest), true, 512, JSON_THROW_ON_ERROR);
foreach ($names as $name) {
    [$debian, $path, $autoload] = $packages[$name];
    $archive = glob("$folder/packages/{$debian}_*.deb")[0] ?? throw new RuntimeException("$debian was not fetched");
    preg_match('/_([0-9.]+)/', basename($archive), $found);
    $version = rtrim($found[1], '.');
    $composer['repositories'][] = [
        'type' => 'package',
        'package' => [
            'name' => $name,
            'version' => $version,
            'dist' => ['type' => 'path', 'url' => "$folder/$debian/usr/share/php/$path"],
            'autoload' => $autoload,
        ],
    ];
}
echo json_encode($composer, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES), "\n";
