<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Balance\SegmentTable;

/** The lengths of an athlete as seen from above, in m. */
final readonly class Build
{
    /** From the middle of the stance to the middle of a foot: along the line to the opponent, and across it. */
    public float $halfStance;
    public float $halfWidth;
    public float $halfHips;
    public float $halfShoulders;
    public float $foot;

    public function __construct(Athlete $athlete)
    {
        $data = FloorData::builtIn();
        $this->halfStance = $athlete->stance / 2;
        $this->halfWidth = $data->value('stanceWidth') * $athlete->height / 2;
        $this->halfHips = $data->value('hipWidth') * $athlete->height / 2;
        $this->halfShoulders = $data->value('shoulderWidth') * $athlete->height / 2;
        $this->foot = SegmentTable::builtIn()->footLength() * $athlete->height;
    }
}
