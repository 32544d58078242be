<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Medium;

use function Periplus\Core\Language\t;

/** A strike that the bag or the pads are not made for. */
final readonly class NotHeldForThat implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'not-held-for-that',
            title: t('Not made for that'),
            reason: t(
                'Focus pads are too small for a kick and the holder’s wrists too weak, and an elbow tears a shield. '
                .'Long pads and a hanging bag take every strike.',
            ),
            shows: new RuleExample('1 2 14', Medium::Pads),
            doesNotShow: new RuleExample('1 2 14', Medium::LongPads),
            order: 175,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $medium = $context->medium();
        foreach ($context->delivered as $index => $item) {
            if (!\in_array($item->strike->limb, $medium->takes, true)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} is not usually thrown at the {medium}; {instead} take it.',
                        strike: $item->strike->name,
                        medium: $medium->name,
                        instead: $medium->held ? t('long pads') : t('a hanging bag or long pads'),
                    ),
                );
            }
        }
    }
}
