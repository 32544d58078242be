<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\HouseRules\School;

/** A question on which schools differ, with its answers. */
final readonly class ShownSchool
{
    public string $question;
    /** @var list<SchoolAnswer> */
    public array $answers;

    /** @param class-string<School&\BackedEnum> $school */
    public function __construct(public string $name, string $school)
    {
        $this->question = $school::question();
        $this->answers = array_map(
            static fn (School&\BackedEnum $answer): SchoolAnswer => new SchoolAnswer(
                (string) $answer->value,
                $answer->answer(),
            ),
            $school::cases(),
        );
    }
}
