<?php

namespace App\Providers;

use App\Catalogue\CatalogueShelf;
use App\Database\SqliteConnector;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Clutch;
use App\Models\ClutchCount;
use App\Models\Decision;
use App\Models\GeneChange;
use App\Models\HouseRules;
use App\Models\Observation;
use App\Models\OddTrait;
use App\Models\Photo;
use App\Models\Plan;
use App\Models\Project;
use App\Models\Rack;
use App\Models\Reading;
use App\Models\SavedSearch;
use App\Models\Statement;
use App\Models\StatusEvent;
use App\Models\TraitEntry;
use App\Models\User;
use App\People\Right;
use App\Photos\Darkroom;
use App\Policies\RecordPolicy;
use Illuminate\Auth\Access\Response;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Http\Request;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    /** Every kind of record of a collection, by the name under which its history is kept. */
    public const RECORDS = [
        'animal' => Animal::class, 'statement' => Statement::class, 'status' => StatusEvent::class, 'care' => CareEntry::class, 'observation' => Observation::class,
        'photo' => Photo::class, 'clutch' => Clutch::class, 'count' => ClutchCount::class, 'rack' => Rack::class, 'rules' => HouseRules::class,
        'gene' => GeneChange::class, 'project' => Project::class, 'plan' => Plan::class, 'search' => SavedSearch::class, 'reading' => Reading::class,
        'decision' => Decision::class, 'trait' => OddTrait::class, 'trait-entry' => TraitEntry::class,
    ];

    public function register(): void
    {
        // Without somebody signed in (commands), the shipped facts and the default rules; EnterCollection lays out a keeper's.
        $this->app->singleton('catalogue.shipped', fn (): CatalogueShelf => new CatalogueShelf(config('destino.catalogue'), cache: $this->app->make('cache.store')));
        $this->app->bindIf(CatalogueShelf::class, fn (): CatalogueShelf => $this->app->make('catalogue.shipped'), true);
        $this->app->bind('db.connector.sqlite', SqliteConnector::class);
        $this->app->singleton(House::class, fn (): House => new House);
        $this->app->bind(Darkroom::class, fn (): Darkroom => new Darkroom(Storage::disk('local')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Paginator::useBootstrapFive();
        Relation::enforceMorphMap(self::RECORDS + ['user' => User::class]);
        foreach (self::RECORDS as $record) {
            Gate::policy($record, RecordPolicy::class);
        }

        foreach (['read' => Right::Read, 'log' => Right::Log, 'manage' => Right::Manage] as $ability => $right) {
            Gate::define($ability, fn (User $user): Response => $user->has($right) ? Response::allow() : Response::deny("A {$user->role->value} {$user->role->sentence()}."));
        }

        // Backups hold the whole database: they are the business of the installation's first owner.
        Gate::define('keep-installation', fn (User $user): bool => $user->owner_id === null && $user->id === User::query()->min('id'));

        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(5)->by(mb_strtolower($request->string('email')).'|'.$request->ip()),
            Limit::perMinute(30)->by((string) $request->ip()),
        ]);
        RateLimiter::for('api', fn (Request $request): Limit => Limit::perMinute(120)->by((string) ($request->user()->id ?? $request->ip())));
    }
}
