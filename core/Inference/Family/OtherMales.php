<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Sex;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * Who another sire may be: any male here that is not the recorded sire nor among the young or their descendants, and one
 * from outside, all alike. Males of whom the same is believed are taken together.
 */
final readonly class OtherMales
{
    /**
     * @param list<Rational> $weights summing to 1
     * @param list<list<array<int, Rational>>> $priors P(genotype) by male, space and number of the genotype
     */
    private function __construct(public array $weights, public array $priors) {}

    public static function of(FamilyModel $model, string $litter): self
    {
        $males = ($model->context->otherMales)($model->hypothesis->family, $litter);
        $share = Rational::of(1, count($males) + 1);
        /** @var Weights<list<array<int, Rational>>> $found */
        $found = new Weights;
        $outside = array_values($model->outsiders[Family::otherSireOf($litter)]);
        $found->add('outside', $outside, $share);
        foreach ($males as $id) {
            $priors = [];
            $key = '';
            foreach ($model->spaces as $space) {
                $prior = $model->context->beforehandOf(self::member($model->context, $id), $space);
                ksort($prior);
                $priors[] = $prior;
                foreach ($prior as $number => $weight) {
                    $key .= "{$number}:{$weight->toString()} ";
                }
                $key .= '|';
            }
            $found->add($key, $priors, $share);
        }

        return new self(array_column($found->entries(), 1), array_column($found->entries(), 0));
    }

    public static function member(Context $context, string $id): Member
    {
        return new Member($id, Sex::Male, [], [], null, $id, $id, $context->descent->animal($id));
    }
}
