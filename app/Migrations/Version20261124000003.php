<?php

declare(strict_types=1);

namespace Periplus\App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261124000003 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Of a chain that is in use more than once, the oldest stays in use and the others are archived';
    }

    public function up(Schema $schema): void
    {
        // The next migration lets no chain be in use twice, which the first versions of Periplus did. Where it has been
        // applied already this finds nothing.
        $twice = 'SELECT c.id FROM combination c WHERE c.archived_at IS NULL AND EXISTS (SELECT 1 FROM (SELECT id, fingerprint_with_effort, archived_at FROM combination) o WHERE o.fingerprint_with_effort = c.fingerprint_with_effort AND o.archived_at IS NULL AND o.id < c.id)';
        $this->addSql('CREATE TEMPORARY TABLE combination_twice AS '.$twice);
        $this->addSql("INSERT INTO combination_version (combination_id, content, version, change_kind, created_at, editor_id) SELECT c.id, v.content, c.version + 1, 'archived', UTC_TIMESTAMP(), c.editor_id FROM combination c JOIN combination_twice t ON t.id = c.id JOIN combination_version v ON v.combination_id = c.id AND v.version = c.version");
        $this->addSql('UPDATE combination SET archived_at = UTC_TIMESTAMP(), version = version + 1 WHERE id IN (SELECT id FROM combination_twice)');
        $this->addSql('DROP TEMPORARY TABLE combination_twice');
    }

    public function down(Schema $schema): void
    {
        $this->write('What was archived stays archived.');
    }
}
