<?php

declare(strict_types=1);

// Loads once, when PHP starts, what every request would load again: the classes of the warmed container, the core, and
// the column types, all of which Doctrine registers as soon as it is asked for anything.
$root = dirname(__DIR__, 2);
if (is_file($preload = $root.'/var/cache/prod/Periplus_App_KernelProdContainer.preload.php')) {
    require $preload;
    foreach (['/core', '/vendor/doctrine/dbal/src/Types', '/vendor/symfony/type-info/TypeResolver'] as $folder) {
        $files = new RegexIterator(new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder)), '/\.php$/');
        foreach ($files as $path => $file) {
            require_once $path;
        }
    }
}
