<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Mend\Mend;
use Periplus\Core\Flow\Mend\MendFinder;
use Periplus\Core\Flow\Mend\MendResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Notation\EditedText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;

use function Periplus\Core\Language\t;

/** Finds the mends of a text and says them in words. */
final readonly class MendSerializer
{
    /** Maximum number of mends and of reductions that are shown. */
    private const MAX_MENDS = 6;
    private const MAX_MENDS_PER_FINDING = 3;

    public function __construct(private Reader $reader, private Check $check, private MendFinder $finder)
    {
    }

    /**
     * @param Usage|null $usage what is usual in the gym; null for what ships
     *
     * @return MendsDocument nothing in it when the text cannot be read
     */
    public function serialize(ReadChain $chain, CheckOptions $options, ?Usage $usage = null): MendsDocument
    {
        if (null === $chain->inStance) {
            return new MendsDocument();
        }
        $result = $this->check->run($chain->inStance, $options);
        $mends = $this->finder->mends($result, $options, $usage);
        $edited = new EditedText($this->reader, $chain);
        $show = fn (Mend $mend): MendDocument => $this->mend($mend, $result, $edited);

        return new MendsDocument(
            $result->verdict,
            (int) round($result->timing->length()),
            array_map($show, MendResult::different($mends->ofVerdict, self::MAX_MENDS)),
            array_map(
                static fn (int $place, array $of): FindingMends => new FindingMends(
                    $result->findings[$place]->id,
                    $result->findings[$place]->at,
                    array_map($show, MendResult::different($of, self::MAX_MENDS_PER_FINDING, 1)),
                ),
                array_keys($mends->ofFindings),
                $mends->ofFindings,
            ),
            $mends->pairs,
            $mends->complete,
        );
    }

    private function mend(Mend $mend, CheckResult $before, EditedText $edited): MendDocument
    {
        $chain = $before->inStance->chain;

        return new MendDocument(
            words: implode(
                t(', and '),
                array_map(fn (Edit $edit): string => $this->words($edit, $chain), $mend->edits),
            ),
            edits: array_map(
                static fn (Edit $edit): EditDocument => new EditDocument($edit->kind, $edit->at),
                $mend->edits,
            ),
            text: $edited->with($mend->edits),
            notation: (new Writer(Numbering::named('parity')))->write(
                new ChainInStance($mend->chain, $before->inStance->stance),
            ),
            verdict: $mend->verdict(),
            lengthMs: (int) round($mend->result->timing->length()),
            waitMs: (int) round($mend->result->timing->waiting()),
            savedMs: (int) round($before->timing->waiting() - $mend->result->timing->waiting()),
        );
    }

    private function words(Edit $edit, Chain $chain): string
    {
        $count = \count($chain);
        $named = fn (int $index): string => $this->name($chain, $index);

        $was = $chain->items[$edit->at] ?? null;
        if (
            EditKind::Exchange === $edit->kind
            && $edit->item instanceof StrikeItem
            && $was instanceof StrikeItem
            && $edit->item->strike === $was->strike
        ) {
            return match (true) {
                $edit->item->joined => t(
                    '{strike} with the {move}, as one action',
                    strike: $named($edit->at),
                    move: $named($edit->at - 1),
                ),
                $edit->item->legUp => t('the leg stays up before the {strike}', strike: $named($edit->at)),
                Landing::HalfWay === $edit->item->landing => t(
                    'the foot comes down half way after the {strike}, so the weight does not go back',
                    strike: $named($edit->at),
                ),
                default => t(
                    'the foot comes down in front after the {strike}; that side leads then',
                    strike: $named($edit->at),
                ),
            };
        }

        return match ($edit->kind) {
            EditKind::Drop => t('leave out the {value}', value: $named($edit->at)),
            EditKind::Exchange => t(
                '{item} instead of the {value}',
                item: $this->item($edit->item),
                value: $named($edit->at),
            ),
            EditKind::Insert => $edit->at === $count
                ? t('{item} at the end', item: $this->item($edit->item))
                : t('{item} before the {value}', item: $this->item($edit->item), value: $named($edit->at)),
        };
    }

    private function item(?Item $item): string
    {
        return $item instanceof Beat ? t('a beat') : $item?->name() ?? '';
    }

    /** Returns the name of the item, with its number where the name occurs more than once: "second cross". */
    private function name(Chain $chain, int $index): string
    {
        $name = $chain->items[$index]->name();
        $places = array_keys(array_filter($chain->items, static fn (Item $item): bool => $item->name() === $name));
        if (1 === \count($places)) {
            return $name;
        }
        $number = 1 + (int) array_search($index, $places, true);
        $ordinal = match ($number) {
            1 => t('first'),
            2 => t('second'),
            3 => t('third'),
            4 => t('fourth'),
            5 => t('fifth'),
            6 => t('sixth'),
            default => t('{number}th', number: $number),
        };

        return $ordinal.' '.$name;
    }
}
