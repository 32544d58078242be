<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** The combination, course, numbering or house rules of this gym that an offer would change or has the same of. */
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
