<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What the athletes hit: core/data/media.json says what each of them allows. */
enum Medium: string
{
    case Shadow = 'shadow';
    case Bag = 'bag';
    case RoundBag = 'round-bag';
    case StandingBag = 'standing-bag';
    case WallPad = 'wall-pad';
    case Pads = 'pads';
    case LongPads = 'long-pads';
    case Shield = 'shield';
    case Partner = 'partner';

    /** @return list<string> */
    public static function ids(): array
    {
        return array_column(self::cases(), 'value');
    }

    public function properties(): MediumProperties
    {
        return MediumProperties::of($this);
    }
}
