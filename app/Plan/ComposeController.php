<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Account\User;
use Periplus\App\Course\Courses;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Session\Compose\Aim;
use Periplus\Core\Session\Compose\Composer;
use Periplus\Core\Session\Compose\Wishes;
use Periplus\Core\Session\Format\Progression;
use Periplus\Core\Session\Serializer\SequenceSerializer;
use Periplus\Core\Technique\Stance;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What is worked out for a plan from the library: a session in one press, and an order. */
#[Route('/api/plans')]
final readonly class ComposeController
{
    public function __construct(private PlanCheck $check, private Plans $plans, private Courses $courses, private Candidates $candidates, private GymHouseRules $rules, private GymNumberings $numberings)
    {
    }

    #[Route('/compose', methods: 'POST')]
    #[HeavyWork]
    public function compose(#[MapRequestPayload(acceptFormat: 'json')] ComposeRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $course = $this->courses->get($request->course);
        $content = $course->content;
        try {
            $aim = Aim::of($request->aim, $request->value);
        } catch (\DomainException $unknown) {
            throw new ApiProblem(422, 'invalid', $unknown->getMessage(), ['violations' => [['field' => 'value', 'message' => $unknown->getMessage()]]]);
        }
        $past = $this->plans->past($course->id, Candidates::PAST);
        // A week is a session that the course has had.
        $step = (new Progression($content['work'], $content['longestWork'], $content['workStep'], $content['rests']))->week(\count($past));
        $numbering = $this->numberings->of($user);
        $history = $this->candidates->history($past);
        $rules = $this->rules->named($content['rules']);
        $wishes = new Wishes(
            $course->name,
            $request->minutes ?? $content['minutes'],
            $aim,
            $request->seed,
            $rules,
            Group::from($content['group']),
            Medium::from($content['medium']),
            $content['levels'],
            $numbering->id,
            $step['seconds'],
            $step['rest'],
            $this->candidates->known($past, $this->check->reader()),
            $request->locked ?? [],
        );
        $composition = Composer::compose($wishes, $this->candidates->of($rules, max($content['levels']), $aim, $request->seed, $numbering, $history), $this->check->reader());

        return new JsonResponse(['content' => $composition->plan, 'reasons' => $composition->reasons, 'unmet' => $composition->unmet]);
    }

    #[Route('/sequence', methods: 'POST')]
    #[HeavyWork]
    public function sequence(#[MapRequestPayload(acceptFormat: 'json')] SequenceRequest $request): JsonResponse
    {
        return new JsonResponse(SequenceSerializer::of(
            array_map(static fn (array $one): array => ['text' => $one['chain'], 'stance' => Stance::from($one['stance'] ?? 'orthodox'), 'level' => null], $request->combinations),
            $this->numberings->named($request->numbering),
            new CheckOptions($this->rules->named($request->rules)),
        ));
    }
}
