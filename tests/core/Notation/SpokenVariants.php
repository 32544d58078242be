<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/**
 * Says a chain in the different ways of coaches, with no side or target left open: sides before or after, by role or by
 * hand, targets before, after or with "to the", numbers as digits or words, and different separators.
 */
final class SpokenVariants
{
    private const NUMBERS = [
        'one',
        'two',
        'three',
        'four',
        'five',
        'six',
        'seven',
        'eight',
        'nine',
        'ten',
        'eleven',
        'twelve',
        'thirteen',
        'fourteen',
        'fifteen',
        'sixteen',
        'seventeen',
        'eighteen',
        'nineteen',
    ];
    private const TENS = [2 => 'twenty', 3 => 'thirty', 4 => 'forty', 5 => 'fifty', 6 => 'sixty'];
    private const TARGETS = [
        'h' => ['head', 'face', 'chin', 'jaw'],
        'b' => ['body', 'ribs', 'stomach', 'chest'],
        'l' => ['leg', 'thigh', 'calf'],
    ];
    private const HIGH = ['h' => 'high', 'b' => 'middle', 'l' => 'low'];
    private const HARD = ['hard', 'power', 'big'];
    private const LIGHT = ['light', 'quick', 'soft'];
    private const BETWEEN = [', ', ', then ', ' -> ', '. ', '; ', ', and ', ' > ', ', into '];

    private int $seed;

    public function __construct(private readonly Numbering $numbering, int $seed)
    {
        $this->seed = $seed;
    }

    public function say(ChainInStance $inStance): string
    {
        $text = '';
        foreach ($inStance->chain->items as $index => $item) {
            $said = $this->item($item, $inStance->stances[$index]);
            $joined = $item instanceof StrikeItem && $item->joined;
            $between = $joined ? ', with ' : $this->one(self::BETWEEN);
            // "1. jab" would be the first of a list.
            $between = '. ' === $between && 1 === preg_match('/^\d+$/', $text) ? ', ' : $between;
            $text .= 0 === $index ? $said : $between.$said;
        }

        return $text;
    }

    private function item(Item $item, Stance $running): string
    {
        return match (true) {
            $item instanceof StrikeItem => $this->strike($item, $running),
            $item instanceof MoveItem => $this->move($item, $running),
            $item instanceof FreeStrikes => $this->free($item, $running),
            $item instanceof Beat => $this->one(['beat', 'pause', '/']),
            default => throw new \LogicException('There is no other kind of item.'),
        };
    }

    private function free(FreeStrikes $item, Stance $running): string
    {
        if ([] !== $item->choice) {
            $names = array_map(
                static fn (StrikeItem $strike): string => Words::byRole()->item($strike, $running),
                $item->choice,
            );

            return \sprintf('any %d %sof ', $item->count, $this->effort($item->effort))
                .implode($this->one([' or ', ' and ']), $names);
        }
        $ways = ['any %d {effort}strikes', '%d {effort}free strikes', 'any %d {effort}punches'];

        return strtr($this->one($ways, $item->count), ['{effort}' => $this->effort($item->effort)])
            .(null === $item->target ? '' : ' to the '.$this->one(self::TARGETS[$item->target->value]));
    }

    private function strike(StrikeItem $item, Stance $running): string
    {
        $code = (new Writer($this->numbering))->code($item, $running);
        if (null !== $code && 0 === $this->draw(3)) {
            return $this->number($item, $code);
        }
        $strike = $item->strike;
        $side = $this->one([$strike->role->value, $running->sideOf($strike->role)->value]);
        $noun = match ($strike->family) {
            'straight' => Role::Lead === $strike->role ? 'jab' : 'cross',
            'push kick' => $this->one(['push kick', 'teep', 'front kick']),
            'round kick' => $this->one(['round kick', 'roundhouse', 'kick']),
            default => $strike->family,
        };
        $bothSides =
            null !== Catalogue::builtIn()->inFamily($strike->family, Role::Lead)
            && null !== Catalogue::builtIn()->inFamily($strike->family, Role::Rear);
        // "Left leg kick" is a kick to the leg, "left hand head hook" could be two strikes, and only a noun of either
        // side may have its side after it.
        [$aimBefore, $aimAfter] = $this->aim($item);
        $limb =
            'kick' !== $noun
            && '' === $aimBefore
            && \in_array($strike->limb, [Limb::Leg, Limb::Hand], true)
            && 0 === $this->draw(4)
                ? ($strike->limb->isArm()
                    ? ' hand'
                    : ' leg')
                : '';
        $behind = $bothSides && 'straight' !== $strike->family && 0 === $this->draw(3);
        $before = $behind
            ? ''
            : ($bothSides && 'straight' !== $strike->family
                ? $side.$limb.' '
                : ('straight' === $strike->family && 0 === $this->draw(2)
                    ? $side.' '
                    : ''));
        $after = $behind ? ' '.$side : '';
        $mark =
            ($item->feint ? $this->one(['fake ', 'feint the ', 'show the ', 'feint ']) : '')
            .$this->effort($item->effort);
        $lands = match ($item->landing) {
            Landing::Back => '',
            Landing::Forward => $this->one([' landing forward', ' and set it down in front', ' landing in front']),
            Landing::Behind => $this->one([' landing behind', ' and put it down behind', ' set down behind']),
            Landing::HalfWay => $this->one([' landing halfway', ' and land half way', ' put down half way']),
        };
        $legUp = $item->legUp ? $this->one([' with the leg still up', ' without putting the foot down']) : '';

        return $mark.$before.$aimBefore.$noun.$after.$aimAfter.$lands.$legUp;
    }

