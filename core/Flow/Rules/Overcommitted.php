<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class Overcommitted implements Rule
{
    /** Shift of the weight from even that counts as a drive, as a share. */
    private const MIN_DRIVE = 0.1;

    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'overcommitted',
            title: t('Driven one way'),
            reason: t(
                'Strikes that all drive the weight the same way carry the athlete over that foot. Something has to '
                .'bring it back: a strike of the other side, a slip, a step.',
            ),
            shows: new RuleExample('2 2 2'),
            doesNotShow: new RuleExample('2 3 2'),
            order: 25,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
            threshold: new RuleThreshold(3, 2, 10, t('strikes in a row')),
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat
                || $item instanceof FreeStrikes
                || ($item instanceof MoveItem && null !== $item->move->load),
            fn (int $index, StrikeItem $item): string => $this->drive(
                $context->timing->moments[$index]->load,
                $index,
                $item,
            ),
        );
        foreach ($runs as $run) {
            $way = $this->drive($context->timing->moments[$run[0]]->load, $run[0], $context->strikes[$run[0]]);
            if (('front' === $way || 'back' === $way) && \count($run) >= $context->threshold($this)) {
                yield new RuleMatch(
                    $run[\count($run) - 1],
                    t(
                        '{count} strikes in a row drive the weight over the {way} foot and nothing brings it back. '
                            .'Put a strike of the other side, a slip or a step between.',
                        count: \count($run),
                        way: $way,
                    ),
                );
            }
        }
    }

    /** @return string front, back, or a word of its own so that a strike that drives nowhere ends the run */
    private function drive(float $load, int $index, StrikeItem $item): string
    {
        return match (true) {
            $item->feint => 'feint '.$index,
            $load >= 0.5 + self::MIN_DRIVE => 'front',
            $load <= 0.5 - self::MIN_DRIVE => 'back',
            default => 'even '.$index,
        };
    }
}
