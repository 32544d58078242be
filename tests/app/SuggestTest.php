<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

final class SuggestTest extends ApiTestCase
{
    public function testMendsSayWhatIsDoneAndWhatItSaves(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/mends', ['text' => '1 2 2', 'rules' => 'boxing']);
        $mends = self::rows($answer->body['mends']);

        self::assertSame(['slip rear before the second cross', '1 2 slip-rear 2', 'flows', 350], [$mends[0]['words'], $mends[0]['text'], $mends[0]['verdict'], $mends[0]['savedMs']]);
        self::assertSame('reload', $answer->body['verdict']);
        self::assertContains('no-exit', array_column(self::rows($answer->body['findings']), 'id'));
    }

    public function testMendsAreWrittenInTheAskedNumberingAndStance(): void
    {
        $this->signIn('coach');
        $mends = self::rows($this->ask('POST', '/api/mends', ['text' => '2 1 1', 'numbering' => 'hands', 'stance' => 'southpaw'])->body['mends']);

        self::assertSame('2 1 slip-rear 1', $mends[0]['text']);
        self::assertSame('1 2 slip-rear 2', $mends[0]['notation']);
    }

    public function testUnreadableTextHasNoMends(): void
    {
        $this->signIn('coach');
        self::assertSame([], $this->ask('POST', '/api/mends', ['text' => '1 99'])->body['mends']);
        self::assertSame([], $this->ask('POST', '/api/next', ['text' => '1 99'])->body['next']);
    }

    public function testNextFollowsTheCursor(): void
    {
        $this->signIn('coach');
        $end = $this->ask('POST', '/api/next', ['text' => '1 2', 'rules' => 'boxing']);
        $start = $this->ask('POST', '/api/next', ['text' => '1 2', 'rules' => 'boxing', 'after' => 0]);
        $empty = $this->ask('POST', '/api/next', ['text' => '']);

        self::assertSame([1, 0, null], [$end->body['after'], $start->body['after'], $empty->body['after']]);
        $wait = static fn (mixed $next, string $text): mixed => array_column(self::rows($next), 'waitMs', 'text')[$text];
        self::assertSame(350, $wait($end->body['next'], '2'));
        self::assertSame(0, $wait($start->body['next'], '2'));
        self::assertSame(0, $wait($empty->body['next'], '2'));
    }

    public function testGeneratedChainsAreNotInTheLibraryYet(): void
    {
        $this->signIn('head');
        $wishes = ['rules' => 'boxing', 'length' => 3, 'seed' => 5, 'count' => 4];
        $first = self::rows($this->ask('POST', '/api/generate', $wishes)->body['chains']);
        self::assertCount(4, $first);
        self::assertSame($first, self::rows($this->ask('POST', '/api/generate', $wishes)->body['chains']));
        $this->ask('POST', '/api/combinations', self::combination(['text' => $first[0]['text']]));
        self::assertNotContains($first[0]['text'], array_column(self::rows($this->ask('POST', '/api/generate', $wishes)->body['chains']), 'text'));
    }

    public function testCriteriaThatCannotBeMetNameOneToGiveUp(): void
    {
        $this->signIn('coach');
        $answer = $this->ask('POST', '/api/generate', ['rules' => 'boxing', 'weapons' => ['elbow']]);

        self::assertSame([], $answer->body['chains']);
        self::assertContains('weapons', array_column(self::rows($answer->body['relax']), 'criterion'));
    }

    /** What an answer says to give up is what another request can ask for, and brings as many as it says. */
    public function testGivingACriterionUpBringsAsManyAsStated(): void
    {
        $this->signIn('coach');
        $asked = ['rules' => 'boxing', 'length' => 7, 'weapons' => ['hand'], 'level' => 1, 'clean' => 'hint', 'count' => 6, 'seed' => 3];
        $relaxed = self::rows($this->ask('POST', '/api/generate', $asked)->body['relax']);
        self::assertNotSame([], $relaxed);
        foreach ($relaxed as $one) {
            self::assertIsString($one['words']);
            /** @var array<string, mixed> $criteria */
            $criteria = $one['criteria'];
            $answer = $this->ask('POST', '/api/generate', [...$asked, ...$criteria]);
            self::assertSame(200, $answer->status, $one['words']);
            self::assertGreaterThanOrEqual((int) preg_replace('/^.*: /', '', $one['words']), \count(self::rows($answer->body['chains'])), $one['words']);
        }
    }

    /** @param array<string, mixed> $criterion */
    #[TestWith([['length' => 1]])]
    #[TestWith([['weapons' => []]])]
    #[TestWith([['weapons' => ['tail']]])]
    #[TestWith([['level' => 4]])]
    #[TestWith([['theme' => 'juggling']])]
    #[TestWith([['count' => 1000]])]
    #[TestWith([['clean' => 'spotless']])]
    #[TestWith([['seed' => -1]])]
    #[TestWith([['rules' => 'wrestling']])]
    public function testInvalidCriteriaReturn422(array $criterion): void
    {
        $this->signIn('coach');
        self::assertSame(422, $this->ask('POST', '/api/generate', $criterion)->status);
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        self::assertIsArray($rows);

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }
}
