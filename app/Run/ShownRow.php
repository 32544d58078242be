<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** A cue that was shown, with time and place. */
final readonly class ShownRow
{
    /** @param int $shownMs on the server's clock */
    public function __construct(public string $passage, public string $cue, public int $shownMs, public ?string $wall)
    {
    }

    /** Returns its moment in the programme in ms; it starts the name of the cue. */
    public function cueMs(): int
    {
        return self::momentOf($this->cue);
    }

    public static function momentOf(string $cue): int
    {
        return (int) explode('-', $cue)[0];
    }
}
