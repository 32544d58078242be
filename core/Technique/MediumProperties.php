<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What a bag, a pad, a partner or the air allows; values with their sources are in core/data/media.json. */
final readonly class MediumProperties
{
    /**
     * @param string $name as it stands in a sentence: "hanging bag"
     * @param bool $contact whether a strike lands on anything
     * @param bool $held whether somebody holds it, and so gives way
     * @param bool $opponent whether somebody could answer, or the athlete imagines somebody who could
     * @param bool $flat whether an uppercut meets a face that goes straight down
     * @param non-empty-list<Limb> $takes what is usually thrown at it
     * @param list<string> $needs what a class needs for it
     */
    private function __construct(
        public string $name,
        public bool $contact,
        public bool $held,
        public bool $opponent,
        public Pushed $pushed,
        public bool $flat,
        public array $takes,
        public array $needs,
    ) {
    }

    /** Tells whether it does not give way to a shin: nobody holds it. */
    public function hitsHard(): bool
    {
        return $this->contact && !$this->held;
    }

    public static function of(Medium $medium): self
    {
        /** @var array<string, self>|null $all */
        static $all = null;

        return ($all ??= self::read())[$medium->value]
            ?? throw new \UnexpectedValueException('core/data/media.json does not have '.$medium->value.'.');
    }

    /** @return array<string, self> by id */
    private static function read(): array
    {
        $all = [];
        /**
         * @var array{
         *     media: list<array{
         *         id: string,
         *         name: string,
         *         contact: bool,
         *         held: bool,
         *         opponent: bool,
         *         pushed: string,
         *         flat: bool,
         *         takes: non-empty-list<string>,
         *         needs: list<string>,
         *     }>,
         * } $data
         */
        $data = Data::read('media');
        foreach ($data['media'] as $row) {
            $all[$row['id']] = new self(
                name: $row['name'],
                contact: $row['contact'],
                held: $row['held'],
                opponent: $row['opponent'],
                pushed: Pushed::from($row['pushed']),
                flat: $row['flat'],
                takes: array_map(Limb::from(...), $row['takes']),
                needs: $row['needs'],
            );
        }

        return $all;
    }
}
