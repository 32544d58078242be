<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/** Reads what is said of one move, with its side before or after it. It looks, and takes nothing. */
final readonly class MovePhraseParser
{
    public function __construct(private Vocabulary $vocabulary)
    {
    }

    /** @param int $from place of the first token */
    public function parse(TokenStream $tokens, int $from): ?MovePhrase
    {
        $side = Vocabulary::SIDES[$tokens->words[$from] ?? ''] ?? null;
        $at = null === $side ? $from : $from + 1;
        $found = $this->vocabulary->move($tokens->words, $at);
        if (null === $found) {
            return null;
        }
        [$name, $count] = $found;
        $sides = $this->vocabulary->bases[$name] ?? null;
        $next = $at + $count;
        if (null === $side) {
            [$side, $next] = self::sideAfter($tokens->words, $next, null !== $sides);
        }

        return new MovePhrase($name, $sides, $side, $tokens->span($from, $next), $next);
    }

    /**
     * "left", or "to the left side"; the short form only after a move that asks for its side.
     *
     * @param list<string> $words
     *
     * @return array{Role|Side|null, int} the side, and the place after it
     */
    private static function sideAfter(array $words, int $at, bool $asks): array
    {
        $skip = 'to' === ($words[$at] ?? '') ? ('the' === ($words[$at + 1] ?? '') ? 2 : 1) : 0;
        $side = Vocabulary::SIDES[$words[$at + $skip] ?? ''] ?? null;
        if (null === $side || (0 === $skip && !$asks)) {
            return [null, $at];
        }
        $next = $at + $skip + 1;

        return [$side, $skip > 0 && 'side' === ($words[$next] ?? '') ? $next + 1 : $next];
    }
}
