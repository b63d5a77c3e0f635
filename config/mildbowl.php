<?php

return [
    // The kitchen that is opened while there is no sign-in.
    'kitchen' => env('MILDBOWL_KITCHEN', 'lock-cottage'),
];
