<?php

declare(strict_types=1);

namespace Periplus\App\Work;

use Doctrine\ORM\Mapping as ORM;

/** Adds to slow work when it last went on, so that it is noticed when nobody works on it any more. */
trait Proceeds
{
    /** Longer than any part takes, in s. */
    private const MAX_PART_SECONDS = 10;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $proceededAt = null;

    public function proceeded(\DateTimeImmutable $now): void
    {
        $this->proceededAt = $now;
    }

    public function isLeft(\DateTimeImmutable $now): bool
    {
        return null === $this->proceededAt
            || $this->proceededAt < $now->modify('-'.self::MAX_PART_SECONDS.' seconds');
    }
}
