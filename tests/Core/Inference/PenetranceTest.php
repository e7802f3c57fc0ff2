<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Appearance\LookFacts;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\CueChances;
use Destino\Identification\CueRule;
use Destino\Identification\CuesRead;
use Destino\Identification\Eye;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Recorded cues as evidence for an animal and its parents. */
final class PenetranceTest extends TestCase
{
    public function testACueSpeaksOfTheAnimalAndOfItsParents(): void
    {
        // Beforehand the young is a Clown with 2/3 · 1/2. Seen with 9/10 in a Clown, with 1/10 in others.
        $after = self::with(['D' => '66% het Clown', 'S' => 'Clown'], ['stripe' => self::stripe()], ['stripe' => 1]);
        self::assertSame('9/11', self::chance($after, 'K', 'Clown')); // 1/3 · 9/10 : 2/3 · 1/10
        self::assertSame('10/11', self::chance($after, 'D', 'het Clown')); // 2/3 · 1/2 : 1/3 · 1/10
        $other = self::with(['D' => '66% het Clown', 'S' => 'Clown'], ['stripe' => self::stripe()], ['stripe' => 0]);
        self::assertSame('1/19', self::chance($other, 'K', 'Clown'));
    }

    public function testASureThingIsNotExcludedByAnEyeThatErrs(): void
    {
        $never = new Cue('never', 'Never', 'head', ['no', 'yes'], [
            new CueRule(Shelf::facts()->targets()->read('Clown'), [Rational::one(), Rational::zero()]),
            new CueRule(null, [Rational::of(1, 2), Rational::of(1, 2)]),
        ]);
        $after = self::with(['D' => 'het Clown', 'S' => 'Clown'], ['never' => $never], ['never' => 1]);
        self::assertSame('1/1001', self::chance($after, 'K', 'Clown'));
        self::assertSame([], $after->posterior(0, $after->groupSetsOf(0)[0])->contradictions);
    }

    public function testOfTwoCuesThatShowTheSameOneCounts(): void
    {
        $again = new Cue('again', 'The same again', 'back', ['no', 'yes'], self::stripe()->rules, repeats: 'stripe');
        $after = self::with(['D' => '66% het Clown', 'S' => 'Clown'], ['stripe' => self::stripe(), 'again' => $again], ['stripe' => 1, 'again' => 1]);
        self::assertSame('9/11', self::chance($after, 'K', 'Clown'));
    }

    public function testARuleThatComesWithAgeIsHeardFromThatAge(): void
    {
        $late = new Cue('late', 'Late', 'back', ['no', 'yes'], [
            new CueRule(Shelf::facts()->targets()->read('Clown'), [Rational::of(1, 10), Rational::of(9, 10)], 300),
            new CueRule(null, [Rational::of(1, 2), Rational::of(1, 2)]),
        ]);
        $parents = ['D' => 'het Clown', 'S' => 'Clown'];
        self::assertSame('1/2', self::chance(self::with($parents, ['late' => $late], ['late' => 1], ['late' => 30]), 'K', 'Clown'));
        self::assertSame('9/14', self::chance(self::with($parents, ['late' => $late], ['late' => 1], ['late' => 400]), 'K', 'Clown'));
    }

    /** Cues that speak of two genes at once, against plain enumeration of both parents and the young. */
    public function testItAgreesWithEnumeration(): void
    {
        $targets = Shelf::facts()->targets();
        mt_srand(11);
        for ($round = 0; $round < 12; $round++) {
            $chances = fn (): array => [$no = Rational::of(mt_rand(1, 9), 10), $no->complement()];
            $cues = [];
            foreach (['one', 'two'] as $key) {
                $cues[$key] = new Cue($key, $key, 'back', ['no', 'yes'], [
                    new CueRule($targets->read('Pastel + Clown'), $chances()), new CueRule($targets->read('Clown'), $chances()),
                    new CueRule($targets->read('Pastel'), $chances()), new CueRule(null, $chances()),
                ]);
            }
            $seen = ['one' => mt_rand(0, 1), 'two' => mt_rand(0, 1)];
            $parents = [
                'D' => ['Normal', 'Pastel 66% het Clown', '50% het Clown', 'Pastel het Clown'][$round % 4],
                'S' => ['66% het Clown', 'Pastel Clown', 'Pastel 25% het Clown'][$round % 3],
            ];
            $after = self::with($parents, $cues, $seen);
            foreach (['Pastel', 'Clown', 'het Clown'] as $wanted) {
                foreach (['K', 'D', 'S'] as $id) {
                    self::assertSame(
                        self::enumerated($parents, $cues, $seen, $id, $wanted), self::chance($after, $id, $wanted), "round {$round}: {$id} {$wanted}",
                    );
                }
            }
        }
    }

    private static function stripe(): Cue
    {
        return new Cue('stripe', 'Stripe', 'back', ['no', 'yes'], [
            new CueRule(Shelf::facts()->targets()->read('Clown'), [Rational::of(1, 10), Rational::of(9, 10)]),
            new CueRule(null, [Rational::of(9, 10), Rational::of(1, 10)]),
        ]);
    }

