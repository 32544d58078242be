<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The side of the body relative to the stance: lead or rear. */
enum Role: string
{
    case Lead = 'lead';
    case Rear = 'rear';

    public function other(): self
    {
        return self::Lead === $this ? self::Rear : self::Lead;
    }
}
