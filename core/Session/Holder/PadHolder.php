<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Holder;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Words;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * What a pad holder does for a chain: shows a pad for each strike, and feeds the strike that a defence takes. From
 * core/data/holding.json; common practice, no source.
 *
 * @phpstan-type Shown array{
 *     id: string,
 *     limbs?: list<string>,
 *     paths?: list<string>,
 *     targets?: list<string>,
 *     shows: string,
 * }
 * @phpstan-type Fed array{move: string, family: string, target: string}
 */
final readonly class PadHolder
{
    /**
     * @param list<Shown> $shows
     * @param list<Fed> $feeds
     */
    private function __construct(private Catalogue $catalogue, private array $shows, private array $feeds)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $builtIn */
        static $builtIn = null;
        if (null === $builtIn) {
            /** @var array{shows: list<Shown>, feeds: list<Fed>} $data */
            $data = Data::read('holding');
            $builtIn = new self(Catalogue::builtIn(), $data['shows'], $data['feeds']);
        }

        return $builtIn;
    }

    /** @return list<string> what the holder does in turn, in words; nothing for steps and pauses */
    public function does(ChainInStance $inStance): array
    {
        $does = [];
        foreach ($inStance->chain->items as $index => $item) {
            $stance = $inStance->stances[$index];
            $does[] = match (true) {
                $item instanceof StrikeItem && $item->delivered() => $this->shown($item, $stance),
                $item instanceof MoveItem && MoveKind::Defence === $item->move->kind => $this->fed($item, $stance),
                $item instanceof FreeStrikes => t('both pads up, whatever comes'),
                default => null,
            };
        }

        return array_values(array_filter($does, static fn (?string $one): bool => null !== $one));
    }

    private function shown(StrikeItem $item, Stance $athlete): string
    {
        // They face each other: the athlete's left meets the holder's right.
        $near = $athlete->sideOf($item->strike->role->other());
        foreach ($this->shows as $row) {
            if (\in_array($item->strike->limb->value, $row['limbs'] ?? [$item->strike->limb->value], true)
                && \in_array($item->strike->path->value, $row['paths'] ?? [$item->strike->path->value], true)
                && \in_array($item->target->word(), $row['targets'] ?? [$item->target->word()], true)) {
                return strtr($row['shows'], ['{near}' => $near->value]);
            }
        }
        throw new \LogicException(\sprintf('core/data/holding.json has nothing for the %s.', $item->strike->name));
    }

    /** @param Stance $stance of the athlete, which is also the holder's */
    private function fed(MoveItem $item, Stance $stance): ?string
    {
        [$move, $side] = [...explode('-', $item->move->id, 2), ''];
        foreach ($this->feeds as $row) {
            // What moves to one side takes what comes from the holder's other hand or leg.
            $role = 'lead' === $side ? Role::Rear : Role::Lead;
            $strike = $row['move'] === $move ? $this->catalogue->inFamily($row['family'], $role) : null;
            if (null !== $strike) {
                $target = Target::from($row['target'][0]);

                return t(
                    'feeds a slow {strike}',
                    strike: Words::bySide()->item(new StrikeItem($strike, $target), $stance),
                );
            }
        }

        return null;
    }
}
