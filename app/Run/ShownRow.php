<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** A cue that was shown, when and where. */
final readonly class ShownRow
{
    /** @param int $shownMs on the server's clock */
    public function __construct(public string $passage, public string $cue, public int $shownMs, public ?string $wall)
    {
    }

    /** Its moment in the programme, ms; by that a cue is named first. */
    public function cueMs(): int
    {
        return self::momentOf($this->cue);
    }

    public static function momentOf(string $cue): int
    {
        return (int) explode('-', $cue)[0];
    }
}
