<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\HandTiming;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class HandAndKick implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'hand-and-kick',
            title: t('Hand and kick'),
            reason: t(
                'One school lands the hand first and kicks while the guard is on it; the other lands both at one '
                .'moment, so that there is no time for the second. It holds only where the gym has chosen one.',
            ),
            shows: new RuleExample('1 14h', schools: new Schools(handTiming: HandTiming::Together)),
            doesNotShow: new RuleExample('1 +14h', schools: new Schools(handTiming: HandTiming::Together)),
            order: 70,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $school = $context->options->rules->schools->handTiming;
        foreach (HandTiming::Any === $school ? [] : $context->handsBeforeKicks() as $index => $hand) {
            $kick = $context->strikes[$index];
            $together = $context->chain()->joinsStrike($index);
            if ($together !== (HandTiming::Together === $school)) {
                yield new RuleMatch(
                    $index,
                    t(
                        '{joined, select, yes {The {kick} lands together with the {hand}; this gym lands the hand '
                            .'first.} '.
                            'other {The {kick} lands after the {hand}; this gym lands both together.}}',
                        joined: $together ? 'yes' : 'no',
                        kick: $kick->strike->name,
                        hand: $context->strikes[$hand]->strike->name,
                    ),
                );
            }
        }
    }
}
