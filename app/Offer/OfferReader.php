<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Symfony\Component\Serializer\Exception\ExceptionInterface as NotReadable;
use Symfony\Component\Serializer\SerializerInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface as NotReached;
use Symfony\Contracts\HttpClient\HttpClientInterface;

use function Periplus\Core\Language\t;

/**
 * Reads the offers of other gyms. Over HTTP it asks for one path only, follows no redirects and shows nothing of an
 * answer that is not a document of offers, so that a link cannot be used to look around in the network.
 */
final readonly class OfferReader
{
    private const MAX_BYTES = 4_000_000;
    /** How long the other installation may be silent, and take in all, in s. */
    private const SILENT_SECONDS = 5;
    private const MAX_SECONDS = 15;

    public function __construct(
        private SerializerInterface $serializer,
        private ValidatorInterface $validator,
        private HttpClientInterface $http,
        private CacheInterface $foundCache,
    ) {
    }

    /**
     * @return ReadOffers|null null when they are the same as those with the ETag
     *
     * @throws Refused with what to do
     */
    public function fetch(string $address, ?string $etag): ?ReadOffers
    {
        $json = '';
        try {
            $answer = $this->http->request('GET', $address, [
                'headers' => ['Accept' => 'application/json'] + (null === $etag ? [] : ['If-None-Match' => $etag]),
                'max_redirects' => 0,
                'timeout' => self::SILENT_SECONDS,
                'max_duration' => self::MAX_SECONDS,
            ]);
            $status = $answer->getStatusCode();
            if (304 === $status && null !== $etag) {
                return null;
            }
            if (200 !== $status) {
                throw new Invalid(
                    410 === $status
                        ? t('The other gym has revoked this link, or it is mistyped. Ask for a new one.')
                        : t('There are no offers under this address. Look whether the link is whole.'),
                );
            }
            foreach ($this->http->stream($answer) as $part) {
                $json .= $part->getContent();
                if (\strlen($json) > self::MAX_BYTES) {
                    $answer->cancel();
                    throw new Invalid(t('What is under this address is too large to be the offers of a gym.'));
                }
            }
            $newTag = $answer->getHeaders()['etag'][0] ?? null;
        } catch (NotReached) {
            throw new Invalid(t('The other gym cannot be reached right now. Try again later.'));
        }

        return new ReadOffers(
            $this->read($json),
            $json,
            null === $newTag || \strlen($newTag) > 120 ? null : $newTag,
        );
    }

    /**
     * A document of hundreds of combinations takes a while to read, and is the same for every request until it changes.
     *
     * @throws Refused when it is not what a gym offers
     */
    public function read(string $json): OfferDocument
    {
        return $this->foundCache->get(
            'offers.'.hash('xxh128', $json),
            fn (): OfferDocument => $this->readAnew($json),
        );
    }

    private function readAnew(string $json): OfferDocument
    {
        try {
            $document = $this->serializer->deserialize($json, OfferDocument::class, 'json');
        } catch (NotReadable|\TypeError|\ValueError) {
            throw new Invalid(t('What is under this address are not the offers of a gym.'));
        }
        $violations = $this->validator->validate($document);
        if (\count($violations) > 0) {
            throw new Invalid((string) $violations->get(0)->getMessage());
        }

        return $document;
    }
}
