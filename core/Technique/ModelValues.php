<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** All numbers of the timing model, with unit, source and bounds. */
final class ModelValues
{
    /** Numbers of a strike: the path in its row, the name, and the field in techniques.json with its description. */
    private const STRIKE = [
        'out' => ['out', 'out', 'out'],
        'back' => ['back', 'back', 'back'],
        'needs.load.from' => ['needs.load.0', 'needs load from', 'needs.load'],
        'needs.load.to' => ['needs.load.1', 'needs load to', 'needs.load'],
        'needs.turn.from' => ['needs.turn.0', 'needs turn from', 'needs.turn'],
        'needs.turn.to' => ['needs.turn.1', 'needs turn to', 'needs.turn'],
        'needs.turnHead.to' => ['needs.turnHead.1', 'needs turn to, to the head', 'needs.turnHead'],
        'leaves.load' => ['leaves.load', 'leaves load', 'leaves.load'],
        'leaves.frontFootLoad' => ['leaves.frontFootLoad', 'leaves load, front-foot school', 'leaves.frontFootLoad'],
        'leaves.turn' => ['leaves.turn', 'leaves turn', 'leaves.turn'],
    ];
    private const MOVE = [
        'duration' => ['duration', 'duration', 'duration'],
        'load' => ['load', 'leaves load', 'load'],
        'turn' => ['turn', 'leaves turn', 'turn'],
        'needs.load.from' => ['needs.load.0', 'needs load from', 'needs.load'],
        'needs.load.to' => ['needs.load.1', 'needs load to', 'needs.load'],
    ];
    /**
     * Range within which a value of a strike or move may be changed: times by a share, loads and turns by an amount.
     */
    private const TIME_RANGE = 0.5;
    private const LOAD_RANGE = 0.25;
    private const TURN_RANGE = 0.4;

    /** @return array<string, ModelValue> by key */
    public static function all(): array
    {
        /** @var array<string, ModelValue>|null $values */
        static $values = null;

        return $values ??= [
            ...self::body(),
            ...self::rows('techniques', 'strikes', self::STRIKE),
            ...self::rows('moves', 'moves', self::MOVE),
        ];
    }

    /** Returns the path of a number within its row. */
    public static function path(string $key): string
    {
        [$of, $part] = explode('.', $key, 2) + [1 => ''];

        return 'body' === $of ? $part : (self::STRIKE[$part] ?? self::MOVE[$part] ?? [$part])[0];
    }

    /** @return array<string, ModelValue> */
    private static function body(): array
    {
        /**
         * @var array{
         *     values: array<string, array{
         *         value: int|float,
         *         unit: string,
         *         meaning: string,
         *         source: string,
         *         least: int|float,
         *         most: int|float,
         *     }>,
         * } $data
         */
        $data = Data::read('body');
        $values = [];
        foreach ($data['values'] as $name => $row) {
            $words = strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])/', ' ', $name));
            $values['body.'.$name] = new ModelValue(
                key: 'body.'.$name,
                of: 'body',
                name: $words,
                value: (float) $row['value'],
                unit: $row['unit'],
                meaning: $row['meaning'],
                source: $row['source'],
                least: (float) $row['least'],
                most: (float) $row['most'],
                step: self::step($row['unit']),
            );
        }

        return $values;
    }

    /**
     * @param array<string, array{string, string, string}> $parts
     *
     * @return array<string, ModelValue>
     */
    private static function rows(string $file, string $list, array $parts): array
    {
        $read = Data::read($file);
        /** @var array{source: string, fields: array<string, array{unit: string, meaning: string}>} $data */
        $data = $read;
        /** @var list<array{id: string, kind?: string, note?: string}> $rows */
        $rows = $read[$list] ?? [];
        $values = [];
        foreach ($rows as $row) {
            // Where a chain begins takes no time and moves nothing.
            if (MoveKind::Start->value === ($row['kind'] ?? '')) {
                continue;
            }
            foreach ($parts as $part => [$path, $name, $field]) {
                $value = self::at($row, $path);
                if (null === $value) {
                    continue;
                }
                ['unit' => $unit, 'meaning' => $meaning] = $data['fields'][$field];
                [$least, $most] = self::bounds($field, $value);
                $key = $row['id'].'.'.$part;
                $values[$key] = new ModelValue(
                    key: $key,
                    of: $row['id'],
                    name: $name,
                    value: $value,
                    unit: $unit,
                    meaning: $meaning,
                    source: $data['source'],
                    least: $least,
                    most: $most,
                    step: self::step($unit),
                    note: $row['note'] ?? null,
                );
            }
        }

        return $values;
    }

    /** @param array<mixed> $row */
    private static function at(array $row, string $path): ?float
    {
        $value = $row;
        foreach (explode('.', $path) as $step) {
            $value = \is_array($value) ? $value[$step] ?? null : null;
        }

        return \is_int($value) || \is_float($value) ? (float) $value : null;
    }

    /** @return array{float, float} */
    private static function bounds(string $field, float $value): array
    {
        return match (true) {
            str_contains($field, 'urn') => [
                max(-1.0, round($value - self::TURN_RANGE, 2)),
                min(1.0, round($value + self::TURN_RANGE, 2)),
            ],
            str_contains($field, 'oad') => [
                max(0.0, round($value - self::LOAD_RANGE, 2)),
                min(1.0, round($value + self::LOAD_RANGE, 2)),
            ],
            default => [round($value * (1 - self::TIME_RANGE)), round($value * (1 + self::TIME_RANGE))],
        };
    }

    private static function step(string $unit): float
    {
        return match (true) {
            'band' === $unit => 1.0,
            str_starts_with($unit, 'ms') => 10.0,
            default => 0.01,
        };
    }
}
