<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\FromAbove\FromAbove;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\Notation\ReadChain;

/** Draws a text from above. */
final readonly class FromAboveSerializer
{
    public function __construct(private Check $check)
    {
    }

    /** @return FromAbove|null null for a text that cannot be read */
    public function serialize(ReadChain $chain, CheckOptions $options): ?FromAbove
    {
        if (null === $chain->inStance) {
            return null;
        }
        $result = $this->check->run($chain->inStance, $options);

        return ViewDrawer::draw($chain->inStance, $result->timing, $result->sway, $options->athlete);
    }
}
