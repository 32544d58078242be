<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Serializer\SeamDocument;
use Periplus\Core\Session\Serializer\SessionSerializer;
use PHPUnit\Framework\TestCase;

final class SeamsTest extends TestCase
{
    /** A burst has no gap; the gaps of the levels, 6, 4 and 2.5 s, are long enough for anything. */
    public function testARepeatedChainHasASeamAtTheGapOfItsDrill(): void
    {
        $seams = self::seams(
            ['combinations' => ['2']],
            ['drill' => 'bursts', 'combinations' => ['2']],
            ['drill' => 'bursts', 'combinations' => ['switch 1']],
            ['drill' => 'calls', 'combinations' => ['2', '1 2']],
            ['drill' => 'talk'],
        );

        self::assertSame(
            [
                ['blocks[0].rounds[0].sets[0]', '2', 4000, Verdict::Flows, 0],
                ['blocks[0].rounds[0].sets[1]', '2', 0, Verdict::Reload, 210],
                ['blocks[0].rounds[0].sets[2]', 'switch 1', 0, Verdict::Flows, 0],
            ],
            array_map(
                static fn (SeamDocument $seam): array => [
                    $seam->place,
                    $seam->chain,
                    $seam->gapMs,
                    $seam->verdict,
                    $seam->waitMs,
                ],
                $seams,
            ),
        );
        self::assertStringContainsString('needs it again', $seams[1]->reason);
    }

    /** Five power punches on one line are worth fixing where technique is trained, and a tip where power is. */
    public function testThePurposeOfARoundDecidesWhatIsWorthFixing(): void
    {
        $problems = static fn (?string $purpose): array => array_column(
            (new PlanReader())->read(Plans::of([[
                'seconds' => 60,
                'medium' => 'pads',
                ...null === $purpose ? [] : ['purpose' => $purpose],
                'sets' => [['combinations' => ['1 3 4 3 4 3']]],
            ]]))->problems,
            'message',
        );
        $said = '1 3 4 3 4 3: 5 strikes in a row, jabs not counted, and the head never leaves its line: a counter hook '
            .'finds it. Slip, roll or step in between.';

        self::assertContains($said, $problems('technique'));
        self::assertNotContains($said, $problems('power'));
        self::assertNotContains($said, $problems('conditioning'));
        self::assertNotContains($said, $problems(null), 'Without a purpose nothing more is said than what breaks.');
    }

    /**
     * @param array<string, mixed> ...$sets
     *
     * @return list<SeamDocument>
     */
    private static function seams(array ...$sets): array
    {
        return (new SessionSerializer(new PlanReader()))
            ->serialize(Plans::of([['seconds' => 300, 'sets' => $sets]]))
            ->seams;
    }
}
