<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Words of the notation that are no names, in all the forms in which people write them. */
enum Keyword
{
    case Het;
    case Hets;
    case Two;
    case Homozygous;
    case Visual;
    case Possible;
    /** "ph": possible het. */
    case PossibleHet;
    case Normal;
    case DoubleHet;
    case TripleHet;
    case Maker;
    case Without;

    private const WORDS = [
        'het' => self::Het, 'hete' => self::Het, 'hetero' => self::Het, 'heterozygous' => self::Het, 'heterozygote' => self::Het,
        'heterozygot' => self::Het, 'heterozygoter' => self::Het,
        'heterocigoto' => self::Het, 'heterozigote' => self::Het, 'heterozigot' => self::Het, 'eterozigote' => self::Het,
        'hets' => self::Hets,
        'super' => self::Two, 's' => self::Two, 'homozygous' => self::Homozygous, 'homozygot' => self::Homozygous,
        'homozygote' => self::Homozygous, 'homozygoter' => self::Homozygous, 'homo' => self::Homozygous,
        'visual' => self::Visual, 'vis' => self::Visual, 'visible' => self::Visual,
        'possible' => self::Possible, 'possibly' => self::Possible, 'poss' => self::Possible, 'pos' => self::Possible,
        'maybe' => self::Possible, 'prob' => self::Possible, 'probable' => self::Possible, 'probably' => self::Possible,
        'ph' => self::PossibleHet,
        'normal' => self::Normal, 'normals' => self::Normal, 'wildtype' => self::Normal, 'wild' => self::Normal,
        'classic' => self::Normal, 'wt' => self::Normal,
        'dh' => self::DoubleHet, 'th' => self::TripleHet,
        'mm' => self::Maker, 'fm' => self::Maker,
        'no' => self::Without, 'without' => self::Without,
    ];

    /** What misspelt words can have meant, by folded form. */
    public const SPOKEN = [
        'het' => 'het', 'hets' => 'hets', 'super' => 'super', 'visual' => 'visual', 'possible' => 'possible',
        'normal' => 'Normal', 'double' => 'double', 'triple' => 'triple',
        'male' => 'male', 'female' => 'female', 'maker' => 'maker', 'without' => 'without', 'carries' => 'carries',
        'only' => 'only', 'heterozygous' => 'heterozygous', 'homozygous' => 'homozygous',
    ];

    /** @return array<string, int> words before "het" that say how many follow */
    public static function multiples(): array
    {
        return ['double' => 2, 'dbl' => 2, 'triple' => 3, 'trip' => 3, 'quad' => 4, 'quadruple' => 4];
    }

    public static function of(Token $token): ?self
    {
        return $token->is(TokenType::Word) ? self::WORDS[$token->word] ?? null : null;
    }
}
