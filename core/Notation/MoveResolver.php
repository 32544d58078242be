<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

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
        if ('step' === $phrase->name && (null === $strike || $next->moves > 0 || $strike->limb->isArm())) {
            $this->diagnostics->note($phrase->span, t('A step without a side is read as a step in.'), [
                'step-in',
                'step-lead',
                'step-rear',
            ]);

            return $this->catalogue->move('step-in');
        }
        $side = $this->usual($phrase->name, $phrase->said, $next, $before);
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

    /** @param list<Item> $before */
    private function usual(string $name, string $said, NextStrike $next, array $before): UsualSide
    {
        $strike = $next->strike;
        $isDirect = null !== $strike && 0 === $next->moves;
        if (\in_array($name, self::LOADING, true)) {
            return $this->loading($next, $before);
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
     * A slip or roll loads the strike that comes; without one it goes with the strike before it.
     *
     * @param list<Item> $before
     */
    private function loading(NextStrike $next, array $before): UsualSide
    {
        $strike = $next->strike;
        if (null === $strike) {
            $last = $before[\count($before) - 1] ?? null;

            return new UsualSide(
                $last instanceof StrikeItem && $last->strike->limb->isArm() ? $last->strike->role->other() : Role::Lead,
                t('with the strike before it'),
            );
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
        for ($index = $this->pastTheOpponents($phrase->next);; ++$index) {
            $token = $this->tokens->at($index);
            if (
                TokenKind::Stop === $token?->kind
                || isset(Vocabulary::FILLERS[$this->tokens->words[$index] ?? ''])
                || \in_array($token?->text, ['(', '+', '['], true)
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
                return new NextStrike();
            }
            $item = (new StrikeResolver(
                $this->catalogue,
                $this->vocabulary,
                $this->numbering,
                new Diagnostics(),
            ))->resolve($strike, $running, $before);

            return new NextStrike($item?->strike, $moves);
        }
    }

    /** Skips the opponent's strike in "slip the jab", which is not the next strike. */
    public function pastTheOpponents(int $index): int
    {
        $words = $this->tokens->words;
        $article = $index + (isset(Vocabulary::UNDER[$words[$index] ?? '']) ? 1 : 0);
        $strike = isset(Vocabulary::ARTICLES[$words[$article] ?? ''])
            ? $this->strikes->parse($this->tokens, $article + 1)
            : null;

        return $strike->next ?? $index;
    }
}
