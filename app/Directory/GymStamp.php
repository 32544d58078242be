<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Symfony\Component\Messenger\Stamp\StampInterface;

/** Says which gym a message is about. */
final readonly class GymStamp implements StampInterface
{
    public function __construct(public string $gym)
    {
    }
}
