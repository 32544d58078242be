<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;

/**
 * Writes an edited chain in the words in which it was typed: unchanged items keep their text, and new ones are written
 * like the rest, in numbers or words. When the result would not read back as the edited chain, everything is written in
 * numbers.
 */
final readonly class EditedText
{
    private Writer $writer;
    private bool $isSpoken;
    /** @var list<string> what keeps a new item apart from its neighbours, as the rest is kept apart first */
    private array $between;

    private ChainText $text;
    private Reading $reading;

    public function __construct(private Reader $reader, ReadChain $chain)
    {
        $text = $chain->text;
        $this->text = $text;
        $this->reading = $chain->reading;
        $this->writer = new Writer($text->numbering);
        $this->isSpoken = 1 !== preg_match('/\d/', $text->text);
        $this->between = str_contains($text->text, ',') ? [', ', ' '] : [' ', ', '];
    }

    /** @param list<Edit> $edits in the order of their places */
    public function with(array $edits): string
    {
        $chain = Chain::of(Edit::apply($this->reading->chain->items ?? [], $edits));
        $inStance = new ChainInStance($chain, $this->text->stance);
        foreach ($this->isSpoken ? [Words::byRole(), $this->writer] : [$this->writer] as $writer) {
            foreach ($this->between as $between) {
                $text = $this->spliced($edits, $writer, $between);
                if ($this->readsAs($text, $chain)) {
                    return $text;
                }
            }
        }

        return $this->isSpoken ? Words::byRole()->write($inStance) : $this->writer->write($inStance);
    }

    /** @param list<Edit> $edits */
    private function spliced(array $edits, Words|Writer $writer, string $between): string
    {
        $characters = mb_str_split($this->text->text);
        // From last to first, so that earlier positions stay valid.
        foreach (array_reverse($edits) as $edit) {
            $span = $this->reading->spans[$edit->at] ?? new Span(\count($characters), 0);
            $new = null === $edit->item ? '' : $this->written($edit->item, $edit->at, $writer);
            $before = rtrim(implode('', \array_slice($characters, 0, $span->at)));
            $after = ltrim(
                implode(
                    '',
                    \array_slice($characters, $span->at + (EditKind::Insert === $edit->kind ? 0 : $span->length)),
                ),
            );
            if (EditKind::Drop === $edit->kind) {
                $after = ltrim($after, " ,;\t");
                $before = '' === $after ? rtrim($before, " ,;\t") : $before;
            }
            $text = implode('', [
                $before,
                '' === $before ? '' : ('' !== $new && !str_ends_with($before, ',') ? $between : ' '),
                $new,
                '' === $new || '' === $after ? '' : (1 === preg_match('/^[,;)\]]/', $after) ? '' : $between),
                $after,
            ]);
            $characters = mb_str_split(rtrim($text));
        }

        return ltrim(implode('', $characters));
    }

    /** Keeps the text of an item that was in the line already and only moves. */
    private function written(Item $item, int $index, Words|Writer $writer): string
    {
        $old = array_search($item, $this->reading->chain->items ?? [], true);
        if (\is_int($old)) {
            return mb_substr($this->text->text, $this->reading->spans[$old]->at, $this->reading->spans[$old]->length);
        }
        $inStance = new ChainInStance($this->reading->chain ?? Chain::of([]), $this->text->stance);

        return $writer->item($item, $inStance->stances[$index] ?? $inStance->end);
    }

    private function readsAs(string $text, Chain $chain): bool
    {
        $read = $this->reader->read($text, $this->text->numbering, $this->text->stance)->chain;
        $keys = static fn (?Chain $of): array => array_map(
            static fn (Item $item): string => $item->key(true),
            $of->items ?? [],
        );

        return null !== $read && $keys($read) === $keys($chain);
    }
}
