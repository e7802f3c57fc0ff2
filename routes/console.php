<?php

use App\Jobs\FollowPlans;
use Illuminate\Support\Facades\Schedule;

// Nightly; and where the machine sleeps at night, at the first hour that it is awake.
Schedule::command('destino:backup --if-due')->hourly()->withoutOverlapping();

// A season turns, and young come of age, though nobody writes anything.
Schedule::call(FollowPlans::everybody(...))->name('plans that follow')->hourly();
