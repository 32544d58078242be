<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

/** The numbers of a strike, a move or the body. */
final readonly class ModelGroup
{
    /**
     * @param string $of id of the strike or move, or "body"
     * @param string $kind strike, move or body
     * @param string|null $note a remark on all of them
     * @param list<ShownModelValue> $values
     */
    public function __construct(
        public string $of,
        public string $kind,
        public string $name,
        public ?string $note,
        public array $values,
    ) {
    }
}
