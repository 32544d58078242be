<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

/** A condition on the number of strikes, including feints. */
final readonly class LengthClause implements Clause
{
    public function __construct(public int $least, public ?int $most, private string $text)
    {
    }

    public function says(): string
    {
        return match (true) {
            null === $this->most => t('has {least} strikes or more', least: $this->least),
            $this->least === $this->most => t(
                'has {count, plural, one {# strike} other {# strikes}}',
                count: $this->least,
            ),
            default => t('has {least} to {most} strikes', least: $this->least, most: $this->most),
        };
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->length($this);
    }
}
