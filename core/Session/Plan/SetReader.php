<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\AllOut;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\OwnLength;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drills\DrillRegistry;

use function Periplus\Core\Language\t;

/**
 * Reads one set of a round: its drill, the drill's parameters and its combinations.
 *
 * @internal to {@see PlanReader}
 */
final class SetReader
{
    /** Maximum number of sets of a round, and of combinations of a set. */
    public const MAX_SETS = 40;
    private const MAX_ALL_OUT_SECONDS = 120;

    /** @var array<int|string, array<string, PlannedCombination>> of the sets so far, by track and text */
    private array $drilled = [];

    /** @param (\Closure(): list<string>)|null $themes of the gym's library; any word is one when null */
    public function __construct(
        private readonly Advice $advice,
        private readonly CombinationReader $combinations,
        private readonly ?\Closure $themes,
    ) {
    }

    /**
     * Reads everything but the length, which may depend on what the other sets leave.
     *
     * @return Set|null lasting 0 s, or as long as its drill says; null when it cannot be done
     */
    public function read(PlanFields $fields, RoundSettings $round): ?Set
    {
        $drill = $this->drill($fields);
        $settings = $round->ofSet($fields->tempo($round->tempo), $fields->purpose($round->purpose));
        if (null === $drill) {
            return null;
        }
        $parameters = $this->parameters($drill, $fields, $settings);
        $combinations = $this->combinations->read($fields, $settings);
        if (!$this->hasEnough($drill, $combinations, $fields)) {
            return null;
        }
        $allOut = $fields->whole('allOut', t('The seconds all out'), 0, self::MAX_ALL_OUT_SECONDS, 0);
        $set = new Set(
            place: $fields->place,
            where: $fields->where,
            drill: 0 === $allOut ? $drill : new AllOut($drill, $allOut),
            seconds: 0,
            combinations: $combinations,
            parameters: $parameters,
            options: $settings->options(),
            note: $fields->text('note', t('A note'), 1000),
            easier: $this->combinations->one($fields, 'easier', $settings),
            harder: $this->combinations->one($fields, 'harder', $settings),
            drilled: $this->drilled($settings->track),
        );
        $this->remember($set, $settings->track);

        return $set->lasting($drill instanceof OwnLength ? $drill->seconds($this->run($set, $settings)) : 0);
    }

    /**
     * Reports what cannot work in that length; returns null when the set cannot be run.
     *
     * @param bool $isRest whether it is done in the rest after a round
     */
    public function lasting(
        Set $set,
        int $seconds,
        PlanFields $fields,
        RoundSettings $settings,
        bool $isRest = false,
    ): ?Set {
        $set = $set->lasting($seconds);
        foreach ($set->drill->problems($this->run($set, $settings, $isRest)) as $problem) {
            $fields->problem($problem->message, $problem->field, $problem->stops, $problem->fix);
            if ($problem->stops) {
                return null;
            }
        }

        return $set;
    }

    private function run(Set $set, RoundSettings $settings, bool $isRest = false): DrillRun
    {
        return $set->run(
            $settings->plan,
            $settings->track,
            $settings->stance,
            $this->advice,
            times: $settings->times,
            themes: $this->themes,
            isRest: $isRest,
        );
    }

    private function drill(PlanFields $fields): ?Drill
    {
        $id = $fields->text('drill', t('The drill'), 40, PlanReader::DRILL);
        $drill = DrillRegistry::named($id);
        if (null === $drill) {
            $fields->problem(
                t(
                    'There is no drill "{id}"; there is {all}.',
                    id: mb_strimwidth($id, 0, 40, '…'),
                    all: implode(', ', array_keys(DrillRegistry::all())),
                ),
                'drill',
            );
        }

        return $drill;
    }

    private function parameters(Drill $drill, PlanFields $fields, RoundSettings $settings): Parameters
    {
        $given = $fields->child($fields->raw('parameters') ?? [], 'parameters', $fields->where.', parameters');
        $values = null === $given ? [] : (array) $fields->raw('parameters');
        $read = Parameters::read(
            $drill->definition()->parameters,
            $values,
            fn (string $text): Chain|string => $this->combinations->chain($text, $settings),
        );
        foreach ($read->problems as $name => $sentence) {
            $fields->problem($sentence, 'parameters.'.$name, false);
        }

        return $read->values;
    }

    /** @param list<PlannedCombination> $combinations */
    private function hasEnough(Drill $drill, array $combinations, PlanFields $fields): bool
    {
        $definition = $drill->definition();
        [$least, $most] = $definition->combinations;
        $count = \count($combinations);
        if ($count >= $least && $count <= $most) {
            return true;
        }
        $given = (array) $fields->raw('combinations');
        // Unreadable combinations were reported already.
        if ([] !== $given && $count < $least && \count($given) >= $least) {
            return false;
        }
        $fields->problem(
            [] === $given
                ? t(
                    'This set is empty. "{title}" asks for {asks}: drop one in, or type it.',
                    title: $definition->title,
                    asks: $definition->asks(),
                )
                : t(
                    '"{title}" asks for {asks}; {count, plural, one {there is #} other {there are #}}.',
                    title: $definition->title,
                    asks: $definition->asks(),
                    count: $count,
                ),
            'combinations',
        );

        return false;
    }

    /** @return list<PlannedCombination> of the sets so far that everybody or that track has done, each once */
    private function drilled(?int $track): array
    {
        return array_values(($this->drilled['all'] ?? []) + ($this->drilled[$track ?? 'all'] ?? []));
    }

    private function remember(Set $set, ?int $track): void
    {
        foreach ($set->combinations as $combination) {
            $this->drilled[$track ?? 'all'][$combination->text] ??= $combination;
        }
    }
}
