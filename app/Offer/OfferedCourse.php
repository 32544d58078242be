<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Course\CourseRequest;
use Periplus\App\Syllabus\SyllabusFile;
use Symfony\Component\Validator\Constraints as Assert;

/** A course of another gym with its syllabus, its group and its rounds. */
final readonly class OfferedCourse implements OfferedThing
{
    public function __construct(
        #[Assert\Regex('/^\d{1,9}$/D', message: 'A course is known by its number.')]
        public string $item,
        #[Assert\Valid]
        public CourseRequest $course,
        #[Assert\Valid]
        public SyllabusFile $syllabus,
    ) {
    }

    public function kind(): OfferKind
    {
        return OfferKind::Course;
    }

    public function item(): string
    {
        return $this->item;
    }

    public function name(): string
    {
        return $this->course->name;
    }

    public function digest(): string
    {
        return Digest::of([$this->course, $this->syllabus]);
    }
}
