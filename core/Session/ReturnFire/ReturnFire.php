<?php

declare(strict_types=1);

namespace Periplus\Core\Session\ReturnFire;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Next\Next;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

/**
 * The opponent answers with the strike that ended the chain. The defences follow from its limb, path, target and side
 * (core/data/defences.json), and the counters from the body as chain and defence have left it.
 *
 * @phpstan-type Row array{
 *     id: string,
 *     limbs?: list<string>,
 *     paths?: list<string>,
 *     targets?: list<string>,
 *     defences: list<array{moves: non-empty-list<string>, why: string}>,
 * }
 */
final readonly class ReturnFire
{
    /** Maximum number of counters listed. */
    public const MAX_COUNTERS = 6;

    /** @param list<Row> $rows */
    public function __construct(private Catalogue $catalogue, private Next $next, private array $rows)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $builtIn */
        static $builtIn = null;
        if (null === $builtIn) {
            /** @var array{rows: list<Row>} $data */
            $data = Data::read('defences');
            $builtIn = new self(Catalogue::builtIn(), new Next(Catalogue::builtIn()), $data['rows']);
        }

        return $builtIn;
    }

    /**
     * @param list<Limb>|null $limbs that may counter; what the rules let land when null
     *
     * @return list<Answer> from an opponent in each stance; empty when nothing of the chain lands
     */
    public function answers(ChainInStance $inStance, CheckOptions $options, ?array $limbs = null): array
    {
        $delivered = array_filter(
            $inStance->chain->strikes(),
            static fn (StrikeItem $item): bool => $item->delivered(),
        );
        $last = end($delivered);
        if (false === $last) {
            return [];
        }
        $strike = new StrikeItem($last->strike, $last->target);

        return array_map(fn (Stance $opponent): Answer => new Answer(
            $strike,
            $opponent,
            $opponent->sideOf($strike->strike->role),
            $this->defences($inStance, $strike, $opponent, $options, $limbs),
        ), [$inStance->stance, $inStance->stance->other()]);
    }

    /**
     * Returns the defences against a strike that comes after a chain.
     *
     * @param ChainInStance $thrown so far; may be empty
     * @param list<Limb>|null $limbs that may counter; what the rules let land when null
     *
     * @return non-empty-list<Defence>
     */
    public function against(
        ChainInStance $thrown,
        StrikeItem $strike,
        Stance $opponent,
        CheckOptions $options,
        ?array $limbs = null,
    ): array {
        $lands = new StrikeItem($strike->strike, $strike->target);
        $defences = $this->defences($thrown, $lands, $opponent, $options, $limbs);

        return [] === $defences ? throw new \LogicException('Every row of defences has one.') : $defences;
    }

    /** @return Row what takes such a strike */
    public function row(StrikeItem $item): array
    {
        foreach ($this->rows as $row) {
            if (\in_array($item->strike->limb->value, $row['limbs'] ?? [$item->strike->limb->value], true)
                && \in_array($item->strike->path->value, $row['paths'] ?? [$item->strike->path->value], true)
                && \in_array($item->target->word(), $row['targets'] ?? [$item->target->word()], true)) {
                return $row;
            }
        }
        throw new \LogicException(\sprintf('core/data/defences.json has nothing against the %s.', $item->strike->name));
    }

    /**
     * @param list<Limb>|null $limbs
     *
     * @return list<Defence>
     */
    private function defences(
        ChainInStance $inStance,
        StrikeItem $strike,
        Stance $opponent,
        CheckOptions $options,
        ?array $limbs,
    ): array {
        // The opponent's left faces our right.
        $near = $inStance->end->roleOf($opponent->sideOf($strike->strike->role->other()));
        $defences = [];
        foreach ($this->row($strike)['defences'] as $row) {
            $moves = array_map(
                fn (string $move): MoveItem => new MoveItem($this->catalogue->move($this->sided($move, $near))),
                $row['moves'],
            );
            $items = [...$inStance->chain->items, ...$moves];
            $counters = array_filter(
                $this->next->after($items, $options),
                static fn (Continuation $next): bool => $next->item instanceof StrikeItem
                    && (null === $limbs || \in_array($next->item->strike->limb, $limbs, true)),
            );
            // What answers soonest comes first, and of equal ones what is usual.
            usort(
                $counters,
                static fn (Continuation $one, Continuation $other): int => round($one->wait, 3)
                    <=> round($other->wait, 3),
            );
            $defences[] = new Defence(
                $moves,
                $row['why'],
                $this->link($inStance, $moves[0], $options),
                \array_slice($counters, 0, self::MAX_COUNTERS),
                $inStance->end,
            );
        }

        return $defences;
    }

    private function link(ChainInStance $inStance, MoveItem $move, CheckOptions $options): ?Link
    {
        $model = Check::builtIn()->model;
        $state = $model->begin($options->rules, $options->tempo, $options->medium);
        foreach ($inStance->chain->items as $item) {
            $model->take($state, $item);
        }

        return $model->take($state, $move);
    }

    private function sided(string $move, Role $near): string
    {
        return strtr($move, ['-near' => '-'.$near->value, '-far' => '-'.$near->other()->value]);
    }
}
