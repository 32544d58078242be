<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Balance\SwayPoint;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Contact;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\MirrorChange;
use Periplus\Core\Combination\MirrorChanges;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StanceConverter;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Check\Summary;
use Periplus\Core\Flow\Level\Reason;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Note;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Checks a read chain and returns the complete answer, as the console prints it and the API sends it.
 * docs/formats/check.md describes every key.
 *
 * @phpstan-import-type Drawing from LineDrawing
 *
 * @phpstan-type Document array<string, mixed>
 */
final readonly class CheckSerializer
{
    private StanceConverter $converter;
    private MirrorChanges $mirrorChanges;
    private Writer $parity;

    public function __construct(private Reader $reader, private Check $check, Catalogue $catalogue)
    {
        $this->converter = new StanceConverter($catalogue);
        $this->mirrorChanges = new MirrorChanges($catalogue);
        $this->parity = new Writer(Numbering::named('parity'));
    }

    public static function builtIn(): self
    {
        /** @var self|null $document */
        static $document = null;

        return $document ??= new self(Reader::builtIn(), Check::builtIn(), Catalogue::builtIn());
    }

    /**
     * @param list<LineSize> $draw the sizes in which the picture is wanted
     *
     * @return Document
     */
    public function serialize(ReadChain $chain, CheckOptions $options, array $draw = []): array
    {
        if (null === $chain->inStance) {
            return $this->unreadable($chain->reading);
        }
        $result = $this->check->run($chain->inStance, $options);

        return $this->readable($result, $chain->reading, $chain->text->readIn, $options, $draw);
    }

    /**
     * Returns the answer for options that are invalid.
     *
     * @return Document
     */
    public function refused(int $length, string $message): array
    {
        return $this->unreadable(
            new Reading(null, [], [new ReadingProblem(0, $length, $message, t('options that exist'))], []),
        );
    }

    /** @return Document */
    private function unreadable(Reading $reading): array
    {
        return [
            'notation' => null,
            'text' => null,
            'words' => null,
            'fingerprint' => null,
            'fingerprintWithEffort' => null,
            'rules' => null,
            'verdict' => null,
            'linkVerdict' => null,
            'lengthMs' => null,
            'waitMs' => null,
            'summary' => null,
            'items' => [],
            'links' => [],
            'findings' => [],
            'balance' => null,
            'level' => null,
            'stances' => null,
            'mirror' => null,
            'carry' => null,
            'drawings' => null,
            'problems' => array_map(self::problem(...), $reading->problems),
            'notes' => array_map(self::note(...), $reading->notes),
        ];
    }

    /**
     * @param list<LineSize> $draw
     *
     * @return Document
     */
    private function readable(
        CheckResult $result,
        Reading $reading,
        Numbering $readIn,
        CheckOptions $options,
        array $draw,
    ): array {
        $writer = new Writer($readIn);
        $inStance = $result->inStance;
        $mirror = $inStance->mirror();
        $carried = $this->converter->carry($inStance);
        $opponent = new Opponent($options->opponent);
        $fingerprint = Fingerprint::of($inStance->chain);
        $items = $this->items($inStance, $result->timing, $reading, $writer);
        // Parity is bound to the role, so the mirror reads the same; a numbering bound to the hand does not.
        $notation = $this->parity->write($inStance);
        $text = 'parity' === $readIn->id ? $notation : $writer->write($inStance);
        $own = $this->inStance($inStance, $opponent, $text);
        $mirrored = $this->inStance($mirror, $opponent, $readIn->boundToHand ? $writer->write($mirror) : $text);
        $carriedNotation = $this->parity->write($carried->inStance);

        return [
            'notation' => $notation,
            'text' => $text,
            'words' => Words::byRole()->write($inStance),
            'fingerprint' => $fingerprint->plain,
            'fingerprintWithEffort' => $fingerprint->withEffort,
            'rules' => $options->rules->id,
            'verdict' => $result->verdict->value,
            'linkVerdict' => $result->linkVerdict->value,
            'lengthMs' => self::ms($result->timing->length()),
            'waitMs' => self::ms($result->timing->waiting()),
            'items' => $items,
            'links' => self::links($result->timing),
            'summary' => Summary::write($result),
            'findings' => self::findings($result->findings),
            'balance' => self::balance($result->sway, $result->timing),
            'level' => self::level($result, $options->tempo),
            'stances' => [$own['stance'] => $own, $mirrored['stance'] => $mirrored],
            'mirror' => [
                'stance' => $mirrored['stance'],
                'notation' => $notation,
                'text' => $mirrored['text'],
                'words' => implode(', ', $mirrored['words']),
                'changes' => $this->mirrorChanges(
                    $this->mirrorChanges->between($inStance, $mirror, $opponent),
                    $mirror,
                    $writer,
                ),
            ],
            'carry' => [
                'stance' => $carried->inStance->stance->value,
                'notation' => $carriedNotation,
                'text' => 'parity' === $readIn->id ? $carriedNotation : $writer->write($carried->inStance),
                'words' => Words::bySide()->write($carried->inStance),
                'changes' => $this->mirrorChanges(
                    [...$carried->replaced, ...$this->mirrorChanges->between($inStance, $carried->inStance, $opponent)],
                    $carried->inStance,
                    $writer,
                ),
            ],
            'drawings' => (object) self::drawings($result, $draw, $writer),
            'problems' => [],
            'notes' => array_map(self::note(...), $reading->notes),
        ];
    }

    /**
     * Returns the picture of a stored chain with its text and verdict.
     *
     * @param string $notation canonical
     *
     * @return array{text: string, verdict: string, line: Drawing}
     */
    public function line(
        string $notation,
        Stance $stance,
        HouseRules $rules,
        Numbering $numbering,
        LineSize $size,
    ): array {
        $chain =
            $this->reader->readStored($notation, $stance)
            ?? throw new \LogicException('A stored chain cannot be read: '.$notation);
        $result = $this->check->run($chain, new CheckOptions($rules));
        $writer = new Writer($numbering);

        return [
            'text' => $writer->write($result->inStance),
            'verdict' => $result->verdict->value,
            'line' => (new LineDrawing($writer))->draw($result->inStance, $result->timing, $result->sway, $size),
        ];
    }

    /**
     * @param list<LineSize> $draw
     *
     * @return array<string, Drawing> by size
     */
    private static function drawings(CheckResult $result, array $draw, Writer $writer): array
    {
        $drawings = [];
        foreach ($draw as $size) {
            $drawings[$size->value] = (new LineDrawing($writer))->draw(
                $result->inStance,
                $result->timing,
                $result->sway,
                $size,
            );
        }

        return $drawings;
    }

    /** @return list<array<string, mixed>> */
    private function items(ChainInStance $inStance, ChainTiming $timing, Reading $reading, Writer $writer): array
    {
        $rows = [];
        foreach ($inStance->chain->items as $index => $item) {
            $moment = $timing->moments[$index];
            $stance = $inStance->stances[$index];
            $rows[] = [
                'at' => $reading->spans[$index]->at,
                'length' => $reading->spans[$index]->length,
                'text' => $writer->item($item, $stance),
                'words' => Words::byRole()->item($item, $stance),
                'startMs' => self::ms($moment->start),
                'impactMs' => null === $moment->impact ? null : self::ms($moment->impact),
                'endMs' => self::ms($moment->end),
                'loadFrom' => round($moment->loadFrom, 3),
                'load' => round($moment->load, 3),
                'turn' => round($moment->turn, 3),
                'range' => $moment->range,
                ...$item->accept(new ItemSerializer($writer, $stance)),
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private static function links(ChainTiming $timing): array
    {
        return array_map(static fn (Link $link): array => [
            'from' => $link->from(),
            'to' => $link->to,
            'waitMs' => self::ms($link->wait),
            'verdict' => $link->verdict->value,
            'cause' => $link->cause?->value,
            'reason' => $timing->reason($link),
            'parts' => (object) array_map(self::ms(...), $link->parts),
        ], $timing->links);
    }

    /**
     * Merges the matches of one rule in several places into one finding.
     *
     * @param list<Finding> $findings
     *
     * @return list<array{id: string, severity: string, at: int|null, message: string, places: list<int>}>
     */
    private static function findings(array $findings): array
    {
        $rows = [];
        foreach ($findings as $finding) {
            $key = $finding->id.' '.$finding->severity->value;
            $rows[$key] ??= [
                'id' => $finding->id,
                'severity' => $finding->severity->value,
                'at' => $finding->at,
                'message' => $finding->message,
                'places' => [],
            ];
            if (null !== $finding->at) {
                $rows[$key]['places'][] = $finding->at;
            }
        }

        return array_values($rows);
    }

    /**
     * @return array{
     *     stance: string,
     *     text: string,
     *     words: list<string>,
     *     contacts: list<list<string>>,
     *     runningStances: list<string>,
     *     endStance: string,
     *     guard: array{isOpen: bool, out: string, message: string},
     * }
     */
    private function inStance(ChainInStance $inStance, Opponent $opponent, string $text): array
    {
        $contacts = [];
        foreach (array_keys($inStance->chain->items) as $index) {
            $contacts[] = array_map(
                static fn (Contact $contact): string => $contact->words(),
                $opponent->contacts($inStance, $index),
            );
        }

        return [
            'stance' => $inStance->stance->value,
            'text' => $text,
            'words' => Words::bySide()->items($inStance),
            'contacts' => $contacts,
            'runningStances' => array_map(static fn (Stance $stance): string => $stance->value, $inStance->stances),
            'endStance' => $inStance->end->value,
            'guard' => [
                'isOpen' => $opponent->isOpenTo($inStance->stance),
                'out' => $opponent->safeSide()->value,
                'message' => $opponent->guard($inStance->stance),
            ],
        ];
    }

    /**
     * @param list<MirrorChange> $changes
     *
     * @return list<array<string, mixed>>
     */
    private function mirrorChanges(array $changes, ChainInStance $inStance, Writer $writer): array
    {
        return array_map(
            static fn (MirrorChange $change): array => [
                'id' => $change->id,
                'at' => $change->at,
                'message' => $change->message,
                'offer' => null === $change->offer || null === $change->at
                        ? null
                        : $writer->item($change->offer, $inStance->stances[$change->at]),
            ],
            $changes,
        );
    }

    /** @return array<string, mixed> */
    private static function problem(ReadingProblem $problem): array
    {
        return [
            'at' => $problem->at,
            'length' => $problem->length,
            'message' => $problem->message,
            'expected' => $problem->expected,
            'nearest' => $problem->nearest,
        ];
    }

    /** @return array<string, mixed> */
    private static function note(Note $note): array
    {
        return ['at' => $note->at, 'length' => $note->length, 'message' => $note->message, 'choices' => $note->choices];
    }

    /** @return array<string, mixed> */
    private static function level(CheckResult $result, float $tempo): array
    {
        $difficulty = Scale::builtIn()->difficulty($result, $tempo);

        return [
            'level' => $difficulty->level,
            'points' => $difficulty->points,
            'reasons' => array_map(
                static fn (Reason $reason): array => [
                    'id' => $reason->id,
                    'points' => $reason->points,
                    'message' => $reason->message,
                ],
                $difficulty->reasons,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function balance(Sway $sway, ChainTiming $timing): array
    {
        $cm = static fn (float $m): float => round(100 * $m, 1);

        return [
            'leastCm' => $cm($sway->least),
            'leastAt' => $sway->leastAt,
            'leastMs' => self::ms(1000 * $sway->leastSeconds),
            'overcommitted' => $timing->runsPastTheFeet($sway),
            'stanceCm' => $cm($sway->stance),
            'points' => array_map(static fn (SwayPoint $point): array => [
                'ms' => self::ms(1000 * $point->seconds),
                'hipsCm' => $cm($point->hips),
                'xiCm' => $cm($point->xi),
                'backCm' => $cm($point->back),
                'frontCm' => $cm($point->front),
            ], $sway->points),
        ];
    }

    private static function ms(float $ms): int
    {
        return (int) round($ms);
    }
}
