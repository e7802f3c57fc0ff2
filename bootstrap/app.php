<?php

use App\Http\Middleware\AnswerWithPolicy;
use App\Http\Middleware\SignInKeeper;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // the application answers its own origin only
        $middleware->web(append: [SignInKeeper::class, AnswerWithPolicy::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash([]);
    })
    ->create();
