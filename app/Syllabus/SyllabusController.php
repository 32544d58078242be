<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Account\User;
use Periplus\App\Course\Courses;
use Periplus\App\Course\SyllabusRequest;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\IfMatch;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Print\FileResponse;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What a course teaches, week by week. */
#[Route('/api/courses/{id<\d{1,9}>}')]
final readonly class SyllabusController
{
    public function __construct(
        private Courses $courses,
        private SyllabusReader $reader,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/syllabus', methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            $this->reader->read($this->courses->get($id), $this->numberings->forUser($user)),
        );
    }

    #[Route('/syllabus', methods: 'PUT')]
    #[IsGranted(Permission::EditCourses->value)]
    public function write(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] SyllabusRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->courses->teach($id, IfMatch::version($http), $request->syllabus(), $user);

        return $this->read($id, $user);
    }

    /** Returns the syllabus on paper. */
    #[Route('/syllabus.pdf', methods: 'GET')]
    #[HeavyWork]
    public function sheet(int $id, #[CurrentUser] User $user, SyllabusSheet $sheet): Response
    {
        $course = $this->courses->get($id);

        return FileResponse::create(
            $sheet->render($this->reader->read($course, $this->numberings->forUser($user))),
            'application/pdf',
            $course->name().'.pdf',
        );
    }
}
