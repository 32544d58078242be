<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setCacheFile(__DIR__.'/var/cache/php-cs-fixer')
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'strict_comparison' => true,
        'no_unused_imports' => true,
        'phpdoc_to_comment' => false,
        'phpdoc_align' => ['align' => 'left'],
        'single_line_throw' => false,
        'no_superfluous_phpdoc_tags' => false,
        'phpdoc_order_by_value' => false,
    ])
    ->setFinder(
        (new PhpCsFixer\Finder())
            ->in([__DIR__.'/core', __DIR__.'/app', __DIR__.'/tests'])
            ->notPath('browser'),
    );
