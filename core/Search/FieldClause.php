<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** A condition on a field beside the chain: level, verdict, rules, stance, theme, author and status. */
final readonly class FieldClause implements Clause
{
    /** @param string $name level, verdict, rules, stance, theme, author or status */
    public function __construct(public string $name, public string $value, private string $says, private string $text)
    {
    }

    public function says(): string
    {
        return $this->says;
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->field($this);
    }
}
