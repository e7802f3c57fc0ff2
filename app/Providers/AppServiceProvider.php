<?php

declare(strict_types=1);

namespace App\Providers;

use App\Catalogue\CatalogueShelf;
use App\Collection\Doorway;
use App\Collection\Kept;
use App\Collection\Opened;
use App\Database\OneWriter;
use App\Database\PostgresConnection;
use App\Database\Snapshot;
use App\Database\SqliteConnector;
use App\House\House;
use App\Http\Assets;
use App\Http\WholeSessions;
use App\Jobs\FollowPlans;
use App\Jobs\WorkOutBeliefs;
use App\Models\Enums\Right;
use App\Models\Kinds;
use App\Models\RecordKind;
use App\Models\User;
use App\Photos\Darkroom;
use App\Policies\RecordPolicy;
use App\Season\YearRibbon;
use App\View\Lists;
use App\View\Prepared;
use App\Words\OddsWords;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Database\Events\ConnectionEstablished;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Foundation\Http\Events\RequestHandled;
use Illuminate\Http\Request;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Illuminate\View\View as ShownView;
use ReflectionFunction;
use ReflectionParameter;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // The code of a process is that with which it began, and is looked at once.
        $this->app->singleton('code.version', fn (): string => Kept::version([base_path('core'), app_path(), config('destino.catalogue')]));
        $kept = fn (): Kept => new Kept(
            $this->app->make('cache.store'), $this->app->make('code.version'),
            (string) $this->app->make('db')->connection()->getDatabaseName(),
        );
        $this->app->bind(Kept::class, $kept);
        $this->app->singleton(
            'catalogue.shipped',
            fn (): CatalogueShelf => new CatalogueShelf(
                config('destino.catalogue'), cache: $this->app->make('cache.store'), version: $this->app->make('code.version'),
            ),
        );
        $this->app->singleton(
            Doorway::class,
            fn (): Doorway => new Doorway($this->app, $this->app->make('catalogue.shipped'), $this->app->make(Kept::class)),
        );
        // Rules and gene facts are those of the collection that is open.
        $this->app->bind(Opened::class, fn (): Opened => $this->app->make(Doorway::class)->nobodys());
        $this->app->bind(CatalogueShelf::class, fn (): CatalogueShelf => $this->app->make(Opened::class)->shelf);
        $this->app->bind(House::class, fn (): House => $this->app->make(Opened::class)->house);
        $this->app->bind('db.connector.sqlite', SqliteConnector::class);
        Connection::resolverFor('pgsql', fn (...$given): PostgresConnection => new PostgresConnection(...$given));
        $this->app->bind(Darkroom::class, fn (): Darkroom => new Darkroom(Storage::disk('local')));
    }

    public function boot(): void
    {
        Event::listen(TransactionBeginning::class, OneWriter::wait(...));
        Event::listen(
            ConnectionEstablished::class,
                fn (ConnectionEstablished $made) => $made->connection->beforeStartingTransaction(Snapshot::end(...)),
        );
        Event::listen(RequestHandled::class, WorkOutBeliefs::after(...));
        Event::listen(RequestHandled::class, FollowPlans::after(...));
        Session::extend('file', fn (): WholeSessions => new WholeSessions(
            $this->app->make('files'), config('session.files'), config('session.lifetime'),
        ));
        $this->openViews();
        date_default_timezone_set(config('destino.zone')); // today is today where the snakes are
        Model::shouldBeStrict();
        Paginator::useBootstrapFive();
        $records = array_map(fn (RecordKind $kind): string => $kind->class, Kinds::all());
        Relation::enforceMorphMap($records + ['user' => User::class]);
        foreach ($records as $record) {
            Gate::policy($record, RecordPolicy::class);
        }

        self::grantRights();
        self::limitRates();
    }

    /** What every template has at hand beside the data of its page. */
    private function openViews(): void
    {
        View::addNamespace('parts', app_path('View/Components'));
        View::share(['say' => new OddsWords, 'lists' => new Lists, 'assets' => new Assets]);
        Blade::directive('snake', fn (string $given): string => "<?= app(\\App\\Looks\\KeptDrawings::class)->alone({$given}) ?>");
        Blade::directive('beads', fn (string $given): string => "<?= \\App\\Drawing\\Signs::beads({$given}) ?>");
        Blade::directive('sexsign', fn (string $given): string => "<?= \\App\\Drawing\\Signs::sex({$given}) ?>");
        foreach (Prepared::all() as $name => $prepare) {
            View::composer($name, fn (ShownView $view) => $view->with(self::given($prepare, $view)));
        }
        // The frame of a page is drawn last: whether anything in it was behind is known then.
        View::composer('parts::Station.view', function (ShownView $view): void {
            $opened = $this->app->make(Opened::class);
            $view->with(['year' => YearRibbon::of($opened), 'isBehind' => $opened->isBehind()]);
        });
    }

    private static function grantRights(): void
    {
        foreach (Right::cases() as $right) {
            Gate::define(
                $right->ability(),
                fn (User $user): Response => $user->has($right) ? Response::allow() : Response::deny(
                    "A {$user->role->value} {$user->role->sentence()}.",
                ),
            );
        }

        // Backups hold the whole database: they are the business of the installation's first owner.
        Gate::define('keep-installation', fn (User $user): bool => $user->owner_id === null && $user->id === User::query()->min('id'));
    }

    private static function limitRates(): void
    {
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(5)->by(mb_strtolower(is_string($request->input('email')) ? $request->input('email') : '').'|'.$request->ip()),
            // Many keepers may sit behind one address, as at a club: only tries that failed count against it.
            Limit::perMinute(30)->by((string) $request->ip())->after(fn (): bool => ! Auth::check()),
        ]);
        RateLimiter::for('password', fn (Request $request): Limit => Limit::perMinute(5)->by((string) $request->user()?->id));
        RateLimiter::for(
            'api', fn (Request $request): Limit => Limit::perMinute(120)->by((string) ($request->user()->id ?? $request->ip())),
        );
    }

    /** @return array<string, mixed> what a page works with beside its data, from what it names of these */
    private static function given(Closure $prepare, ShownView $view): array
    {
        $names = array_map(fn (ReflectionParameter $one): string => $one->getName(), (new ReflectionFunction($prepare))->getParameters());
        $data = $view->getData() + View::getShared();

        return $prepare(...array_combine($names, array_map(fn (string $name): mixed => $data[$name] ?? null, $names)));
    }
}
