<?php

declare(strict_types=1);

namespace Periplus\App;

use Periplus\App\Http\CoreDataWarmer;
use Periplus\App\Http\ValidateRequestsOnly;
use Periplus\Core\Technique\Data;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    /** APP_ENV defaults to prod; see docs/development.md. */
    public static function fromEnvironment(): self
    {
        $env = $_SERVER['APP_ENV'] ?? 'prod';
        $env = \is_string($env) ? $env : 'prod';

        return new self($env, 'dev' === $env);
    }

    public function boot(): void
    {
        parent::boot();
        if (!$this->debug) {
            Data::from($this->getCacheDir().CoreDataWarmer::FOLDER);
        }
    }

    protected function build(ContainerBuilder $container): void
    {
        $container->addCompilerPass(new ValidateRequestsOnly(), priority: 100);
    }

    /** bin/start has a folder for each state of the code, so that the cache of a running server is never replaced. */
    public function getCacheDir(): string
    {
        $folder = $_SERVER['APP_CACHE_DIR'] ?? '';

        return 'prod' === $this->environment && \is_string($folder) && '' !== $folder ? $folder : parent::getCacheDir();
    }

    public function getProjectDir(): string
    {
        return \dirname(__DIR__);
    }

    private function getConfigDir(): string
    {
        return __DIR__.'/config';
    }
}
