<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

/**
 * Decides which hand or leg a noun without a side means: the one that a slip or roll has loaded, otherwise the usual
 * one for the noun, otherwise the one opposite to the strike before. Common practice, no source.
 */
final readonly class DefaultRole
{
    /**
     * @param string $why the end of the sentence that explains it: "after the jab"
     * @param bool $asks whether the other role is as likely
     */
    private function __construct(public Role $role, public string $why, public bool $asks)
    {
    }

    /** @param list<Item> $before the items before it in the chain */
    public static function of(string $family, array $before, Catalogue $catalogue): self
    {
        $isArm =
            ($catalogue->inFamily($family, Role::Lead) ?? $catalogue->inFamily($family, Role::Rear))?->limb->isArm()
            ?? true;
        $usual = $catalogue->roleWith(StrikeTrait::Usual, $family);
        $loaded = self::loaded($before);
        if (null !== $loaded) {
            $side = $isArm ? $loaded->move->toward : $loaded->move->toward?->other();
            if (null !== $side) {
                return new self(
                    $side,
                    $isArm
                        ? t('which the {move} loads', move: $loaded->name())
                        : t('which the {move} leaves free', move: $loaded->name()),
                    null !== $usual && $usual !== $side,
                );
            }
        }
        $before = LastStrike::in($before);
        [$last, $was] = [$before?->item, $before?->role];
        if (null !== $usual) {
            return new self($usual, t('as usual'), $was === $usual && $last?->strike->limb->isArm() === $isArm);
        }
        if (null === $last || null === $was) {
            return new self(
                $catalogue->roleWith(StrikeTrait::UsualFirst, $family) ?? Role::Lead,
                t('as usual at the start'),
                'hook' !== $family,
            );
        }
        $afterJab = $catalogue->roleWith(StrikeTrait::UsualAfterJab, $family);
        if (Role::Lead === $was && 'straight' === $last->strike->family && null !== $afterJab) {
            return new self(
                $afterJab,
                t('as usual after the {strike}', strike: $last->strike->name),
                false,
            );
        }
        if (!$isArm && $last->strike->limb->isArm()) {
            return new self(Role::Rear, t('as usual'), false);
        }

        return new self(
            $was->other(),
            t('opposite to the {strike} before it', strike: $last->strike->name),
            $family === $last->strike->family || ('hook' === $family && Role::Lead === $was),
        );
    }

    /**
     * Returns the slip or roll that directly precedes, or null.
     *
     * @param list<Item> $before
     */
    private static function loaded(array $before): ?MoveItem
    {
        $item = $before[\count($before) - 1] ?? null;

        return $item instanceof MoveItem
            && MoveKind::Defence === $item->move->kind
            && Head::Stays !== $item->move->head
            && null !== $item->move->toward
            ? $item
            : null;
    }
}
