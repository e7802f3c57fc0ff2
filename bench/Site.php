<?php

namespace Bench;

use PDO;
use RuntimeException;
use Tests\Browser\Support\Server;

/** The application with a large made-up collection in a file of its own. */
class Site
{
    private const GENES = [
        'Clown', 'het Clown', 'Pastel het Clown', 'Mojave', 'Mojave/Mystic', 'Piebald', 'Enchi Pastel',
        'het Piebald het Ultramel', 'Normal', 'Banana', '66% het Clown', 'Yellow Belly or Gravel',
    ];

    private readonly string $database;

    private ?Server $server = null;

    private int $touched = 0;

    public function __construct()
    {
        $this->database = (string) tempnam(sys_get_temp_dir(), 'destino');
    }

    /** Animals in 10 generations, and log entries spread over them; the same every time. */
    public function collection(int $animals, int $entries): void
    {
        $this->server = Server::start(demo: true, empty: true, database: $this->database);
        $db = new PDO("sqlite:{$this->database}");
        $db->beginTransaction();
        $db->exec("insert into users (id, name, email, password, role) values (1, 'Bench', 'bench@destino.localhost', 'x', 'owner')");
        $db->exec("insert into racks (id, user_id, name, rows, columns) values (1, 1, 'A', 25, 12), (2, 1, 'B', 25, 12)");
        $animal = $db->prepare(
            'insert into animals (id, user_id, name, number, sex, hatched_on, hatched_precision, sire_id, dam_id, rack_id, '
                ."rack_row, rack_column) values (?, 1, ?, ?, ?, ?, 'day', ?, ?, ?, ?, ?)",
        );
        $statement = $db->prepare("insert into statements (animal_id, text, source, certainty, names_all) values (?, ?, 'own', 100, ?)");
        $status = $db->prepare("insert into status_events (animal_id, status, \"on\") values (?, 'breeder', '2024-01-01')");
        $size = intdiv($animals, 10);
        $chance = 7;
        for ($id = 1; $id <= $animals; $id++) {
            $generation = intdiv($id - 1, $size);
            $chance = ($chance * 1103515245 + 12345) % 2147483648;
            $before = $generation === 0 ? null : ($generation - 1) * $size;
            $sire = $before === null ? null : $before + 2 * ($chance % intdiv($size, 2)) + 1;
            $dam = $before === null ? null : $before + 2 * (intdiv($chance, 64) % intdiv($size, 2)) + 2;
            $animal->execute([
                $id, sprintf('Snake %03d', $id), sprintf('%03d', $id), $id % 2 === 1 ? 'male' : 'female',
                (2010 + $generation).'-07-01', $sire, $dam, $id <= 300 ? 1 : 2, intdiv(($id - 1) % 300, 12) + 1,
                ($id - 1) % 12 + 1,
            ]);
            if ($generation === 0) {
                $statement->execute([$id, self::GENES[$id % count(self::GENES)], 1]);
            }
            $status->execute([$id]);
        }
        $care = $db->prepare('insert into care_entries (animal_id, kind, "on", grams, outcome) values (?, ?, ?, ?, ?)');
        for ($i = 0; $i < $entries; $i++) {
            $isWeight = $i % 3 === 0;
            $care->execute([
                $i % $animals + 1, $isWeight ? 'weight' : 'feed',
                date('Y-m-d', strtotime('2026-11-01') - intdiv($i, $animals) * 7 * 86400), $isWeight ? 1000 + $i % 700 : null,
                $isWeight ? null : 'taken',
            ]);
        }
        $db->commit();
    }

    public function get(string $page): string
    {
        // the first page of a large collection waits for all that follows from its records
        $text = @file_get_contents(($this->server->address ?? '').$page, context: stream_context_create(['http' => ['timeout' => 900]]));

        return $text === false ? throw new RuntimeException("{$page} did not answer.") : $text;
    }

    /** Changes a statement, so that nothing kept is true any more. */
    public function touch(): void
    {
        (new PDO("sqlite:{$this->database}"))->exec(
            'update statements set certainty = '.(50 + $this->touched++ % 50).' where animal_id = 1',
        );
    }

    public function stop(): void
    {
        $this->server?->stop();
    }
}
