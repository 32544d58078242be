<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Account\User;
use Periplus\App\Course\Courses;
use Periplus\App\Course\SyllabusRequest;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\IfMatch;
use Periplus\App\Http\LargeBody;
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

use function Periplus\Core\Language\t;

/** What a course teaches, week by week. */
final readonly class SyllabusController
{
    private const OF_COURSE = '/api/courses/{id<\d{1,9}>}/syllabus';
    /** Maximum size of a file, in bytes: the longest syllabus. */
    private const MAX_FILE_BYTES = 1_048_576;

    public function __construct(
        private Courses $courses,
        private SyllabusReader $reader,
        private GymNumberings $numberings,
    ) {
    }

    #[Route(self::OF_COURSE, methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            $this->reader->read($this->courses->get($id), $this->numberings->forUser($user)),
        );
    }

    #[Route(self::OF_COURSE, methods: 'PUT')]
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
    #[Route(self::OF_COURSE.'.pdf', methods: 'GET')]
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

    /** Returns the syllabus as a file. */
    #[Route(self::OF_COURSE.'.json', methods: 'GET')]
    public function file(int $id, SyllabusFiles $files): Response
    {
        $course = $this->courses->get($id);

        return FileResponse::create(
            json_encode(
                $files->write($course),
                \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_THROW_ON_ERROR,
            ),
            'application/json',
            t('{course}, syllabus', course: $course->name()).'.json',
        );
    }

    /** Reads a file with the library of this gym; stores nothing. */
    #[Route('/api/syllabus-files', methods: 'POST')]
    #[LargeBody(self::MAX_FILE_BYTES)]
    public function readFile(
        #[MapRequestPayload(acceptFormat: 'json')] SyllabusFile $file,
        #[CurrentUser] User $user,
        SyllabusFiles $files,
    ): JsonResponse {
        return new JsonResponse($files->read($file, $this->numberings->forUser($user)));
    }
}
