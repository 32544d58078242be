<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route('/api/courses')]
final readonly class CourseController
{
    public function __construct(private Courses $courses)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse(['courses' => $this->courses->all()]);
    }

    #[Route('', methods: 'POST')]
    #[IsGranted(Permission::EditCourses->value)]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] CourseRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->courses->create($request, $user), 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    #[IsGranted(Permission::EditCourses->value)]
    public function update(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] CourseRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->courses->update($id, IfMatch::version($http), $request, $user));
    }

    #[Route('/{id<\d{1,9}>}/archive', methods: 'POST')]
    #[IsGranted(Permission::EditCourses->value)]
    public function archive(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->courses->archive($id, IfMatch::version($http), $user));
    }

    #[Route('/{id<\d{1,9}>}/restore', methods: 'POST')]
    #[IsGranted(Permission::EditCourses->value)]
    public function restore(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->courses->restore($id, IfMatch::version($http), $user));
    }
}
