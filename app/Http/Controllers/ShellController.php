<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\CurrentKitchen;
use Illuminate\Contracts\View\View;

/** The page that every place of the application opens in. */
final class ShellController
{
    public function __invoke(CurrentKitchen $current): View
    {
        return view('shell', ['kitchen' => $current->get()]);
    }
}
