@props(['animal']) {{-- the sex of an animal as a sign with words --}}
@if ($animal->sex === null)<x-icon name="question-circle" label="sex not known" {{ $attributes->class('sex') }}/>@else<x-icon :name="'gender-'.$animal->sex->value" :label="$animal->sex->value" {{ $attributes->class('sex') }}/>@endif
