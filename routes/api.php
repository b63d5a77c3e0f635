<?php

declare(strict_types=1);

use App\Http\Controllers\ChoicesController;
use App\Http\Controllers\DogController;
use App\Http\Controllers\FormulateController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\TableController;
use App\Http\Controllers\UpController;
use Illuminate\Support\Facades\Route;

// Stateless: the core answers, no database is asked, so the bench goes on when the database is down.
Route::post('formulate', FormulateController::class)->name('formulate');
Route::get('up', UpController::class)->name('up');
Route::get('choices', ChoicesController::class)->name('choices');

Route::middleware('kitchen')->group(function (): void {
    Route::get('kitchen', [KitchenController::class, 'show'])->name('kitchen.show');
    Route::patch('kitchen', [KitchenController::class, 'update'])->name('kitchen.update');
    Route::put('table', TableController::class)->name('table.update');
    Route::apiResource('dogs', DogController::class);
    Route::apiResource('recipes', RecipeController::class);
});
