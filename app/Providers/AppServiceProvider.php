<?php

namespace App\Providers;

use App\Catalogue\CatalogueShelf;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(CatalogueShelf::class, fn (): CatalogueShelf => new CatalogueShelf(config('destino.catalogue')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Paginator::useBootstrapFive();

        // Computing odds and reading the library need a signed-in keeper and nothing else.
        Gate::define('use-stations', fn ($user): bool => $user !== null);
    }
}
