<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Technique\Stance;

/**
 * Writes out what a written plan leaves open, as docs/formats/session.schema.json says it: a plan that was typed by
 * hand or stored long ago then looks like one from the planner. What cannot be understood stays as it is, for
 * {@see PlanReader} to report.
 */
final readonly class CompletePlan implements \JsonSerializable
{
    /** What counts where a part says nothing, by part. */
    private const DEFAULTS = [
        'plan' => [
            'name' => '',
            'minutes' => null,
            'rules' => PlanReader::RULES,
            'group' => PlanReader::GROUP,
            'medium' => PlanReader::MEDIUM,
            'level' => PlanReader::LEVEL,
            'tempo' => PlanReader::TEMPO,
            'seed' => PlanReader::SEED,
            'numbering' => PlanReader::NUMBERING,
            'tracks' => [],
            'blocks' => [],
        ],
        'block' => ['kind' => BlockKind::Rounds, 'name' => '', 'changeover' => 0, 'locked' => false, 'rounds' => []],
        'round' => [
            'seconds' => null,
            'rest' => 0,
            'times' => 1,
            'stance' => RoundStance::Own,
            'moves' => false,
            'lastTen' => true,
            'note' => '',
            'locked' => false,
            'sets' => [],
            'tracks' => [],
        ],
        'lane' => [],
        'set' => [
            'drill' => PlanReader::DRILL,
            'seconds' => null,
            'combinations' => [],
            'parameters' => [],
            'note' => '',
        ],
        'combination' => ['stance' => Stance::Orthodox],
    ];
    /** The lists of each part, and what is in them. */
    private const LISTS = [
        'plan' => ['blocks' => 'block'],
        'block' => ['rounds' => 'round'],
        'round' => ['sets' => 'set', 'tracks' => 'lane'],
        'lane' => ['sets' => 'set'],
        'set' => ['combinations' => 'combination'],
        'combination' => [],
    ];

    /** @param array<array-key, mixed> $content */
    public function __construct(private array $content)
    {
    }

    /** @return array<array-key, mixed> */
    public function jsonSerialize(): array
    {
        return self::complete($this->content, 'plan');
    }

    /**
     * @param array<array-key, mixed> $values
     * @param key-of<self::DEFAULTS> $part
     *
     * @return array<array-key, mixed>
     */
    private static function complete(array $values, string $part): array
    {
        $values = array_filter($values, static fn (mixed $value): bool => null !== $value) + self::DEFAULTS[$part];
        foreach (self::LISTS[$part] as $list => $of) {
            if (\is_array($values[$list] ?? null)) {
                $values[$list] = array_map(
                    static fn (mixed $one): mixed => match (true) {
                        \is_array($one) => self::complete($one, $of),
                        \is_string($one) && 'combination' === $of => self::complete(['chain' => $one], $of),
                        default => $one,
                    },
                    $values[$list],
                );
            }
        }
        if ('round' === $part) {
            $values['seconds'] ??= self::sum($values['sets']);
        }
        if ('set' === $part && [] === $values['parameters']) {
            // An empty list would be no object in JSON.
            $values['parameters'] = new \stdClass();
        }

        return $values;
    }

    /** Returns how long a round lasts whose sets all say their seconds, in s. */
    private static function sum(mixed $sets): ?int
    {
        $sum = 0;
        foreach (\is_array($sets) ? $sets : [] as $set) {
            if (!\is_array($set) || !\is_int($set['seconds'] ?? null)) {
                return null;
            }
            $sum += $set['seconds'];
        }

        return 0 === $sum ? null : $sum;
    }
}
