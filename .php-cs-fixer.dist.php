<?php

$finder = PhpCsFixer\Finder::create()
    ->in(array_filter([__DIR__.'/app', __DIR__.'/core', __DIR__.'/bench', __DIR__.'/tests', __DIR__.'/database', __DIR__.'/routes', __DIR__.'/config', __DIR__.'/packages'], is_dir(...)))
    ->notName('*.blade.php')
    ->append([__DIR__.'/bin/shots.php', __DIR__.'/bin/publish-vendor.php', __DIR__.'/bin/publish-parts.php']);

return (new PhpCsFixer\Config)
    ->setRules([
        '@PSR12' => true,
        'array_syntax' => ['syntax' => 'short'],
        'new_with_parentheses' => ['named_class' => false, 'anonymous_class' => false],
        'concat_space' => ['spacing' => 'none'],
        'no_unused_imports' => true,
        'ordered_imports' => ['sort_algorithm' => 'alpha'],
        'single_quote' => true,
        'trailing_comma_in_multiline' => ['elements' => ['arrays', 'arguments', 'parameters', 'match']],
        'not_operator_with_successor_space' => true,
        'blank_line_before_statement' => ['statements' => []],
        'no_superfluous_phpdoc_tags' => false,
        'single_line_empty_body' => true,
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'blank_line_after_opening_tag' => false,
        'statement_indentation' => false,
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__.'/storage/framework/cache/php-cs-fixer.json');
