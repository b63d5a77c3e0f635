<?php

declare(strict_types=1);

namespace App\Providers;

use App\Devices\LabelShelf;
use App\Devices\PaperLabelShelf;
use App\Devices\PrintReader;
use App\Devices\TesseractPrintReader;
use App\Models\DiaryEntry;
use App\Models\Kitchen;
use App\Models\LedgerEntry;
use App\Models\Loan;
use App\Policies\KitchenPolicy;
use App\Policies\OfThisKitchen;
use App\Support\CurrentKitchen;
use App\Support\Kinds;
use App\Support\ShiftedClock;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use MildBowl\Core\Contract\Contract;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentKitchen::class);
        $this->app->singleton(Contract::class);
        $this->app->singleton(ClockInterface::class, static fn (): ClockInterface => new ShiftedClock(storage_path('app/shifted-clock')));
        $this->app->singleton(PrintReader::class, TesseractPrintReader::class);
        $this->app->singleton(LabelShelf::class, static fn (): LabelShelf => new PaperLabelShelf(resource_path('stand-ins/label-shelf.csv')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        foreach (Kinds::ROWS as $model) {
            Gate::policy($model, OfThisKitchen::class);
        }
        Gate::policy(Kitchen::class, KitchenPolicy::class);
        Gate::policy(LedgerEntry::class, OfThisKitchen::class);
        Gate::policy(DiaryEntry::class, OfThisKitchen::class);
        Gate::policy(Loan::class, OfThisKitchen::class);
    }
}
