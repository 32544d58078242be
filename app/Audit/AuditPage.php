<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

/** A page of the audit log. */
final readonly class AuditPage
{
    /**
     * @param list<AuditRow> $entries the newest first
     * @param int $total how many there are in all
     */
    public function __construct(public array $entries, public int $total)
    {
    }
}
