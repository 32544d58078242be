<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Periplus\Core\Technique\Data;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;

/** Writes the core's data as PHP arrays, so that requests need not parse JSON; see {@see Kernel::boot}. */
final readonly class CoreDataWarmer implements CacheWarmerInterface
{
    /** Folder inside the cache directory. */
    public const FOLDER = '/core-data';

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $folder = $cacheDir.self::FOLDER;
        if (!is_dir($folder)) {
            mkdir($folder, recursive: true);
        }
        Data::layDown($folder);

        return [];
    }

    public function isOptional(): bool
    {
        return false;
    }
}
