<?php

use App\Http\Assets;
use App\Http\Controllers\AccountController;
use App\Http\Controllers\AnimalController;
use App\Http\Controllers\BackupController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BoxPhotoController;
use App\Http\Controllers\BulkController;
use App\Http\Controllers\CareController;
use App\Http\Controllers\ClutchController;
use App\Http\Controllers\DoorController;
use App\Http\Controllers\EggController;
use App\Http\Controllers\ExchangeController;
use App\Http\Controllers\FirstDayController;
use App\Http\Controllers\GeneChangeController;
use App\Http\Controllers\GeneController;
use App\Http\Controllers\GuideController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\IncubatorController;
use App\Http\Controllers\LooksController;
use App\Http\Controllers\LuckController;
use App\Http\Controllers\MoneyController;
use App\Http\Controllers\OddTraitController;
use App\Http\Controllers\PairController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\ProjectRulesController;
use App\Http\Controllers\ProveController;
use App\Http\Controllers\RackController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\RemovalController;
use App\Http\Controllers\RoundController;
use App\Http\Controllers\SavedSearchController;
use App\Http\Controllers\SeasonController;
use App\Http\Controllers\StatementController;
use App\Http\Controllers\StatusController;
use App\Http\Controllers\TrainController;
use App\Http\Controllers\YoungController;
use Illuminate\Support\Facades\Route;

Route::get('/begin', [DoorController::class, 'begin'])->name('begin');
Route::post('/begin', [DoorController::class, 'start'])->name('begin.store');
Route::get('/sign-in', [DoorController::class, 'show'])->name('login');
Route::post('/sign-in', [DoorController::class, 'enter'])->middleware('throttle:sign-in')->name('login.attempt');
Route::post('/sign-out', [DoorController::class, 'leave'])->name('logout');

Route::redirect('/', '/today');
Route::get('/build/{version}/{path}', fn (string $version, string $path) => Assets::file($path))
    ->where(['version' => '[0-9a-f]{8,32}', 'path' => '(css|js)/[a-z0-9/.-]+'])->name('assets')->withoutMiddleware('web');

Route::get('/pair', [PairController::class, 'show'])->name('pair');
Route::get('/pair/sheet', [PairController::class, 'sheet'])->name('pair.sheet');
Route::get('/pair/outcomes.csv', [PairController::class, 'export'])->name('pair.export');
Route::get('/read', ReadingController::class)->name('read');
Route::get('/worked-out', [HouseController::class, 'workedOut'])->name('worked-out');

Route::post('/animals/chosen', [BulkController::class, 'store'])->name('bulk.store');
Route::post('/animals/chosen/undo', [BulkController::class, 'undo'])->name('bulk.undo');
Route::get('/animals/names', [AnimalController::class, 'names'])->name('animals.names');
Route::resource('animals', AnimalController::class)->except('destroy');
Route::get('/animals/{animal}/history', [AnimalController::class, 'history'])->name('animals.history');
Route::get('/animals/{animal}/paper.pdf', [PaperController::class, 'animal'])->name('papers.animal');
Route::get('/animals/{animal}/ask', [PaperController::class, 'opinion'])->name('papers.opinion');
Route::get('/animals/{animal}/ask.html', [PaperController::class, 'opinionFile'])->name('papers.opinion.file');
Route::get('/labels.pdf', [PaperController::class, 'labels'])->name('papers.labels');
Route::get('/offered.{format}', [PaperController::class, 'sale'])->whereIn('format', ['csv', 'xlsx'])->name('papers.sale');
Route::post('/animals/{animal}/link', [AnimalController::class, 'link'])->name('animals.link');
Route::post('/animals/{animal}/statements', [StatementController::class, 'store'])->name('statements.store');
Route::get('/statements/{statement}/edit', [StatementController::class, 'edit'])->name('statements.edit');
Route::put('/statements/{statement}', [StatementController::class, 'update'])->name('statements.update');
Route::post('/animals/{animal}/status', [StatusController::class, 'store'])->name('status.store');
Route::post('/animals/{animal}/observations', [StatusController::class, 'observe'])->name('observations.store');
Route::post('/animals/{animal}/photos', [PhotoController::class, 'store'])->name('photos.store');
Route::get('/photos/{photo}', [PhotoController::class, 'show'])->name('photos.show');
Route::post('/animals/{animal}/care', [CareController::class, 'store'])->name('care.store');
Route::put('/animals/{animal}/place', [RackController::class, 'place'])->name('animals.place');

