<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Dog;
use App\Models\Recipe;
use App\Policies\OfThisKitchen;
use App\Support\CurrentKitchen;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentKitchen::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        Gate::policy(Dog::class, OfThisKitchen::class);
        Gate::policy(Recipe::class, OfThisKitchen::class);
    }
}
