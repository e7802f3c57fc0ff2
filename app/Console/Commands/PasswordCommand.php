<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Errors\ExchangeError;
use App\Models\User;
use App\People\SafePassword;

class PasswordCommand extends AnswerCommand
{
    protected $signature = 'destino:password {email : whose} {--json : errors as a JSON document}';

    protected $description = 'A new password for somebody who has lost it; it is asked for, not shown';

    protected function answer(): void
    {
        $person = User::query()->where('email', (string) $this->argument('email'))->first() ?? throw ExchangeError::noOwner();
        $password = (string) $this->secret('New password (at least 10 characters)');
        $fault = SafePassword::fault($password, $person->email);
        if ($fault !== null) {
            throw ExchangeError::unsafePassword($fault);
        }
        $person->update(['password' => $password]);
        $this->line("{$person->name} signs in with the new password now.");
    }
}
