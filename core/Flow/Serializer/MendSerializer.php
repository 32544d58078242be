<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Mend\Mend;
use Periplus\Core\Flow\Mend\MendFinder;
use Periplus\Core\Flow\Mend\MendResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\EditedText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;

use function Periplus\Core\Language\t;

/** Returns the mends of a text as a JSON-ready array; docs/formats/suggest.md describes every key. */
final readonly class MendSerializer
{
    /** Maximum number of mends and of reductions that are shown. */
    private const MAX_MENDS = 6;
    private const MAX_MENDS_PER_FINDING = 3;

    public function __construct(private Reader $reader, private Check $check, private MendFinder $finder)
    {
    }

    public static function builtIn(): self
    {
        return new self(Reader::builtIn(), Check::builtIn(), MendFinder::builtIn());
    }

    /** @return array<string, mixed> nothing in it when the text cannot be read */
    public function serialize(ReadChain $chain, CheckOptions $options): array
    {
        if (null === $chain->inStance) {
            return [
                'verdict' => null,
                'lengthMs' => null,
                'mends' => [],
                'findings' => [],
                'pairs' => false,
                'complete' => true,
            ];
        }
        $result = $this->check->run($chain->inStance, $options);
        $mends = $this->finder->mends($result, $options);
        $edited = new EditedText($this->reader, $chain);
        $show = fn (Mend $mend): array => $this->mend($mend, $result, $edited);

        return [
            'verdict' => $result->verdict->value,
            'lengthMs' => (int) round($result->timing->length()),
            'mends' => array_map($show, MendResult::different($mends->ofVerdict, self::MAX_MENDS)),
            'findings' => array_map(
                static fn (int $place, array $of): array => [
                    'id' => $result->findings[$place]->id,
                    'at' => $result->findings[$place]->at,
                    'mends' => array_map($show, MendResult::different($of, self::MAX_MENDS_PER_FINDING, 1)),
                ],
                array_keys($mends->ofFindings),
                $mends->ofFindings,
            ),
            'pairs' => $mends->pairs,
            'complete' => $mends->complete,
        ];
    }

    /** @return array<string, mixed> */
    private function mend(Mend $mend, CheckResult $before, EditedText $edited): array
    {
        $inStance = new ChainInStance($mend->chain, $before->inStance->stance);

        return [
            'words' => implode(
                t(', and '),
                array_map(static fn (Edit $edit): string => self::words($edit, $before->inStance->chain), $mend->edits),
            ),
            'edits' => array_map(
                static fn (Edit $edit): array => ['kind' => $edit->kind->value, 'at' => $edit->at],
                $mend->edits,
            ),
            'text' => $edited->with($mend->edits),
            'notation' => (new Writer(Numbering::named('parity')))->write($inStance),
            'verdict' => $mend->verdict()->value,
            'lengthMs' => (int) round($mend->result->timing->length()),
            'waitMs' => (int) round($mend->result->timing->waiting()),
            'savedMs' => (int) round($before->timing->waiting() - $mend->result->timing->waiting()),
        ];
    }

    private static function words(Edit $edit, Chain $chain): string
    {
        $count = \count($chain);
        $named = static fn (int $index): string => self::name($chain, $index);

        return match ($edit->kind) {
            EditKind::Drop => t('leave out the {value}', value: $named($edit->at)),
            EditKind::Exchange => t(
                '{item} instead of the {value}',
                item: self::item($edit->item),
                value: $named($edit->at),
            ),
            EditKind::Insert => $edit->at === $count
                ? t('{item} at the end', item: self::item($edit->item))
                : t('{item} before the {value}', item: self::item($edit->item), value: $named($edit->at)),
        };
    }

    private static function item(?Item $item): string
    {
        return $item instanceof Beat ? t('a beat') : $item?->name() ?? '';
    }

    /** Returns the name of the item, with its number where the name occurs more than once: "second cross". */
    private static function name(Chain $chain, int $index): string
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
