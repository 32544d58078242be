<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

final class UnknownTechnique extends \OutOfBoundsException
{
    public static function named(string $id): self
    {
        return new self(\sprintf('There is no technique "%s" in the catalogue.', $id));
    }
}
