<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Advice\GymAdvice;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\PlannedCombination;
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
    ) {
    }

    public function reader(): PlanReader
    {
        return new PlanReader(
            array_map(static fn (array $row) => $row[0], $this->rules->all()),
            array_map(static fn (array $row) => $row[0], $this->numberings->all()),
            $this->advice->advice(),
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

    /**
     * @param array<mixed> $content
     *
     * @return array<string, mixed> the document of docs/formats/session.md, with the line of each chain, and what the
     *                              library has changed since
     */
    public function document(array $content): array
    {
        $reading = $this->reader()->read($content);
        $document = $this->serializer()->ofReading($reading);
        [$changed, $problems] = $this->changed($reading->plan);
        /** @var list<array<string, mixed>> $found */
        $found = $document['problems'];

        return [
            ...$document,
            'problems' => [...$found, ...$problems],
            'chains' => $this->chains($reading->plan),
            'changed' => $changed,
        ];
    }

    /** @return list<array<string, mixed>> each chain once, as it was typed, with its verdict and its line */
    private function chains(SessionPlan $plan): array
    {
        $chains = [];
        foreach ($plan->combinations() as $combination) {
            $stance = $combination->inStance->stance;
            $key = $stance->value.' '.$combination->text;
            if (!isset($chains[$key])) {
                $result = $this->check->run($combination->inStance, $plan->options());
                $chains[$key] = [
                    'chain' => $combination->text,
                    'stance' => $stance->value,
                    'level' => Scale::builtIn()->difficulty($result, $plan->tempo)->level,
                    'verdict' => $result->verdict->value,
                    'line' => $this->lines->ofChain(
                        self::notation($combination->inStance),
                        $stance,
                        $plan->rules->id,
                        $plan->numbering,
                    )['line'],
                ];
            }
        }

        return array_values($chains);
    }

    /**
     * Returns what was changed or archived in the library since the session was planned.
     *
     * @return array{
     *     list<array<string, mixed>>,
     *     list<array{place: string, where: string, message: string, stops: bool}>,
     * }
     */
    private function changed(SessionPlan $plan): array
    {
        $planned = [];
        foreach ($plan->combinations() as $combination) {
            if (null !== $combination->id) {
                $planned[$combination->id] = $combination;
            }
        }
        $now = [];
        foreach ($this->combinations->summaries(array_keys($planned)) as $summary) {
            $now[$summary->id] = $summary;
        }
        $changed = $problems = [];
        foreach ($planned as $id => $combination) {
            $is = $now[$id] ?? null;
            if (null === $is) {
                continue;
            }
            $isChanged =
                $is->content->notation !== self::notation($combination->inStance)
                || $is->content->stance !== $combination->inStance->stance;
            if (!$isChanged && null === $is->archivedAt) {
                continue;
            }
            $changed[] = $this->change($combination, $is, $plan);
            $problems[] = [
                'place' => '',
                'where' => $is->content->name,
                'message' => null !== $is->archivedAt
                        ? t('This combination was archived since it was planned. Choose another, or keep it.')
                        : t(
                            '{name} changed this combination since it was planned. Use the new version, or keep the '
                                .'old one.',
                            name: $is->editor['name'],
                        ),
                'stops' => false,
            ];
        }

        return [$changed, $problems];
    }

    /** @return array<string, mixed> */
    private function change(PlannedCombination $combination, CombinationSummary $now, SessionPlan $plan): array
    {
        return [
            'id' => $now->id,
            'name' => $now->content->name,
            'archived' => null !== $now->archivedAt,
            'planned' => [
                'version' => $combination->version,
                'chain' => $combination->text,
                'stance' => $combination->inStance->stance->value,
            ],
            'now' => [
                'version' => $now->version,
                'chain' => $this->lines->text($now->content->notation, $now->content->stance, $plan->numbering),
                'stance' => $now->content->stance->value,
            ],
        ];
    }

    private static function notation(ChainInStance $inStance): string
    {
        return (new Writer(Numbering::named('parity')))->write($inStance);
    }
}
