<?php

declare(strict_types=1);

namespace App\Backup;

/** The published schema of a kitchen's export (schemas/kitchen-export.json), as the tables stand: `php artisan kitchen:export-schema` writes it. */
final class ExportSchema
{
    private const TYPES = [
        'uuid' => ['type' => 'string', 'format' => 'uuid'], 'varchar' => ['type' => 'string'], 'text' => ['type' => 'string'], 'date' => ['type' => 'string', 'format' => 'date'],
        'timestamptz' => ['type' => 'string', 'description' => 'a moment, in UTC'], 'timestamp' => ['type' => 'string', 'description' => 'a moment, in UTC'],
        'int2' => ['type' => 'integer'], 'int4' => ['type' => 'integer'], 'int8' => ['type' => 'integer'], 'numeric' => ['type' => 'number'], 'float8' => ['type' => 'number'], 'bool' => ['type' => 'boolean'],
        'jsonb' => ['description' => 'as the API tells it'], 'json' => ['description' => 'as the API tells it'], 'bytea' => ['type' => 'string', 'contentEncoding' => 'base64'],
    ];

    /** @return array<string, mixed> */
    public static function make(): array
    {
        $tables = [];
        foreach (KitchenTables::all() as $table) {
            $columns = [];
            foreach ($table->types as $name => $type) {
                $column = self::TYPES[$type['type']];
                $columns[$name] = $type['nullable'] && isset($column['type']) ? ['type' => [$column['type'], 'null']] + $column : $column;
            }
            $tables[$table->name] = ['type' => 'array', 'items' => ['type' => 'object', 'properties' => $columns, 'required' => $table->columns, 'additionalProperties' => false]];
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema', '$id' => 'https://mildbowl.invalid/schemas/kitchen-export.json', 'title' => 'KitchenExport',
            'description' => 'Everything a kitchen keeps, table by table, each row by its columns. A backup holds the same rows.', 'type' => 'object',
            'properties' => [
                'format' => ['const' => BackupWriter::FORMAT], 'version' => ['const' => BackupWriter::VERSION],
                'made' => ['type' => 'string', 'format' => 'date-time'], 'schema' => ['type' => 'string', 'description' => 'the newest migration of the tables'],
                'tables' => ['type' => 'object', 'properties' => $tables, 'required' => array_keys($tables), 'additionalProperties' => false],
            ],
            'required' => ['format', 'version', 'made', 'schema', 'tables'], 'additionalProperties' => false,
        ];
    }

    public static function text(): string
    {
        return json_encode(self::make(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES)."\n";
    }
}
