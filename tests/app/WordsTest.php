<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** The words that a gym passes over, wherever a line is typed. */
final class WordsTest extends ApiTestCase
{
    public function testAGymPassesOverItsOwnWords(): void
    {
        $this->signIn('head');
        self::assertSame(['zamba'], array_column($this->problems('jab, zamba, cross'), 'unknownWord'));

        $saved = $this->save(['Zamba ', 'by the  quay', 'nice'], []);

        self::assertSame(200, $saved->status, $saved->raw);
        self::assertSame(['zamba', 'by the quay'], $saved->body['own'], 'what ships is not stored once more');
        self::assertSame([], $this->problems('jab, zamba, cross by the quay'));
    }

    public function testThePlannerAndTheSearchPassThemOverToo(): void
    {
        $this->signIn('head');
        $plan = PlanTest::content();
        $this->save(['zamba'], []);
        array_walk_recursive($plan, static function (mixed &$value, mixed $key): void {
            $value = 'chain' === $key ? 'jab zamba cross' : $value;
        });

        $checked = $this->ask('POST', '/api/plans/check', ['content' => $plan]);
        self::assertSame(200, $checked->status, $checked->raw);
        self::assertStringNotContainsString('zamba\\"', (string) json_encode($checked->body['problems']));
        $found = $this->ask('GET', '/api/combinations?q='.rawurlencode('has jab zamba cross'));
        self::assertStringContainsString('"problems":[],"passedOver":["zamba"]', $found->raw);
    }

    public function testAWordThatShipsIsReadAgain(): void
    {
        $this->signIn('head');
        self::assertSame([], $this->problems('slap, cross'));

        self::assertSame(['slap'], $this->save([], ['slap', 'no-such-word'])->body['kept']);

        self::assertSame(['slap'], array_column($this->problems('slap, cross'), 'unknownWord'));
    }

    #[TestWith(['cross', 'says something in a combination'])]
    #[TestWith(['to the liver', 'says something in a combination'])]
    #[TestWith(['without it', 'says something in a combination'])]
    #[TestWith(['then', 'it joins the parts of a line'])]
    #[TestWith(['four', 'not one to 4 words'])]
    #[TestWith(['one word more than allowed here', 'not one to 4 words'])]
    #[TestWith(['*', 'not one to 4 words'])]
    #[TestWith(['at once', 'read as something else already'])]
    public function testAWordThatCarriesSomethingIsRefused(string $word, string $why): void
    {
        $this->signIn('head');
        $answer = $this->save(['fine', $word], []);

        self::assertSame(422, $answer->status, $answer->raw);
        self::assertStringContainsString($why, $answer->raw);
        self::assertSame([], $this->ask('GET', '/api/passed-over-words')->body['own']);
    }

    public function testTwoWhoEditThemDoNotOverwriteEachOther(): void
    {
        $this->signIn('head');
        self::assertSame(200, $this->save(['zamba'], [])->status);
        self::assertSame(412, $this->save(['samba'], [])->status);
        self::assertSame(['zamba'], $this->ask('GET', '/api/passed-over-words')->body['own']);
    }

    public function testTheAuditLogNamesTheWords(): void
    {
        $this->signIn('head');
        $this->save(['zamba'], ['slap']);
        $entries = $this->ask('GET', '/api/audit-log')->body['entries'];
        self::assertIsArray($entries);

        self::assertContains('passes over: zamba; no longer: slap', array_column($entries, 'says'));
    }

    /**
     * @param list<string> $own
     * @param list<string> $kept
     */
    private function save(array $own, array $kept): Answer
    {
        return $this->ask('PUT', '/api/passed-over-words', ['own' => $own, 'kept' => $kept], ['If-Match' => '"1"']);
    }

    /** @return array<mixed> */
    private function problems(string $line): array
    {
        $problems = $this->ask('POST', '/api/check', ['text' => $line])->body['problems'];
        self::assertIsArray($problems);

        return $problems;
    }
}
