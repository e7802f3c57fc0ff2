<?php

declare(strict_types=1);

namespace App\Train;

use App\Looks\Gallery;
use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Noise;
use Destino\Genome\Allele;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;

/** What can be asked: the genes as they first show, who is near whom, what tells them apart. */
class Material
{
    /** Pairs nearer than this are worth asking for: those further apart nobody mixes up. */
    private const NEAR = 9.0;

    private const OPTIONS = 4;

    /** Genes to choose wrong answers from. */
    private const OTHERS = 6;

    /** @var array<string, Form> the form in which each gene first shows, by allele */
    public readonly array $forms;

    private readonly Distance $fromNormal;

    /** @var array<string, Distance> each gene that was asked for, as it is drawn */
    private array $drawn = [];

    /** @var array<string, bool> whether the drawing shows each gene that was asked for */
    private array $shown = [];

    public function __construct(private readonly Gallery $gallery)
    {
        $catalogue = $gallery->catalogue();
        $this->fromNormal = new Distance($gallery->ofForms([]));
        $this->forms = array_map(
            fn (Allele $allele): Form => $allele->inheritance === Inheritance::Recessive ? $catalogue->twoCopies($allele) : $catalogue
                ->oneCopy($allele),
            $catalogue->alleles,
        );
    }

    public function shows(string $gene): bool
    {
        return $this->shown[$gene] ??= $this->fromNormal->toThat($this->drawn($gene)) >= 2 * Distance::SEEN;
    }

    private function drawn(string $gene): Distance
    {
        return $this->drawn[$gene] ??= new Distance($this->gallery->ofForms([$this->forms[$gene]]));
    }

    /** @param list<string> $genes */
    public function nearest(string $gene, array $genes): ?string
    {
        $look = $this->gallery->ofForms([$this->forms[$gene]]);
        $best = null;
        foreach (array_slice($genes, 0, 40) as $other) {
            $apart = $other === $gene
                ? INF
                : Difference::size($look, $this->gallery->ofForms([$this->forms[$other]]), $this->gallery->facts());
            if ($apart > 1.0 && $apart < self::NEAR && ($best === null || $apart < $best[1])) {
                $best = [$other, $apart];
            }
        }

        return $best[0] ?? null;
    }

    /** @return list<string> genes that differ visibly from one, in an order of chance */
    public function others(string $gene, int $seed): array
    {
        $noise = Noise::of($seed + 5);
        $all = array_keys($this->forms);
        usort($all, fn (string $a, string $b): int => $noise->at((int) crc32($a) & 0xFFFF) <=> $noise->at((int) crc32($b) & 0xFFFF));
        $own = $this->drawn($gene);
        $others = [];
        foreach ($all as $other) {
            if (count($others) === self::OTHERS) {
                break;
            }
            if ($other !== $gene && $this->shows($other) && $own->toThat($this->drawn($other)) > 2 * Distance::SEEN) {
                $others[] = $other;
            }
        }

        return $others;
    }

    /**
     * @param list<string> $others
     * @return array{list<string>, int} options and the place of the right one
     */
    public function among(string $right, array $others, int $seed): array
    {
        $options = array_slice($others, 0, self::OPTIONS - 1);
        $place = (int) floor(Noise::of($seed)->at(4) * (count($options) + .999));
        array_splice($options, $place, 0, [$right]);

        return [$options, $place];
    }

    /** @return list<string> */
    public function words(string $gene): array
    {
        return Difference::between(
            $this->gallery->ofForms([]), $this->gallery->ofForms([$this->forms[$gene]]), $this->gallery->facts(),
        )->words(3);
    }

    public function tells(string $gene, ?string $other): string
    {
        $words = $other === null
            ? $this->words($gene)
            : Difference::between(
                $this->gallery->ofForms([$this->forms[$other]]), $this->gallery->ofForms([$this->forms[$gene]]), $this->gallery->facts(),
            )->words(3);

        return "{$this->forms[$gene]->text}: ".implode('; ', $words).'.';
    }

    /** @param list<Form> $forms */
    public function look(array $forms, int $seed, int $days = LookFacts::ADULT): Look
    {
        return $this->gallery->ofForms($forms, $days, 1 + $seed % 97);
    }
}
