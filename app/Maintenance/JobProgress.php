<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** The progress of a job. */
final readonly class JobProgress
{
    /**
     * @param string $state "waiting", "running", "done" or "failed"
     * @param string $sentence why it failed
     * @param string|null $link where to go on, where a gym was founded
     */
    public function __construct(public string $state, public string $sentence, public ?string $link)
    {
    }
}
