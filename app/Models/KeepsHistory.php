<?php

declare(strict_types=1);

namespace App\Models;

use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/** Every change of the record is kept: who, when, before, after. */
trait KeepsHistory
{
    use LogsActivity;

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logFillable()->logExcept(['form_token', 'version'])->logOnlyDirty()->dontSubmitEmptyLogs();
    }
}
