<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** Proposals of coaches and their review. */
final class ReviewTest extends ApiTestCase
{
    public function testApprovedProposalIsInTheLibrary(): void
    {
        $this->signIn('coach');
        $proposal = $this->ask('POST', '/api/proposals', [
            'kind' => 'new',
            'content' => self::combination(),
            'remark' => 'For Thursday.',
        ]);
        self::assertSame([201, 'open', '"1"'], [$proposal->status, $proposal->body['state'], $proposal->etag]);
        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total'], 'It is not in use yet.');

        $this->signIn('head');
        self::assertSame(
            ['open' => 1, 'returned' => 0, 'approved' => 0, 'rejected' => 0],
            $this->ask('GET', '/api/proposals')->body['waiting'],
        );
        $approved = $this->decide($proposal, 'approve', ['remark' => 'Good.']);
        self::assertSame('approved', $approved->body['state']);
        $list = self::rows($this->ask('GET', '/api/combinations')->body['combinations']);
        self::assertSame(['Cellar window'], array_column($list, 'name'));
        self::assertSame(
            ['Coach Coach'],
            array_column(array_column($list, 'author'), 'name'),
            'It stays the work of who proposed it.',
        );
        self::assertSame(['proposed', 'approved'], array_column(self::rows($approved->body['steps']), 'step'));
        self::assertSame(409, $this->decide($approved, 'withdraw', [])->status, 'What is decided stays so.');
    }

    public function testTwoProposalsOfOneChainAreNamedToEachOther(): void
    {
        $this->signIn('coach');
        $first = $this->ask(
            'POST',
            '/api/proposals',
            ['kind' => 'new', 'content' => self::combination(['name' => 'Mine'])],
        )->id();
        $this->signIn('other');
        $second = $this->ask(
            'POST',
            '/api/proposals',
            ['kind' => 'new', 'content' => self::combination(['name' => 'Theirs'])],
        );
        self::assertSame([['id' => $first, 'name' => 'Mine', 'author' => 'Coach Coach']], $second->body['sameChain']);

        $this->signIn('head');
        $this->decide($second, 'withdraw', ['remark' => 'Twice.']);
        self::assertSame([], $this->ask('GET', '/api/proposals/'.$first)->body['sameChain']);
    }

    public function testAChangeWaitsWhileTheOldVersionStaysInUse(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $proposal = $this->change($id, 1, ['text' => '1 2 3b 2 exit']);
        self::assertSame([['chain'], []], [$proposal->body['changed'], $proposal->body['movedOn']]);
        self::assertSame('1 2 3b exit', $this->ask('GET', "/api/combinations/$id")->body['notation']);

        $this->signIn('head');
        $this->decide($proposal, 'approve', ['against' => 1]);
        $now = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame(['1 2 3b 2 exit', 2], [$now['notation'], $now['version']]);
        self::assertCount(2, self::rows($this->ask('GET', "/api/combinations/$id/versions")->body['versions']));
    }

    public function testTheSecondOfTwoProposalsIsLookedAtAgainstTheNewest(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $first = $this->change($id, 1, ['text' => '1 2 3b 2 exit']);
        $this->signIn('other');
        $second = $this->change($id, 1, ['name' => 'Cellar door', 'level' => 3]);
        $this->signIn('head');
        self::assertSame(200, $this->decide($first, 'approve', ['against' => 1])->status);

        $stale = $this->decide($second, 'approve', ['against' => 1]);
        self::assertSame(
            [412, 'changed-meanwhile', ['chain']],
            [$stale->status, $stale->type(), $stale->body['changed']],
        );
        $looked = $this->ask('GET', '/api/proposals/'.$second->id());
        self::assertSame([['name', 'level'], ['chain']], [$looked->body['changed'], $looked->body['movedOn']]);
        self::assertIsArray($looked->body['result']);
        self::assertSame(
            ['Cellar door', '1 2 3b 2 exit', 3],
            [$looked->body['result']['name'], $looked->body['result']['notation'], $looked->body['result']['level']],
            'What the first changed stays.',
        );

        self::assertSame(200, $this->decide($second, 'approve', ['against' => 2])->status);
        $now = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame(
            ['Cellar door', '1 2 3b 2 exit', 3, 3],
            [$now['name'], $now['notation'], $now['level'], $now['version']],
        );
    }

