<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Course\Course;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Versions;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/** Writes plans and their versions. */
final readonly class Planning
{
    /** Maximum number of members and list items of a plan, including unknown ones. */
    private const MAX_MEMBERS = 10_000;
    /** Maximum JSON nesting in MariaDB, minus the enclosing levels. */
    private const MAX_DEPTH = 30;

    public function __construct(
        private EntityManagerInterface $entities,
        private Plans $plans,
        private Versions $versions,
        private GymSettings $gym,
        private PlanCheck $check,
        private Courses $courses,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    public function create(PlanRequest $request, User $editor): Plan
    {
        $this->plans->quota()->require();
        $draft = $this->draft($request);

        return $this->entities->wrapInTransaction(function () use ($draft, $editor): Plan {
            $plan = new Plan($draft, $this->accounts->managed($editor), $this->clock->now());
            $this->entities->persist($plan);
            $this->entities->flush();
            $this->remember($plan, PlanChange::Created, $editor);
            $this->audit->add(
                $editor->id(),
                'plan.created',
                t('planned “{plan}”', plan: $plan->name()),
                'plan/'.$plan->id(),
            );

            return $plan;
        });
    }

    public function update(int $id, int $basedOn, PlanRequest $request, User $editor): Plan
    {
        $draft = $this->draft($request);

        return $this->change(
            $id,
            $basedOn,
            PlanChange::Updated,
            $editor,
            static fn (string $name): string => t('changed the session “{name}”', name: $name),
            static fn (Plan $plan, User $by, \DateTimeImmutable $now) => $plan->write($draft, $by, $now),
        );
    }

    public function archive(int $id, int $basedOn, User $editor): Plan
    {
        return $this->change(
            $id,
            $basedOn,
            PlanChange::Archived,
            $editor,
            static fn (string $name): string => t('archived the session “{name}”', name: $name),
            static fn (Plan $plan, User $by, \DateTimeImmutable $now) => $plan->archive($by, $now),
        );
    }

    public function restore(int $id, int $basedOn, User $editor): Plan
    {
        return $this->change(
            $id,
            $basedOn,
            PlanChange::Restored,
            $editor,
            static fn (string $name): string => t('restored the session “{name}”', name: $name),
            static fn (Plan $plan, User $by, \DateTimeImmutable $now) => $plan->restore($by, $now),
        );
    }

    public function restoreVersion(int $id, int $basedOn, int $number, User $editor): Plan
    {
        $version = $this->entities->find(PlanVersion::class, ['plan' => $id, 'version' => $number])
            ?? throw new NotFound(t('There is no such version of this session.'));
        $course = $version->course();
        $draft = $version->draft(null === $course ? null : $this->entities->find(Course::class, $course));

        return $this->change(
            $id,
            $basedOn,
            PlanChange::BroughtBack,
            $editor,
            static fn (string $name): string => t(
                'restored version {number} of the session “{name}”',
                number: $number,
                name: $name,
            ),
            static fn (Plan $plan, User $by, \DateTimeImmutable $now) => $plan->write($draft, $by, $now),
        );
    }

    /**
     * @param \Closure(string $name): string $says the line of the audit log
     * @param \Closure(Plan, User, \DateTimeImmutable): void $write
     */
    private function change(
        int $id,
        int $basedOn,
        PlanChange $kind,
        User $editor,
        \Closure $says,
        \Closure $write,
    ): Plan {
        return $this->versions->change(Plan::class, $id, $basedOn, Plans::MISSING, function (Plan $plan) use (
            $basedOn,
            $kind,
            $editor,
            $says,
            $write,
        ): void {
            $write($plan, $this->accounts->managed($editor), $this->clock->now());
            $this->entities->flush();
            if ($plan->version() !== $basedOn && !$this->remember($plan, $kind, $editor)) {
                $this->audit->add(
                    $editor->id(),
                    'plan.'.$kind->value,
                    $says($plan->name()),
                    'plan/'.$plan->id(),
                );
            }
        });
    }

    /** Stores a version of the plan. @return bool whether it continues the same coach's version from minutes ago */
    private function remember(Plan $plan, PlanChange $kind, User $editor): bool
    {
        $last = $this->entities->find(PlanVersion::class, ['plan' => $plan->id(), 'version' => $plan->version() - 1]);
        $goesOn = PlanChange::Updated === $kind && null !== $last && $last->isContinuedBy($editor, $this->clock->now());
        if ($goesOn) {
            $this->entities->remove($last);
        }
        $this->entities->persist(new PlanVersion(
            $plan,
            $plan->version(),
            $kind,
            $this->accounts->managed($editor),
            $this->clock->now(),
        ));
        $this->entities->flush();

        return $goesOn;
    }

    private function draft(PlanRequest $request): PlanDraft
    {
        $startsAt = null;
        if (null !== $request->startsAt && !$request->isTemplate) {
            $startsAt =
                $this->gym->moment($request->startsAt) ??
                throw Invalid::field(
                    'startsAt',
                    t(
                        '"{startsAt}" is not a valid time. Write it as 2026-11-26T18:30; an hour that daylight '
                            .'saving skips does not exist.',
                        startsAt: $request->startsAt,
                    ),
                    t('There is no such time.'),
                );
        }
        $course = null === $request->course ? null : $this->courses->get($request->course);
        $this->requireSize($request->content);
        $reading = $this->check->reader()->read($request->content);

        return new PlanDraft(
            name: trim($request->name),
            course: $course,
            isTemplate: $request->isTemplate,
            startsAt: $startsAt,
            lengthMs: 1000 * $reading->plan->seconds(),
            problems: \count($reading->problems),
            content: $request->content,
        );
    }

    /** @param array<mixed> $content */
    private function requireSize(array $content): void
    {
        if (false === json_encode((object) $content, depth: self::MAX_DEPTH)) {
            throw Invalid::field(
                'content',
                t('This is nested deeper than any session. Take the plan from where it was written again.'),
                t('It is nested too deeply.'),
            );
        }
        $members = iterator_count(new \RecursiveIteratorIterator(
            new \RecursiveArrayIterator($content),
            \RecursiveIteratorIterator::SELF_FIRST,
        ));
        if ($members > self::MAX_MEMBERS) {
            throw Invalid::field(
                'content',
                t(
                    'This plan has {members} values; a session has at most {maxMembers}.',
                    members: number_format($members),
                    maxMembers: number_format(self::MAX_MEMBERS),
                ),
                t('It has too many values.'),
            );
        }
    }
}
