<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Periplus\App\Usage\GymUsage;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Tests\Core\Chains;

/** What is usual in a gym, and that what can follow is sorted by it. */
final class UsageTest extends ApiTestCase
{
    /** No chain that ships goes on like these. */
    private const DRILLED = '1 2 pull level 2b';
    private const SAVED = '1 2 pull parry-rear 2';

    public function testWhatTheGymSavesAndDrillsComesFirst(): void
    {
        $this->signIn('head');
        $ids = [];
        foreach (['Drilled' => self::DRILLED, 'Saved' => self::SAVED] as $name => $chain) {
            $answer = $this->ask('POST', '/api/combinations', self::combination(['name' => $name, 'text' => $chain]));
            self::assertSame(201, $answer->status, $answer->raw);
            $ids[] = $answer->body['id'];
        }
        $entry = [
            'id' => 'entry-2026-11-23',
            'day' => '2026-11-23',
            'combinations' => [['combination' => $ids[0], 'minutes' => 30, 'stance' => 'own']],
        ];
        self::assertSame(201, $this->ask('POST', '/api/logbook/entries', $entry)->status);

        $check = ['text' => '1 2 pull', 'rules' => 'boxing', 'with' => ['next']];
        $next = $this->ask('POST', '/api/check', $check)->body['next'];
        self::assertIsArray($next);
        self::assertIsArray($next['next']);
        $places = array_flip(array_filter(array_column($next['next'], 'text'), \is_string(...)));

        self::assertLessThan($places['parry-rear'], $places['level'], 'drilled before only saved');
        self::assertLessThan($places['duck'], $places['parry-rear'], 'saved before what the gym never does');
    }

    public function testAGymWithoutCombinationsHasWhatShips(): void
    {
        [$pull, $level] = \array_slice(Chains::read(self::DRILLED)->items, 2, 2);
        $usage = self::service(GymUsage::class)->under('boxing');

        self::assertFalse($usage->knows($pull, $level));
        self::assertEquals(Usage::shipped('boxing')->share(null, null, $pull), $usage->share(null, null, $pull));
    }
}
