<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Versions;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * The courses of the gym.
 *
 * @extends ServiceEntityRepository<Course>
 */
final class Courses extends ServiceEntityRepository
{
    private const MISSING = 'There is no such course.';

    public function __construct(
        ManagerRegistry $registry,
        private readonly Versions $versions,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Course::class);
    }

    /** @return list<Course> by name, those in use first */
    public function all(): array
    {
        /** @var list<Course> $courses */
        $courses = $this->createQueryBuilder('c')
            ->addSelect('CASE WHEN c.archivedAt IS NULL THEN 0 ELSE 1 END AS HIDDEN archived')
            ->orderBy('archived')->addOrderBy('c.name')->addOrderBy('c.id')
            ->getQuery()->getResult();

        return $courses;
    }

    /** @throws NotFound */
    public function get(int $id): Course
    {
        return $this->find($id) ?? throw new NotFound(self::MISSING);
    }

    public function create(CourseRequest $request, User $editor): Course
    {
        return $this->getEntityManager()->wrapInTransaction(function () use ($request, $editor): Course {
            $course = new Course(
                trim($request->name),
                $request->content(),
                $this->accounts->managed($editor),
                $this->clock->now(),
            );
            $this->getEntityManager()->persist($course);
            $this->getEntityManager()->flush();
            $this->record(
                $course,
                $editor,
                'course.created',
                t('made the course “{course}”', course: $course->name()),
            );

            return $course;
        });
    }

    public function update(int $id, int $basedOn, CourseRequest $request, User $editor): Course
    {
        return $this->versions->change(Course::class, $id, $basedOn, self::MISSING, function (Course $course) use (
            $request,
            $editor,
        ): void {
            $course->change(
                trim($request->name),
                $request->content(),
                $this->accounts->managed($editor),
                $this->clock->now(),
            );
            $this->record(
                $course,
                $editor,
                'course.updated',
                t('changed the course “{course}”', course: $course->name()),
            );
        });
    }

    public function teach(int $id, int $basedOn, Syllabus $syllabus, User $editor): Course
    {
        return $this->versions->change(Course::class, $id, $basedOn, self::MISSING, function (Course $course) use (
            $syllabus,
            $editor,
        ): void {
            $course->teach($syllabus, $this->accounts->managed($editor), $this->clock->now());
            $this->record(
                $course,
                $editor,
                'course.syllabus',
                t('changed the syllabus of the course “{course}”', course: $course->name()),
            );
        });
    }

    public function archive(int $id, int $basedOn, User $editor): Course
    {
        return $this->versions->change(Course::class, $id, $basedOn, self::MISSING, function (Course $course) use (
            $editor,
        ): void {
            $course->archive($this->clock->now());
            $this->record(
                $course,
                $editor,
                'course.archived',
                t('archived the course “{course}”', course: $course->name()),
            );
        });
    }

    public function restore(int $id, int $basedOn, User $editor): Course
    {
        return $this->versions->change(Course::class, $id, $basedOn, self::MISSING, function (Course $course) use (
            $editor,
        ): void {
            $course->restore();
            $this->record(
                $course,
                $editor,
                'course.restored',
                t('restored the course “{course}”', course: $course->name()),
            );
        });
    }

    private function record(Course $course, User $editor, string $what, string $says): void
    {
        $this->audit->add($editor->id(), $what, $says, 'course/'.$course->id());
    }
}
