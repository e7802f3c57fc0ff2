<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** What may be wrong where young hatched that the records exclude, as records name it: each is a class of its own. */
enum FaultKind: string
{
    case Unrecorded = 'unrecorded';
    case Misidentified = 'misidentified';
    case OtherSire = 'other-sire';
    case Misnamed = 'misnamed';
    case OneCopy = 'one-copy';
    case Masked = 'masked';
    case Mutation = 'mutation';

    /** @return class-string<Fault> */
    public function fault(): string
    {
        return __NAMESPACE__.'\\'.$this->name;
    }
}
