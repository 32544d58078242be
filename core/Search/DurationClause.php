<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

/** A condition on how long a chain takes at working tempo. */
final readonly class DurationClause implements Clause
{
    /** @param int $limitMs in ms, itself excluded */
    public function __construct(public bool $longer, public int $limitMs, private string $text)
    {
    }

    public function says(): string
    {
        $seconds = $this->limitMs / 1000;

        return $this->longer
            ? t('takes longer than {seconds} s', seconds: $seconds)
            : t('takes less than {seconds} s', seconds: $seconds);
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->duration($this);
    }
}
