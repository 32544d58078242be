<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * Reads the catalogue from its JSON files. The tests check the files against their schemas, so this class trusts their
 * shape; the constructors reject impossible values.
 *
 * @phpstan-type StrikeRow array{
 *     id: string,
 *     sign: string,
 *     name: string,
 *     family: string,
 *     limb: string,
 *     role: string,
 *     path: string,
 *     targets: non-empty-list<string>,
 *     out: int,
 *     back: int,
 *     needs: array{load: array{float, float}, turn: array{float, float}, turnHead?: array{float, float}},
 *     leaves: array{load: float, turn: float, frontFootLoad?: float},
 *     ranges: array{any: non-empty-list<int>, head?: non-empty-list<int>},
 *     standsOn: string,
 *     rare?: bool,
 *     traits?: list<string>,
 *     topic?: string,
 *     turnsInto?: list<string>,
 *     carry?: array{to: string, why: string},
 * }
 * @phpstan-type MoveRow array{
 *     id: string,
 *     sign: string,
 *     kind: string,
 *     duration: int,
 *     load: ?float,
 *     turn: ?float,
 *     needs?: array{load: array{float, float}},
 *     foot?: string,
 *     range: int|string,
 *     head: string,
 *     feet: string,
 *     toward: ?string,
 *     carry: string,
 *     carryNote?: string,
 *     startsAt?: int,
 * }
 */
final readonly class CatalogueData
{
    /** @param array<string, float> $own in place of what ships, by the key of {@see ModelValues} */
    public function read(array $own = []): Catalogue
    {
        /** @var array{strikes: list<StrikeRow>} $techniques */
        $techniques = Data::read('techniques');
        /** @var array{moves: list<MoveRow>} $moves */
        $moves = Data::read('moves');
        /** @var array{values: array<string, array{value: int|float}>} $body */
        $body = Data::read('body');

        $strikesById = $movesById = [];
        foreach ($techniques['strikes'] as $row) {
            $strikesById[$row['id']] = $this->strike($this->calibrated($row, $row['id'], $own));
        }
        foreach ($moves['moves'] as $row) {
            $movesById[$row['id']] = $this->move($this->calibrated($row, $row['id'], $own));
        }
        $values = array_map(static fn (array $row): int|float => $row['value'], $body['values']);

        return new Catalogue($strikesById, $movesById, Body::of($this->calibrated($values, 'body', $own)));
    }

    /** @param StrikeRow $row */
    private function strike(array $row): Strike
    {
        return new Strike(
            id: $row['id'],
            sign: $row['sign'],
            name: $row['name'],
            family: $row['family'],
            limb: Limb::from($row['limb']),
            role: Role::from($row['role']),
            path: Path::from($row['path']),
            targets: array_map(Target::fromWord(...), $row['targets']),
            out: $row['out'],
            back: $row['back'],
            needsLoad: new Window(...$row['needs']['load']),
            needsTurn: new Window(...$row['needs']['turn']),
            needsTurnHead: isset($row['needs']['turnHead']) ? new Window(...$row['needs']['turnHead']) : null,
            leavesLoad: $row['leaves']['load'],
            leavesTurn: $row['leaves']['turn'],
            frontFootLoad: $row['leaves']['frontFootLoad'] ?? $row['leaves']['load'],
            ranges: $row['ranges'],
            standsOn: Role::tryFrom($row['standsOn']),
            carry: isset($row['carry']) ? new Carry($row['carry']['to'], $row['carry']['why']) : null,
            rare: $row['rare'] ?? false,
            traits: array_map(StrikeTrait::from(...), $row['traits'] ?? []),
            topic: $row['topic'] ?? null,
            turnsInto: $row['turnsInto'] ?? [],
        );
    }

    /** @param MoveRow $row */
    private function move(array $row): Move
    {
        return new Move(
            id: $row['id'],
            sign: $row['sign'],
            kind: MoveKind::from($row['kind']),
            duration: $row['duration'],
            load: $row['load'],
            turn: $row['turn'],
            needsLoad: isset($row['needs']) ? new Window(...$row['needs']['load']) : null,
            foot: Role::tryFrom($row['foot'] ?? ''),
            range: \is_int($row['range']) ? $row['range'] : 0,
            toClinch: 'clinch' === $row['range'],
            head: Head::from($row['head']),
            feet: Feet::from($row['feet']),
            toward: null === $row['toward'] ? null : Role::from($row['toward']),
            carry: $row['carry'],
            carryNote: $row['carryNote'] ?? null,
            startsAt: $row['startsAt'] ?? null,
        );
    }

    /**
     * @template T of array<mixed>
     *
     * @param T $row
     * @param array<string, float> $own
     *
     * @return T
     */
    private function calibrated(array $row, string $of, array $own): array
    {
        foreach ($own as $key => $value) {
            if (!str_starts_with($key, $of.'.')) {
                continue;
            }
            $place = &$row;
            foreach (explode('.', ModelValues::path($key)) as $step) {
                \assert(\is_array($place));
                $place = &$place[$step];
            }
            // Times are whole ms.
            $place = ModelValues::all()[$key]->step >= 1.0 ? (int) $value : $value;
            unset($place);
        }

        /** @var T $row the paths are those of the data, so that its shape stays */
        return $row;
    }
}
