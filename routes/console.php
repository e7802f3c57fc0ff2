<?php

use Illuminate\Support\Facades\Schedule;

// Nightly; and where the machine sleeps at night, at the first hour that it is awake.
Schedule::command('destino:backup --if-due')->hourly()->withoutOverlapping();
