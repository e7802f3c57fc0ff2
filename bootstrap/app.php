<?php

use App\Database\BusyDatabase;
use App\Database\Snapshot;
use App\Database\StorageFault;
use App\Http\FaultAnswer;
use App\Http\Middleware\AnswerOutbox;
use App\Http\Middleware\AnswerWithPolicy;
use App\Http\Middleware\BoundedMessages;
use App\Http\Middleware\EnterCollection;
use App\Http\Middleware\LayOutCollection;
use App\Http\Middleware\NothingCutOff;
use App\Http\Middleware\OneValueForOneField;
use App\Http\Middleware\OwnNamesOnly;
use App\Http\Middleware\StartSession;
use App\Http\RemovedAnswer;
use App\Models\AlreadyMade;
use App\Models\RemovedSince;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\AuthenticateSession;
use Laravel\Sanctum\Http\Middleware\CheckAbilities;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', api: __DIR__.'/../routes/api.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // the application answers its own origin only
        $middleware->prepend([AnswerWithPolicy::class, OwnNamesOnly::class, BoundedMessages::class]);
        $middleware->append(NothingCutOff::class);
        $middleware->web(
            append: [OneValueForOneField::class, AuthenticateSession::class, EnterCollection::class, AnswerOutbox::class],
            replace: [Illuminate\Session\Middleware\StartSession::class => StartSession::class],
        );
        $middleware->api(prepend: [OneValueForOneField::class], append: [LayOutCollection::class]);
        $middleware->alias(['abilities' => CheckAbilities::class]);
        // Strangers are turned away before any record is looked up for them.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: EnterCollection::class);
        $middleware->appendToPriorityList(after: Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests::class, append: LayOutCollection::class);
        $middleware->redirectGuestsTo(fn (Request $request): ?string => $request->is('api/*') ? null : route('login'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password', 'current_password', 'password_confirmation']);
        $exceptions->render(
            function (QueryException|PDOException $error, Request $request): ?Response {
                Snapshot::close();

                return BusyDatabase::is($error) ? BusyDatabase::answer($request) : null;
            },
        );
        $exceptions->render(fn (RemovedSince $error, Request $request): Response => RemovedAnswer::to($error, $request));
        $exceptions->render(fn (AlreadyMade $error): Response => redirect()->to($error->record->home())->with('said', $error->getMessage()));
        // What a full disk is asked to note of itself would be the next fault.
        $exceptions->dontReportWhen(fn (Throwable $error): bool => StorageFault::of($error) !== null);
        $exceptions->dontReport([RemovedSince::class, AlreadyMade::class]);
        $exceptions->render(fn (NotFoundHttpException $error, Request $request): ?Response => $request->expectsJson()
            ? response()->json(['message' => 'This record is not in the collection any more.'], Response::HTTP_NOT_FOUND)
            : null);
        $exceptions->respond(fn (Response $answer, Throwable $error, Request $request): Response => FaultAnswer::instead($answer, $error, $request));
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
    })
    ->create();
