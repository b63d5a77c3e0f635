<?php

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'mildbowl'),
            'username' => env('DB_USERNAME', 'mildbowl'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'sslmode' => 'disable',
            'options' => [
                PDO::ATTR_TIMEOUT => 3,
                // a new connection takes 40 ms, more than all that is asked over it: a worker keeps the one it has
                PDO::ATTR_PERSISTENT => true,
                // values go beside the statement in one round trip, instead of three to prepare, run and forget it
                PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
