<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Technique\Target;

/** Finds a delivered strike at one height directly after one at another. */
final readonly class HeightChange
{
    /**
     * @param \Closure(string $before, string $after): string $sentence
     *
     * @return list<RuleMatch>
     */
    public static function between(RuleContext $context, Target $from, Target $to, \Closure $sentence): array
    {
        $matches = [];
        $before = null;
        foreach ($context->delivered as $index => $item) {
            if (null !== $before && $before->target === $from && $item->target === $to) {
                $matches[] = new RuleMatch($index, $sentence($before->strike->name, $item->strike->name));
            }
            $before = $item;
        }

        return $matches;
    }
}
