<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warning\WarningDefinition;

use function Periplus\Core\Language\t;

/** Little rest for the work. */
final readonly class LittleRest implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'little-rest',
            t('Little rest'),
            t('Between rounds the breath has to come back, or technique falls apart and that is what is practised.'),
            t('Rest 60 s between rounds'),
            new RuleThreshold(15, 0, 100, t('% of the time of rounds in rest'), 'below'),
            50,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        foreach ($context->plan->blocks as $number => $block) {
            if (
                BlockKind::Rounds !== $block->kind
                || array_sum(array_map(static fn (Round $round): int => $round->times, $block->rounds)) < 3
            ) {
                continue;
            }
            foreach ($context->programme->tracks() as $track) {
                $ms = ['work' => 0, 'rest' => 0];
                foreach ($context->programme->segments($track) as $segment) {
                    if ($number === $segment->place->block && SegmentKind::Changeover !== $segment->kind) {
                        $ms[SegmentKind::Work === $segment->kind ? 'work' : 'rest'] += $segment->ms();
                    }
                }
                $share = (100 * $ms['rest']) / max(1, array_sum($ms));
                if ($share < $context->threshold($this->definition())) {
                    yield t(
                        '{block}{track}: {rest} of rest for {work} of work.',
                        block: $block->name,
                        track: null === $track ? '' : ', '.$context->plan->tracks[$track]->name,
                        rest: Duration::inWords(intdiv($ms['rest'], 1000)),
                        work: Duration::inWords(intdiv($ms['work'], 1000)),
                    );
                }
            }
        }
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        $blocks = $plan->blocks();

        return $plan->eachRound(static function (array $round, int $block) use ($blocks): array {
            $rest = $round['rest'] ?? 0;

            return BlockKind::Rounds->value === ($blocks[$block]['kind'] ?? BlockKind::Rounds->value)
                && \is_int($rest)
                && $rest < 60
                ? [...$round, 'rest' => 60]
                : $round;
        });
    }
}
