<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\CarriesFacts;
use Destino\DestinoError;
use Destino\Spelling;
use DomainException;

/** Something in a clutch or in a cue that cannot be worked with, and where. */
final class IdentificationError extends DomainException implements DestinoError
{
    use CarriesFacts;

    public static function missing(string $where, string $wanted): self
    {
        return new self("The clutch document wants {$wanted} at {$where}.", ['piece' => $where]);
    }

    public static function genes(string $who, string $why): self
    {
        return new self("{$who}: {$why}", ['piece' => $who]);
    }

    public static function sexOf(string $who, string $wanted): self
    {
        return new self("{$who} must be {$wanted}.", ['piece' => $who]);
    }

    public static function noSire(): self
    {
        return new self('The clutch wants at least one sire.', ['piece' => 'sires']);
    }

    public static function weight(string $sire, string $weight): self
    {
        return new self("The weight of the sire {$sire} is {$weight}, and must be more than 0.", ['piece' => 'weight']);
    }

    public static function twice(string $kind, string $id): self
    {
        return new self('Two '.$kind.'s are called '.self::shown($id).'.', ['piece' => $id]);
    }

    public static function nobody(string $id): self
    {
        return new self('No hatchling of the clutch is called '.self::shown($id).'.', ['piece' => $id]);
    }

    /** @param list<string> $known */
    public static function unknownCue(string $cue, array $known): self
    {
        $near = Spelling::nearest($cue, array_combine($known, $known));

        return new self(
            'There is no cue “'.self::shown($cue).'”.'.($near === [] ? '' : ' Did you mean '.implode(' or ', $near).'?'),
            ['piece' => $cue, 'suggestions' => $near],
        );
    }

    /** @param list<string> $states */
    public static function unknownState(string $cue, string $state, array $states): self
    {
        return new self(
            "The cue {$cue} has no state “".self::shown($state).'”. It has: '.implode(', ', $states).'.',
            ['piece' => $state, 'suggestions' => $states],
        );
    }

    public static function chances(string $cue, int $rule, string $why): self
    {
        return new self("The cue {$cue}, rule ".($rule + 1).": {$why}", ['piece' => $cue]);
    }

    public static function noLastRule(string $cue): self
    {
        return new self("The cue {$cue} wants a last rule without “when”, which holds of everything else.", ['piece' => $cue]);
    }

    public static function neverHolds(string $cue, string $when, string $before): self
    {
        return new self(
            "The cue {$cue}: the rule for {$when} can never hold, since the one for {$before} before it always does.", ['piece' => $when],
        );
    }

    public static function impossibleCount(string $saw): self
    {
        return new self("None of these parents can have {$saw} among the young that are counted.", ['piece' => $saw]);
    }

    public static function tooMuch(int $genotypes): self
    {
        return new self(
            "What is recorded ties too many genes together: {$genotypes} genotypes a hatchling. Record fewer cues at a time.",
            ['piece' => 'cues'],
        );
    }
}