    /**
     * @param array{D: string, S: string} $parents
     * @param array<string, Cue> $cues
     * @param array<string, int> $seen
     * @param array<string, int|null> $days
     */
    private static function with(array $parents, array $cues, array $seen, array $days = []): Kindred
    {
        $animals = ['K' => new Individual('K', Sex::Female, 'S', 'D', [])];
        foreach (['D' => Sex::Female, 'S' => Sex::Male] as $id => $sex) {
            $animals[$id] = new Individual($id, $sex, null, null, [
                new Testimony($id, Shelf::reader()->read($parents[$id], $sex)->beliefOrFail(), Source::Own, Probability::one(), true),
            ]);
        }
        $read = [];
        foreach ($seen as $key => $state) {
            $read[$key] = ['cue' => $cues[$key], 'state' => $state, 'days' => $days[$key] ?? null];
        }

        $observed = CuesRead::observed(new CueChances(Shelf::catalogue(), LookFacts::none()), $read, Rational::of(1, 1000));

        return new Kindred(Shelf::catalogue(), ['K' => $animals['K']->seenSo($observed)] + $animals);
    }

    private static function belief(Kindred $kindred, string $id): Belief
    {
        $factors = [];
        foreach ($kindred->groupSetsOf(0) as $groups) {
            $states = $kindred->posterior(0, $groups)->of[$id] ?? null;
            if ($states !== null) {
                $factors[] = new JointBelief(array_map(static fn (LinkageGroup $group): string => $group->key, $groups), $states);
            }
        }

        return new Belief($id === 'S' ? Sex::Male : Sex::Female, $factors);
    }

    private static function chance(Kindred $kindred, string $id, string $wanted): string
    {
        return Shelf::facts()->targets()->read($wanted)->chanceFor(self::belief($kindred, $id), Shelf::catalogue())->toString();
    }

    /**
     * Copies of Pastel and Clown of the dam, the sire and the young, all gone through.
     *
     * @param array{D: string, S: string} $parents
     * @param array<string, Cue> $cues
     * @param array<string, int> $seen
     */
    private static function enumerated(array $parents, array $cues, array $seen, string $of, string $wanted): string
    {
        $eye = new Eye(Shelf::catalogue());
        [$sum, $hits] = [Rational::zero(), Rational::zero()];
        foreach (self::copies($parents['D']) as [$dam, $pDam]) {
            foreach (self::copies($parents['S']) as [$sire, $pSire]) {
                foreach ([0, 1, 2] as $pastel) {
                    foreach ([0, 1, 2] as $clown) {
                        $p = $pDam->times($pSire)->times(self::young($dam[0], $sire[0], $pastel))->times(self::young($dam[1], $sire[1], $clown));
                        $forms = ['pastel' => self::form('pastel', $pastel), 'clown' => self::form('clown', $clown)];
                        foreach ($seen as $key => $state) {
                            $p = $p->times($cues[$key]->rules[$eye->rule($cues[$key], $forms, null)]->chances[$state]);
                        }
                        $one = ['D' => $dam, 'S' => $sire, 'K' => [$pastel, $clown]][$of];
                        $sum = $sum->plus($p);
                        $isHit = ['Pastel' => $one[0] > 0, 'Clown' => $one[1] === 2, 'het Clown' => $one[1] === 1][$wanted];
                        $hits = $isHit ? $hits->plus($p) : $hits;
                    }
                }
            }
        }

        return $hits->dividedBy($sum)->toString();
    }

    private static function form(string $allele, int $copies): \Destino\Genome\Form
    {
        return Shelf::catalogue()->form($allele, $copies > 0 ? $allele : '+', $copies > 1 ? $allele : '+');
    }

    /** @return list<array{array{int, int}, Rational}> copies of Pastel and Clown, and the chance */
    private static function copies(string $text): array
    {
        preg_match('/(\d+)% het Clown/', $text, $part);
        $het = match (true) {
            isset($part[1]) => $part[1] === '66' ? Rational::of(2, 3) : Rational::of((int) $part[1], 100),
            str_contains($text, 'het Clown') => Rational::one(), default => Rational::zero(),
        };
        $pastel = str_contains($text, 'Pastel') ? 1 : 0;

        return str_contains($text, 'Clown') && ! str_contains($text, 'het')
            ? [[[$pastel, 2], Rational::one()]]
            : [[[$pastel, 1], $het], [[$pastel, 0], $het->complement()]];
    }

    private static function young(int $dam, int $sire, int $copies): Rational
    {
        [$a, $b] = [Rational::of($dam, 2), Rational::of($sire, 2)];

        return match ($copies) {
            0 => $a->complement()->times($b->complement()),
            1 => $a->times($b->complement())->plus($a->complement()->times($b)),
            default => $a->times($b),
        };
    }
}
