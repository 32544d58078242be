<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\ORM\Query\AST\Functions\FunctionNode;
use Doctrine\ORM\Query\AST\Node;
use Doctrine\ORM\Query\Parser;
use Doctrine\ORM\Query\SqlWalker;
use Doctrine\ORM\Query\TokenType;

/** The DQL function JSON_VALUE(column, path) of MariaDB: one value of a JSON column. */
final class JsonValueFunction extends FunctionNode
{
    private Node $column;
    private Node $path;

    public function parse(Parser $parser): void
    {
        $parser->match(TokenType::T_IDENTIFIER);
        $parser->match(TokenType::T_OPEN_PARENTHESIS);
        $this->column = $parser->StringPrimary();
        $parser->match(TokenType::T_COMMA);
        $this->path = $parser->StringPrimary();
        $parser->match(TokenType::T_CLOSE_PARENTHESIS);
    }

    public function getSql(SqlWalker $sqlWalker): string
    {
        return \sprintf('JSON_VALUE(%s, %s)', $this->column->dispatch($sqlWalker), $this->path->dispatch($sqlWalker));
    }
}
