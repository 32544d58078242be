<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Timing\Cause;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;

/** A strike or move that could follow. */
final readonly class ContinuationDocument
{
    /** Strike or move. */
    public string $kind;
    public ?Role $role;
    public ?Limb $limb;
    /** Head, body or leg. */
    public ?string $target;
    public int $waitMs;
    public Verdict $verdict;
    public ?Cause $cause;
    public string $reason;

    /** @param string $words by role */
    public function __construct(Continuation $next, public string $text, public string $words)
    {
        $strike = $next->item instanceof StrikeItem ? $next->item : null;
        $this->kind = null === $strike ? 'move' : 'strike';
        $this->role = $strike?->strike->role;
        $this->limb = $strike?->strike->limb;
        $this->target = $strike?->target->word();
        $this->waitMs = (int) round($next->wait);
        $this->verdict = $next->verdict;
        $this->cause = $next->cause;
        $this->reason = $next->reason;
    }
}
