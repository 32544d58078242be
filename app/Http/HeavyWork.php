<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * On a route that may keep a processor busy for seconds: each account has few of them under way at a time, see {@see
 * HeavyWorkGuard}.
 */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class HeavyWork
{
}
