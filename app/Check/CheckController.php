<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\App\Account\User;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\InferredRules;
use Periplus\Core\Flow\Serializer\CheckDocument;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Periplus\Core\Notation\ReadChain;
use Periplus\Core\Notation\Reader;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

final readonly class CheckController
{
    private const JSON_LINES = 'application/x-ndjson';

    /** @param \Closure(): Parts $parts made only when a part is asked for, and after the check itself was sent */
    public function __construct(
        private CheckSerializer $serializer,
        #[AutowireServiceClosure(Parts::class)]
        private \Closure $parts,
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private Reader $reader,
    ) {
    }

    /**
     * Reads and checks a chain and returns the parts that were requested; stores nothing. The parts are streamed as
     * lines of JSON if the client accepts that.
     */
    #[Route('/api/check', methods: 'POST')]
    public function __invoke(
        #[MapRequestPayload(acceptFormat: 'json')] CheckRequest $request,
        Request $http,
        #[CurrentUser] User $user,
    ): Response {
        $chain = $this->reader->readText($request->chainText($this->numberings));
        $rules = $request->rules ?? InferredRules::infer($chain->reading->chain);
        $options = $request->options($this->rules->named($rules));
        $check = $this->serializer->serialize($chain, $options, $request->draw());
        $parts = $this->parts($request, $chain, $options, $user);
        if (!\in_array(self::JSON_LINES, $http->getAcceptableContentTypes(), true)) {
            return new JsonResponse([...(array) $check, ...iterator_to_array($parts)]);
        }

        // nginx passes each line on at once.
        return new StreamedResponse(self::lines($check, $parts), 200, [
            'Content-Type' => self::JSON_LINES,
            'X-Accel-Buffering' => 'no',
        ]);
    }

    /** @return iterable<string, object|null> by the part's name */
    private function parts(CheckRequest $request, ReadChain $chain, CheckOptions $options, User $user): iterable
    {
        if ([] !== $request->with) {
            yield from ($this->parts)()->compute($request, $chain, $options, $this->numberings->forUser($user));
        }
    }

    /**
     * @param iterable<string, object|null> $parts
     *
     * @return iterable<string> JSON objects, a line each
     */
    private static function lines(CheckDocument $check, iterable $parts): iterable
    {
        yield json_encode($check, \JSON_THROW_ON_ERROR)."\n";
        foreach ($parts as $name => $part) {
            yield json_encode([$name => $part], \JSON_THROW_ON_ERROR)."\n";
        }
    }
}
