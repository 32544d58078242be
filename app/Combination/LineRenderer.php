<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\HouseRules\GymHouseRules;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Periplus\Core\Flow\Serializer\RenderedLine;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Renders the line and the text of stored combinations in the coach's numbering. Results are cached; the key contains
 * everything they depend on, and the cache is cleared when the core changes.
 */
final class LineRenderer implements ResetInterface
{
    /** @var array<string, string> keys that identify house rules and numberings */
    private array $digests = [];

    public function __construct(
        private readonly CheckSerializer $serializer,
        private readonly GymHouseRules $rules,
        private readonly Reader $reader,
        private readonly CacheInterface $drawingsCache,
    ) {
    }

    public function reset(): void
    {
        $this->digests = [];
    }

    /** Returns a stored chain in the given numbering. */
    public function text(string $notation, Stance $stance, Numbering $numbering): string
    {
        // Chains are stored in parity numbering.
        if ('parity' === $numbering->id) {
            return $notation;
        }
        $chain = $this->reader->readStored($notation, $stance);

        return null === $chain ? $notation : (new Writer($numbering))->write($chain);
    }

    public function content(CombinationContent $content, Numbering $numbering): ShownContent
    {
        return new ShownContent($content, $this->text($content->notation, $content->stance, $numbering));
    }

    public function combination(CombinationSummary $summary, Numbering $numbering): ShownCombination
    {
        $content = $summary->content;

        return new ShownCombination($summary, $this->text($content->notation, $content->stance, $numbering));
    }

    /** Returns a row of the library. */
    public function row(CombinationSummary $summary, Numbering $numbering): ListedCombination
    {
        return new ListedCombination($summary, $this->render($summary->content, $numbering));
    }

    public function render(
        CombinationContent $content,
        Numbering $numbering,
        LineSize $size = LineSize::Row,
    ): RenderedLine {
        return $this->ofChain($content->notation, $content->stance, $content->rules, $numbering, $size);
    }

    /** @param string $notation in parity numbering */
    public function ofChain(
        string $notation,
        Stance $stance,
        string $set,
        Numbering $numbering,
        LineSize $size = LineSize::Row,
    ): RenderedLine {
        $rules = $this->rules->named($set);
        $key =
            'rendered.'
            .hash(
                'xxh128',
                implode("\n", [
                    $notation,
                    $stance->value,
                    $size->value,
                    $this->digests['rules '.$set] ??= serialize($rules->jsonSerialize()),
                    $this->digests['numbering '.$numbering->id] ??= serialize($numbering->content()),
                ]),
            );

        return $this->drawingsCache->get(
            $key,
            fn (): RenderedLine => $this->serializer->line($notation, $stance, $rules, $numbering, $size),
        );
    }
}
