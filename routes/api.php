<?php

declare(strict_types=1);

use App\Http\Controllers\ChoicesController;
use App\Http\Controllers\ConfirmationController;
use App\Http\Controllers\CoreController;
use App\Http\Controllers\DogController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\LabelShelfController;
use App\Http\Controllers\OwnFoodController;
use App\Http\Controllers\OwnNameController;
use App\Http\Controllers\OwnSwapController;
use App\Http\Controllers\PriceController;
use App\Http\Controllers\ProductController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\TableController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\WeighingController;
use Illuminate\Support\Facades\Route;

// Stateless: the core answers, no database is asked, so the bench goes on when the database is down.
Route::post('formulate', [CoreController::class, 'formulate'])->name('formulate');
Route::post('read', [CoreController::class, 'read'])->name('read');
Route::post('label', [CoreController::class, 'label'])->name('label');
Route::post('raid', [CoreController::class, 'raid'])->name('raid');
Route::post('rescue', [CoreController::class, 'rescue'])->name('rescue');
Route::post('swaps', [CoreController::class, 'swaps'])->name('swaps');
Route::post('size', [CoreController::class, 'size'])->name('size');
Route::post('scale', [CoreController::class, 'scale'])->name('scale');
Route::post('occasion', [CoreController::class, 'occasion'])->name('occasion');
Route::post('week', [CoreController::class, 'week'])->name('week');
Route::post('give-away', [CoreController::class, 'giveAway'])->name('give-away');
Route::post('profile', [CoreController::class, 'profile'])->name('profile');
Route::post('dough', [CoreController::class, 'dough'])->name('dough');
Route::get('rules', [CoreController::class, 'rules'])->name('rules');
Route::get('search', [CoreController::class, 'search'])->name('search');
Route::get('label-shelf', LabelShelfController::class)->name('label-shelf');
Route::get('up', UpController::class)->name('up');
Route::get('choices', ChoicesController::class)->name('choices');

Route::middleware('kitchen')->group(function (): void {
    Route::get('kitchen', [KitchenController::class, 'show'])->name('kitchen.show');
    Route::patch('kitchen', [KitchenController::class, 'update'])->name('kitchen.update');
    Route::put('table', TableController::class)->name('table.update');
    Route::apiResource('dogs', DogController::class);
    Route::apiResource('dogs.weighings', WeighingController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('recipes', RecipeController::class);
    Route::apiResource('products', ProductController::class);
    Route::apiResource('names', OwnNameController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('own-swaps', OwnSwapController::class)->only(['index', 'store', 'destroy'])->parameters(['own-swaps' => 'swap']);
    Route::apiResource('prices', PriceController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('foods', OwnFoodController::class)->except('show');
    Route::apiResource('confirmations', ConfirmationController::class)->only(['index', 'store', 'destroy']);
});
