<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** The progress of a job. */
final readonly class JobProgress implements \JsonSerializable
{
    /**
     * @param string $state "waiting", "running", "done" or "failed"
     * @param string $sentence why it failed
     * @param string|null $link where to go on, where a gym was founded
     */
    public function __construct(public string $state, public string $sentence, public ?string $link)
    {
    }

    /** @return array{state: string, sentence: string, link: string|null} */
    public function jsonSerialize(): array
    {
        return ['state' => $this->state, 'sentence' => $this->sentence, 'link' => $this->link];
    }
}
