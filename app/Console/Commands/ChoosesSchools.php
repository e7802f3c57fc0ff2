<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Destino\Genome\UnknownSchool;

/** For commands with --school=CLAIM=CHOICE. */
trait ChoosesSchools
{
    /**
     * @return array<string, string> choice by claim
     *
     * @throws UnknownSchool when an option is not CLAIM=CHOICE
     */
    protected function schools(): array
    {
        $schools = [];
        foreach ((array) $this->option('school') as $text) {
            $parts = explode('=', (string) $text, 2);
            if (count($parts) !== 2 || $parts[0] === '') {
                throw UnknownSchool::notAPair((string) $text);
            }
            $schools[trim($parts[0])] = trim($parts[1]);
        }

        return $schools;
    }
}
