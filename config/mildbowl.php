<?php

return [
    // The kitchen that is opened while there is no sign-in.
    'kitchen' => env('MILDBOWL_KITCHEN', 'lock-cottage'),

    // Where each kitchen's backups lie, in a folder of its own; beside the database where nothing is said.
    'backups' => env('MILDBOWL_BACKUPS'),
];
