<?php

return [
    // Tokens only: pages use the session, programs a token.
    'guard' => [],
    'stateful' => [],
    'expiration' => null,
    'routes' => false, // no cookie route: pages have the session already
    'token_prefix' => 'destino_',
];
