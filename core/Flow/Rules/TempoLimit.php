<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class TempoLimit implements Rule
{
    public function id(): string
    {
        return 'tempo-limit';
    }

    public function title(): string
    {
        return 'Faster than the body';
    }

    public function reason(): string
    {
        return 'Calls can come faster than weight and hips come back: those take their own time at any tempo. Slow the call or mend the chain.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 2 2', tempo: 0.8);
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 3 2', tempo: 0.8);
    }

    public function sightings(Passage $passage): array
    {
        $length = $passage->timing->length();
        $asked = $length - $passage->timing->waiting();
        $strikes = \count($passage->delivered);
        if ($passage->circumstances->tempo >= 1.0 || $strikes < 3 || $asked <= 0.0) {
            return [];
        }
        $loss = 1.0 - $asked / $length;

        return $loss > $passage->circumstances->rules->thresholds->tempoLoss
            ? [new Sighting(null, \sprintf('This tempo asks for %.1f strikes a second; weight and hips allow %.1f.', 1000 * $strikes / $asked, 1000 * $strikes / $length))]
            : [];
    }
}
