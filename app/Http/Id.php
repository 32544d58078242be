<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\Validator\Constraints as Assert;

use function Periplus\Core\Language\t;

/** Validates the id of a command or a start, chosen by the client. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final class Id extends Assert\Compound
{
    public const PATTERN = '/^[A-Za-z0-9-]{8,64}$/D';

    protected function getConstraints(array $options): array
    {
        return [new Assert\Regex(self::PATTERN, message: t('An id has 8 to 64 letters, digits and hyphens.'))];
    }
}
