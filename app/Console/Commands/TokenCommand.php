<?php

declare(strict_types=1);

namespace App\Console\Commands;

class TokenCommand extends AnswerCommand
{
    use OfKeeper;

    protected $signature = 'destino:token {name : what it is for} {--keeper= : e-mail address of the owner, where there are several} '
        .'{--json : print one JSON document}';

    protected $description = 'A token with which a program reads animals and logs weights and readings';

    protected function answer(): void
    {
        $token = $this->open()->keeper()->createToken((string) $this->argument('name'), ['read', 'log'])->plainTextToken;
        $this->option('json') ? $this->printJson(['token' => $token]) : $this->line($token);
    }
}
