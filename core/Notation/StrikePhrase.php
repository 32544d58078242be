<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Target;

/** Words for one strike up to its noun, such as "hard left low kick"; what stands after the noun is read by {@see Parse}. */
final readonly class StrikePhrase
{
    /**
     * @param string $noun a key of {@see Vocabulary::NOUNS}
     * @param int $next place of the first word after the noun
     */
    private function __construct(
        public Role|Side|null $side,
        public ?Target $target,
        public Effort $effort,
        public bool $feint,
        public string $noun,
        public int $next,
    ) {
    }

    /**
     * Looks whether words for a strike begin there, and takes nothing.
     *
     * @param list<string> $words lower-case words by token; an empty string ends a phrase
     */
    public static function ahead(Vocabulary $vocabulary, array $words, int $from): ?self
    {
        [$side, $target, $effort, $feint, $switch] = [null, null, Effort::Plain, false, false];
        for ($at = $from; '' !== ($word = $words[$at] ?? ''); ++$at) {
            $noun = $vocabulary->noun($words, $at);
            if (null !== $noun) {
                [$name, $count] = $noun;
                $name = $switch ? 'switch '.$name : $name;

                return isset(Vocabulary::NOUNS[$name]) ? new self($side ?? Vocabulary::HANDS[$name] ?? null, $target ?? Vocabulary::AIMED[$name] ?? null, $effort, $feint, $name, $at + $count) : null;
            }
            if (isset(Vocabulary::SIDES[$word])) {
                $side = Vocabulary::SIDES[$word];
            } elseif (isset(Vocabulary::TARGETS[$word])) {
                $target = Vocabulary::TARGETS[$word];
            } elseif (isset(Vocabulary::FEINT[$word])) {
                $feint = true;
            } elseif (isset(Vocabulary::EFFORTS[$word])) {
                $effort = Vocabulary::EFFORTS[$word];
            } elseif ('switch' === $word && !$switch) {
                $switch = true;
            } else {
                return null;
            }
        }

        return null;
    }
}
