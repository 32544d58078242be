<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * The text that a voice says with a cue: strikes by the gym's numbers, everything else in words by role, so that it is
 * true for both stances. Hand-bound numbers mean different strikes in the other stance, so with them strikes are said
 * in words.
 */
final class Speech
{
    private readonly Writer $writer;
    private readonly bool $hasNumbers;
    private readonly \NumberFormatter $words;
    /** @var \WeakMap<Chain, string> as they were said before: a session says the same ones over and over */
    private \WeakMap $said;
    /** @var array<string, string> texts without signs, by the text */
    private array $plain = [];

    public function __construct(Numbering $numbering, private readonly Says $says = Says::Both)
    {
        $this->writer = new Writer($numbering);
        $this->hasNumbers = !$numbering->boundToHand && Says::Names !== $says;
        $this->words = new \NumberFormatter('en', \NumberFormatter::SPELLOUT);
        $this->said = new \WeakMap();
    }

    /** Returns the text at the moment of a cue; null where a bell or a clap is heard, or nothing. */
    public function text(Cue $cue): ?string
    {
        $chain = null === $cue->chain ? null : $this->chain($cue->chain);

        return match ($cue->kind) {
            CueKind::Call,
            CueKind::LastCall,
            CueKind::Show,
            CueKind::Step,
            CueKind::Repetitions => $this->around($cue, $chain ?? $this->plain($cue->short)),
            CueKind::Rung, CueKind::Defence, CueKind::Counter => $chain,
            CueKind::Change => null === $chain ? t('change') : t('change').', '.$chain,
            CueKind::Demonstration => RoundStance::Other === $cue->stance
                ? t('other stance')
                : t('watch').', '.($chain ?? ''),
            CueKind::Changeover => $this->plain($cue->text),
            CueKind::Stance,
            CueKind::Theme,
            CueKind::Side,
            CueKind::Phase,
            CueKind::Count,
            CueKind::Aloud,
            CueKind::Entry,
            CueKind::Answer,
            CueKind::Exercise => $this->plain($cue->short),
            CueKind::On => $this->plain(t('on') === $cue->text ? t('go') : $cue->text),
            CueKind::Off => t('easy'),
            default => null,
        };
    }

    /**
     * Returns what announces the cue, the whole of it.
     *
     * @param bool $inShort once instead of twice
     */
    public function announcement(Cue $cue, bool $inShort = false): string
    {
        $chain = match (true) {
            null === $cue->chain => $this->plain($cue->short),
            $inShort || Says::Both !== $this->says => $this->chain($cue->chain),
            default => $this->twice($cue->chain),
        };
        $choices = implode(
            t(', or '),
            array_map(
                fn (Beside $one): string => $this->chain($one->chain),
                array_filter($cue->beside, static fn (Beside $one): bool => '' === $one->label),
            ),
        );

        return t('next').': '.$this->around($cue, $chain).('' === $choices ? '' : t(': choose ').$choices);
    }

    /** Returns a chain as a coach calls it. */
    public function chain(Chain $chain): string
    {
        return $this->said[$chain] ??= $this->called($chain);
    }

    private function called(Chain $chain): string
    {
        $inStance = new ChainInStance($chain, Stance::Orthodox);
        $said = '';
        $wasNumber = null;
        foreach ($chain->items as $index => $item) {
            $code =
                $item instanceof StrikeItem && $this->hasNumbers
                    ? $this->writer->item($item, $inStance->stances[$index])
                    : '';
            $word = $this->number($code);
            $isNumber = null !== $word;
            $word ??= $this->plain(Words::byRole()->item($item, $inStance->stances[$index]));
            // A short silence separates a move from the numbers around it.
            $said .= (null === $wasNumber ? '' : ($wasNumber && $isNumber ? ' ' : ', ')).$word;
            $wasNumber = $isNumber;
        }

        return $said;
    }

    /** Returns a chain in numbers and then in names. */
    private function twice(Chain $chain): string
    {
        $numbers = $this->chain($chain);
        $names = $this->plain(implode(', ', Words::byRole()->items(new ChainInStance($chain, Stance::Orthodox))));

        return $numbers === $names ? $numbers : $numbers.'. '.$names;
    }

    private function around(Cue $cue, string $chain): string
    {
        if (null === $cue->chain) {
            return $chain;
        }

        return trim($this->plain($cue->before ?? '').' '.$chain)
            .(null === $cue->after ? '' : ', '.$this->plain($cue->after));
    }

    /** Returns a number of the numbering in words, such as "three body"; null when it is none. */
    private function number(string $code): ?string
    {
        return 1 !== preg_match('/^(\d{1,2})([hbl]?)$/', $code, $found)
            ? null
            : $this->words->format((int) $found[1])
                .('' === $found[2] ? '' : ' '.Target::from($found[2])->word());
    }

    /** Returns a text without signs, its numbers in words. */
    private function plain(string $text): string
    {
        return $this->plain[$text] ??= $this->withoutSigns($text);
    }

    private function withoutSigns(string $text): string
    {
        $spoken = preg_replace('/\(([^()]+)\)/', 'feint $1', $text);
        $words = preg_split('/[^\p{L}\p{N},.:\x27]+/u', (string) $spoken, flags: \PREG_SPLIT_NO_EMPTY);

        return implode(' ', array_map(
            function (string $word): string {
                $bare = rtrim($word, ',.:');

                return ($this->number($bare) ?? (ctype_digit($bare) ? $this->words->format((int) $bare) : $bare))
                    .substr($word, \strlen($bare));
            },
            false === $words ? [] : $words,
        ));
    }
}