    public function testReturnedProposalIsRevisedByItsAuthor(): void
    {
        $this->signIn('coach');
        $proposal = $this->ask('POST', '/api/proposals', ['kind' => 'new', 'content' => self::combination()]);
        $this->signIn('head');
        self::assertSame(422, $this->decide($proposal, 'return', [])->status, 'Returned without a word is no help.');
        $returned = $this->decide($proposal, 'return', ['remark' => 'End with a step.']);
        self::assertSame('returned', $returned->body['state']);

        $this->signIn('other');
        self::assertSame(403, $this->revise($returned, ['text' => '1 2 3b step-back'])->status);
        $this->signIn('coach');
        self::assertSame(
            ['open' => 0, 'returned' => 1, 'approved' => 0, 'rejected' => 0],
            $this->ask('GET', '/api/proposals')->body['waiting'],
        );
        self::assertSame(
            [['who' => 'Head Coach', 'remark' => 'End with a step.', 'byAuthor' => false]],
            array_column(self::rows($this->ask('GET', '/api/proposals?list=returned')->body['proposals']), 'answer'),
        );
        self::assertSame(
            412,
            $this->revise($proposal, ['text' => '1 2 3b step-back'])->status,
            'It was made from a version that is gone.',
        );
        $revised = $this->revise($returned, ['text' => '1 2 3b step-back']);
        self::assertSame([200, 'open'], [$revised->status, $revised->body['state']]);
        $this->signIn('head');
        $this->decide($revised, 'approve', []);
        self::assertSame(1, $this->ask('GET', '/api/combinations?q=ends+step-back')->body['total']);
    }

    public function testWhatBecameOfProposalsIsCountedForTheirAuthor(): void
    {
        $this->signIn('coach');
        $proposals = array_map(
            fn (string $text): Answer => $this->ask('POST', '/api/proposals', [
                'kind' => 'new',
                'content' => self::combination(['name' => $text, 'text' => $text]),
            ]),
            ['1 2', '1 2 3', '1 1 2'],
        );
        $this->decide($proposals[2], 'withdraw', []);
        $this->signIn('head');
        $this->decide($proposals[0], 'approve', []);
        $this->decide($proposals[1], 'withdraw', ['remark' => 'We have it.']);
        self::assertSame(
            ['open' => 0, 'returned' => 0, 'approved' => 0, 'rejected' => 0],
            $this->ask('GET', '/api/proposals')->body['waiting'],
        );

        $this->signIn('coach');
        $decided = $this->ask('GET', '/api/proposals?list=decided&mine=true');
        self::assertSame(
            ['open' => 0, 'returned' => 0, 'approved' => 1, 'rejected' => 1],
            $decided->body['waiting'],
            'What its author took back is neither.',
        );
        $byName = array_column(self::rows($decided->body['proposals']), 'answer', 'id');
        self::assertSame(
            ['who' => 'Head Coach', 'remark' => 'We have it.', 'byAuthor' => false],
            $byName[$proposals[1]->id()],
        );
        self::assertSame(['who' => 'Coach Coach', 'remark' => '', 'byAuthor' => true], $byName[$proposals[2]->id()]);
    }

    public function testAHeadCoachApprovesWithAnEdit(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $proposal = $this->change($id, 1, ['text' => '1 2 3b 2 exit']);
        $this->signIn('head');
        $this->decide($proposal, 'approve', [
            'against' => 1,
            'content' => self::combination(['text' => '1 2 3b 2! exit']),
        ]);

        self::assertSame('1 2 3b 2! exit', $this->ask('GET', "/api/combinations/$id")->body['notation']);
        $says = array_column(self::rows($this->ask('GET', '/api/audit-log?what=proposal')->body['entries']), 'says');
        self::assertContains('approved the proposal “Cellar window” of Coach Coach, with an edit', $says);
    }

