<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\App\Store\Conflict;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/** How much of something a gym has, and the maximum. */
final readonly class Quota
{
    private const MB = 1_000_000;

    /**
     * @param string $what in the plural, such as "plans"
     * @param string $unit "" for a count, "bytes" for an amount of data
     */
    public function __construct(public string $what, public int $used, public int $limit, public string $unit = '')
    {
    }

    /** @throws Refused when there is no room for that much more */
    public function require(int $more = 1): void
    {
        if ($this->used + $more > $this->limit) {
            throw new Conflict(
                'quota-reached',
                'bytes' === $this->unit
                    ? t(
                        'The {what} of a gym take at most {limit} MB, and there is no room for another {more} MB. '
                            .'Delete what is no longer needed; Gym, Status shows the quotas.',
                        limit: number_format($this->limit / self::MB),
                        more: number_format($more / self::MB, 1),
                        what: $this->what,
                    )
                    : t(
                        'A gym has at most {limit} {what}, and the limit is reached. Delete what is no longer needed; '
                            .'Gym, Status shows the quotas.',
                        limit: number_format($this->limit),
                        what: $this->what,
                    ),
            );
        }
    }
}
