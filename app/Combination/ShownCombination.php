<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\Person;
use Periplus\App\Store\Instant;
use Periplus\Core\Flow\Timing\Verdict;

/** A combination as it is shown. */
readonly class ShownCombination extends ShownContent
{
    public int $id;
    public int $version;
    public Verdict $verdict;
    public int $lengthMs;
    public Person $author;
    public Person $editor;
    public Instant $createdAt;
    public Instant $updatedAt;
    public ?Instant $archivedAt;
    public ?string $drilledOn;

    public function __construct(CombinationSummary $summary, string $text)
    {
        parent::__construct($summary->content, $text);
        $this->id = $summary->id;
        $this->version = $summary->version;
        $this->verdict = $summary->verdict;
        $this->lengthMs = $summary->lengthMs;
        $this->author = $summary->author;
        $this->editor = $summary->editor;
        $this->createdAt = new Instant($summary->createdAt);
        $this->updatedAt = new Instant($summary->updatedAt);
        $this->archivedAt = Instant::ofNullable($summary->archivedAt);
        $this->drilledOn = $summary->drilledOn;
    }
}
