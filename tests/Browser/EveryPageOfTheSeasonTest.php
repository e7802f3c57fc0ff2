<?php

namespace Tests\Browser;

/** Today, clutches, rounds, projects, proof, money. */
class EveryPageOfTheSeasonTest extends EveryPageCase
{
    public static function pages(): iterable
    {
        yield 'clutches' => ['/clutches'];
        yield 'a season reckoned' => ['/season/'.date('Y')];
        yield 'clutch' => ['/clutches/4'];
        yield 'clutch form' => ['/clutches/4/edit'];
        yield 'projects' => ['/projects'];
        yield 'project' => ['/projects/2'];
        yield 'project form' => ['/projects/1/edit'];
        yield 'story' => ['/projects/1/story'];
        yield 'prove' => ['/prove'];
        yield 'evidence' => ['/prove/3'];
        yield 'test crosses' => ['/prove/3/genetic-stripe'];
        yield 'notebook of an odd look' => ['/prove/traits/1'];
        yield 'a new notebook' => ['/prove/traits/create'];
        yield 'season board' => ['/season'];
        yield 'eggs' => ['/clutches/9/eggs'];
        yield 'an egg' => ['/clutches/9/eggs?egg=5'];
        yield 'incubators' => ['/incubators'];
        yield 'an incubator' => ['/incubators/2?span=day'];
        yield 'keep or sell' => ['/young?season=2026'];
        yield 'money' => ['/money'];
        yield 'weighing round' => ['/round/weight'];
        yield 'feeding round' => ['/round/feed'];
        yield 'today' => ['/today'];
        yield 'bench' => ['/clutches/8/bench'];
        yield 'two siblings' => ['/clutches/7/identify/26?beside=27'];
        yield 'hatchlings in a row' => ['/clutches/8/first'];
        yield 'a photograph of the box' => ['/clutches/8/box'];
        yield 'the story of a clutch' => ['/clutches/7/story'];
        yield 'how sure a label is' => ['/animals/27/surer'];
        yield 'one hatchling' => ['/clutches/8/identify'];
    }
}
