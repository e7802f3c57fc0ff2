<?php

use App\Http\Controllers\Api\AnimalController;
use App\Http\Controllers\Api\CalendarController;
use App\Http\Controllers\Api\ReadingController;
use App\Http\Controllers\Api\WeightController;
use Illuminate\Support\Facades\Route;

// docs/formats/api.md
Route::prefix('v1')->middleware(['auth:sanctum', 'throttle:api'])->group(function (): void {
    Route::middleware('abilities:read')->group(function (): void {
        Route::get('animals', [AnimalController::class, 'index'])->name('api.animals.index');
        Route::get('animals/{animal}', [AnimalController::class, 'show'])->name('api.animals.show');
        Route::get('animals/{animal}/weights', [AnimalController::class, 'weights'])->name('api.animals.weights');
        Route::get('readings', [ReadingController::class, 'index'])->name('api.readings.index');
    });
    Route::middleware('abilities:log')->group(function (): void {
        Route::post('weights', [WeightController::class, 'store'])->name('api.weights.store');
        Route::post('readings', [ReadingController::class, 'store'])->name('api.readings.store');
    });
});

Route::get('v1/calendar/{token}.ics', CalendarController::class)->middleware('throttle:api')->name('api.calendar');
