<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Print\FileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

/** Exports planned sessions on paper and as files for other programs. */
final readonly class PlanFileController
{
    public function __construct(private Plans $plans, private PlanCheck $check, private GymSettings $gym)
    {
    }

    /** Returns the coach's sheet. */
    #[Route('/api/plans/{id<\d{1,9}>}/sheet.pdf', methods: 'GET')]
    #[HeavyWork]
    public function sheet(int $id, SessionSheet $paper): Response
    {
        $plan = $this->plans->get($id);
        $reader = $this->check->reader();

        return FileResponse::create(
            $paper->coach($plan, $reader->read($plan->content())->plan, $reader->advice),
            'application/pdf',
            $plan->name().'.pdf',
        );
    }

    /** Returns the sheet for the door, with the words of every chain where they are asked for. */
    #[Route('/api/plans/{id<\d{1,9}>}/door.pdf', methods: 'GET')]
    #[HeavyWork]
    public function door(int $id, SessionSheet $paper, #[MapQueryParameter] bool $words = false): Response
    {
        $plan = $this->plans->get($id);

        return FileResponse::create(
            $paper->door($plan, $this->check->reader()->read($plan->content())->plan, $this->gym->name(), $words),
            'application/pdf',
            $plan->name().', door.pdf',
        );
    }

    #[Route('/api/plans/{id<\d{1,9}>}/cues.vtt', methods: 'GET')]
    #[HeavyWork]
    public function cues(int $id): Response
    {
        $plan = $this->plans->get($id);

        return FileResponse::create(
            Vtt::write($this->check->serializer()->serialize($plan->content()), $plan->name()),
            'text/vtt',
            $plan->name().'.vtt',
        );
    }

    /**
     * Returns the content as described in docs/formats/session.md; the console reads it, and it can be imported again.
     */
    #[Route('/api/plans/{id<\d{1,9}>}/plan.json', methods: 'GET')]
    public function content(int $id): Response
    {
        $plan = $this->plans->get($id);

        return FileResponse::create(
            json_encode(
                (object) [...$plan->content(), 'name' => $plan->name()],
                \JSON_THROW_ON_ERROR
                    | \JSON_PRETTY_PRINT
                    | \JSON_UNESCAPED_UNICODE
                    | \JSON_UNESCAPED_SLASHES
                    | \JSON_PRESERVE_ZERO_FRACTION,
            ),
            'application/json',
            $plan->name().'.json',
        );
    }

    /** Returns all sessions from four weeks ago on, of a course or the gym. */
    #[Route('/api/calendar.ics', methods: 'GET')]
    public function calendar(Calendar $calendar, #[MapQueryParameter] ?int $course = null): Response
    {
        $plans = $this->plans->forCalendar($course);
        $courses = array_filter(
            array_map(static fn (PlanRow $plan): ?string => $plan->courseName, $plans),
            static fn (?string $name): bool => null !== $name,
        );

        return FileResponse::create(
            $calendar->write(
                $plans,
                $this->gym->name().(null === $course || [] === $courses ? '' : ', '.reset($courses)),
            ),
            'text/calendar',
            'sessions.ics',
        );
    }
}
