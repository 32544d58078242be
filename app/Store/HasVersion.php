<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\ORM\Mapping as ORM;

/** Adds a version that Doctrine increments with every stored change. */
trait HasVersion
{
    #[ORM\Version, ORM\Column(type: 'integer')]
    private int $version = 1;

    public function version(): int
    {
        return $this->version;
    }
}
