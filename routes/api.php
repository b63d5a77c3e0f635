<?php

declare(strict_types=1);

use App\Http\Controllers\AcceptedFactorController;
use App\Http\Controllers\BackupController;
use App\Http\Controllers\BagController;
use App\Http\Controllers\BatchController;
use App\Http\Controllers\BatchEntryController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\ChangesController;
use App\Http\Controllers\ChoicesController;
use App\Http\Controllers\ConfirmationController;
use App\Http\Controllers\CoreController;
use App\Http\Controllers\DiaryController;
use App\Http\Controllers\DogController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\KitchenQuestionController;
use App\Http\Controllers\LabelPhotoController;
use App\Http\Controllers\LabelShelfController;
use App\Http\Controllers\LedgerController;
use App\Http\Controllers\LessonsController;
use App\Http\Controllers\NextController;
use App\Http\Controllers\OwnFoodController;
use App\Http\Controllers\OwnNameController;
use App\Http\Controllers\OwnSwapController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlaceController;
use App\Http\Controllers\PlannedBakeController;
use App\Http\Controllers\PowerCutController;
use App\Http\Controllers\PriceController;
use App\Http\Controllers\ProductController;
use App\Http\Controllers\ProfilesController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\SeasonController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\StockController;
use App\Http\Controllers\TableController;
use App\Http\Controllers\ThawPlanController;
use App\Http\Controllers\TrashController;
use App\Http\Controllers\TrialController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\WeighingController;
use Illuminate\Support\Facades\Route;
use MildBowl\Core\Contract\Contract;

// Stateless: the core answers, no database is asked, so the bench goes on when the database is down.
foreach (Contract::names() as $question) {
    Route::post($question, [CoreController::class, 'ask'])->name($question);
}
Route::get('rules', [CoreController::class, 'rules'])->name('rules');
Route::get('vocabulary', [CoreController::class, 'vocabulary'])->name('vocabulary');
Route::get('search', [CoreController::class, 'search'])->name('search');
Route::get('label-shelf', LabelShelfController::class)->name('label-shelf');
Route::get('up', UpController::class)->name('up');
Route::get('choices', ChoicesController::class)->name('choices');

Route::middleware('kitchen')->group(function (): void {
    Route::get('kitchen', [KitchenController::class, 'show'])->name('kitchen.show');
    Route::patch('kitchen', [KitchenController::class, 'update'])->name('kitchen.update');
    foreach (Contract::names() as $question) {
        Route::post("ask/$question", KitchenQuestionController::class)->name("ask.$question");
    }
    Route::get('export', [BackupController::class, 'export'])->name('export');
    Route::get('backups', [BackupController::class, 'index'])->name('backups.index');
    Route::post('backups', [BackupController::class, 'store'])->name('backups.store');
    Route::post('backups/file', [BackupController::class, 'bringIn'])->name('backups.bring-in');
    Route::get('backups/{backup}', [BackupController::class, 'show'])->name('backups.show');
    Route::post('backups/{backup}/restore', [BackupController::class, 'restore'])->name('backups.restore');
    Route::delete('backups/{backup}', [BackupController::class, 'destroy'])->name('backups.destroy');
    Route::put('table', TableController::class)->name('table.update');
    Route::get('changes', ChangesController::class)->name('changes');
    Route::get('shelf', [ShelfController::class, 'index'])->name('shelf');
    Route::post('shelf/judge', [ShelfController::class, 'judge'])->name('shelf.judge');
    Route::get('profiles', ProfilesController::class)->name('profiles');
    Route::get('trash', [TrashController::class, 'index'])->name('trash');
    Route::post('trash/{kind}/{id}', [TrashController::class, 'restore'])->name('trash.restore');
    Route::apiResource('photos', PhotoController::class)->only(['store', 'show']);
    Route::post('ask/label-photo', LabelPhotoController::class)->name('ask.label-photo');
    Route::apiResource('dogs', DogController::class);
    Route::apiResource('dogs.weighings', WeighingController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('recipes', RecipeController::class);
    Route::apiResource('products', ProductController::class);
    Route::apiResource('names', OwnNameController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('own-swaps', OwnSwapController::class)->only(['index', 'store', 'destroy'])->parameters(['own-swaps' => 'swap']);
    Route::apiResource('prices', PriceController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('foods', OwnFoodController::class)->except('show');
    Route::apiResource('batches', BatchController::class)->except('update');
    Route::get('batches/{batch}/entries', [BatchEntryController::class, 'index'])->name('batches.entries.index');
    Route::post('batches/{batch}/entries', [BatchEntryController::class, 'store'])->name('batches.entries.store');
    Route::get('batches/{batch}/figures', [BatchEntryController::class, 'figures'])->name('batches.figures');
    Route::get('batches/{batch}/left-over', [BatchEntryController::class, 'leftOver'])->name('batches.left-over');
    Route::apiResource('planned', PlannedBakeController::class)->except('show');
    Route::apiResource('stock', StockController::class)->except('show');
    Route::apiResource('places', PlaceController::class)->except('show');
    Route::apiResource('bags', BagController::class)->only(['index', 'show']);
    Route::post('jar-acts', [BagController::class, 'act'])->name('jar-acts.store');
    Route::get('next', NextController::class)->name('next');
    Route::get('day', [LedgerController::class, 'show'])->name('day.show');
    Route::get('calendar', [CalendarController::class, 'show'])->name('calendar');
    Route::get('calendar/address', [CalendarController::class, 'address'])->name('calendar.address');
    Route::post('calendar/address', [CalendarController::class, 'renew'])->name('calendar.renew');
    Route::get('thaw-plan', ThawPlanController::class)->name('thaw-plan');
    Route::apiResource('trials', TrialController::class)->except('show');
    Route::post('diary', [DiaryController::class, 'store'])->name('diary.store');
    Route::post('diary/{entry}/back', [DiaryController::class, 'takeBack'])->name('diary.back');
    Route::get('dogs/{dog}/season', [SeasonController::class, 'show'])->name('dogs.season');
    Route::get('dogs/{dog}/given', [SeasonController::class, 'given'])->name('dogs.given');
    Route::post('given', [LedgerController::class, 'store'])->name('given.store');
    Route::post('borrowed', [LedgerController::class, 'borrow'])->name('borrowed.store');
    Route::post('given/{gift}/back', [LedgerController::class, 'takeBack'])->name('given.back');
    Route::post('ask/power-cut', PowerCutController::class)->name('ask.power-cut');
    Route::get('lessons', LessonsController::class)->name('lessons');
    Route::apiResource('accepted', AcceptedFactorController::class)->only(['index', 'store', 'destroy']);
    Route::apiResource('confirmations', ConfirmationController::class)->only(['index', 'store', 'destroy']);
});
