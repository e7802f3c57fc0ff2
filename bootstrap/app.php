<?php

use App\Http\Middleware\AnswerWithPolicy;
use App\Http\Middleware\SignInKeeper;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // the application answers its own origin only
        $middleware->web(append: [SignInKeeper::class, AnswerWithPolicy::class]);
        // Strangers are turned away before any record is looked up for them.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: SignInKeeper::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash([]);
    })
    ->create();
