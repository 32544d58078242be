<?php

declare(strict_types=1);

// Preloads what every request needs: the classes of the warmed container, the core, the column types, the ORM with its
// mapping, and the request readers.
$root = dirname(__DIR__, 2);
if (is_file($preload = getenv('APP_CACHE_DIR').'/Periplus_App_KernelProdContainer.preload.php')) {
    require $preload;
    $folders = [
        '/core',
        ...array_map(
            static fn (string $path): string => substr($path, strlen($root)),
            array_filter(
                (array) glob(
                    $root
                        .'/app/{Account,Advice,Audit,Card,Combination,Course,Exchange,Gym,HouseRules,Logbook,Measure,'
                        .'Numbering,Plan,Review,RulePreview,Run,Search,Similarity,Store,Today,Voice,Wall}',
                    \GLOB_BRACE,
                ),
                is_string(...),
            ),
        ),
        '/vendor/doctrine/collections/src',
        '/vendor/doctrine/dbal/src/Types',
        '/vendor/doctrine/orm/src/Internal',
        '/vendor/doctrine/orm/src/Mapping',
        '/vendor/doctrine/orm/src/Persisters',
        '/vendor/doctrine/orm/src/Query',
        '/vendor/doctrine/orm/src/Repository',
        '/vendor/doctrine/orm/src/Utility',
        '/vendor/symfony/type-info/TypeResolver',
    ];
    foreach ($folders as $folder) {
        $files = new RegexIterator(
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder)),
            '/\.php$/',
        );
        foreach ($files as $path => $file) {
            require_once $path;
        }
    }
    foreach ([
        Doctrine\DBAL\DriverManager::class,
        Doctrine\DBAL\LockMode::class,
        Doctrine\ORM\PersistentCollection::class,
        Doctrine\ORM\Query::class,
        Doctrine\ORM\QueryBuilder::class,
        Doctrine\ORM\UnitOfWork::class,
        Doctrine\DBAL\Driver\PDO\MySQL\Driver::class,
        Doctrine\DBAL\Driver\PDO\PDOConnect::class,
        Doctrine\DBAL\Driver\PDO\Connection::class,
        Doctrine\DBAL\Driver\PDO\Statement::class,
        Doctrine\DBAL\Driver\PDO\Result::class,
        Symfony\Bridge\Doctrine\Types\UuidType::class,
        Symfony\Bridge\Doctrine\Types\UlidType::class,
        Symfony\Bridge\Doctrine\Types\DatePointType::class,
        Symfony\Bridge\Doctrine\Types\DayPointType::class,
        Symfony\Bridge\Doctrine\Types\TimePointType::class,
        Symfony\Component\HttpKernel\Attribute\MapRequestPayload::class,
        Symfony\Component\PropertyAccess\PropertyAccess::class,
        Symfony\Component\PropertyAccess\PropertyAccessorBuilder::class,
        Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken::class,
        Symfony\Component\Serializer\Encoder\ChainDecoder::class,
        Symfony\Component\Serializer\Encoder\ChainEncoder::class,
        Symfony\Component\Serializer\Mapping\AttributeMetadata::class,
        Symfony\Component\Serializer\Mapping\ClassMetadata::class,
        Symfony\Component\TypeInfo\TypeContext\TypeContextFactory::class,
        Symfony\Component\Validator\Constraints\ChoiceValidator::class,
        Symfony\Component\Validator\Constraints\RangeValidator::class,
        Symfony\Component\Validator\ConstraintViolationList::class,
        Symfony\Component\Validator\Context\ExecutionContextFactory::class,
        Symfony\Component\Validator\Mapping\Factory\LazyLoadingMetadataFactory::class,
        Symfony\Component\Validator\Mapping\Loader\AttributeLoader::class,
        Symfony\Component\Validator\Mapping\Loader\LoaderChain::class,
        Symfony\Component\Validator\Mapping\Loader\StaticMethodLoader::class,
        Symfony\Component\Validator\Util\PropertyPath::class,
        Symfony\Component\Validator\Validator\RecursiveContextualValidator::class,
        Symfony\Component\String\Inflector\EnglishInflector::class,
        Symfony\Component\TypeInfo\TypeContext\TypeContext::class,
        Symfony\Component\Validator\Context\ExecutionContext::class,
        Symfony\Component\Validator\Validator\RecursiveValidator::class,
        Symfony\Contracts\Cache\ItemInterface::class,
        Symfony\Component\VarExporter\Hydrator::class,
    ] as $class) {
        class_exists($class);
    }
}
