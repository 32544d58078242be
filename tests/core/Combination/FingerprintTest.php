<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Combination;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Item;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FingerprintTest extends TestCase
{
    use TestTrait;

    #[TestWith(['1 2 3b', 'jab cross lead hook body', true, true])]
    #[TestWith(['1 2! 3b', '1 2 3b', true, false])]
    #[TestWith(['1 2 3b', '1 2 3', false, false])]
    #[TestWith(['1 2 3', '1 2 (3)', false, false])]
    #[TestWith(['1 14', '1 +14', false, false])]
    #[TestWith(['14', '14>', false, false])]
    #[TestWith(['14_', '14>', false, false])]
    #[TestWith(['*2', '*3', false, false])]
    public function testTheSameChainHasTheSameFingerprint(
        string $one,
        string $other,
        bool $plain,
        bool $withEffort,
    ): void {
        $a = Fingerprint::of(Chains::read($one));
        $b = Fingerprint::of(Chains::read($other));

        self::assertSame($plain, $a->plain === $b->plain);
        self::assertSame($withEffort, $a->withEffort === $b->withEffort);
    }

    public function testChainsThatDifferInAKeyDifferInTheFingerprint(): void
    {
        $keys = static fn (Chain $chain): string => implode(
            ' ',
            array_map(static fn (Item $item): string => $item->key(), $chain->items),
        );
        $this->forAll(Chains::any(), Chains::any())->then(static function (Chain $a, Chain $b) use ($keys): void {
            self::assertSame($keys($a) === $keys($b), Fingerprint::of($a)->plain === Fingerprint::of($b)->plain);
        });
    }
}
