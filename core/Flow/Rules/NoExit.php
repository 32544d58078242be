<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Ending;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;

final readonly class NoExit implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'no-exit',
            'How the chain ends',
            'After a chain, move: exit, pivot, roll or step. Standing to admire the work invites the answer. Other schools finish with a kick, or with a lead hand; the gym chooses.',
            new RuleExample('1 2'),
            new RuleExample('1 2 exit'),
            order: 130,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
        );
    }

    public function matches(RuleContext $context): array
    {
        $last = \count($context->items) - 1;
        $stands = $context->items[$last] instanceof StrikeItem || $context->items[$last] instanceof FreeStrikes;
        $strike = $context->strikes[array_key_last($context->strikes) ?? -1] ?? null;
        $message = match ($context->options->rules->schools->ending) {
            Ending::Move => $stands ? 'Nothing takes the athlete out after the last strike. Exit, pivot, roll or step.' : null,
            Ending::Kick => null !== $strike && Limb::Leg !== $strike->strike->limb ? \sprintf('The last strike is the %s; this gym finishes with a kick.', $strike->strike->name) : null,
            Ending::LeadHand => null !== $strike && (Limb::Hand !== $strike->strike->limb || Role::Lead !== $strike->strike->role) ? \sprintf('The last strike is the %s; this gym finishes with a lead hand.', $strike->strike->name) : null,
            Ending::Any => null,
        };

        return null === $message ? [] : [new RuleMatch($last, $message)];
    }
}
