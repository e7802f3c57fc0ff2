<?php

use App\Http\Controllers\AnimalController;
use App\Http\Controllers\GeneController;
use App\Http\Controllers\LuckController;
use App\Http\Controllers\PairController;
use App\Http\Controllers\ReadingController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/pair');

Route::get('/pair', [PairController::class, 'show'])->name('pair');
Route::get('/pair/sheet', [PairController::class, 'sheet'])->name('pair.sheet');
Route::get('/pair/outcomes.csv', [PairController::class, 'export'])->name('pair.export');
Route::get('/read', ReadingController::class)->name('read');

Route::resource('animals', AnimalController::class)->except('destroy');

Route::get('/genes', [GeneController::class, 'index'])->name('genes.index');
Route::get('/genes/{gene}', [GeneController::class, 'show'])->name('genes.show');
Route::get('/complexes/{locus}', [GeneController::class, 'complex'])->name('complexes.show');

Route::get('/luck', LuckController::class)->name('luck');
