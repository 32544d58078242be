<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Technique\Stance;

/**
 * Adds the defaults of docs/formats/session.schema.json to a written plan, so that a plan typed by hand or stored long
 * ago looks like one from the planner. Lists hold objects alone: anything else in them is left out, because no screen
 * can show it. Other invalid values are kept, and {@see PlanReader} reports them.
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
            'needs' => '',
            'tracks' => [],
            'blocks' => [],
        ],
        'block' => [
            'kind' => BlockKind::Rounds,
            'name' => '',
            'note' => '',
            'changeover' => 0,
            'locked' => false,
            'rounds' => [],
        ],
        'round' => [
            'name' => '',
            'seconds' => null,
            'rest' => 0,
            'times' => 1,
            'laps' => 1,
            'breath' => 0,
            'stance' => RoundStance::Own,
            'moves' => false,
            'lastTen' => true,
            'note' => '',
            'locked' => false,
            'sets' => [],
            'tracks' => [],
        ],
        'track' => [],
        'lane' => [],
        'set' => [
            'drill' => PlanReader::DRILL,
            'seconds' => null,
            'combinations' => [],
            'parameters' => [],
            'allOut' => 0,
            'note' => '',
        ],
        'combination' => ['stance' => Stance::Orthodox],
    ];
    /** The lists of each part, and what is in them. */
    private const LISTS = [
        'plan' => ['tracks' => 'track', 'blocks' => 'block'],
        'track' => [],
        'block' => ['rounds' => 'round'],
        'round' => ['sets' => 'set', 'tracks' => 'lane'],
        'lane' => ['sets' => 'set'],
        'set' => ['combinations' => 'combination'],
        'combination' => [],
    ];

    /** The single objects of each part, and what they are. */
    private const OBJECTS = [
        'round' => ['inRest' => 'set'],
        'set' => ['easier' => 'combination', 'harder' => 'combination'],
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
        $values = array_filter($values, static fn (mixed $value): bool => null !== $value);
        foreach (self::OBJECTS[$part] ?? [] as $field => $of) {
            $object = self::objects([$values[$field] ?? null], $of)[0] ?? null;
            unset($values[$field]);
            $values += null === $object ? [] : [$field => $object];
        }
        $values += self::DEFAULTS[$part];
        foreach (self::LISTS[$part] as $list => $of) {
            if (isset($values[$list])) {
                $values[$list] = self::objects($values[$list], $of);
            }
        }
        if ('round' === $part) {
            $values['seconds'] ??= self::sum($values);
        }
        if ('set' === $part && [] === $values['parameters']) {
            // An empty list would be no object in JSON.
            $values['parameters'] = new \stdClass();
        }

        return $values;
    }

    /**
     * @param key-of<self::DEFAULTS> $part
     *
     * @return list<array<array-key, mixed>|\stdClass>
     */
    private static function objects(mixed $list, string $part): array
    {
        $objects = [];
        foreach (\is_array($list) ? $list : [] as $one) {
            // A text is short for a combination with that chain.
            $object = \is_string($one) && 'combination' === $part ? ['chain' => $one] : $one;
            if (\is_array($object)) {
                $complete = self::complete($object, $part);
                // An empty array would be no object in JSON.
                $objects[] = [] === $complete ? new \stdClass() : $complete;
            }
        }

        return $objects;
    }

    /**
     * Returns how long a round lasts whose sets all say their seconds, in s.
     *
     * @param array<array-key, mixed> $round
     */
    private static function sum(array $round): ?int
    {
        $sets = \is_array($round['sets'] ?? null) ? $round['sets'] : [];
        $sum = 0;
        foreach ($sets as $set) {
            if (!\is_array($set) || !\is_int($set['seconds'] ?? null)) {
                return null;
            }
            $sum += $set['seconds'];
        }

        [$laps, $breath] = [$round['laps'] ?? 1, $round['breath'] ?? 0];
        $laps = new Laps(\is_int($laps) ? $laps : 1, \is_int($breath) ? $breath : 0);

        return 0 === $sum ? null : $laps->seconds($sum, \count($sets));
    }
}
