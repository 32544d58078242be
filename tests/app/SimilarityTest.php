<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Similarity\Relation;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;

/** What the library finds by its index is what comparing with each of its combinations finds. */
final class SimilarityTest extends ApiTestCase
{
    private const LIBRARY = [
        '1 2 3 exit',
        '1 2 3b exit',
        '1 2 5 exit',
        '1 2 exit',
        '1 2 3 2 exit',
        '2 3 2 exit',
        '1 slip-lead 2 3 exit',
        '1 1 2 exit',
        '3 2 3 exit',
        '6 3 2 exit',
        '13 14l exit',
        '14l exit',
    ];

    #[TestWith(['1 2 3 exit'])]
    #[TestWith(['1 2b 3 exit'])]
    #[TestWith(['2 3 exit'])]
    #[TestWith(['1 2 3 14l exit'])]
    #[TestWith(['14l'])]
    #[TestWith(['13 14 exit'])]
    #[TestWith(['1 2 6 3 2 exit'])]
    #[TestWith(['22 66'])]
    public function testTheIndexFindsWhatComparingWithEachCombinationFinds(string $asked): void
    {
        $this->signIn('head');
        $this->store(self::LIBRARY);
        $distance = EditDistance::builtIn();
        $sequence = Sequence::of(Chains::read($asked));
        $expected = [];
        foreach (self::LIBRARY as $text) {
            $other = Sequence::of(Chains::read($text));
            $relation = Relation::between($sequence, $other, $distance);
            if (null !== $relation) {
                $expected[$text] = [$relation->value, round($distance->distance($sequence, $other), 6)];
            }
        }

        $found = [];
        foreach ($this->similarTo($asked) as $match) {
            self::assertIsString($match['name']);
            self::assertIsNumeric($match['distance']);
            $found[$match['name']] = [$match['relation'], round((float) $match['distance'], 6)];
        }
        ksort($expected);
        $inOrder = $found;
        ksort($found);

        self::assertSame($expected, $found, 'similar to '.$asked);
        $ranks = array_map(
            static fn (array $match): int => Relation::from(\is_string($match[0]) ? $match[0] : '')->rank(),
            array_values($inOrder),
        );
        self::assertSame(self::sorted($ranks), $ranks, 'the closest relation comes first');
    }

    public function testTheSameLimbsInTheOtherStanceAreFound(): void
    {
        $this->signIn('head');
        // Left, right, left of an orthodox athlete, thrown by the same hands of a southpaw.
        $this->store(['2 1 4 exit']);

        self::assertSame(
            [['2 1 4 exit', 'mirror']],
            array_map(
                static fn (array $match): array => [$match['name'], $match['relation']],
                $this->similarTo('1 2 3 exit'),
            ),
        );
    }

    public function testAnArchivedCombinationIsNotFound(): void
    {
        $this->signIn('head');
        $ids = $this->store(['1 2 3b exit', '1 2 exit']);
        $this->ask(
            'POST',
            '/api/combinations/'.$ids['1 2 3b exit'].'/archive',
            null,
            ['If-Match' => '"1"'],
        );

        self::assertSame(['1 2 exit'], array_column($this->similarTo('1 2 3 exit'), 'name'));
    }

    public function testNearDuplicatesComeOnceEachTheClosestFirst(): void
    {
        $this->signIn('head');
        $ids = $this->store(self::LIBRARY);
        $names = array_flip($ids);
        $pairs = $this->rows($this->ask('GET', '/api/near-duplicates')->body['pairs']);
        $found = [];
        foreach ($pairs as $pair) {
            self::assertIsArray($pair['one']);
            self::assertIsArray($pair['other']);
            $both = [];
            foreach ([$pair['one']['id'], $pair['other']['id']] as $id) {
                self::assertIsInt($id);
                $both[] = $names[$id];
            }
            sort($both);
            $found[implode(' and ', $both)] = $pair['distance'];
        }

        self::assertCount(\count($pairs), $found, 'no pair comes twice');
        self::assertSame(self::sorted(array_values($found)), array_values($found), 'the closest pair comes first');
        $expected = [];
        foreach (self::LIBRARY as $at => $one) {
            foreach (\array_slice(self::LIBRARY, $at + 1) as $other) {
                $relation = Relation::between(
                    Sequence::of(Chains::read($one)),
                    Sequence::of(Chains::read($other)),
                    EditDistance::builtIn(),
                );
                if (\in_array($relation, [Relation::Same, Relation::TargetDiffers, Relation::OneApart], true)) {
                    $both = [$one, $other];
                    sort($both);
                    $expected[] = implode(' and ', $both);
                }
            }
        }
        self::assertEqualsCanonicalizing($expected, array_keys($found));
    }

    /**
     * @param list<string> $texts
     *
     * @return array<string, int> the ids by text, which is the name too
     */
    private function store(array $texts): array
    {
        $ids = [];
        foreach ($texts as $text) {
            $answer = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $text, 'text' => $text, 'rules' => 'all-limbs']),
            );
            self::assertSame(201, $answer->status, $text.': '.$answer->title());
            $ids[$text] = $answer->id();
        }

        return $ids;
    }

    /** @return list<array<string, mixed>> */
    private function similarTo(string $text): array
    {
        $answer = $this->ask('POST', '/api/check', ['text' => $text, 'rules' => 'all-limbs', 'with' => ['similar']]);
        self::assertIsArray($answer->body['similar']);

        return $this->rows($answer->body['similar']['matches']);
    }

    /** @return list<array<string, mixed>> */
    private function rows(mixed $rows): array
    {
        self::assertIsArray($rows);

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<mixed>
     */
    private static function sorted(array $values): array
    {
        sort($values);

        return $values;
    }
}
