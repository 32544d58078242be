<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * Marks a route that may use a processor for seconds. The number of such requests at a time is limited for each
 * account, see {@see HeavyWorkGuard}.
 */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class HeavyWork
{
}