Route::delete('/records/{kind}/{id}', [RemovalController::class, 'destroy'])->whereNumber('id')->name('records.destroy');
Route::post('/records/{kind}/{id}/restore', [RemovalController::class, 'restore'])->whereNumber('id')->name('records.restore');

Route::get('/round/{kind}', [RoundController::class, 'create'])->whereIn('kind', ['weight', 'feed'])->name('round.create');
Route::post('/round/{kind}', [RoundController::class, 'store'])->whereIn('kind', ['weight', 'feed'])->name('round.store');

Route::post('/searches', [SavedSearchController::class, 'store'])->name('searches.store');
Route::delete('/searches/{search}', [SavedSearchController::class, 'destroy'])->name('searches.destroy');

Route::resource('racks', RackController::class)->only('index', 'store', 'update', 'destroy');

Route::get('/may-send', [AccountController::class, 'maySend'])->name('may-send');
Route::get('/today', [SeasonController::class, 'today'])->name('today');
Route::post('/clutches/{clutch}/events', [SeasonController::class, 'log'])->name('events.store');
Route::get('/season', [SeasonController::class, 'board'])->name('season.board');
Route::get('/season/{season}', [SeasonController::class, 'reckoning'])->where('season', '[0-9]{4}')->name('season.reckoning');
Route::post('/today/taps', [SeasonController::class, 'tapSeveral'])->name('taps.several');
Route::post('/today/taps/undo', [SeasonController::class, 'undoSeveral'])->name('taps.undo');
Route::post('/animals/{animal}/tap', [SeasonController::class, 'tap'])->name('animals.tap');

Route::resource('clutches', ClutchController::class)->except('destroy');
Route::post('/clutches/{clutch}/counts', [ClutchController::class, 'count'])->name('counts.store');
Route::post('/clutches/{clutch}/hatchlings/all', [ClutchController::class, 'hatchlings'])->name('hatchlings.all');
Route::post('/clutches/{clutch}/hatchlings', [ClutchController::class, 'hatchling'])->name('hatchlings.store');

Route::get('/young', [YoungController::class, 'index'])->name('young');
Route::get('/money', [MoneyController::class, 'index'])->name('money');
Route::post('/money/bookings', [MoneyController::class, 'book'])->name('money.book');
Route::post('/money/prices', [MoneyController::class, 'price'])->name('prices.store');
Route::put('/animals/{animal}/sale', [MoneyController::class, 'sale'])->name('sales.update');

Route::resource('incubators', IncubatorController::class)->only('index', 'show', 'store', 'update');
Route::post('/incubators/{incubator}/readings', [IncubatorController::class, 'read'])->name('incubators.read');
Route::post('/incubators/{incubator}/file', [IncubatorController::class, 'file'])->name('incubators.file');
Route::post('/incubators/{incubator}/clutches', [IncubatorController::class, 'place'])->name('incubators.place');

Route::get('/clutches/{clutch}/story', [PaperController::class, 'story'])->name('papers.story');
Route::get('/clutches/{clutch}/story.html', [PaperController::class, 'storyFile'])->name('papers.story.file');
Route::get('/clutches/{clutch}/eggs', [EggController::class, 'show'])->name('eggs');
Route::post('/clutches/{clutch}/eggs', [EggController::class, 'layOut'])->name('eggs.lay-out');
Route::post('/clutches/{clutch}/eggs/weights', [EggController::class, 'weights'])->name('eggs.weights');
Route::post('/clutches/{clutch}/eggs/candled', [EggController::class, 'candle'])->name('eggs.candled');
Route::post('/clutches/{clutch}/eggs/candled/undo', [EggController::class, 'undoCandling'])->name('eggs.candled.undo');
Route::put('/eggs/{egg}', [EggController::class, 'update'])->name('eggs.update');

