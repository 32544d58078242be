<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/**
 * The text that a voice says with a cue: strikes by the gym's numbers, everything else in words by role, so that it is
 * true for both stances. Hand-bound numbers mean different strikes in the other stance, so with them strikes are said
 * in words.
 */
final readonly class Speech
{
    private Writer $writer;
    private bool $hasNumbers;
    private \NumberFormatter $words;

    public function __construct(Numbering $numbering)
    {
        $this->writer = new Writer($numbering);
        $this->hasNumbers = !$numbering->boundToHand;
        $this->words = new \NumberFormatter('en', \NumberFormatter::SPELLOUT);
    }

    /** Returns the text for a cue; null where a bell or a clap is heard, or nothing. */
    public function text(Cue $cue): ?string
    {
        $chain = null === $cue->chain ? null : $this->chain($cue->chain);

        return match ($cue->kind) {
            CueKind::Call, CueKind::LastCall, CueKind::Rung, CueKind::Step => $chain,
            CueKind::Next => 'next: '.($chain ?? $this->plain($cue->short)),
            CueKind::Change => 'switch',
            CueKind::Stance,
            CueKind::Theme,
            CueKind::Side,
            CueKind::Phase,
            CueKind::Count,
            CueKind::Exercise => $this->plain($cue->short),
            CueKind::On => 'go',
            CueKind::Off => 'easy',
            default => null,
        };
    }

    /** Returns a chain as a coach calls it. */
    public function chain(Chain $chain): string
    {
        $inStance = new ChainInStance($chain, Stance::Orthodox);
        $said = '';
        $wasNumber = null;
        foreach ($chain->items as $index => $item) {
            $code =
                $item instanceof StrikeItem && $this->hasNumbers
                    ? $this->writer->item($item, $inStance->stances[$index])
                    : '';
            $number = 1 === preg_match('/^(\d{1,2})([hbl]?)$/', $code, $found);
            $word = $number
                ? $this->words->format((int) $found[1])
                    .('' === $found[2] ? '' : ' '.Target::from($found[2])->word())
                : $this->plain(Words::byRole()->item($item, $inStance->stances[$index]));
            // A short silence separates a move from the numbers around it.
            $said .= (null === $wasNumber ? '' : ($wasNumber && $number ? ' ' : ', ')).$word;
            $wasNumber = $number;
        }

        return $said;
    }

    private function plain(string $text): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N},.\x27]+/u', ' ', $text));
    }
}
