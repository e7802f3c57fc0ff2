<?php

declare(strict_types=1);

namespace App\Family;

use App\Collection\Family;
use App\Models\Animal;
use App\Words\OddsWords;
use Destino\Probability\Rational;

/** How closely a pair is related, as the pairing page tells it. */
class Relatedness
{
    /** @param  list<string>  $common  names of common ancestors */
    private function __construct(
        public readonly Rational $coefficient,
        private readonly array $common,
        private readonly ?Rational $limit,
    ) {}

    /** @param Rational|null $limit F of the offspring above which the house warns; null for no limit */
    public static function of(Family $family, Animal $sire, Animal $dam, ?Rational $limit): self
    {
        return new self($family->kinship($sire, $dam), $family->commonAncestors($sire, $dam), $limit);
    }

    public function isAboveLimit(): bool
    {
        return $this->limit !== null && $this->coefficient->compareTo($this->limit) > 0;
    }

    public function sentence(): string
    {
        if ($this->coefficient->isZero()) {
            return 'No common ancestor on record.';
        }
        $share = OddsWords::fraction($this->coefficient).' ('.OddsWords::percent($this->coefficient).')';

        $common = implode(', ', $this->common);

        return "Inbreeding F = {$share}{$this->likeness()}; both descend from {$common}."
            .($this->isAboveLimit()
                ? ' Your limit is '.($this->limit?->toString()
                    ?? '').'. Close pairs may hatch less well. Choose an unrelated mate to avoid this.'
                : '');
    }

    private function likeness(): string
    {
        return match ($this->coefficient->toString()) {
            '1/4' => ', like full siblings or parent and young',
            '1/8' => ', like half siblings',
            '1/16' => ', like cousins',
            default => '',
        };
    }
}
