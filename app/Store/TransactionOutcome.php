<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Symfony\Contracts\Service\ResetInterface;

/** Remembers what became of the transactions of a request, so that one that failed is repeated only if that is safe. */
final class TransactionOutcome implements ResetInterface
{
    private bool $isWritten = false;
    private bool $isUnknown = false;

    /** Something was written for good: from here on, doing everything again would do that twice. */
    public function written(): void
    {
        $this->isWritten = true;
    }

    /** The connection broke during the commit: the transaction may have been stored or not. */
    public function unknown(): void
    {
        $this->isUnknown = true;
    }

    /** Whatever was written, doing everything again goes on from there. */
    public function mayBeRepeated(): void
    {
        $this->reset();
    }

    public function isWritten(): bool
    {
        return $this->isWritten;
    }

    public function isUnknown(): bool
    {
        return $this->isUnknown;
    }

    public function reset(): void
    {
        $this->isWritten = false;
        $this->isUnknown = false;
    }
}
