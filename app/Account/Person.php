<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** A coach as answers name them. */
final readonly class Person
{
    /** @param int|null $id null for somebody who has no account */
    public function __construct(public ?int $id, public string $name)
    {
    }
}
