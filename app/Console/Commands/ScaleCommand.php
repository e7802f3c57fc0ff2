<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Errors\ExchangeError;
use App\Scale\RackScale;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

class ScaleCommand extends AnswerCommand
{
    /** How often a busy collection is asked again. */
    private const TRIES = 5;

    protected $signature = 'destino:scale
        {--address=http://127.0.0.1:8200 : where Destino runs}
        {--token= : a token that may log (destino:token makes one); better in the environment as DESTINO_TOKEN}
        {--seed=1 : for the noise and the faults}
        {--most=500 : animals to weigh at the most}
        {--json : print one JSON document}';

    protected $description = 'A stand-in for a weighing scale: one round through the racks, with noise and a few faults';

    protected function answer(): void
    {
        $http = Http::baseUrl(rtrim((string) $this->option('address'), '/').'/api/v1')->withToken((string) ($this->option('token')
            ?? getenv('DESTINO_TOKEN')))
            ->acceptJson()
            ->timeout(20);
        $animals = array_slice($this->animals($http), 0, (int) $this->option('most'));
        $results = [];
        foreach ((new RackScale((int) $this->option('seed')))->round($animals) as $message) {
            $reply = $this->sent($http, $message);
            $results[] = [
                'sent' => $message, 'status' => $reply->status(),
                'result' => $reply->json('results.0.result') ?? $reply->json('message'),
            ];
        }
        if ($this->option('json')) {
            $this->printJson(['sent' => count($results), 'results' => $results]);

            return;
        }
        $this->table(
            ['animal or tub', 'grams', 'answer', ''],
            array_map(
                fn (array $row): array => [
                    $row['sent']['number'] ?? $row['sent']['tub'], $row['sent']['grams'], $row['status'], $row['result'],
                ],
                $results,
            ),
        );
    }

    /** @return list<array<string, mixed>> */
    private function animals(PendingRequest $http): array
    {
        try {
            $answer = $http->get('animals', ['per_page' => 500]);
        } catch (ConnectionException) {
            throw ExchangeError::refused(
                "Nothing answers at {$this->option('address')}. Is Destino running there? bin/destino demo starts it.",
            );
        }

        return $answer->successful() ? $answer->json('data') : throw ExchangeError::refused(
            "Destino at {$this->option('address')} does not let this token in ({$answer->status()}). Make one that may log: "
                .'bin/destino token scale.',
        );
    }

    /**
     * A busy collection is asked again: the message carries its own token, so that it is kept once however often it is sent.
     *
     * @param  array<string, mixed>  $message
     */
    private function sent(PendingRequest $http, array $message): Response
    {
        do {
            $reply = $http->post('weights', ['weights' => [$message]]);
            $isBusy = $reply->status() === 503 && ($tries = ($tries ?? 0) + 1) <= self::TRIES;
            $isBusy && sleep(max(1, min(10, (int) $reply->header('Retry-After'))));
        } while ($isBusy);

        return $reply;
    }
}
