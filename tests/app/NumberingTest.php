<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;

/** The touch pad offers only what can be read, with the right names. */
final class NumberingTest extends ApiTestCase
{
    public function testTheCoachesWhoReadInEachNumberingAreListed(): void
    {
        $this->signIn('coach');
        self::assertSame(
            ['parity' => ['Coach Coach', 'Head Coach', 'Other Coach', 'Second Coach']],
            $this->ask('GET', '/api/numberings')->body['readers'],
        );
        $this->ask('PUT', '/api/me/numbering', ['numbering' => 'hands']);
        self::assertEquals(
            ['hands' => ['Coach Coach'], 'parity' => ['Head Coach', 'Other Coach', 'Second Coach']],
            $this->ask('GET', '/api/numberings')->body['readers'],
        );
    }

    public function testEveryNumberIsReadAsTheStrikeItIsShownAs(): void
    {
        $this->signIn('coach');
        $body = $this->ask('GET', '/api/numberings')->body;
        self::assertIsArray($body['numberings']);
        self::assertSame(['parity', 'body-pairs', 'six', 'hands'], array_column($body['numberings'], 'id'));
        foreach ($body['numberings'] as $numbering) {
            self::assertIsArray($numbering);
            self::assertIsString($numbering['id']);
            self::assertIsArray($numbering['numbers']);
            foreach ($numbering['numbers'] as $number) {
                self::assertIsArray($number);
                self::assertIsString($number['number']);
                self::assertIsArray($number['roles']);
                foreach (Stance::cases() as $stance) {
                    $role = $number['roles'][$stance->value];
                    self::assertIsString($number['family']);
                    self::assertIsString($role);
                    if (
                        null
                        === Catalogue::builtIn()->inFamily($number['family'], Role::from($role))
                    ) {
                        self::assertSame(
                            'hands',
                            $numbering['id'],
                            'Only a number of a hand can have no strike in one of the stances.',
                        );
                        continue;
                    }
                    $item = Chains::read($number['number'], $stance, $numbering['id'])->items[0];
                    self::assertInstanceOf(StrikeItem::class, $item);
                    self::assertSame(
                        [$number['family'], $role, $number['limb']],
                        [$item->strike->family, $item->strike->role->value, $item->strike->limb->value],
                    );
                    self::assertTrue(null === $number['target'] || $item->target->word() === $number['target']);
                }
            }
        }
    }

    public function testEveryMoveCanBeTyped(): void
    {
        $this->signIn('coach');
        $moves = $this->ask('GET', '/api/vocabulary')->body['moves'];
        self::assertIsArray($moves);
        self::assertCount(\count(Catalogue::builtIn()->moves), $moves);
        foreach ($moves as $move) {
            self::assertIsArray($move);
            self::assertIsString($move['id']);
            self::assertIsString($move['words']);
            self::assertSame($move['id'], Chains::read($move['id'])->items[0]->key());
            self::assertSame($move['id'], Chains::read($move['words'])->items[0]->key());
        }
    }

    public function testUnchangedAnswerReturns304(): void
    {
        $this->signIn('coach');
        $first = $this->ask('GET', '/api/numberings');
        self::assertNotNull($first->etag);
        $second = $this->ask('GET', '/api/numberings', null, ['If-None-Match' => $first->etag]);

        self::assertSame([304, ''], [$second->status, $second->raw]);
    }
}
