<?php

declare(strict_types=1);

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

pest()->extend(TestCase::class)->in('Feature');

/** What is wrong with a value by one of the published schemas; empty when nothing is. */
function schemaErrors(mixed $data, string $schema): string
{
    $validator = new Validator();
    foreach (glob(base_path('schemas/*.json')) ?: [] as $file) {
        $id = json_decode((string) file_get_contents($file))->{'$id'} ?? null;
        if ($id !== null) {
            $validator->resolver()?->registerFile($id, $file);
        }
    }
    $result = $validator->validate(json_decode(json_encode($data, JSON_THROW_ON_ERROR)), "https://mildbowl.invalid/schemas/$schema");

    return $result->isValid() ? '' : json_encode((new ErrorFormatter())->format($result->error()), JSON_THROW_ON_ERROR);
}
