<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** The disk that the gym is kept on, in bytes. */
final readonly class Disk
{
    public function __construct(public int $free, public int $total)
    {
    }
}
