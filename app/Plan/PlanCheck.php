<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Advice\GymAdvice;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\HouseRules\GymSet;
use Periplus\App\Numbering\GymNumbering;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Search\SearchIndex;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Plan\PlanProblem;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Serializer\SessionSerializer;

use function Periplus\Core\Language\t;

/**
 * Computes what follows from a plan in this gym: with its house rules, numberings, reminders, exercises and library.
 */
final readonly class PlanCheck
{
    public function __construct(
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private GymAdvice $advice,
        private CombinationTable $combinations,
        private LineRenderer $lines,
        private Check $check,
        private Reader $reader,
        private SearchIndex $index,
    ) {
    }

    public function reader(): PlanReader
    {
        return new PlanReader(
            array_map(static fn (GymSet $set): HouseRules => $set->rules, $this->rules->all()),
            array_map(static fn (GymNumbering $one): Numbering => $one->numbering, $this->numberings->all()),
            $this->advice->advice(),
            $this->reader,
            fn (): array => array_map(strval(...), array_keys($this->index->themes())),
        );
    }

    /** @param array<mixed> $content a written plan */
    public function programme(array $content): Programme
    {
        $reader = $this->reader();

        return ProgrammeBuilder::build($reader->read($content)->plan, $reader->advice);
    }

    public function serializer(): SessionSerializer
    {
        return new SessionSerializer($this->reader());
    }

    /** @param array<mixed> $content */
    public function document(array $content): CheckedPlan
    {
        $reading = $this->reader()->read($content);
        $changed = $this->changed($reading->plan);

        return new CheckedPlan(
            $this->serializer()->ofReading($reading),
            $this->chains($reading->plan),
            array_map(
                fn (CombinationSummary $now): ChangedCombination => $this->change($now, $reading->plan),
                $changed,
            ),
            array_map($this->problem(...), $changed),
        );
    }

    /** @return list<ShownChain> each chain once */
    private function chains(SessionPlan $plan): array
    {
        $chains = [];
        foreach ($plan->combinations() as $combination) {
            $stance = $combination->inStance->stance;
            $key = $stance->value.' '.$combination->text;
            if (!isset($chains[$key])) {
                $result = $this->check->run($combination->inStance, $plan->options());
                $chains[$key] = new ShownChain(
                    $combination->text,
                    $stance,
                    Scale::builtIn()->difficulty($result, $plan->tempo)->level,
                    $result->verdict,
                    $this->lines->ofChain(
                        self::notation($combination->inStance),
                        $stance,
                        $plan->rules->id,
                        $plan->numbering,
                    )->line,
                );
            }
        }

        return array_values($chains);
    }

    /** @return list<CombinationSummary> what was changed or archived in the library since the session was planned */
    private function changed(SessionPlan $plan): array
    {
        $planned = $this->planned($plan);

        return array_values(array_filter(
            $this->combinations->summaries(array_keys($planned)),
            static fn (CombinationSummary $now): bool => null !== $now->archivedAt
                || $now->content->notation !== self::notation($planned[$now->id]->inStance)
                || $now->content->stance !== $planned[$now->id]->inStance->stance,
        ));
    }

    /** @return array<int, PlannedCombination> by id */
    private function planned(SessionPlan $plan): array
    {
        $planned = [];
        foreach ($plan->combinations() as $combination) {
            if (null !== $combination->id) {
                $planned[$combination->id] = $combination;
            }
        }

        return $planned;
    }

    private function problem(CombinationSummary $now): PlanProblem
    {
        return new PlanProblem(
            '',
            $now->content->name,
            null !== $now->archivedAt
                ? t('This combination was archived since it was planned. Choose another, or keep it.')
                : t(
                    '{name} changed this combination since it was planned. Use the new version, or keep the '
                        .'old one.',
                    name: $now->editor->name,
                ),
            false,
        );
    }

    private function change(CombinationSummary $now, SessionPlan $plan): ChangedCombination
    {
        $planned = $this->planned($plan)[$now->id];

        return new ChangedCombination(
            $now->id,
            $now->content->name,
            null !== $now->archivedAt,
            new ChainVersion($planned->version, $planned->text, $planned->inStance->stance),
            new ChainVersion(
                $now->version,
                $this->lines->text($now->content->notation, $now->content->stance, $plan->numbering),
                $now->content->stance,
            ),
        );
    }

    private static function notation(ChainInStance $inStance): string
    {
        return (new Writer(Numbering::named('parity')))->write($inStance);
    }
}
