<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\Person;

/** A saved view as coaches see it. */
final readonly class ShownView
{
    public function __construct(
        public int $id,
        public string $name,
        public string $address,
        public bool $shared,
        public Person $owner,
    ) {
    }
}
