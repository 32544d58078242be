<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads targets without a strike, as in "jab, body, head" or "high low high": each is a straight of the other hand, or
 * after a kick the same kick of the other leg.
 *
 * @internal to {@see ChainParser}
 */
final readonly class TargetRowReader
{
    public function __construct(
        private Catalogue $catalogue,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
    ) {
    }

    /** @return bool whether there was a target that stands alone */
    public function read(): bool
    {
        $index = $this->tokens->position();
        $target = $this->at($index);
        if (null === $target) {
            return false;
        }
        if ($this->ofDouble($index)) {
            return true;
        }
        $token = $this->tokens->take();
        $before = $this->draft->last();
        if (
            $before instanceof MoveItem
            && (!$before->move->movesHead() || \in_array($token->word(), ['low', 'high'], true))
            && MoveKind::Footwork !== $before->move->kind
            && TokenKind::Stop !== $this->tokens->at($index - 1)?->kind
        ) {
            // "Block high", "duck low", "grab the head".
            $this->diagnostics->passOver($token->span);

            return true;
        }
        $last = LastStrike::in($this->draft->items);
        // "Hook to the body and the head" is the same hook again; after a comma the hands take turns.
        $isSame = null !== $last && $this->goesOn($index);
        $isLegTarget = Target::Leg === $target && 'low' !== $token->word();
        $family = match (true) {
            $isSame || true === $last?->item->isLegStrike() => $last->item->strike->family,
            // "One two, chop the leg": no hand goes there.
            $isLegTarget => 'round kick',
            default => 'straight',
        };
        $role = match (true) {
            $isSame => $last->role,
            $isLegTarget && true !== $last?->item->isLegStrike() => Role::Rear,
            default => $last?->role->other() ?? Role::Lead,
        };
        if ($before instanceof MoveItem && MoveKind::Defence === $before->move->kind && 'straight' === $family) {
            $role = DefaultRole::of('hook', $this->draft->items, $this->catalogue)->role;
        }
        $strike = $this->catalogue->inFamily($family, $role) ?? $this->catalogue->inFamily($family, $role->other());
        if (null === $strike) {
            return true;
        }
        $target = self::reached($strike, $target) ?? $target;
        try {
            $this->draft->add(new StrikeItem($strike, $target), $token->span);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($token->span, $invalid->getMessage(), t('another target'));

            return true;
        }
        $other = $this->catalogue->inFamily($family, $role->other());
        $this->diagnostics->note(
            $token->span,
            $isSame
                ? t('A second target is read as the {strike} again.', strike: $strike->name)
                : ('straight' === $family || true === $last?->item->isLegStrike()
                    ? t('A target without a strike is read as {strike}: the sides alternate.', strike: $strike->name)
                    : t('A target without a strike is read as {strike}.', strike: $strike->name)),
            isset(Vocabulary::HEIGHTS[$token->word()]) ? [] : array_map(
                fn (string $name): string => $this->tokens->apart(
                    $name.' to the '.$target->word(),
                    $index,
                    $index + 1,
                ),
                null === $other ? [$strike->name] : [$strike->name, $other->name],
            ),
        );

        return true;
    }

    /** Returns the target as that strike has it: "low" is under the guard of a punch. Null where it does not reach. */
    public static function reached(Strike $strike, Target $target): ?Target
    {
        return match (true) {
            \in_array($target, $strike->targets, true) => $target,
            Target::Leg === $target => Target::Body,
            default => null,
        };
    }

    /** Tells whether a target follows a strike that has one already, with "and" or "then" between them. */
    private function goesOn(int $index): bool
    {
        $words = $this->tokens->words;
        --$index;
        while ('to' === ($words[$index] ?? '') || isset(Vocabulary::ARTICLES[$words[$index] ?? ''])) {
            --$index;
        }

        return \in_array($words[$index] ?? '', ['and', 'then'], true)
            && isset(Vocabulary::TARGETS[$words[$index - 1] ?? '']);
    }

    /** Reads "double hook, body and head": a target for each of the same strikes before it. */
    private function ofDouble(int $index): bool
    {
        $places = [\count($this->draft->items) - 1];
        while (
            $places[0] > 0
            && $this->draft->spans[$places[0] - 1]->at === $this->draft->spans[$places[0]]->at
            && $this->draft->items[$places[0] - 1] instanceof StrikeItem
        ) {
            array_unshift($places, $places[0] - 1);
        }
        $row = $places;
        $number = \count($places);
        $isApart = TokenKind::Stop === $this->tokens->at($index - 1)?->kind;
        $targets = [];
        while (null !== ($target = $this->at($index))) {
            $targets[] = $target;
            ++$index;
            while (
                TokenKind::Stop === $this->tokens->at($index)?->kind
                || isset(Vocabulary::FILLERS[$this->tokens->words[$index] ?? ''])
            ) {
                ++$index;
            }
        }
        if (!$isApart && $number === \count($targets) + 1) {
            // "Triple hook body body head": the first has its target already.
            array_shift($places);
        }
        if ([] === $targets || \count($places) !== \count($targets) || $number < 2) {
            return false;
        }
        foreach ($places as $turn => $place) {
            $item = $this->draft->items[$place];
            $target = $item instanceof StrikeItem ? self::reached($item->strike, $targets[$turn]) : null;
            if (!$item instanceof StrikeItem || null === $target) {
                return false;
            }
            $this->draft->change($place, $item->by($item->strike, $target));
        }
        $from = $this->draft->spans[$row[0]];
        $aimed = array_values(array_filter(
            array_intersect_key($this->draft->items, array_flip($row)),
            static fn (Item $item): bool => $item instanceof StrikeItem,
        ));
        $this->diagnostics->withoutChoicesFrom($from);
        $this->diagnostics->note(
            $from->until($this->tokens->span($this->tokens->position(), $index)),
            t('These are read as the targets of the repeated strike before them, one each.'),
            [] === $aimed ? [] : (new CountedRow($aimed, $this->catalogue))->choices(),
        );
        $this->tokens->moveTo($index);

        return true;
    }

    private function at(int $index): ?Target
    {
        $word = $this->tokens->words[$index] ?? '';

        return Vocabulary::TARGETS[$word]
            ?? (isset(Vocabulary::HEIGHTS[$word]) && $this->isRow($index) ? Vocabulary::HEIGHTS[$word] : null);
    }

    /** Tells whether "down" stands beside this "up", or the other way round. */
    private function isRow(int $index): bool
    {
        foreach ([-2, -1, 1, 2] as $step) {
            $word = $this->tokens->words[$index + $step] ?? '';
            if (isset(Vocabulary::HEIGHTS[$word]) && $word !== $this->tokens->words[$index]) {
                return true;
            }
        }

        return false;
    }
}
