<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Plan\CompletePlan;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Serializer\SessionSerializer;
use Periplus\Core\Session\Warnings\WarningRegistry;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Plans with wrong values in some places: there is always an answer, with a sentence for each mistake. */
final class BrokenPlansTest extends TestCase
{
    private const VALUES = [
        null,
        true,
        -1,
        0,
        1,
        7.5,
        1e12,
        10_000,
        '',
        'x',
        '1 2',
        '1 99',
        "\xff",
        [],
        [1],
        [[]],
        ['a' => 1],
        [null],
        'own',
        'repeat',
        'calls',
    ];

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    #[TestWith([5])]
    #[TestWith([6])]
    #[TestWith([7])]
    #[TestWith([8])]
    public function testAnyPlanIsAnswered(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $serializer = new SessionSerializer(new PlanReader());
        for ($plan = 0; $plan < 40; ++$plan) {
            $written = self::plan($random);
            for ($change = $random->getInt(1, 4); $change > 0; --$change) {
                $written = self::broken($written, $random);
            }
            $document = $serializer->serialize($written);
            // Throws when it cannot be encoded.
            json_encode($document, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE);
            foreach ($document->problems as $problem) {
                self::assertNotSame('', $problem->message);
                self::assertNotSame('', $problem->where);
            }
            self::assertGreaterThanOrEqual(0, $document->lengthMs);
        }
    }

    #[TestWith([11])]
    #[TestWith([12])]
    #[TestWith([13])]
    public function testAnyFixOfAnyPlanIsAPlan(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $serializer = new SessionSerializer(new PlanReader());
        for ($plan = 0; $plan < 12; ++$plan) {
            $written = self::broken(self::plan($random), $random);
            foreach (array_keys(WarningRegistry::all()) as $warning) {
                $fixed = $serializer->fixed(\is_array($written) ? $written : [], $warning);
                self::assertIsArray($fixed);
                self::assertGreaterThanOrEqual(0, (new PlanReader())->read($fixed)->plan->seconds());
            }
        }
    }

    #[TestWith([21])]
    #[TestWith([22])]
    public function testThePlannerCanShowAnyPlan(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        for ($plan = 0; $plan < 200; ++$plan) {
            $written = self::broken(self::broken(self::plan($random), $random), $random);
            $json = json_encode(
                new CompletePlan(\is_array($written) ? $written : []),
                \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
            );
            $content = json_decode($json, flags: \JSON_THROW_ON_ERROR);
            self::assertIsObject($content);
            self::objects($content, 'tracks', $json);
            foreach (self::objects($content, 'blocks', $json) as $block) {
                foreach (self::objects($block, 'rounds', $json) as $round) {
                    self::objects($round, 'tracks', $json);
                    foreach (self::objects($round, 'sets', $json) as $set) {
                        self::objects($set, 'combinations', $json);
                    }
                }
            }
        }
    }

    /** @return list<\stdClass> of that field, which has to hold objects alone */
    private static function objects(object $part, string $field, string $json): array
    {
        $list = get_object_vars($part)[$field] ?? null;
        self::assertIsArray($list, $field.' in '.$json);
        self::assertContainsOnlyInstancesOf(\stdClass::class, $list, $field.' in '.$json);

        return array_values($list);
    }

    /** @return array<string, mixed> */
    private static function plan(Randomizer $random): array
    {
        $drills = DrillRegistry::definitions();
        $set = static function () use ($random, $drills): array {
            $drill = $drills[$random->getInt(0, \count($drills) - 1)];

            return [
                'drill' => $drill->id,
                'combinations' => \array_slice(['1 2', '1 2 3', '1 2 3 2', '14l', '5 6'], 0, $drill->combinations[0]),
                'parameters' => [],
            ];
        };

        return [
            'name' => 'A', 'minutes' => 60, 'level' => 2, 'seed' => $random->getInt(0, 99),
            'tracks' => [['name' => 'A', 'level' => 1], ['name' => 'B', 'level' => 3]],
            'blocks' => [
                [
                    'kind' => 'rounds',
                    'rounds' => [
                        [
                            'seconds' => 120,
                            'rest' => 60,
                            'times' => 2,
                            'sets' => [$set(), $set()],
                            'tracks' => [['track' => 0, 'pattern' => [30, 30], 'sets' => [$set()]]],
                        ],
                    ],
                    'changeover' => 30,
                ],
                ['kind' => 'cool-down', 'rounds' => [['sets' => [[...$set(), 'seconds' => 60]]]]],
            ],
        ];
    }

    /** Returns the document with a random value replaced. */
    private static function broken(mixed $value, Randomizer $random): mixed
    {
        if (!\is_array($value) || [] === $value || 0 === $random->getInt(0, 5)) {
            return self::VALUES[$random->getInt(0, \count(self::VALUES) - 1)];
        }
        $keys = array_keys($value);
        $key = $keys[$random->getInt(0, \count($keys) - 1)];
        $value[$key] = self::broken($value[$key], $random);

        return $value;
    }
}
