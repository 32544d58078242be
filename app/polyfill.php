<?php

declare(strict_types=1);

// Symfony calls this PHP 8.5 function, and the package that provides it for older PHP is not available in every
// registry; see docs/development.md.
if (!function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(static fn (): bool => false);
        restore_error_handler();

        return $handler;
    }
}
