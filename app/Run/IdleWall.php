<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Plan\PlanRow;
use Periplus\App\Plan\Plans;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Wall\WallChain;
use Periplus\Core\Session\Wall\WallSerializer;

/** What a wall shows while no session runs: today's sessions, and what this week drills most. */
final readonly class IdleWall
{
    /** Maximum number of sessions that are read for the combination of the week. */
    private const MAX_PLANS = 60;
    /** Maximum number of combinations that are tried, because the first may be archived. */
    private const MAX_TRIED = 5;

    public function __construct(
        private GymSettings $gym,
        private Plans $plans,
        private Runs $runs,
        private CombinationTable $combinations,
        private PlanCheck $check,
        private GymNumberings $numberings,
    ) {
    }

    /** @return list<IdleSession> in their order */
    public function sessions(): array
    {
        $today = $this->gym->today()->format('Y-m-d');
        $begun = $this->runs->plansStartedSince($this->gym->today()->setTime(0, 0)->getTimestamp() * 1000);

        return array_map(
            static fn (PlanRow $plan): IdleSession => new IdleSession($plan, \in_array($plan->id, $begun, true)),
            $this->plans->between($today, $today),
        );
    }

    /** Returns what the sessions of this week plan most often of the library, in the numbering of those sessions. */
    public function week(): ?IdleCombination
    {
        $monday = $this->gym->today()->modify('monday this week');
        $times = $numberings = [];
        $contents = $this->plans->contentsBetween(
            $monday->format('Y-m-d'),
            $monday->modify('+6 days')->format('Y-m-d'),
            self::MAX_PLANS,
        );
        foreach ($contents as $content) {
            foreach ((new WrittenPlan($content))->combinations() as $combination) {
                $id = $combination['id'] ?? null;
                if (\is_int($id)) {
                    $times[$id] = 1 + ($times[$id] ?? 0);
                    $numberings[$id] = $content['numbering'] ?? null;
                }
            }
        }
        arsort($times);
        foreach ($this->combinations->summaries(\array_slice(array_keys($times), 0, self::MAX_TRIED)) as $one) {
            $chain = null === $one->archivedAt ? $this->chain($one, $numberings[$one->id] ?? null) : null;
            if (null !== $chain) {
                return new IdleCombination($one->content->name, $times[$one->id] ?? 0, $chain);
            }
        }

        return null;
    }

    /** Returns the chain of a combination as a wall demonstrates it; null when it can no longer be read. */
    private function chain(CombinationSummary $combination, mixed $numbering): ?WallChain
    {
        $content = $combination->content;
        $reader = $this->check->reader();
        $plan = $reader->read([
            'rules' => $content->rules,
            'numbering' => 'parity',
            'blocks' => [
                [
                    'rounds' => [
                        [
                            'seconds' => 60,
                            'sets' => [
                                [
                                    'drill' => 'demonstration',
                                    'combinations' => [
                                        ['chain' => $content->notation, 'stance' => $content->stance->value],
                                    ],
                                ],
                            ],
                        ],
                    ],
                ],
            ],
        ])->plan;
        $known = \is_string($numbering) ? ($this->numberings->all()[$numbering] ?? null) : null;

        return WallSerializer::serialize(
            ProgrammeBuilder::build($plan, $reader->advice),
            numbering: $known?->numbering,
        )->chains[0] ?? null;
    }
}
