<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** A condition on the number of strikes, including feints. */
final readonly class LengthClause implements Clause
{
    public function __construct(public int $least, public ?int $most, private string $text)
    {
    }

    public function says(): string
    {
        return match (true) {
            null === $this->most => \sprintf('has %d strikes or more', $this->least),
            $this->least === $this->most => \sprintf(
                'has %d %s',
                $this->least,
                1 === $this->least ? 'strike' : 'strikes',
            ),
            default => \sprintf('has %d to %d strikes', $this->least, $this->most),
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
