<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The target of a strike; the value is its letter in the notation. */
enum Target: string
{
    case Head = 'h';
    case Body = 'b';
    case Leg = 'l';

    public function word(): string
    {
        return match ($this) {
            self::Head => 'head',
            self::Body => 'body',
            self::Leg => 'leg',
        };
    }

    public static function fromWord(string $word): self
    {
        return match ($word) {
            'head' => self::Head,
            'body' => self::Body,
            'leg' => self::Leg,
            default => throw new \ValueError(\sprintf('"%s" is not a target.', $word)),
        };
    }
}
