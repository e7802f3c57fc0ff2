<?php

namespace Tests\Feature;

/** Forms about clutches, their eggs and young, and the season. */
class BadInputOfClutchesTest extends BadInputCase {}
