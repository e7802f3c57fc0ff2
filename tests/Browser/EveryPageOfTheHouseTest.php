<?php

namespace Tests\Browser;

/** Genes and their looks, luck, the guide, the house. */
class EveryPageOfTheHouseTest extends EveryPageCase
{
    public static function pages(): iterable
    {
        yield 'house' => ['/house/all'];
        yield 'house rules' => ['/house'];
        yield 'building racks' => ['/racks'];
        yield 'in and out' => ['/exchange'];
        yield 'backups' => ['/backups'];
        yield 'people' => ['/people'];
        yield 'account' => ['/account'];
        yield 'own gene' => ['/genes/own'];
        yield 'guide' => ['/guide'];
        yield 'genes' => ['/genes'];
        yield 'gene' => ['/genes/spider'];
        yield 'complex' => ['/complexes/bel'];
        yield 'luck' => ['/luck?chance=1/6&eggs=40&hits=0'];
        yield 'compare' => ['/genes/compare?genes[]=Normal&genes[]=Pastel+Clown&genes[]=Super+Mojave'];
        yield 'design' => ['/genes/design?base=Ultramel&wish[contrast]=more&wish[stripe]=keep'];
        yield 'masks and confusions' => ['/genes/confusions'];
        yield 'train' => ['/genes/train'];
    }
}
