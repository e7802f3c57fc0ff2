<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Drawing\SnakeSvg;
use App\Drawing\TextFit;
use App\Drawing\Tile;
use App\Words\OddsWords;

/** One piece of the tray: an outcome in a tile of a given size, with what of it can be read there. */
final readonly class TrayPiece
{
    /** Width up to which marks of genes leave their room to a drawing. */
    private const NARROW = 140;

    /** What the edges of a tile take on both sides together. */
    private const EDGES = 20.0;

    public bool $showsGenes;

    /** @var list<string> the label, as far as it fits */
    public array $lines;

    /** The share of the eggs, and the size of its letters; empty where none can be read. */
    public string $share;

    public float $size;

    public function __construct(public OutcomeRow $row, public Tile $tile)
    {
        $isNarrow = $this->tile->width <= self::NARROW && ! $row->outcome->isLethal; // a drawing says more there than marks
        $this->showsGenes = $row->marks !== [] && $this->tile->width > 60 && $this->tile->height > 112 && ! $isNarrow;
        $fit = (int) floor(($this->tile->height - ($this->showsGenes ? 66 : 40)) / 17);
        $most = $isNarrow && $this->tile->height > 100 ? min(2, $fit) : $fit;
        $this->lines = TextFit::lines($row->outcome->label, $this->tile->width - self::EDGES, 14, $most);
        [$this->share, $this->size] = $this->shareThatFits();
    }

    public function fraction(): string
    {
        return OddsWords::fraction($this->row->outcome->probability);
    }

    public function sex(): string
    {
        return $this->row->outcome->sex->value ?? '';
    }

    /** What is read out where nothing can be written. */
    public function name(): string
    {
        return trim("{$this->fraction()} {$this->row->outcome->label} {$this->sex()}");
    }

    /** All of it in a sentence, for whoever points at it. */
    public function reading(string $unit): string
    {
        $row = $this->row;
        $known = $row->knownAs() === '' ? '' : " ({$row->knownAs()})";
        $sex = $this->sex() === '' ? '' : " {$this->sex()}";
        $hit = $row->share->isOne() ? ' Meets the target.' : ' May meet the target.';

        return "{$row->outcome->label}{$known}{$sex}: {$this->fraction()} per {$unit}, {$row->percent()}, {$row->oneIn()}."
            .($row->outcome->isLethal ? ' Does not live.' : '').($row->isHit() ? $hit : '');
    }

    /** How many of the marks of its genes stand side by side. */
    public function marksThatFit(): int
    {
        return max(1, (int) floor(($this->tile->width - self::EDGES) / 20));
    }

    public function showsSex(): bool
    {
        $taken = ($this->showsGenes ? 92 : 66) + 17 * count($this->lines);

        return $this->sex() !== '' && $this->lines !== [] && $this->tile->height > $taken && $this->tile->width > 80;
    }

    /** Height of a drawing of the young below the words; null where there is no room for one. */
    public function drawing(): ?float
    {
        $free = $this->tile->height - (48 + 17 * count($this->lines)) - ($this->showsGenes ? 30 : 6) - ($this->sex() === '' ? 0 : 18);
        $hasRoom = ! $this->row->outcome->isLethal && $this->tile->width > 72 && $free > 24;

        return $hasRoom ? round(min($free, ($this->tile->width - 16) * SnakeSvg::HEIGHT / SnakeSvg::WIDTH), 2) : null;
    }

    /** @return array{string, float} the fullest text of the share that fits; that it is a hit is told by its edge as well */
    private function shareThatFits(): array
    {
        if ($this->tile->height <= 28) {
            return ['', 14.0];
        }
        $star = $this->row->isHit() ? '★ ' : '';
        $large = $this->tile->width > 110 && $this->tile->height > 60 ? 19.0 : 14.0;
        foreach ([[$star, $large], [$star, 13.0], ['', 13.0], ['', 11.0]] as [$mark, $size]) {
            foreach ([$this->fraction(), $this->row->percent()] as $text) {
                if (mb_strlen($mark.$text) * $size * .6 <= $this->tile->width - self::EDGES + 4) {
                    return [$mark.$text, $size];
                }
            }
        }

        return ['', 14.0];
    }
}
