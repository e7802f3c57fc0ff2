<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Opened;
use App\Models\GeneChange;
use Destino\Appearance\LookFacts;
use Destino\DestinoError;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\CueChances;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\EyeFit;
use Destino\Identification\Reading\OwnEye;

/**
 * How the keeper's eye differs from the shipped one, cue by cue, from animals whose genes are sure otherwise; counts of friends are
 * taken in with the weight that the keeper gives them.
 *
 * @phpstan-type Counted array{cue: string, state: string, days: int, genes: string}
 * @phpstan-type OwnLine array{
 *     cue: Cue, readings: int, eye: OwnEye, words: string, own: list<float>, shipped: list<float>, used: GeneChange|null,
 * }
 */
final class OwnEyes
{
    /** A shift below this is not worth a word. */
    private const SAID = .3;

    /** A state that is seen less often is not listed. */
    private const OFTEN = .05;

    private readonly CueChances $chances;

    /** @var array<string, list<array{look: Amounts, days: int, state: int, weight: float}>>|null by cue */
    private ?array $readings = null;

    public function __construct(private readonly Opened $opened)
    {
        $this->chances = new CueChances($opened->shelf->catalogue(), $opened->shelf->looks());
    }

    /** @return list<OwnLine> cues with enough readings, those that differ most first */
    public function lines(): array
    {
        $lines = [];
        $used = $this->opened->keeper()->geneChanges()->where('kind', 'eye')->orderBy('id')->get()->keyBy('gene');
        foreach ($this->opened->shelf->cues() as $key => $cue) {
            $eye = $this->eye($key);
            if ($eye !== null) {
                $change = $used->get($key);
                $lines[] = [
                    'cue' => $cue, 'readings' => $this->count($key), 'eye' => $eye, 'words' => self::words($cue, $eye),
                    'own' => $this->chances->floats($cue->readBy($eye), [], LookFacts::ADULT),
                    'shipped' => $this->chances->floats($cue->readBy(new OwnEye), [], LookFacts::ADULT),
                    'used' => $change instanceof GeneChange ? $change : null,
                ];
            }
        }
        usort($lines, fn (array $a, array $b): int => abs($b['eye']->shift) <=> abs($a['eye']->shift));

        return $lines;
    }

    /** What the readings say of a cue; null where there are too few of them. */
    public function eye(string $cue): ?OwnEye
    {
        $reading = ($this->opened->shelf->cues()[$cue] ?? null)?->reading;

        return $reading === null || $this->count($cue) < EyeFit::ENOUGH ? null : EyeFit::of(
            $reading->readBy(new OwnEye), $this->readings()[$cue], fn (int $days) => $this->chances->windows($reading, $days),
        );
    }

    /** Readings of a cue, a friend's counted by their weight. */
    public function count(string $cue): int
    {
        return (int) round(array_sum(array_column($this->readings()[$cue] ?? [], 'weight')));
    }

    /** @return array<string, list<array{look: Amounts, days: int, state: int, weight: float}>> by cue */
    private function readings(): array
    {
        if ($this->readings === null) {
            $this->readings = [];
            foreach ((new ConfirmedReadings($this->opened))->all() as $one) {
                $this->add($one['cue'], $one['state'], $one['forms'], $one['days'], 1.0);
            }
            foreach ($this->opened->keeper()->geneChanges()->where('kind', 'counts')->orderBy('id')->get() as $friend) {
                foreach ($friend->data['readings'] ?? [] as $one) {
                    $this->addFriends($one, (float) ($friend->data['weight'] ?? 0));
                }
            }
        }

        return $this->readings;
    }

    /** @param Counted $one */
    private function addFriends(array $one, float $weight): void
    {
        $cue = $this->opened->shelf->cues()[$one['cue']] ?? null;
        $state = $cue?->find($one['state']);
        try {
            $belief = $this->opened->shelf->reader()->read($one['genes'], Sex::Female)->beliefOrFail();
        } catch (DestinoError) {
            return; // a name that this catalogue does not have: said when the file was taken in
        }
        $forms = SureForms::of($belief, $this->opened->shelf->catalogue());
        if ($cue !== null && $state !== null && $forms !== null) {
            $this->add($cue, $state, $forms, $one['days'], $weight);
        }
    }

    /** @param array<string, Form> $forms by locus */
    private function add(Cue $cue, int $state, array $forms, int $days, float $weight): void
    {
        if ($cue->reading !== null && $this->chances->isThere($cue, $forms, $days)) {
            $this->readings[$cue->key][] = [
                'look' => $this->chances->seen($cue->reading, $forms, $days), 'days' => $days, 'state' => $state, 'weight' => $weight,
            ];
        }
    }

    /**
     * "none 89 %, faint 8 %": states that are seen at all often.
     *
     * @param list<float> $chances
     */
    public static function shares(Cue $cue, array $chances): string
    {
        $seen = array_filter($chances, fn (float $chance): bool => $chance >= self::OFTEN);

        return implode(', ', array_map(
            fn (int $state, float $chance): string => $cue->states[$state].' '.round(100 * $chance)."\u{a0}%", array_keys($seen), $seen,
        ));
    }

    private static function words(Cue $cue, OwnEye $eye): string
    {
        $line = $cue->reading->line->states ?? [];
        [$less, $more] = count($line) > 1
            ? [$cue->states[$line[0]], $cue->states[$line[1]]]
            : [$cue->states[$line[0] ?? 0], $cue->states[$cue->reading->marks[0]->state ?? 0]];

        return match (true) {
            $eye->shift <= -self::SAID => "You see “{$more}” where we see “{$less}”.",
            $eye->shift >= self::SAID => "You see “{$less}” where we see “{$more}”.",
            $eye->spread > 1.0 => 'Your readings differ from each other more than we expect.',
            $eye->spread < 1.0 => 'Your readings differ from each other less than we expect.',
            default => 'You see it as we do.',
        };
    }
}
