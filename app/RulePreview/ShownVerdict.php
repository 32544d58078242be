<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** A combination whose verdict changes, in the coach's numbering. */
final readonly class ShownVerdict
{
    public int $id;
    public string $name;
    public string $notation;
    public Stance $stance;
    public Verdict $from;
    public Verdict $to;

    /** @param string|null $why what the check says of it after an update; null in a preview */
    public function __construct(ChangedVerdict $changed, public string $text, public ?string $why = null)
    {
        $this->id = $changed->id;
        $this->name = $changed->name;
        $this->notation = $changed->notation;
        $this->stance = $changed->stance;
        $this->from = $changed->from;
        $this->to = $changed->to;
    }
}
