<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** A combination with another verdict since an update, in the coach's numbering. */
final readonly class UpdatedVerdict
{
    public int $id;
    public string $name;
    public Stance $stance;
    public Verdict $from;
    public Verdict $to;

    /** @param string $why what the check says of it now */
    public function __construct(ChangedVerdict $changed, public string $text, public string $why)
    {
        $this->id = $changed->id;
        $this->name = $changed->name;
        $this->stance = $changed->stance;
        $this->from = $changed->from;
        $this->to = $changed->to;
    }
}
