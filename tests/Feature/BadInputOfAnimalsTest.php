<?php

namespace Tests\Feature;

/** Forms about one animal or several. */
class BadInputOfAnimalsTest extends BadInputCase {}
