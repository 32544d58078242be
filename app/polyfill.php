<?php

declare(strict_types=1);

// Symfony calls this PHP 8.5 function and the package that offers it for older PHP is not to be had; see
// docs/development.md.
if (!function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(static fn (): bool => false);
        restore_error_handler();

        return $handler;
    }
}
