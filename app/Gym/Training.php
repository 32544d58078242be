<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Medium;

/** What a gym trains: rules, media and groups. */
final readonly class Training implements \JsonSerializable
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
     * } $stored what {@see jsonSerialize} returned
     */
    public static function fromArray(array $stored): self
    {
        return new self(
            $stored['rules'],
            array_map(Medium::from(...), $stored['media']),
            array_map(Group::from(...), $stored['groups']),
        );
    }

    /** @return array{rules: string, media: list<string>, groups: list<string>} */
    public function jsonSerialize(): array
    {
        return [
            'rules' => $this->rules,
            'media' => array_map(static fn (Medium $medium): string => $medium->value, $this->media),
            'groups' => array_map(static fn (Group $group): string => $group->value, $this->groups),
        ];
    }
}
