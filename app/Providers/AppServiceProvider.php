<?php

declare(strict_types=1);

namespace App\Providers;

use App\Devices\LabelShelf;
use App\Devices\PaperLabelShelf;
use App\Models\Confirmation;
use App\Models\Dog;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Models\Weighing;
use App\Policies\OfThisKitchen;
use App\Support\CurrentKitchen;
use Carbon\FactoryImmutable;
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
        $this->app->singleton(ClockInterface::class, FactoryImmutable::class);
        $this->app->singleton(LabelShelf::class, static fn (): LabelShelf => new PaperLabelShelf(resource_path('stand-ins/label-shelf.csv')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        foreach ([Dog::class, Recipe::class, Product::class, OwnName::class, OwnFood::class, OwnSwap::class, Confirmation::class, Weighing::class, Price::class] as $model) {
            Gate::policy($model, OfThisKitchen::class);
        }
    }
}
