<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Ending;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

final readonly class NoExit implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'no-exit',
            title: t('How the chain ends'),
            reason: t(
                'After a chain, move: exit, pivot, roll or step. Standing to admire the work invites the answer. It is '
                .'worth saying of a long chain, with a partner of every chain, and on the bag of none. Other '
                .'schools finish with a kick, or with a lead hand; the gym chooses.',
            ),
            shows: new RuleExample('1 2 3b 2 3 2'),
            doesNotShow: new RuleExample('1 2 3b 2 3 2 exit'),
            order: 130,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            threshold: new RuleThreshold(6, 1, 20, t('strikes')),
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $last = \count($context->items) - 1;
        $stands =
            ($context->items[$last] instanceof StrikeItem || $context->items[$last] instanceof FreeStrikes)
            && !$context->chain()->goesWithMove($last)
            && $this->matters($context);
        $strike = $context->strikes[array_key_last($context->strikes) ?? -1] ?? null;
        $message = match ($context->options->rules->schools->ending) {
            Ending::Move => $stands
                ? t('The chain ends standing where the answer comes. Exit, pivot, roll or step after it.')
                : null,
            Ending::Kick => null !== $strike && Limb::Leg !== $strike->strike->limb
                ? t('The last strike is the {strike}; this gym finishes with a kick.', strike: $strike->strike->name)
                : null,
            Ending::LeadHand => null !== $strike
            && (Limb::Hand !== $strike->strike->limb || Role::Lead !== $strike->strike->role)
                ? t(
                    'The last strike is the {strike}; this gym finishes with a lead hand.',
                    strike: $strike->strike->name,
                )
                : null,
            Ending::Any => null,
        };

        return null === $message ? [] : [new RuleMatch($last, $message)];
    }

    private function matters(RuleContext $context): bool
    {
        return match ($context->options->medium) {
            Medium::Partner => true,
            default => $context->medium()->opponent && \count($context->strikes) >= $context->threshold($this),
        };
    }
}
