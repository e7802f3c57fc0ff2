<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Errors\ExchangeError;
use App\Scale\BoxProbe;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;

class ProbeCommand extends AnswerCommand
{
    /** How often a busy collection is asked again. */
    private const TRIES = 5;

    /** Readings in one message. */
    private const AT_ONCE = 1000;

    protected $signature = 'destino:probe
        {--address=http://127.0.0.1:8200 : where Destino runs}
        {--token= : a token that may log (destino:token makes one); better in the environment as DESTINO_TOKEN}
        {--place=boathouse-1 : what the probe calls its place}
        {--celsius=31.5 : around which the warmth goes}
        {--days=1 : days of readings, up to now}
        {--every=5 : minutes between two readings}
        {--fault=* : door, heater, dropouts or clock}
        {--seed=1 : for the noise}
        {--json : print one JSON document}';

    protected $description = 'A stand-in for a probe in an incubator: readings up to now, with a daily wave and the faults that are asked for';

    protected function answer(): void
    {
        $faults = (array) $this->option('fault');
        $unknown = array_diff($faults, BoxProbe::FAULTS);
        $unknown === [] || throw ExchangeError::refused(
            'There is no fault called “'.reset($unknown).'”: choose of '.implode(', ', BoxProbe::FAULTS).'.',
        );
        [$days, $every] = [(int) $this->option('days'), (int) $this->option('every')];
        if ($days < 1 || $days > 120 || $every < 1 || $every > 1440) {
            throw ExchangeError::refused('Days go from 1 to 120, and minutes between readings from 1 to 1440.');
        }
        $http = Http::baseUrl(rtrim((string) $this->option('address'), '/').'/api/v1')->withToken((string) ($this->option('token')
            ?? getenv('DESTINO_TOKEN')))
            ->acceptJson()->timeout(60);
        $probe = new BoxProbe(
            (string) $this->option('place'), (float) $this->option('celsius'), array_values($faults), (int) $this->option('seed'),
        );
        $counts = [];
        foreach (array_chunk($probe->readings(time(), $days, $every), self::AT_ONCE) as $readings) {
            $answer = $this->sent($http, $readings);
            $why = $answer->json('message') ?? 'no answer';
            $results = $answer->json('results')
                ?? throw ExchangeError::refused("Destino does not take the readings ({$answer->status()}): {$why}");
            foreach ($results as $one) {
                $counts[$one['result']] = ($counts[$one['result']] ?? 0) + 1;
            }
        }
        if ($this->option('json')) {
            $this->printJson(['sent' => array_sum($counts), 'results' => $counts]);

            return;
        }
        foreach ($counts as $result => $count) {
            $this->line("{$result}: {$count}");
        }
    }

    /** @param list<array<string, mixed>> $readings */
    private function sent(PendingRequest $http, array $readings): Response
    {
        try {
            do {
                $reply = $http->post('readings', ['readings' => $readings]);
                $isBusy = in_array($reply->status(), [429, 503], true) && ($tries = ($tries ?? 0) + 1) <= self::TRIES;
                $isBusy && sleep(max(1, min(60, (int) $reply->header('Retry-After'))));
            } while ($isBusy);

            return $reply;
        } catch (ConnectionException) {
            throw ExchangeError::refused(
                "Nothing answers at {$this->option('address')}. Is Destino running there? bin/destino demo starts it.",
            );
        }
    }
}
