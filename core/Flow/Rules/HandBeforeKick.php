<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\HandSide;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class HandBeforeKick implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'hand-before-kick',
            title: t('Hand before a kick'),
            reason: t(
                'One school sends the hand of the same side before the kick, so that the guard looks there; the other '
                .'sends the hand of the opposite side, whose turn loads the kick. It holds only where the gym has '
                .'chosen one.',
            ),
            shows: new RuleExample('1 2 14', schools: new Schools(handSide: HandSide::Opposite)),
            doesNotShow: new RuleExample('1 2 3 14', schools: new Schools(handSide: HandSide::Opposite)),
            order: 60,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $school = $context->options->rules->schools->handSide;
        foreach (HandSide::Any === $school ? [] : $context->handsBeforeKicks() as $index => $hand) {
            $kick = $context->strikes[$index];
            $same = $context->inStance->side($hand) === $context->inStance->side($index);
            if ($same !== (HandSide::Same === $school)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {kick} comes after the {hand}, a hand of the {side} side; this gym sends the hand of '
                            .'the {wanted} side first.',
                        kick: $kick->strike->name,
                        hand: $context->strikes[$hand]->strike->name,
                        side: $same ? 'same' : 'opposite',
                        wanted: $same ? 'opposite' : 'same',
                    ),
                );
            }
        }
    }
}
