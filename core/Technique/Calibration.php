<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The gym's own numbers of the model. */
final readonly class Calibration
{
    /** @var array<string, float> by key, in the order of the keys; what equals the value that ships is left out */
    public array $own;

    /**
     * @param array<string, int|float> $own by the key of {@see ModelValues}
     *
     * @throws \DomainException when there is no such value, when it is out of its bounds, or when a window would end
     *                          before it begins
     */
    public function __construct(array $own = [])
    {
        $values = [] === $own ? [] : ModelValues::all();
        $kept = [];
        foreach ($own as $key => $value) {
            $model =
                $values[$key]
                ?? throw new \DomainException(
                    \sprintf('There is no number "%s" in the model.', mb_substr($key, 0, 60)),
                );
            $whose = 'body' === $model->of ? $model->name : strtr($model->of, '-', ' ').' '.$model->name;
            if ($value < $model->least || $value > $model->most || !is_finite((float) $value)) {
                throw new \DomainException(
                    \sprintf('%s is %s to %s (%s).', ucfirst($whose), $model->least, $model->most, $model->unit),
                );
            }
            if (abs((float) $value - $model->value) > 1e-9) {
                $kept[$key] = (float) $value;
            }
        }
        ksort($kept);
        $this->own = $kept;
        try {
            $this->catalogue();
        } catch (\InvalidArgumentException $invalid) {
            throw new \DomainException($invalid->getMessage(), 0, $invalid);
        }
    }

    /** Returns the catalogue with the gym's own numbers. */
    public function catalogue(): Catalogue
    {
        /** @var array<string, Catalogue> $known */
        static $known = [];
        if ([] === $this->own) {
            return Catalogue::builtIn();
        }
        $key = serialize($this->own);
        if (!isset($known[$key]) && \count($known) > 8) {
            $known = [];
        }

        return $known[$key] ??= (new CatalogueData())->read($this->own);
    }
}
