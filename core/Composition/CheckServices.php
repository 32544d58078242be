<?php

declare(strict_types=1);

namespace Periplus\Core\Composition;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Generate\Generator;
use Periplus\Core\Flow\Mend\MendFinder;
use Periplus\Core\Flow\Next\Next;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Periplus\Core\Flow\Serializer\MendSerializer;
use Periplus\Core\Flow\Serializer\NextSerializer;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Catalogue;

/**
 * Puts together what answers questions about a chain, from the data that ships. The container of the application does
 * the same for the web; the console, the benchmarks and the tests run without it and take it from here.
 */
final readonly class CheckServices
{
    public Reader $reader;
    public Check $check;
    public MendFinder $mendFinder;
    public Next $next;
    public Generator $generator;
    public CheckSerializer $checkSerializer;
    public MendSerializer $mendSerializer;
    public NextSerializer $nextSerializer;

    private function __construct()
    {
        $catalogue = Catalogue::builtIn();
        $this->reader = Reader::builtIn();
        $this->check = Check::builtIn();
        $this->mendFinder = new MendFinder($catalogue, $this->check);
        $this->next = new Next($catalogue);
        $this->generator = new Generator($catalogue, $this->check);
        $this->checkSerializer = new CheckSerializer($this->reader, $this->check, $catalogue);
        $this->mendSerializer = new MendSerializer($this->reader, $this->check, $this->mendFinder);
        $this->nextSerializer = new NextSerializer($this->next);
    }

    public static function load(): self
    {
        /** @var self|null $services */
        static $services = null;

        return $services ??= new self();
    }
}
