<?php

declare(strict_types=1);

namespace Periplus\Core\Library\Search;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Library\Sequence;
use Periplus\Core\Notation\Problem;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\Vocabulary;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/**
 * Reads the items that a search looks for. A number means its strike at any target, unless it has a target's letter or
 * means one by itself; "kick", "hand" and the like mean every strike of a limb; brackets mean a feint. Numbers of a
 * scheme bound to the hand, and left and right, are understood in the orthodox stance.
 */
final readonly class TermReader
{
    private const LIMBS = [
        'kick' => Limb::Leg, 'kicks' => Limb::Leg, 'hand' => Limb::Hand, 'hands' => Limb::Hand, 'punch' => Limb::Hand, 'punches' => Limb::Hand,
        'knee' => Limb::Knee, 'knees' => Limb::Knee, 'elbow' => Limb::Elbow, 'elbows' => Limb::Elbow,
    ];
    private const KINDS = ['defence' => MoveKind::Defence, 'footwork' => MoveKind::Footwork, 'contact' => MoveKind::Contact];
    private const NUMBER = '/^(\(?)([a-z]{0,2}\d{1,3})([a-z]?)(\)?)$/i';

    private Vocabulary $vocabulary;

    public function __construct(private Scheme $scheme, private Catalogue $catalogue)
    {
        $this->vocabulary = new Vocabulary($catalogue);
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<non-empty-list<Term>>|Problem runs that follow each other with anything between; empty when there is nothing
     */
    public function runs(array $pieces): array|Problem
    {
        // "1-2-3" and "lead-hook" are written with hyphens as well as with blanks.
        $parts = [];
        foreach ($pieces as $piece) {
            $at = $piece->at;
            foreach (explode('-', $piece->text) as $part) {
                if ('' !== $part) {
                    $parts[] = new Piece($part, $at);
                }
                $at += mb_strlen($part) + 1;
            }
        }
        $words = array_map(static fn (Piece $part): string => trim($part->word(), '()'), $parts);
        $runs = [];
        $run = [];
        for ($at = 0; $at < \count($parts);) {
            if ('then' === $words[$at]) {
                if ([] !== $run) {
                    $runs[] = $run;
                }
                $run = [];
                ++$at;
                continue;
            }
            $term = $this->number($parts[$at]) ?? $this->strike($words, $at, str_starts_with($parts[$at]->text, '(')) ?? $this->move($words, $at);
            if (null === $term) {
                return new Problem($parts[$at]->at, mb_strlen($parts[$at]->text), \sprintf('"%s" is no strike or move that can be looked for.', mb_substr($parts[$at]->text, 0, 40)), 'a number, or words such as lead hook body, kick, slip or exit', $this->vocabulary->nearest($words[$at]));
            }
            [$run[], $taken] = $term;
            $at += $taken;
        }

        return [] === $run ? $runs : [...$runs, $run];
    }

    /** @return array{Term, int}|null */
    private function number(Piece $part): ?array
    {
        if ('/' === $part->text || 'beat' === $part->word()) {
            return [new Term([Sequence::BEAT], false, 'a beat'), 1];
        }
        if ('*' === $part->text) {
            return [new Term(array_map(static fn (int $count): string => Sequence::FREE.\chr(128 + $count), range(1, FreeStrikes::MOST)), false, 'free strikes'), 1];
        }
        if (1 !== preg_match(self::NUMBER, $part->text, $found)) {
            return null;
        }
        $entry = $this->scheme->entry($found[2]);
        $strike = null === $entry ? null : $this->catalogue->inFamily($entry->family, $entry->role(Stance::Orthodox));
        $target = '' === $found[3] ? $entry?->target : Target::tryFrom(strtolower($found[3]));
        if (null === $strike || ('' !== $found[3] && null === $target) || (null !== $target && !\in_array($target, $strike->targets, true))) {
            return null;
        }

        return [$this->term([$strike], $target, '(' === $found[1], $strike->name), 1];
    }

    /**
     * Words for one strike: sides, targets and a weapon in the order that coaches say them, such as "rear low kick".
     *
     * @param list<string> $words
     *
     * @return array{Term, int}|null the term and how many words it takes
     */
    private function strike(array $words, int $from, bool $feint): ?array
    {
        [$role, $target, $at] = [null, null, $from];
        $weapon = $this->weapon($words, $at);
        while (null === $weapon) {
            $word = $words[$at] ?? '';
            $side = Vocabulary::SIDES[$word] ?? null;
            if (null !== $side) {
                $role = $side instanceof Side ? Stance::Orthodox->roleOf($side) : $side;
            } elseif (isset(Vocabulary::TARGETS[$word])) {
                $target = Vocabulary::TARGETS[$word];
            } elseif (isset(Vocabulary::FEINT[$word])) {
                $feint = true;
            } else {
                return null;
            }
            $weapon = $this->weapon($words, ++$at);
        }
        /** @var array{non-empty-list<Strike>, string, int} $weapon */
        [$strikes, $says, $taken] = $weapon;
        $at += $taken;
        $after = $at;
        while (\in_array($words[$after] ?? '', ['to', 'the'], true)) {
            ++$after;
        }
        if (isset($words[$after], Vocabulary::TARGETS[$words[$after]]) && null === $target) {
            $target = Vocabulary::TARGETS[$words[$after]];
            $at = $after + 1;
        }
        $strikes = array_values(array_filter($strikes, static fn (Strike $strike): bool => (null === $role || $strike->role === $role) && (null === $target || \in_array($target, $strike->targets, true))));

        return [] === $strikes ? null : [$this->term($strikes, $target, $feint, (null === $role ? '' : $role->value.' ').$says), $at - $from];
    }

    /**
     * @param list<string> $words
     *
     * @return array{non-empty-list<Strike>, string, int}|null the strikes, in words, and how many words it takes
     */
    private function weapon(array $words, int $at): ?array
    {
        $word = $words[$at] ?? '';
        $found = $this->vocabulary->noun($words, $at);
        $limb = 1 === ($found[1] ?? 1) ? self::LIMBS[$word] ?? null : null;
        $fixed = Vocabulary::FIXED[$found[0] ?? ''] ?? null;
        $family = Vocabulary::NOUNS[$found[0] ?? ''] ?? null;
        $strikes = array_values(array_filter($this->catalogue->strikes, static fn (Strike $strike): bool => match (true) {
            \in_array($word, ['strike', 'strikes'], true) => true,
            null !== $limb => $strike->limb === $limb,
            null !== $fixed => $strike->family === $family && $strike->role === $fixed,
            default => $strike->family === $family,
        }));

        return [] === $strikes ? null : [$strikes, $found[0] ?? $word, $found[1] ?? 1];
    }

    /**
     * @param list<string> $words
     *
     * @return array{Term, int}|null
     */
    private function move(array $words, int $at): ?array
    {
        $kind = self::KINDS[$words[$at] ?? ''] ?? null;
        if (null !== $kind) {
            return [self::moves(array_values(array_filter($this->catalogue->moves, static fn (Move $move): bool => $move->kind === $kind)), $kind->value), 1];
        }
        $found = $this->vocabulary->move($words, $at);
        if (null === $found) {
            return null;
        }
        [$name, $taken] = $found;
        $base = $this->vocabulary->bases[$name] ?? null;
        if (null === $base) {
            return [self::moves([$this->catalogue->move($name)], $this->catalogue->move($name)->words()), $taken];
        }
        $side = Vocabulary::SIDES[$words[$at + $taken] ?? ''] ?? null;
        $role = $side instanceof Side ? Stance::Orthodox->roleOf($side) : $side;

        return null === $role
            ? [self::moves(array_map($this->catalogue->move(...), array_values($base)), $name), $taken]
            : [self::moves([$this->catalogue->move($base[$role->value])], $this->catalogue->move($base[$role->value])->words()), $taken + 1];
    }

    /** @param non-empty-list<Strike> $strikes */
    private function term(array $strikes, ?Target $target, bool $feint, string $says): Term
    {
        $bodies = [];
        foreach ($strikes as $strike) {
            foreach (null === $target ? $strike->targets : [$target] as $goes) {
                $bodies[] = $strike->sign.$goes->value;
            }
        }

        return new Term($bodies, $feint, ($feint ? 'a fake ' : 'a ').$says.(null === $target ? '' : ' to the '.$target->word()));
    }

    /** @param list<Move> $moves */
    private static function moves(array $moves, string $says): Term
    {
        return new Term(array_column($moves, 'sign'), false, $says);
    }
}
