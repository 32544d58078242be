<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

final readonly class SameSideRun implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'same-side-run',
            title: t('Same side three times'),
            reason: t(
                'After three strikes in a row from one side the hips cannot turn further, and that side has no '
                    .'guard. Jabs of that side, feints and push kicks do not count, and a jab of the other side '
                    .'ends the '.
                    'run.',
            ),
            shows: new RuleExample('3b 3 5'),
            doesNotShow: new RuleExample('3b 2 5'),
            order: 100,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            threshold: new RuleThreshold(3, 2, 10, t('strikes in a row')),
            matters: [Purpose::Technique, Purpose::Conditioning],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat
                || ($item instanceof MoveItem && null !== $item->move->load),
            static function (int $index, StrikeItem $item, ?string $of) use ($context): ?string {
                $side = $context->inStance->side($index)?->value;
                if ('jab' === $item->strike->id && $item->delivered() && null !== $of && $of !== $side) {
                    // A jab of the other side turns the hips back, which ends the run.
                    return 'jab '.$index;
                }

                return $item->feint || $item->strike->has(StrikeTrait::SetsUp)
                    ? null
                    : $side;
            },
        );
        foreach ($runs as $run) {
            if (\count($run) >= $context->threshold($this)) {
                $role = $context->strikes[$run[0]]->strike->role->value;
                yield new RuleMatch(
                    $run[0],
                    t(
                        '{count} strikes in a row come from the {role} side: the hips cannot turn further, and that '
                            .'side is open. Put a strike of the other side between.',
                        count: \count($run),
                        role: $role,
                    ),
                );
            }
        }
    }
}
