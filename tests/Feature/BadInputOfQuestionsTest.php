<?php

namespace Tests\Feature;

/** Questions about pairs, luck and genes, and what is decided on them. */
class BadInputOfQuestionsTest extends BadInputCase {}
