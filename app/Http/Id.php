<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\Validator\Constraints as Assert;

/** What a press or a start is told by, chosen by whoever gives it. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final class Id extends Assert\Compound
{
    public const PATTERN = '/^[A-Za-z0-9-]{8,64}$/D';

    protected function getConstraints(array $options): array
    {
        return [new Assert\Regex(self::PATTERN, message: 'An id has 8 to 64 letters, digits and hyphens.')];
    }
}
