<?php

declare(strict_types=1);

namespace App\View\Components\Unlikely;

use App\View\Components\Part\Part;

/** Questions about what hardly ever is; ticked, it is recorded as it stands. */
class Unlikely extends Part {}
