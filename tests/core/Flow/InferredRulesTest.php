<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow;

use Periplus\Core\Flow\Rules\InferredRules;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class InferredRulesTest extends TestCase
{
    /**
     * In boxing only hands land. Unified rules of boxing, Association of Boxing Commissions, from memory. Hands with
     * kicks are called kickboxing: common practice, no source.
     */
    #[TestWith(['1 2 3b slip-lead 2', 'boxing'])]
    #[TestWith(['1', 'boxing'])]
    #[TestWith(['1 2 14l', 'kickboxing'])]
    #[TestWith(['(14) 2', 'kickboxing'])]
    #[TestWith(['14', 'kickboxing'])]
    #[TestWith(['1 31', 'all-limbs'])]
    #[TestWith(['1 2 14l 31', 'all-limbs'])]
    #[TestWith(['slip-lead exit', 'all-limbs'])]
    #[TestWith(['1 *(2,14)', 'kickboxing'])]
    #[TestWith(['1 *(2,32)', 'all-limbs'])]
    public function testNarrowestRulesThatAllowEveryLimbAreChosen(string $chain, string $rules): void
    {
        self::assertSame($rules, InferredRules::infer(Chains::read($chain)));
    }

    public function testWhatCannotBeReadAsksForNoRulesOfItsOwn(): void
    {
        self::assertSame('all-limbs', InferredRules::infer(null));
    }
}
