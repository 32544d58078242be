<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MirrorChange;
use Periplus\Core\Combination\MirrorChanges;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StanceConverter;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Summary;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Span;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Checks a read chain and returns the complete answer, as the console prints it and the API sends it.
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

    /** @param list<LineSize> $draw the sizes in which the picture is wanted */
    public function serialize(ReadChain $chain, CheckOptions $options, array $draw = []): CheckDocument
    {
        if (null === $chain->inStance) {
            return new CheckDocument($chain->reading->problems, $chain->reading->notes, $chain->reading->passedOver);
        }

        return $this->readable(
            $this->check->run($chain->inStance, $options),
            $chain->reading,
            $chain->text->readIn,
            $options,
            $draw,
        );
    }

    /** Returns the answer for options that are invalid. */
    public function refused(int $length, string $message): CheckDocument
    {
        return new CheckDocument([new ReadingProblem(0, $length, $message, t('options that exist'))], []);
    }

    /** @param list<LineSize> $draw */
    private function readable(
        CheckResult $result,
        Reading $reading,
        Numbering $readIn,
        CheckOptions $options,
        array $draw,
    ): CheckDocument {
        $writer = new Writer($readIn);
        $inStance = $result->inStance;
        $mirror = $inStance->mirror();
        $opponent = new Opponent($options->opponent);
        $fingerprint = Fingerprint::of($inStance->chain);
        // Parity is bound to the role, so the mirror reads the same; a numbering bound to the hand does not.
        $notation = $this->parity->write($inStance);
        $text = 'parity' === $readIn->id ? $notation : $writer->write($inStance);
        $own = new StanceDocument($inStance, $opponent, $text);
        $mirrored = new StanceDocument($mirror, $opponent, $readIn->boundToHand ? $writer->write($mirror) : $text);

        return new CheckDocument(
            problems: [],
            notes: $reading->notes,
            passedOver: $reading->passedOver,
            notation: $notation,
            text: $text,
            words: Words::byRole()->write($inStance),
            fingerprint: $fingerprint->plain,
            fingerprintWithEffort: $fingerprint->withEffort,
            rules: $options->rules->id,
            verdict: $result->verdict,
            linkVerdict: $result->linkVerdict,
            lengthMs: (int) round($result->timing->length()),
            waitMs: (int) round($result->timing->waiting()),
            summary: (new Summary($result))->write(),
            items: $this->items($result, $reading, $writer),
            links: array_map(
                static fn (Link $link): LinkDocument => LinkDocument::of($link, $result->timing),
                $result->timing->links,
            ),
            loop: LinkDocument::ofSeam($this->check->model->seam($result->timing)),
            findings: FindingDocument::merge($result->findings),
            balance: new BalanceDocument($result->sway, $result->timing),
            level: Scale::builtIn()->difficulty($result, $options->tempo),
            stances: [$own->stance->value => $own, $mirrored->stance->value => $mirrored],
            mirror: new OtherStanceDocument(
                $mirrored->stance,
                $notation,
                $mirrored->text,
                implode(', ', $mirrored->words),
                $this->changes($this->mirrorChanges->between($inStance, $mirror, $opponent), $mirror, $writer),
            ),
            carry: $this->carry($inStance, $opponent, $writer),
            drawings: $this->drawings($result, $draw, $writer),
        );
    }

    /**
     * Returns the picture of a stored chain with its text and verdict.
     *
     * @param string $notation canonical
     */
    public function line(
        string $notation,
        Stance $stance,
        HouseRules $rules,
        Numbering $numbering,
        LineSize $size,
    ): RenderedLine {
        $chain =
            $this->reader->readStored($notation, $stance)
            ?? throw new \LogicException('A stored chain cannot be read: '.$notation);
        $result = $this->check->run($chain, new CheckOptions($rules));
        $writer = new Writer($numbering);

        return new RenderedLine(
            $writer->write($result->inStance),
            $result->verdict,
            (new LineDrawer($writer))->draw($result->inStance, $result->timing, $result->sway, $size),
        );
    }

    /** Returns the chain with the same limbs in the other stance. */
    private function carry(ChainInStance $inStance, Opponent $opponent, Writer $writer): OtherStanceDocument
    {
        $carried = $this->converter->carry($inStance);

        return new OtherStanceDocument(
            $carried->inStance->stance,
            $this->parity->write($carried->inStance),
            $writer->write($carried->inStance),
            Words::bySide()->write($carried->inStance),
            $this->changes(
                [...$carried->replaced, ...$this->mirrorChanges->between($inStance, $carried->inStance, $opponent)],
                $carried->inStance,
                $writer,
            ),
        );
    }

    /**
     * @param list<LineSize> $draw
     *
     * @return \ArrayObject<string, LineDrawing>
     */
    private function drawings(CheckResult $result, array $draw, Writer $writer): \ArrayObject
    {
        $drawer = new LineDrawer($writer);
        $drawings = [];
        foreach ($draw as $size) {
            $drawings[$size->value] = $drawer->draw($result->inStance, $result->timing, $result->sway, $size);
        }

        return new \ArrayObject($drawings);
    }

    /** @return list<ItemDocument> */
    private function items(CheckResult $result, Reading $reading, Writer $writer): array
    {
        return array_map(
            static fn (Item $item, Moment $moment, Stance $stance, Span $span): ItemDocument => $item->accept(
                new ItemSerializer(
                    $writer,
                    $stance,
                    new ItemPlace(
                        $span,
                        $moment,
                        $writer->item($item, $stance),
                        Words::byRole()->item($item, $stance),
                    ),
                ),
            ),
            $result->inStance->chain->items,
            $result->timing->moments,
            $result->inStance->stances,
            $reading->spans,
        );
    }

    /**
     * @param list<MirrorChange> $changes
     *
     * @return list<MirrorChangeDocument>
     */
    private function changes(array $changes, ChainInStance $inStance, Writer $writer): array
    {
        return array_map(
            static fn (MirrorChange $change): MirrorChangeDocument => new MirrorChangeDocument(
                $change->id,
                $change->at,
                $change->message,
                null === $change->offer || null === $change->at
                    ? null
                    : $writer->item($change->offer, $inStance->stances[$change->at]),
            ),
            $changes,
        );
    }
}
