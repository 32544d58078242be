<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Technique\Medium;

/** What a gym trains: rules, media and groups. */
final readonly class Training
{
    /**
     * @param string $rules a set of house rules, such as "kickboxing"
     * @param list<Medium> $media what there is to hit, the most used first
     * @param list<Group> $groups
     */
    public function __construct(public string $rules, public array $media, public array $groups)
    {
    }

    /**
     * @param array{
     *     rules: string,
     *     media: list<string>,
     *     groups: list<string>,
     * } $stored the value as JSON has it
     */
    public static function fromArray(array $stored): self
    {
        return new self(
            $stored['rules'],
            array_map(Medium::from(...), $stored['media']),
            array_map(Group::from(...), $stored['groups']),
        );
    }
}
