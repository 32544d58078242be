<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\ORM\Mapping as ORM;

/** The version of an entity, counted up by the mapper with every change that is stored. */
trait HasVersion
{
    #[ORM\Version, ORM\Column(type: 'integer')]
    private int $version = 1;

    public function version(): int
    {
        return $this->version;
    }
}
