<?php

namespace App\Family;

use App\Models\Animal;
use App\Pairing\OddsWords;
use Destino\Probability\Rational;

/** How closely a pair is related, as the pairing page tells it. */
class Relatedness
{
    /** F of the offspring from which on the page warns. */
    public const LIMIT = '1/8';

    /** @param  list<string>  $common  names of common ancestors */
    private function __construct(public readonly Rational $coefficient, private readonly array $common) {}

    public static function of(Family $family, Animal $sire, Animal $dam): self
    {
        return new self($family->kinship($sire, $dam), $family->commonAncestors($sire, $dam));
    }

    public function isAboveLimit(): bool
    {
        return $this->coefficient->compareTo(Rational::parse(self::LIMIT)) > 0;
    }

    public function sentence(): string
    {
        if ($this->coefficient->isZero()) {
            return 'The records show no common ancestor of the two.';
        }
        $share = "{$this->coefficient->toString()} (".OddsWords::percent($this->coefficient).')';

        return "Their young would have the inbreeding coefficient F = {$share}".$this->likeness().', through '.implode(', ', $this->common).'.'
            .($this->isAboveLimit() ? ' That is above '.self::LIMIT.': hatch rates and vigour are said to suffer; an unrelated mate avoids it.' : '');
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