Route::get('/clutches/{clutch}/bench', [BenchController::class, 'show'])->name('bench');
Route::post('/clutches/{clutch}/bench', [BenchController::class, 'see'])->name('bench.see');
Route::get('/clutches/{clutch}/identify/{animal?}', [BenchController::class, 'identify'])->whereNumber('animal')->name('identify');
Route::get('/clutches/{clutch}/box', [BoxPhotoController::class, 'create'])->name('box');
Route::get('/clutches/{clutch}/first', [FirstDayController::class, 'show'])->name('first-day');
Route::post('/animals/{animal}/first', [FirstDayController::class, 'store'])->name('first-day.store');
Route::post('/clutches/{clutch}/box', [BoxPhotoController::class, 'store'])->name('box.store');
Route::post('/clutches/{clutch}/alike', [BenchController::class, 'alike'])->name('bench.alike');

Route::resource('projects', ProjectController::class)->except('destroy');
Route::post('/projects/{project}/plan', [ProjectController::class, 'replan'])->name('projects.replan');
Route::post('/projects/{project}/forbid', [ProjectRulesController::class, 'forbid'])->name('projects.forbid');
Route::post('/projects/{project}/try', [ProjectRulesController::class, 'tryPair'])->name('projects.try');
Route::post('/projects/{project}/keep', [ProjectRulesController::class, 'keep'])->name('projects.keep');
Route::post('/projects/{project}/effort', [ProjectRulesController::class, 'effort'])->name('projects.effort');
Route::post('/projects/{project}/pin', [ProjectRulesController::class, 'pin'])->name('projects.pin');
Route::get('/animals/{animal}/surer', [ProveController::class, 'surer'])->name('prove.surer');
Route::get('/prove', [ProveController::class, 'index'])->name('prove');
Route::post('/prove/decisions', [ProveController::class, 'decide'])->name('prove.decide');
Route::post('/prove/read', [ProveController::class, 'read'])->name('prove.read');
Route::get('/prove/traits/create', [OddTraitController::class, 'create'])->name('traits.create');
Route::post('/prove/traits', [OddTraitController::class, 'store'])->name('traits.store');
Route::get('/prove/traits/{trait}', [OddTraitController::class, 'show'])->name('traits.show');
Route::post('/prove/traits/{trait}/entries', [OddTraitController::class, 'add'])->name('traits.add');
Route::get('/animals/{animal}/puzzle', [ProveController::class, 'puzzle'])->name('animals.puzzle')->whereNumber('animal');
Route::get('/prove/{animal}', [ProveController::class, 'animal'])->name('prove.animal')->whereNumber('animal');
Route::get('/prove/{animal}/{group}', [ProveController::class, 'design'])->name('prove.design')->whereNumber('animal');
Route::get('/projects/{project}/story', [ProjectController::class, 'story'])->name('projects.story');
Route::get('/plans/{plan}', [ProjectController::class, 'progress'])->name('plans.progress');
Route::get('/plans/{plan}/given', [ProjectController::class, 'given'])->name('plans.given');
Route::post('/plans/{plan}/cancel', [ProjectController::class, 'cancel'])->name('plans.cancel');

Route::get('/genes', [GeneController::class, 'index'])->name('genes.index');
Route::get('/genes/own', [GeneChangeController::class, 'create'])->name('genes.own');
Route::post('/genes/own', [GeneChangeController::class, 'store'])->name('genes.change');
Route::get('/genes/compare', [LooksController::class, 'compare'])->name('looks.compare');
Route::get('/genes/design', [LooksController::class, 'design'])->name('looks.design');
Route::get('/genes/drawing.svg', [LooksController::class, 'drawing'])->name('looks.drawing');
Route::get('/genes/confusions', [LooksController::class, 'confusions'])->name('looks.confusions');
Route::get('/genes/states/{cue}/{state}.svg', [LooksController::class, 'state'])->name('looks.state')
    ->where('cue', '[a-z-]+')->where('state', '[0-9]{1,2}');
