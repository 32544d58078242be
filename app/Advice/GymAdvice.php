<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Store\Versions;
use Periplus\Core\Session\Advice\Advice;
use Psr\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;

use function Periplus\Core\Language\t;

/**
 * Finds the gym's reminders, exercises and faults: the built-in ones until the head coach edits them.
 *
 * @extends ServiceEntityRepository<EditedAdvice>
 *
 * @phpstan-type WrittenReminder array{id: string, for: string, text: string}
 * @phpstan-type WrittenFault array{id: string, for: string, text: string, mend: string}
 * @phpstan-type WrittenExercise array{
 *     id: string,
 *     name: string,
 *     for: list<string>,
 *     does: string,
 *     seconds: int,
 *     count: int|null,
 *     easier: string,
 *     caution: string,
 * }
 */
final class GymAdvice extends ServiceEntityRepository implements ResetInterface
{
    private ?Advice $read = null;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Versions $versions,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, EditedAdvice::class);
    }

    public function reset(): void
    {
        $this->read = null;
    }

    public function advice(): Advice
    {
        if (null === $this->read) {
            /** @var list<WrittenReminder>|null $reminders */
            $reminders = $this->list('reminders')->content();
            /** @var list<WrittenExercise>|null $exercises */
            $exercises = $this->list('exercises')->content();
            /** @var list<WrittenFault>|null $faults */
            $faults = $this->list('faults')->content();
            $builtIn = Advice::builtIn();
            $own = Advice::of($reminders ?? [], $exercises ?? [], $faults ?? []);
            $this->read = new Advice(
                null === $reminders ? $builtIn->reminders : $own->reminders,
                null === $exercises ? $builtIn->exercises : $own->exercises,
                null === $faults ? $builtIn->faults : $own->faults,
            );
        }

        return $this->read;
    }

    /** Returns the version of a list; 1 until it is edited. */
    public function version(string $list): int
    {
        return $this->list($list)->version();
    }

    /**
     * @param string $list reminders, exercises or faults
     * @param list<array<string, mixed>>|null $rows null for those that ship
     */
    public function store(string $list, int $basedOn, ?array $rows, User $editor): void
    {
        $this->versions->change(EditedAdvice::class, $list, $basedOn, t('There is no such list.'), function (
            EditedAdvice $advice,
        ) use ($list, $rows, $editor): void {
            $advice->change($rows, $this->accounts->managed($editor), $this->clock->now());
            $this->audit->add(
                $editor->id(),
                'advice.'.$list,
                null === $rows
                    ? t('reset the {list} to the built-in list', list: $list)
                    : t('changed the {list}', list: $list),
            );
        });
        $this->read = null;
    }

    private function list(string $list): EditedAdvice
    {
        return $this->find($list) ?? throw new \LogicException('A migration makes the row of each list.');
    }
}