    public function testARetirementArchives(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $proposal = $this->ask('POST', '/api/proposals', ['kind' => 'retire', 'combination' => $id, 'basedOn' => 1]);
        self::assertSame(1, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertSame(1, $this->ask('GET', '/api/combinations?q=proposed')->body['total']);
        $this->signIn('head');
        $this->decide($proposal, 'approve', ['against' => 1]);

        self::assertSame(0, $this->ask('GET', '/api/combinations')->body['total']);
        self::assertSame(1, $this->ask('GET', '/api/combinations?archived=true&q=cellar')->body['total']);
        self::assertSame(
            409,
            $this->ask('POST', '/api/proposals', ['kind' => 'retire', 'combination' => $id, 'basedOn' => 2])->status,
        );
    }

    public function testAVersionIsBroughtBack(): void
    {
        $id = $this->published();
        $this->ask('PUT', "/api/combinations/$id", self::combination(['text' => '1 1 1']), ['If-Match' => '"1"']);
        $back = $this->ask('POST', "/api/combinations/$id/versions/1/bring-back", null, ['If-Match' => '"2"']);

        self::assertSame([200, 3, '1 2 3b exit'], [$back->status, $back->body['version'], $back->body['notation']]);
        self::assertSame(
            404,
            $this->ask('POST', "/api/combinations/$id/versions/9/bring-back", null, ['If-Match' => '"3"'])->status,
        );
        self::assertSame(
            412,
            $this->ask('POST', "/api/combinations/$id/versions/1/bring-back", null, ['If-Match' => '"2"'])->status,
        );
    }

    /** @param array<string, mixed> $request */
    #[TestWith([['kind' => 'new'], 422])]
    #[TestWith([['kind' => 'change', 'combination' => 999999, 'basedOn' => 1], 404])]
    #[TestWith([['kind' => 'sell'], 422])]
    #[TestWith([['kind' => 'new', 'content' => ['name' => '', 'text' => '1 2']], 422])]
    #[TestWith([['kind' => 'new', 'content' => ['name' => 'x', 'text' => 'zork']], 422])]
    public function testInvalidProposalIsRefused(array $request, int $status): void
    {
        $this->signIn('coach');
        self::assertSame($status, $this->ask('POST', '/api/proposals', $request)->status);
    }

    public function testDuplicateOrUnchangedProposalIsRefused(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        self::assertSame(
            'already-there',
            $this->ask('POST', '/api/proposals', [
                'kind' => 'new',
                'content' => self::combination(['name' => 'Mine']),
            ])->type(),
        );
        self::assertSame(
            'no-change',
            $this->ask('POST', '/api/proposals', [
                'kind' => 'change',
                'combination' => $id,
                'basedOn' => 1,
                'content' => self::combination(),
            ])->type(),
        );
    }

    public function testProposalsPastTheFirstPageAreOnTheNext(): void
    {
        $id = $this->published();
        foreach (['coach' => 30, 'other' => 25] as $who => $count) {
            $this->signIn($who);
            for ($made = 0; $made < $count; ++$made) {
                self::assertSame(201, $this->change($id, 1, ['note' => "$who $made"])->status);
            }
        }
        $first = $this->ask('GET', '/api/proposals')->body;
        $second = $this->ask('GET', '/api/proposals?page=2')->body;

        self::assertSame(
            [55, 50, 50, 5],
            [
                $first['total'],
                $first['size'],
                \count(self::rows($first['proposals'])),
                \count(self::rows($second['proposals'])),
            ],
        );
        self::assertCount(
            55,
            array_flip(
                array_filter(
                    [
                        ...array_column(self::rows($first['proposals']), 'id'),
                        ...array_column(self::rows($second['proposals']), 'id'),
                    ],
                    is_int(...),
                ),
            ),
        );
        self::assertSame(25, $this->ask('GET', '/api/proposals?combination='.$id.'&mine=true')->body['total']);
    }

    public function testACoachHasSoManyOpenProposalsAndNoMore(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $last = $this->change($id, 1, ['note' => 'The first']);
        for ($made = 1; $made < 40; ++$made) {
            $this->change($id, 1, ['note' => "Another, $made"]);
        }
        $more = $this->ask('POST', '/api/proposals', [
            'kind' => 'change',
            'combination' => $id,
            'basedOn' => 1,
            'content' => self::combination(['note' => 'One too many']),
        ]);
        self::assertSame(
            [
                409,
                'too-many-open',
                '40 proposals of yours wait already. Withdraw some of them, or wait until they are decided.',
            ],
            [$more->status, $more->type(), $more->title()],
        );

        self::assertSame(200, $this->decide($last, 'withdraw', [])->status);
        $this->change($id, 1, ['note' => 'One too many']);
    }

    public function testAChangeOfAnArchivedCombinationSaysThatItStaysArchived(): void
    {
        $id = $this->published();
        $this->signIn('coach');
        $change = $this->change($id, 1, ['text' => '1 2 3b 2 exit']);
        $retire = $this->ask('POST', '/api/proposals', ['kind' => 'retire', 'combination' => $id, 'basedOn' => 1]);
        $this->signIn('head');
        self::assertSame(200, $this->ask('POST', "/api/combinations/$id/archive", null, ['If-Match' => '"1"'])->status);

        self::assertSame(
            ['archived-already', 409],
            [
                $this->decide($retire, 'approve', ['against' => 2])->type(),
                $this->decide($retire, 'approve', ['against' => 2])->status,
            ],
        );
        $looked = $this->ask('GET', '/api/proposals/'.$change->id())->body['combination'];
        self::assertIsArray($looked);
        self::assertTrue($looked['archived']);
        self::assertSame(200, $this->decide($change, 'approve', ['against' => 2])->status);
        $now = $this->ask('GET', "/api/combinations/$id")->body;
        self::assertSame('1 2 3b 2 exit', $now['notation']);
        self::assertNotNull($now['archivedAt']);
        self::assertStringEndsWith(
            '; it stays archived',
            self::says($this->ask('GET', '/api/audit-log?what=proposal')),
        );
    }

    private static function says(Answer $record): string
    {
        $says = self::rows($record->body['entries'])[0]['says'] ?? '';

        return \is_string($says) ? $says : '';
    }

    private function published(): int
    {
        $this->signIn('head');

        return $this->ask('POST', '/api/combinations', self::combination())->id();
    }

    /** @param array<string, mixed> $with */
    private function change(int $id, int $basedOn, array $with): Answer
    {
        $answer = $this->ask('POST', '/api/proposals', [
            'kind' => 'change',
            'combination' => $id,
            'basedOn' => $basedOn,
            'content' => self::combination($with),
        ]);
        self::assertSame(201, $answer->status, $answer->raw);

        return $answer;
    }

    /** @param array<string, mixed> $with */
    private function revise(Answer $proposal, array $with): Answer
    {
        return $this->ask(
            'PUT',
            '/api/proposals/'.$proposal->id(),
            ['content' => self::combination($with)],
            ['If-Match' => (string) $proposal->etag],
        );
    }

    /** @param array<string, mixed> $body */
    private function decide(Answer $proposal, string $decision, array $body): Answer
    {
        return $this->ask('POST', '/api/proposals/'.$proposal->id().'/'.$decision, $body, [
            'If-Match' => (string) $proposal->etag,
        ]);
    }

    /** @return list<array<string, mixed>> */
    private static function rows(mixed $rows): array
    {
        self::assertIsArray($rows);

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }
}