Route::get('/genes/counts', [LooksController::class, 'counts'])->name('looks.counts');
Route::get('/genes/train', [TrainController::class, 'show'])->name('train');
Route::post('/genes/train', [TrainController::class, 'answer'])->name('train.answer');
Route::post('/genes/train/begin', [TrainController::class, 'begin'])->name('train.begin');
Route::post('/genes/train/next', [TrainController::class, 'next'])->name('train.next');
Route::get('/genes/{gene}', [GeneController::class, 'show'])->name('genes.show');
Route::post('/genes/{gene}/name', [GeneChangeController::class, 'name'])->name('genes.name');
Route::get('/complexes/{locus}', [GeneController::class, 'complex'])->name('complexes.show');

Route::get('/luck', LuckController::class)->name('luck');
Route::get('/guide', GuideController::class)->name('guide');

Route::get('/house/all', [HouseController::class, 'index'])->name('house.index');
Route::get('/house', [HouseController::class, 'show'])->name('house');
Route::put('/house', [HouseController::class, 'update'])->name('house.update');

Route::get('/exchange', [ExchangeController::class, 'index'])->name('exchange');
Route::get(
    '/exchange/download/{format}', [ExchangeController::class, 'download'],
)->whereIn('format', ['zip', 'csv', 'xlsx', 'ped', 'ics'])->name('exchange.download');
Route::post('/exchange', [ExchangeController::class, 'upload'])->name('exchange.upload');
Route::post('/exchange/paste', [ExchangeController::class, 'paste'])->name('exchange.paste');
Route::delete('/exchange/collection', [ExchangeController::class, 'empty'])->name('exchange.empty');
Route::get('/imports/{import}', [ImportController::class, 'show'])->name('imports.show');
Route::get('/imports/{import}/progress', [ImportController::class, 'progress'])->name('imports.progress');
Route::get('/imports/{import}/rest.csv', [ImportController::class, 'rest'])->name('imports.rest');
Route::post('/imports/{import}/clutches', [ImportController::class, 'clutches'])->name('imports.clutches');
Route::delete('/imports/{import}', [ImportController::class, 'takeBack'])->name('imports.back');
Route::post('/imports/{import}/stop', [ImportController::class, 'stop'])->name('imports.stop');
Route::post('/imports/{import}/on', [ImportController::class, 'goOn'])->name('imports.on');
Route::post('/imports/{import}/again', [ImportController::class, 'putBack'])->name('imports.again');
Route::get('/exchange/{upload}', [ExchangeController::class, 'preview'])->whereUuid('upload')->name('exchange.preview');
Route::post('/exchange/{upload}/answers', [ExchangeController::class, 'answer'])->whereUuid('upload')->name('exchange.answer');
Route::post('/exchange/{upload}', [ExchangeController::class, 'store'])->whereUuid('upload')->name('exchange.store');
Route::get('/backups', [BackupController::class, 'index'])->name('backups');
Route::post('/backups', [BackupController::class, 'store'])->name('backups.store');
Route::get('/backups/{file}', [BackupController::class, 'download'])->name('backups.download');

Route::get('/people', [PeopleController::class, 'index'])->name('people.index');
Route::post('/people', [PeopleController::class, 'store'])->name('people.store');
Route::put('/people/{person}', [PeopleController::class, 'update'])->name('people.update');
Route::delete('/people/{person}', [PeopleController::class, 'destroy'])->name('people.destroy');

Route::get('/account', [AccountController::class, 'show'])->name('account');
Route::put('/account/password', [AccountController::class, 'password'])->middleware('throttle:password')->name('account.password');
Route::post('/account/tokens', [AccountController::class, 'token'])->name('tokens.store');
Route::post('/account/calendar', [AccountController::class, 'calendar'])->name('tokens.calendar');
Route::delete('/account/tokens/{token}', [AccountController::class, 'revoke'])->whereNumber('token')->name('tokens.destroy');
