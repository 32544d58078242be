<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

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
                $matches[] = new RuleMatch($index, $sentence(self::aimed($before), self::aimed($item)));
            }
            $before = $item;
        }

        return $matches;
    }

    private static function aimed(StrikeItem $item): string
    {
        return t('{strike} to the {target}', strike: $item->strike->name, target: $item->target->word());
    }
}
