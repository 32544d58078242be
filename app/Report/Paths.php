<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Combination\ChainTable;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Course\Courses;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Logbook\DueList;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Path\Known;
use Periplus\Core\Session\Path\PathFinder;
use Periplus\Core\Session\Path\Stage;
use Periplus\Core\Technique\Limb;

use function Periplus\Core\Language\t;

/**
 * Finds the path of a course from what it drills well to a combination, through approved combinations with at most one
 * new link or weapon each. Where one is missing, a part of the target is cut out, checked and proposed as a new
 * combination.
 */
final readonly class Paths
{
    /** Maximum number of combinations considered, shorter ones first. */
    public const MAX_COMBINATIONS = 5000;
    /** Maximum number of retries after leaving out a step that does not flow for this course. */
    private const MAX_RETRIES = 12;
    private const BRIDGE = 'bridge ';

    public function __construct(
        private ChainTable $chains,
        private CombinationTable $combinations,
        private Courses $courses,
        private DueList $due,
        private GymHouseRules $rules,
        private Check $check,
        private Reader $reader,
        private LineRenderer $lines,
        private PathFinder $finder,
    ) {
    }

    public function find(int $course, int $combination, Numbering $numbering): PathDocument
    {
        $content = $this->courses->get($course)->content();
        $rules = $this->rules->named($content->rules);
        $options = new CheckOptions($rules, 1.0, $content->medium, $content->group);
        $target =
            $this->combinations->summaries([$combination])[0] ?? throw new NotFound(t('There is no such combination.'));
        $goal = $this->inStance($target);
        $known = $this->known($course);
        $stage = Stage::of('target', Sequence::of($goal->chain));
        $level = max($content->hardestLevel(), $target->content->level);
        $stages = [];
        foreach ($this->chains->flowing($level, self::without($rules), self::MAX_COMBINATIONS) as [$id, $sequence]) {
            if ($id !== $combination) {
                $stages[$id] = Stage::of((string) $id, Sequence::read($sequence));
            }
        }
        $whole = \count($stages) < self::MAX_COMBINATIONS;
        [$path, $bridges] = [null, []];
        for ($time = 0; $time < self::MAX_RETRIES; ++$time) {
            $bridges = [];
            $path = $this->finder->shortest($known, $stage, array_values($stages));
            if (null === $path) {
                $bridges = $this->bridges($goal, $known, array_values($stages), $options);
                $path = $this->finder->shortest(
                    $known,
                    $stage,
                    [...array_values($stages), ...array_column($bridges, 0)],
                );
            }
            // What flows under the rules it was written for may not flow for this course.
            $bad = $this->notFlowing($path ?? [], $options);
            if ([] === $bad) {
                break;
            }
            $stages = array_diff_key($stages, $bad);
        }

        return new PathDocument(
            target: new PathTarget(
                $target->id,
                $target->content->name,
                $this->lines->text($target->content->notation, $target->content->stance, $numbering),
            ),
            knows: new PathStart($known),
            steps: null === $path
                ? []
                : $this->steps($path, $known, $goal, $target, $bridges, $options, $numbering),
            found: null !== $path,
            says: $this->says($path, $known, $stage, $bridges, $whole),
        );
    }

    /** Returns the links and weapons of the combinations that held when the course last drilled them. */
    private function known(int $course): Known
    {
        $held = array_keys(array_filter($this->due->list($course), static fn ($due): bool => $due->held));
        $known = new Known();
        foreach ($this->chains->withIds($held) as $row) {
            $known = $known->and(Stage::of((string) $row->id, Sequence::read($row->sequence)));
        }

        return $known;
    }

    /**
     * Returns parts of the target with one new link each, where the library has no combination for it.
     *
     * @param list<Stage> $stages
     *
     * @return array<string, array{Stage, Chain}> by name
     */
    private function bridges(ChainInStance $goal, Known $known, array $stages, CheckOptions $options): array
    {
        $bridges = [];
        $items = $goal->chain->items;
        // From nothing the goal's own first link is a beginning that always leads on.
        $reached = $known->isEmpty() ? $known : $this->finder->reachable($known, $stages);
        for ($link = 0; $link < \count($items) - 1; ++$link) {
            $best = null;
            foreach ([[$link - 1, $link + 2], [$link, $link + 3], [$link, $link + 2], [0, $link + 2]] as [$from, $to]) {
                if ($from < 0 || $to > \count($items)) {
                    continue;
                }
                try {
                    $chain = Chain::of(\array_slice($items, $from, $to - $from));
                } catch (InvalidChain) {
                    continue;
                }
                $bridge = Stage::of(self::BRIDGE.$link, Sequence::of($chain));
                if (1 !== $bridge->isNew($reached)) {
                    continue;
                }
                $flows =
                    Verdict::Flows === $this->check->run(new ChainInStance($chain, $goal->stance), $options)->verdict;
                if (null === $best || ($flows && !$best[2])) {
                    $best = [$bridge, $chain, $flows];
                }
            }
            if (null !== $best) {
                $bridges[self::BRIDGE.$link] = [$best[0], $best[1]];
                $reached = $this->finder->reachable($reached->and($best[0]), $stages);
            }
        }

        return $bridges;
    }

    /**
     * @param list<Stage> $path
     *
     * @return array<int, true> ids of those in the library that do not flow
     */
    private function notFlowing(array $path, CheckOptions $options): array
    {
        $bad = [];
        $summaries = $this->combinations->summaries(
            array_values(
                array_map(
                    static fn (Stage $stage): int => (int) $stage->name,
                    array_filter($path, static fn (Stage $stage): bool => ctype_digit($stage->name)),
                ),
            ),
        );
        foreach ($summaries as $summary) {
            if (Verdict::Flows !== $this->check->run($this->inStance($summary), $options)->verdict) {
                $bad[$summary->id] = true;
            }
        }

        return $bad;
    }

    /**
     * @param list<Stage> $path
     * @param array<string, array{Stage, Chain}> $bridges
     *
     * @return list<PathStep>
     */
    private function steps(
        array $path,
        Known $known,
        ChainInStance $goal,
        CombinationSummary $target,
        array $bridges,
        CheckOptions $options,
        Numbering $numbering,
    ): array {
        $steps = [];
        foreach ($path as $number => $stage) {
            $summary =
                'target' === $stage->name
                    ? $target
                    : (ctype_digit($stage->name)
                        ? $this->combinations->summaries([(int) $stage->name])[0] ?? null
                        : null);
            $inStance =
                null !== $summary
                    ? $this->inStance($summary)
                    : new ChainInStance(
                        ($bridges[$stage->name] ?? throw new \LogicException('There is no such bridge.'))[1],
                        $goal->stance,
                    );
            $sequence = Sequence::of($inStance->chain);
            $words = Words::byRole()->items($inStance);
            $new = Stage::newLinks($sequence, $known);
            $notation = (new Writer(Numbering::named('parity')))->write($inStance);
            $drawn = $this->lines->ofChain($notation, $inStance->stance, $options->rules->id, $numbering);
            $steps[] = new PathStep(
                id: $summary?->id,
                name: $summary->content->name ??
                    t('Bridge {number} to {content}', number: $number + 1, content: $target->content->name),
                notation: $notation,
                stance: $inStance->stance,
                text: $drawn->text,
                line: $drawn->line,
                verdict: $this->check->run($inStance, $options)->verdict,
                new: array_map(
                    static fn (int $index): NewLink => new NewLink(
                        $index,
                        t('{one} to {other}', one: $words[$index], other: $words[$index + 1]),
                    ),
                    $new,
                ),
            );
            $known = $known->and($stage);
        }

        return $steps;
    }

    /**
     * @param list<Stage>|null $path
     * @param array<string, array{Stage, Chain}> $bridges
     */
    private function says(?array $path, Known $known, Stage $target, array $bridges, bool $whole): string
    {
        $made =
            null === $path
                ? 0
                : \count(array_filter($path, static fn (Stage $stage): bool => isset($bridges[$stage->name])));

        return match (true) {
            null === $path => t(
                'No path was found within the limits of the search. Try a nearer combination as the goal.',
            ),
            0 === $target->isNew($known) => t('Every link of it is known: drill it.'),
            $made > 0 => t(
                '{made, plural, one {# of the steps is} other {# of the steps are}} not in the library: cut from the '
                    .'goal, checked, and ready to be proposed.',
                made: $made,
            ),
            !$whole => t(
                'The shortest way through the {maxCombinations} shortest combinations of the library.',
                maxCombinations: number_format(self::MAX_COMBINATIONS),
            ),
            default => t('The shortest way through the library: each step brings at most one new link or weapon.'),
        };
    }

    private function inStance(CombinationSummary $summary): ChainInStance
    {
        return $this->reader->readStored($summary->content->notation, $summary->content->stance)
            ?? throw new Conflict('not-now', t('This chain cannot be read.'));
    }

    /** @return list<string> limbs that the rules do not let land */
    private static function without(HouseRules $rules): array
    {
        return array_values(
            array_map(
                static fn (Limb $limb): string => $limb->value,
                array_filter(Limb::cases(), static fn (Limb $limb): bool => !\in_array($limb, $rules->allows, true)),
            ),
        );
    }
}
