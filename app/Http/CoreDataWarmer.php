<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Periplus\Core\Technique\Data;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;

/** Lays the core's data down as PHP, so that a request need not read JSON; see {@see Kernel::boot}. */
final readonly class CoreDataWarmer implements CacheWarmerInterface
{
    /** Under the folder of the cache. */
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
