<?php

declare(strict_types=1);

use App\Http\Controllers\CalendarController;
use App\Http\Controllers\ShellController;
use Illuminate\Support\Facades\Route;

Route::get('/calendar/{token}.ics', [CalendarController::class, 'subscribed'])->where('token', '[A-Za-z0-9]+')->name('calendar.subscribed');
Route::get('/{place?}', ShellController::class)->where('place', '(?!api/|build/).*')->middleware('kitchen')->name('shell');
