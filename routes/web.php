<?php

use App\Http\Controllers\AnimalController;
use App\Http\Controllers\CareController;
use App\Http\Controllers\GeneController;
use App\Http\Controllers\LuckController;
use App\Http\Controllers\PairController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RoundController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/pair');

Route::get('/pair', [PairController::class, 'show'])->name('pair');
Route::get('/pair/sheet', [PairController::class, 'sheet'])->name('pair.sheet');
Route::get('/pair/outcomes.csv', [PairController::class, 'export'])->name('pair.export');
Route::get('/read', ReadingController::class)->name('read');

Route::resource('animals', AnimalController::class)->except('destroy');

Route::post('/animals/{animal}/care', [CareController::class, 'store'])->name('care.store');
Route::delete('/care/{entry}', [CareController::class, 'destroy'])->name('care.destroy');
Route::post('/care/{entry}/restore', [CareController::class, 'restore'])->withTrashed()->name('care.restore');

Route::get('/round/{kind}', [RoundController::class, 'create'])->whereIn('kind', ['weight', 'feed'])->name('round.create');
Route::post('/round/{kind}', [RoundController::class, 'store'])->whereIn('kind', ['weight', 'feed'])->name('round.store');

Route::get('/genes', [GeneController::class, 'index'])->name('genes.index');
Route::get('/genes/{gene}', [GeneController::class, 'show'])->name('genes.show');
Route::get('/complexes/{locus}', [GeneController::class, 'complex'])->name('complexes.show');

Route::get('/luck', LuckController::class)->name('luck');
