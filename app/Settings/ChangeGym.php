<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Audit\UndoesChange;
use Periplus\App\Gym\Gym;
use Periplus\App\Gym\Gyms;
use Periplus\App\Http\PlainText;
use Periplus\App\Store\Versions;
use Symfony\Component\Security\Core\User\UserInterface;

use function Periplus\Core\Language\t;

/** Changes name, time zone and start of the week, and undoes it. */
final readonly class ChangeGym implements UndoesChange
{
    private const CHANGED = 'gym.changed';

    public function __construct(private Gyms $gyms, private Versions $versions, private AuditLog $audit)
    {
    }

    /** @param int $basedOn the version that was looked at */
    public function change(int $basedOn, GymRequest $request, User $user): Gym
    {
        return $this->versions->change(Gym::class, Gym::ID, $basedOn, Gyms::MISSING, function (Gym $gym) use (
            $request,
            $user,
        ): void {
            $name = PlainText::line($request->name);
            $changes = array_filter(
                [
                    $name === $gym->name() ? '' : t('the name of the gym to “{name}”', name: $name),
                    $request->timeZone === $gym->timeZone()->getName()
                        ? ''
                        : t('its time zone to {zone}', zone: $request->timeZone),
                    $request->firstWeekday === $gym->firstWeekday() ? '' : t('the first day of its week'),
                ],
                static fn (string $change): bool => '' !== $change,
            );
            $before = [
                'name' => $gym->name(),
                'timeZone' => $gym->timeZone()->getName(),
                'firstWeekday' => $gym->firstWeekday(),
            ];
            $gym->change($name, new \DateTimeZone($request->timeZone), $request->firstWeekday);
            if ([] !== $changes) {
                $this->audit->add(
                    $user->id(),
                    self::CHANGED,
                    t('changed {changes}', changes: implode(', ', $changes)),
                    'settings',
                    $before,
                );
            }
        });
    }

    public function kind(): string
    {
        return self::CHANGED;
    }

    public function undo(array $before, UserInterface $user): void
    {
        /** @var array{name: string, timeZone: string, firstWeekday: int} $before */
        if ($user instanceof User) {
            $this->change($this->gyms->get()->version(), new GymRequest(...$before), $user);
        }
    }
}
