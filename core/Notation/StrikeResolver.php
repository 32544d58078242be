<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/** Decides which strike a phrase means, from the running stance, the numbering and the items before it. */
final readonly class StrikeResolver
{
    public function __construct(
        private Catalogue $catalogue,
        private Vocabulary $vocabulary,
        private Numbering $numbering,
        private Diagnostics $diagnostics,
    ) {
    }

    /**
     * @param list<Item> $before
     *
     * @return StrikeItem|null null leaves a problem
     */
    public function resolve(StrikePhrase $phrase, Stance $running, array $before): ?StrikeItem
    {
        $item = '' === $phrase->noun ? $this->number($phrase, $running) : $this->noun($phrase, $running, $before);

        return null === $item || Landing::Back === $phrase->landing
            ? $item
            : $this->landing($item, $phrase->landing, $phrase->span);
    }

    /** A rear foot that comes down behind, or a lead foot in front or half way, does as always. */
    public function landing(StrikeItem $item, Landing $landing, Span $span): ?StrikeItem
    {
        if ($landing->isOpenTo($item->strike)) {
            return $item->with(landing: $landing);
        }
        if ($item->isLegStrike()) {
            $this->diagnostics->note(
                $span,
                t('The foot of the {strike} comes down there anyway.', strike: $item->strike->name),
            );

            return $item;
        }
        $this->diagnostics->problem(
            $span,
            InvalidChain::landing($item->strike, $landing)->getMessage(),
            Landing::Behind === $landing
                ? t('a kick or knee of the lead leg')
                : t('a kick or knee of the rear leg'),
            [],
        );

        return null;
    }

    private function number(StrikePhrase $phrase, Stance $running): ?StrikeItem
    {
        [$code, $letters] = [$phrase->code, $phrase->letters];
        $entry = $this->numbering->entry($code);
        if (null === $entry) {
            $this->unknownNumber($phrase);

            return null;
        }
        $strike = $this->catalogue->inFamily($entry->family, $entry->role($running));
        if (null === $strike) {
            $this->diagnostics->problem(
                $phrase->head,
                t(
                    '{code} is the {position} {family}, and in {running} that limb has none.',
                    code: $entry->code,
                    position: $entry->position->value,
                    family: $entry->family,
                    running: $running->value,
                ),
                t('a number of the other hand, or a switch before it'),
            );

            return null;
        }
        $target = $entry->target ?? $strike->defaultTarget();
        if ('' !== $letters) {
            $named = Target::tryFrom(strtolower($letters));
            if (null === $named) {
                $this->diagnostics->problem(
                    $phrase->head,
                    t('"{letters}" is not a target.', letters: $letters),
                    t('h for head, b for body or l for leg'),
                    $this->targets($code, $strike),
                );

                return null;
            }
            $target = $named;
        }

        return $this->item($strike, $phrase->targetOf($strike) ?? $target, $phrase);
    }

    private function unknownNumber(StrikePhrase $phrase): void
    {
        [$code, $letters] = [$phrase->code, $phrase->letters];
        $number = $code.$letters;
        $codes = array_map(strval(...), array_keys($this->numbering->entries));
        $near = array_values(
            array_filter(
                $codes,
                static fn (string $known): bool => \strlen($code) < 6 && 1 === levenshtein(strtoupper($code), $known),
            ),
        );
        if (ctype_digit($code) && \strlen($code) > 1 && \strlen($code) < 8 && '' === $letters) {
            $single = str_split($code);
            if ([] === array_filter($single, fn (string $digit): bool => null === $this->numbering->entry($digit))) {
                array_unshift($near, implode('-', $single));
            }
        }
        if (1 === preg_match('/^x\d{1,2}$/i', $number)) {
            $this->diagnostics->problem(
                $phrase->head,
                t('"{number}" repeats what is in [ ] before it, and there is none.', number: $number),
                t('[ ] around what repeats, such as {example}', example: '[1 2]'.strtolower($number)),
            );

            return;
        }
        $first = $codes[0] ?? '';
        $last = [] === $codes ? '' : $codes[\count($codes) - 1];
        $this->diagnostics->problem(
            $phrase->head,
            t(
                'There is no number {excerpt} in {numbering} numbering.',
                excerpt: Diagnostics::excerpt($code),
                numbering: $this->numbering->name,
            ),
            t('one of its numbers, {first} to {last}', first: $first, last: $last),
            \array_slice($near, 0, 4),
        );
    }

    /** @param list<Item> $before */
    private function noun(StrikePhrase $phrase, Stance $running, array $before): ?StrikeItem
    {
        $family = $this->vocabulary->nouns[$phrase->noun];
        $role = $phrase->side instanceof Side ? $running->roleOf($phrase->side) : $phrase->side;
        if (null !== $phrase->role && null !== $role && $phrase->role !== $role) {
            $this->diagnostics->problem(
                $phrase->span,
                t(
                    'In {running} the {role} side is the {sideOf} one.',
                    running: $running->value,
                    role: $phrase->role->value,
                    sideOf: $running->sideOf($phrase->role)->value,
                ),
                t('one of the two'),
                [$phrase->role->value.' '.$phrase->noun, $role->value.' '.$phrase->noun],
            );

            return null;
        }
        if (null !== $phrase->role && $phrase->side instanceof Role) {
            $this->diagnostics->note(
                $phrase->span,
                t('That side of the thigh is read as the {role} leg\'s.', role: $phrase->role->value),
                ['lead '.$phrase->noun.' low', 'rear '.$phrase->noun.' low'],
            );
        }
        $role ??= $this->role($phrase, $family, $running, $before);
        $strike = $this->catalogue->inFamily($family, $role);
        $fixed = $this->vocabulary->fixed[$phrase->noun] ?? $role;
        if (null === $strike || $fixed !== $role) {
            $other = $this->catalogue->inFamily($family, $fixed) ?? $this->catalogue->inFamily($family, $role->other());
            $this->diagnostics->problem(
                $phrase->span,
                t(
                    'There is no {side} {noun} in {running}.',
                    side: $phrase->side instanceof Side ? $phrase->side->value : $role->value,
                    noun: $phrase->noun,
                    running: $running->value,
                ),
                t('the strike of the other side'),
                array_values(array_filter([$strike?->name, $other?->name], is_string(...))),
            );

            return null;
        }

        return $this->item($strike, $phrase->targetOf($strike) ?? $strike->defaultTarget(), $phrase);
    }

    /**
     * Returns the role for a noun without a side: as the family or noun allows, as the target requires, otherwise the
     * usual one.
     *
     * @param list<Item> $before
     */
    private function role(StrikePhrase $phrase, string $family, Stance $running, array $before): Role
    {
        if (isset($this->vocabulary->fixed[$phrase->noun])) {
            return $this->vocabulary->fixed[$phrase->noun];
        }
        $last = LastStrike::in($before);
        if ($phrase->legUp && true === $last?->item->isLegStrike() && $this->vocabulary->isOfLeg($phrase->noun)) {
            return $last->role;
        }
        if (null !== $phrase->sameHand && null !== $last) {
            return $phrase->sameHand ? $last->role : $last->role->other();
        }
        $move = $before[\count($before) - 1] ?? null;
        if (null !== $phrase->sameHand && $move instanceof MoveItem && null !== $move->move->toward) {
            // "Check, kick back with the same leg".
            return $phrase->sameHand ? $move->move->toward : $move->move->toward->other();
        }
        $lead = $this->catalogue->inFamily($family, Role::Lead);
        $rear = $this->catalogue->inFamily($family, Role::Rear);
        if (null === $lead || null === $rear) {
            return null === $lead ? Role::Rear : Role::Lead;
        }
        $organ = Vocabulary::ORGANS[$phrase->targetWord ?? ''] ?? null;
        if (null !== $organ) {
            $role = $running->roleOf($organ);
            $this->diagnostics->note(
                $phrase->span,
                t(
                    '"{noun}" is read as {role} {family}: the {targetWord} is reached from the {organ}.',
                    noun: $phrase->noun,
                    role: $role->value,
                    family: $family,
                    targetWord: (string) $phrase->targetWord,
                    organ: $organ->value,
                ),
            );

            return $role;
        }
        if (null !== $phrase->startsWith && [] === $before) {
            return $phrase->startsWith;
        }
        $default = DefaultRole::of($family, $before, $this->catalogue);
        $this->diagnostics->note(
            $phrase->head,
            t(
                '"{noun}" is read as {role} {family}, {why}.',
                noun: $phrase->noun,
                role: $default->role->value,
                family: $family,
                why: $default->why,
            ),
            $default->asks
                ? [$default->role->value.' '.$phrase->noun, $default->role->other()->value.' '.$phrase->noun]
                : [],
        );

        return $default->role;
    }

    /** Creates the item, or reports that the strike does not reach that target. */
    private function item(Strike $strike, Target $target, StrikePhrase $phrase): ?StrikeItem
    {
        try {
            return new StrikeItem($strike, $target, $phrase->effort, $phrase->feint);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem(
                '' === $phrase->noun ? $phrase->head : $phrase->span,
                $invalid->getMessage(),
                implode(t(' or '), array_map(static fn (Target $t): string => $t->word(), $strike->targets)),
                '' === $phrase->noun ? $this->targets($phrase->code, $strike) : [$strike->name],
            );

            return null;
        }
    }

    /** @return list<string> the number at every target of its strike */
    private function targets(string $code, Strike $strike): array
    {
        return array_map(static fn (Target $target): string => $code.$target->value, $strike->targets);
    }
}
