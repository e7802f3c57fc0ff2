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
            return 'The records show no common ancestor of the two.';
        }
        $share = OddsWords::fraction($this->coefficient).' ('.OddsWords::percent($this->coefficient).')';

        return "Their young would have the inbreeding coefficient F = {$share}".$this->likeness().', through '
            .implode(', ', $this->common).'.'
            .(
                $this->isAboveLimit()
                    ? ' That is above '.($this->limit?->toString() ?? '')
                        .', the limit of the house: hatch rates and vigour are said to suffer; an unrelated mate avoids it.'
                    : ''
            );
    }

    private function likeness(): string
    {
        return match ($this->coefficient->toString()) {
            '1/4' => ', as between full siblings or parent and young',
            '1/8' => ', as between half siblings',
            '1/16' => ', as between cousins',
            default => '',
        };
    }
}