    /** @return array{string, string} the target before and behind the noun */
    private function aim(StrikeItem $item): array
    {
        $target = $item->target;
        if ($target === $item->strike->defaultTarget() && 0 === $this->draw(2)) {
            return ['', ''];
        }
        $words = self::TARGETS[$target->value];
        $kick = !$item->strike->limb->isArm() && \count($item->strike->targets) > 2 ? self::HIGH[$target->value] : null;

        return match ($this->draw(3)) {
            0 => ['', ' to the '.$this->one($words)],
            // "Side kick left leg" names the leg that kicks.
            1 => ['', (Target::Leg === $target ? ' to ' : ' ').$words[0]],
            default => [(Target::Leg === $target ? $kick ?? 'low' : $kick ?? $words[0]).' ', ''],
        };
    }

    private function number(StrikeItem $item, string $code): string
    {
        $entry = $this->numbering->entry($code);
        $meant = null === $entry ? $item->strike->defaultTarget() : $entry->target ?? $item->strike->defaultTarget();
        $mark = $item->feint ? 'fake ' : '';
        $effort = $this->effort($item->effort);
        if ($item->legUp || Landing::Back !== $item->landing || ($item->target !== $meant && 0 === $this->draw(2))) {
            $sign = Effort::Plain === $item->effort ? '' : $item->effort->value;
            $number =
                $code
                .($item->target === $meant ? '' : $item->target->value)
                .$sign
                .$item->landing->value;

            return ($item->legUp ? '^' : '').($item->feint ? '('.$number.')' : $number);
        }
        $said = ctype_digit($code) && 0 === $this->draw(2) ? $this->calledOut((int) $code) : $code;

        return $mark
            .$effort
            .$said
            .($item->target === $meant ? '' : ' to the '.$this->one(self::TARGETS[$item->target->value]));
    }

    private function calledOut(int $number): string
    {
        $ones = self::NUMBERS[($number < 20 ? $number : $number % 10) - 1] ?? '';
        $tens = $number < 20 ? '' : self::TENS[intdiv($number, 10)] ?? '';

        return implode(
            $this->one([' ', '-']),
            array_filter([$tens, $ones], static fn (string $word): bool => '' !== $word),
        );
    }

    private function effort(Effort $effort): string
    {
        return match ($effort) {
            Effort::Hard => $this->one(self::HARD).' ',
            Effort::Light => $this->one(self::LIGHT).' ',
            Effort::Plain => '',
        };
    }

    private function move(MoveItem $item, Stance $running): string
    {
        $move = $item->move;
        $toward = $move->toward;
        $base = (string) preg_replace('/-(lead|rear)$/', '', $move->id);
        if (null === $toward || $base === $move->id) {
            return $move->id;
        }
        $side = $this->one([$toward->value, $running->sideOf($toward)->value]);
        $noun = match ($base) {
            'roll' => $this->one(['roll', 'weave', 'bob and weave']),
            'check' => $this->one(['check', 'leg check']),
            default => $base,
        };

        return $this->one(["$noun $side", "$side $noun", "$noun to the $side"]);
    }

    /** @param non-empty-list<string> $ways */
    private function one(array $ways, int ...$values): string
    {
        $way = $ways[$this->draw(\count($ways))];

        return [] === $values ? $way : \sprintf($way, ...$values);
    }

    private function draw(int $below): int
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return ($this->seed >> 8) % $below;
    }
}
