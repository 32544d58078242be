<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;

use function Periplus\Core\Language\t;

/**
 * Decides which move a phrase means. A move without a side goes where the next strike needs it, or where it usually
 * goes, and a note says so. Common practice, no source.
 */
final readonly class MoveResolver
{
    /** Moves that load the side they go to. */
    private const LOADING = ['slip', 'roll'];

    public function __construct(
        private Catalogue $catalogue,
        private Vocabulary $vocabulary,
        private StrikePhraseParser $strikes,
        private MovePhraseParser $moves,
        private Numbering $numbering,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
    ) {
    }

    /**
     * Returns the moves of a phrase that names both sides or a count; the last of several loads what comes.
     *
     * @param list<Item> $before
     *
     * @return list<Move> none when it leaves a problem
     */
    public function all(MovePhrase $phrase, Stance $running, array $before): array
    {
        $moves = $this->resolve($phrase, $running, $before);
        $last = $moves[0] ?? null;
        if (null === $last || null === $phrase->sides) {
            return array_merge(...array_fill(0, $phrase->times, $moves));
        }
        if (null !== $phrase->second) {
            $second = $phrase->second instanceof Side ? $running->roleOf($phrase->second) : $phrase->second;

            return [$last, $this->catalogue->move($phrase->sides[$second->value])];
        }
        if (1 === $phrase->times || null !== $phrase->side || null === $last->toward) {
            return array_fill(0, $phrase->times, $last);
        }
        $loads =
            \in_array($phrase->name, self::LOADING, true)
            && null !== $this->next($phrase, $running, $before)->strike;
        // The first of an even number goes to the side that the last one does not.
        $role = !$loads ? Role::Lead : (0 === $phrase->times % 2 ? $last->toward->other() : $last->toward);
        $all = [];
        for ($time = 0; $time < $phrase->times; ++$time) {
            $all[] = $this->catalogue->move($phrase->sides[$role->value]);
            $role = $role->other();
        }
        $this->diagnostics->note($phrase->span, t('Several of the same move alternate between the sides.'));

        return $all;
    }

    /**
     * @param list<Item> $before
     *
     * @return list<Move> none when it leaves a problem
     */
    public function resolve(MovePhrase $phrase, Stance $running, array $before): array
    {
        if (isset(Vocabulary::SEQUENCES[$phrase->name])) {
            return array_map($this->catalogue->move(...), Vocabulary::SEQUENCES[$phrase->name]);
        }
        $role = $phrase->role($running);
        if ('shift' === $phrase->said && null !== $role) {
            $this->diagnostics->note($phrase->span, t('To shift to a side is read as a step to that side.'), [
                'step-'.$role->value,
                'shift',
            ]);

            return [$this->catalogue->move('step-'.$role->value)];
        }
        if (null !== $phrase->sides) {
            return [$this->toASide($phrase, $phrase->sides, $role, $running, $before)];
        }
        $move = $this->catalogue->move($phrase->name);
        if (null !== $role && null !== $move->toward && $role !== $move->toward) {
            $this->diagnostics->problem(
                $phrase->span,
                t(
                    'In {running}, {move} goes to the {sideOf}.',
                    running: $running->value,
                    move: $move->words(),
                    sideOf: $running->sideOf($move->toward)->value,
                ),
                t('the side it goes to, or no side'),
                [$move->id, $move->carry],
            );

            return [];
        }
        if (null !== $role && 'step-back' === $move->id && str_ends_with($phrase->said, ' out')) {
            // "Slide out to the left" leaves to that side.
            return [$this->catalogue->move('exit-'.$role->value)];
        }
        if (null !== $role && null === $move->toward) {
            $this->diagnostics->note(
                $phrase->span,
                t(
                    '"{said}" has no side: the {side} is not kept.',
                    said: $phrase->said,
                    side: $phrase->side->value ?? '',
                ),
                'duck' === $move->id ? ['duck', 'roll-'.$role->value] : [],
            );
        } elseif ($phrase->said !== $move->words()) {
            $this->diagnostics->note(
                $phrase->span,
                t('"{said}" is read as {move}.', said: $phrase->said, move: $move->words()),
                'long guard' === $phrase->said ? ['cover', 'post'] : [],
            );
        }

        return [$move];
    }

    /**
     * @param array{lead: string, rear: string} $sides
     * @param list<Item> $before
     */
    private function toASide(MovePhrase $phrase, array $sides, ?Role $said, Stance $running, array $before): Move
    {
        if (null !== $said) {
            return $this->catalogue->move($sides[$said->value]);
        }
        if ('exit' === $phrase->name) {
            return $this->leaving($phrase, $before);
        }
        if ('move' === $phrase->said) {
            $this->diagnostics->note($phrase->span, t('To move without a side is read as to leave.'), [
                'exit',
                'step-lead',
                'step-rear',
            ]);

            return $this->catalogue->move('exit');
        }
        $next = $this->next($phrase, $running, $before);
        $strike = $next->strike;
        if ('step out' === $phrase->said && null === $strike && $this->hasComeIn($before)) {
            return $this->leaving($phrase, $before);
        }
        if ('step' === $phrase->name && (null === $strike || $next->moves > 0 || $strike->limb->isArm())) {
            $this->diagnostics->note($phrase->span, t('A step without a side is read as a step in.'), [
                'step-in',
                'step-lead',
                'step-rear',
            ]);

            return $this->catalogue->move('step-in');
        }
        $side = $this->usual($phrase->name, $phrase->said, $next, $before, $this->beginsRow($phrase));
        if ('step' === $phrase->name) {
            // Beside a kick it is the step off the line.
            $sides = $this->vocabulary->bases['step off'];
        }
        $move = $this->catalogue->move($sides[$side->role->value]);
        $asks = null === $strike && \in_array($phrase->name, self::LOADING, true);
        if ('step off' !== $phrase->name || 'step-out' !== $move->id) {
            $this->diagnostics->note(
                $phrase->span,
                t('"{said}" is read as {move}, {why}.', said: $phrase->said, move: $move->words(), why: $side->why),
                $asks ? array_values($sides) : [],
            );
        }

        return $move;
    }

    /** Returns the move that goes with a strike, on the side that this strike needs; null when there is none. */
    public function with(MovePhrase $phrase, Stance $running, Strike $strike): ?Move
    {
        $role = $phrase->role($running);
        if (null === $phrase->sides) {
            return isset(Vocabulary::SEQUENCES[$phrase->name]) ? null : $this->catalogue->move($phrase->name);
        }
        if (null === $role && \in_array($phrase->name, ['exit', 'step'], true)) {
            return $this->catalogue->move('exit' === $phrase->name ? 'exit' : 'step-in');
        }
        $role ??= $this->usual($phrase->name, $phrase->said, new NextStrike($strike), [], false)->role;

        return $this->catalogue->move($phrase->sides[$role->value]);
    }

    /**
     * Decides how an athlete leaves: who has stepped in steps out again, unless he exits.
     *
     * @param list<Item> $before
     */
    private function leaving(MovePhrase $phrase, array $before): Move
    {
        if (!\in_array($phrase->said, ['out', 'step out', 'move out'], true) || !$this->hasComeIn($before)) {
            return $this->catalogue->move('exit');
        }
        $this->diagnostics->note(
            $phrase->span,
            t('After a step in, "{said}" is read as step back.', said: $phrase->said),
            ['step-back', 'exit', 'step-out'],
        );

        return $this->catalogue->move('step-back');
    }

    /** @param list<Item> $before */
    private function hasComeIn(array $before): bool
    {
        $range = 0;
        foreach ($before as $item) {
            $range += $item instanceof MoveItem ? $item->move->range : 0;
        }

        return $range < 0;
    }

    /**
     * Returns the side of the move before, which is of the same kind: several in a row alternate.
     *
     * @param list<Item> $before
     */
    private function inARowWith(string $name, array $before): ?Role
    {
        $last = $before[\count($before) - 1] ?? null;
        if (!$last instanceof MoveItem || null === $last->move->toward) {
            return null;
        }
        $base = substr($last->move->id, 0, (int) strrpos($last->move->id, '-'));
        $isLoading = \in_array($name, self::LOADING, true) && \in_array($base, self::LOADING, true);

        return $base === $name || $isLoading ? $last->move->toward : null;
    }

    /** Tells whether the same move, or one that alternates with it, comes next. */
    private function beginsRow(MovePhrase $phrase): bool
    {
        $index = $phrase->next;
        while (
            TokenKind::Stop === $this->tokens->at($index)?->kind
            || isset(Vocabulary::FILLERS[$this->tokens->words[$index] ?? ''])
        ) {
            ++$index;
        }
        $next = null === $this->tokens->at($index) ? null : $this->moves->parse($this->tokens, $index);

        return null !== $next
            && null === $next->side
            && ($next->name === $phrase->name
                || (\in_array($next->name, self::LOADING, true) && \in_array($phrase->name, self::LOADING, true)));
    }

    /** @param list<Item> $before */
    private function usual(
        string $name,
        string $said,
        NextStrike $next,
        array $before,
        bool $beginsRow,
    ): UsualSide {
        $strike = $next->strike;
        $isDirect = null !== $strike && 0 === $next->moves;
        $isLoading = \in_array($name, self::LOADING, true);
        $row = $this->inARowWith($name, $before);
        if (null !== $row) {
            return new UsualSide($row->other(), t('the other side of the one before it'));
        }
        if ($beginsRow && (!$isLoading || null === $strike)) {
            return new UsualSide(Role::Lead, t('as usual at the start of a row'));
        }
        if ($isLoading) {
            return $this->loading($name, $next, $before);
        }

        return match ('catch' === $said ? 'parry' : $name) {
            'step', 'step off' => $isDirect && !$strike->limb->isArm()
                ? new UsualSide($strike->role->other(), t('which the {strike} needs', strike: $strike->name))
                : new UsualSide(Role::Lead, t('as usual')),
            'parry' => new UsualSide(Role::Rear, t('as usual')),
            'block' => $isDirect && $strike->limb->isArm()
                ? new UsualSide(
                    $strike->role->other(),
                    t('with the hand that leaves the {strike} free', strike: $strike->name),
                )
                : new UsualSide(Role::Lead, t('as usual')),
            'pivot' => new UsualSide(Role::Lead, t('on the lead foot')),
            default => new UsualSide(Role::Lead, t('as usual')),
        };
    }

    /**
     * A slip or roll loads the strike that comes. Without one a slip goes with the strike before it, and a roll over
     * the side of the hand that has just punched.
     *
     * @param list<Item> $before
     */
    private function loading(string $name, NextStrike $next, array $before): UsualSide
    {
        $strike = $next->strike;
        if (null === $strike) {
            $last = $before[\count($before) - 1] ?? null;

            if (!$last instanceof StrikeItem || !$last->strike->limb->isArm()) {
                return new UsualSide(Role::Lead, t('as usual'));
            }
            $role = $last->strike->role;

            return 'roll' === $name
                ? new UsualSide($role, t('over the side of the {strike}', strike: $last->strike->name))
                : new UsualSide($role->other(), t('with the strike before it'));
        }
        $role = $strike->limb->isArm() ? $strike->role : $strike->role->other();

        return new UsualSide(
            0 === $next->moves % 2 ? $role : $role->other(),
            t('which loads the {strike}', strike: 0 === $next->moves ? $strike->name : t('strike that comes')),
        );
    }

    /**
     * Returns the next strike, as far as it can be known before this move is decided, and the number of slips or rolls
     * without a side in between.
     *
     * @param list<Item> $before
     */
    private function next(MovePhrase $phrase, Stance $running, array $before): NextStrike
    {
        $moves = 0;
        for ($index = $this->pastTheOpponents($phrase);; ++$index) {
            $token = $this->tokens->at($index);
            if (
                TokenKind::Stop === $token?->kind
                || isset(Vocabulary::FILLERS[$this->tokens->words[$index] ?? ''])
                || \in_array($token?->text, ['(', '+', '[', Vocabulary::COUNTER], true)
            ) {
                continue;
            }
            $move = null === $token ? null : $this->moves->parse($this->tokens, $index);
            if (null !== $move && null === $move->side && \in_array($move->name, self::LOADING, true)) {
                ++$moves;
                $index = $move->next - 1;
                continue;
            }
            $strike = null === $token ? null : $this->strikes->parse($this->tokens, $index);
            if (null === $strike) {
                // "Slip and counter": with the likeliest strike, a cross.
                return Vocabulary::COUNTER === ($this->tokens->words[$index - 1] ?? '')
                    ? new NextStrike($this->catalogue->strike('cross'), $moves)
                    : new NextStrike();
            }

            return new NextStrike($this->strikeOf($strike, $running, $before), $moves);
        }
    }

    /**
     * Returns the strike of a phrase without a word about how it was read.
     *
     * @param list<Item> $before
     */
    public function strikeOf(StrikePhrase $phrase, Stance $running, array $before): ?Strike
    {
        return (new StrikeResolver($this->catalogue, $this->vocabulary, $this->numbering, new Diagnostics()))
            ->resolve($phrase, $running, $before)
            ?->strike;
    }

    /** Skips the opponent's strike in "slip the jab", which is not the next strike. */
    public function pastTheOpponents(MovePhrase $phrase): int
    {
        $index = $phrase->next;
        $words = $this->tokens->words;
        $article = $index + (isset(Vocabulary::UNDER[$words[$index] ?? '']) ? 1 : 0);
        $strike = isset(Vocabulary::ARTICLES[$words[$article] ?? ''])
            ? $this->strikes->parse($this->tokens, $article + 1)
            : null;

        if (
            isset(Vocabulary::ARTICLES[$words[$article] ?? ''])
            && Vocabulary::COUNTER === ($words[$article + 1] ?? '')
        ) {
            // "Slip the counter".
            return $article + 2;
        }
        if (null === $strike && null !== ($bare = $this->strikes->parse($this->tokens, $article))) {
            // "Block low kick, return": named without an article, it is the opponent's only before an answer, and where
            // it is caught.
            $isHis = Vocabulary::COUNTER === ($words[$bare->next] ?? '') || str_starts_with($phrase->said, 'catch');
            $strike = $isHis ? $bare : null;
        }

        return $strike->next ?? $index;
    }
}
