<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/demo', __DIR__.'/tests', __DIR__.'/migrations', __DIR__.'/bench', __DIR__.'/public'])->name('*.php');

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@PER-CS' => true,
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'single_line_throw' => false,
        'phpdoc_to_comment' => false,
        'phpdoc_align' => ['align' => 'left'],
        'yoda_style' => false,
        'native_function_invocation' => false,
        'native_constant_invocation' => false,
        'increment_style' => ['style' => 'pre'],
        'concat_space' => ['spacing' => 'none'],
        'ordered_imports' => true,
        'global_namespace_import' => false,
    ])
    ->setFinder($finder)
    ->setCacheFile(__DIR__.'/var/.php-cs-fixer.cache');
