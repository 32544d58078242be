<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Technique\Stance;

/**
 * Writes out what a written plan leaves open, as docs/formats/session.schema.json says it: a plan that was typed by hand
 * or stored long ago then looks like one from the planner. What cannot be understood stays as it is, for
 * {@see PlanReader} to report.
 */
final readonly class CompletePlan implements \JsonSerializable
{
    /** @param array<array-key, mixed> $content */
    public function __construct(private array $content)
    {
    }

    /** @return array<array-key, mixed> */
    public function jsonSerialize(): array
    {
        return self::filled($this->content, [
            'name' => '',
            'minutes' => null,
            'rules' => PlanReader::RULES,
            'group' => PlanReader::GROUP->value,
            'medium' => PlanReader::MEDIUM->value,
            'level' => PlanReader::LEVEL,
            'tempo' => PlanReader::TEMPO,
            'seed' => PlanReader::SEED,
            'numbering' => PlanReader::NUMBERING,
            'tracks' => $this->content['tracks'] ?? [],
            'blocks' => self::each($this->content['blocks'] ?? [], self::block(...)),
        ]);
    }

    /**
     * @param array<array-key, mixed> $block
     *
     * @return array<array-key, mixed>
     */
    private static function block(array $block): array
    {
        return self::filled($block, [
            'kind' => BlockKind::Rounds->value,
            'name' => '',
            'changeover' => 0,
            'locked' => false,
            'rounds' => self::each($block['rounds'] ?? [], self::round(...)),
        ]);
    }

    /**
     * @param array<array-key, mixed> $round
     *
     * @return array<array-key, mixed>
     */
    private static function round(array $round): array
    {
        $sets = self::each($round['sets'] ?? [], self::set(...));
        $seconds = \is_array($sets) ? array_column($sets, 'seconds') : [];

        return self::filled($round, [
            'seconds' => [] === $seconds || [] !== array_filter($seconds, static fn ($one): bool => !\is_int($one))
                ? null
                : array_sum($seconds),
            'rest' => 0,
            'times' => 1,
            'stance' => RoundStance::Own->value,
            'moves' => false,
            'lastTen' => true,
            'note' => '',
            'locked' => false,
            'sets' => $sets,
            'tracks' => self::each($round['tracks'] ?? [], self::lane(...)),
        ]);
    }

    /**
     * @param array<array-key, mixed> $lane
     *
     * @return array<array-key, mixed>
     */
    private static function lane(array $lane): array
    {
        return isset($lane['sets']) ? [...$lane, 'sets' => self::each($lane['sets'], self::set(...))] : $lane;
    }

    /**
     * @param array<array-key, mixed> $set
     *
     * @return array<array-key, mixed>
     */
    private static function set(array $set): array
    {
        $combinations = $set['combinations'] ?? [];
        $parameters = $set['parameters'] ?? [];

        return self::filled($set, [
            'drill' => PlanReader::DRILL,
            'seconds' => null,
            'combinations' => \is_array($combinations)
                ? array_map(
                    static fn (mixed $one): mixed => \is_string($one) ? self::combination(['chain' => $one]) : (
                        \is_array($one) ? self::combination($one) : $one
                    ),
                    $combinations,
                )
                : $combinations,
            // An empty list would be no object in JSON.
            'parameters' => [] === $parameters ? new \stdClass() : $parameters,
            'note' => '',
        ]);
    }

    /**
     * @param array<array-key, mixed> $combination
     *
     * @return array<array-key, mixed>
     */
    private static function combination(array $combination): array
    {
        return [
            ...array_filter($combination, static fn (mixed $value): bool => null !== $value),
            'stance' => $combination['stance'] ?? Stance::Orthodox->value,
        ];
    }

    /**
     * Returns the values with those that are missing; lists and objects come completed.
     *
     * @param array<array-key, mixed> $values
     * @param array<string, mixed> $usual
     *
     * @return array<array-key, mixed>
     */
    private static function filled(array $values, array $usual): array
    {
        foreach ($usual as $field => $value) {
            if (!isset($values[$field]) || \is_array($value) || \is_object($value)) {
                $values[$field] = $value;
            }
        }

        return $values;
    }

    /** @param \Closure(array<array-key, mixed>): array<array-key, mixed> $complete */
    private static function each(mixed $list, \Closure $complete): mixed
    {
        return \is_array($list)
            ? array_map(static fn (mixed $one): mixed => \is_array($one) ? $complete($one) : $one, $list)
            : $list;
    }
}
