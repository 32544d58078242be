<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** What of this gym an offer is about: what it changes, or what is here already. */
final readonly class LocalThing
{
    /**
     * @param string $page its address, such as "/combinations/12"
     * @param int|null $version on which a change is based; null where there is none to change
     */
    public function __construct(public string $name, public string $page, public ?int $version = null)
    {
    }
}
