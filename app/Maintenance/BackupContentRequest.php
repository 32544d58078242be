<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** What backups contain. */
final readonly class BackupContentRequest
{
    public function __construct(public bool $recordings)
    {
    }
}
