<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\TableRequest;
use App\Http\Resources\DogResource;
use App\Models\Dog;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\DB;

/** Which dogs are at the table. */
final class TableController
{
    public function __invoke(TableRequest $request): AnonymousResourceCollection
    {
        $ids = $request->dogs();
        DB::transaction(function () use ($ids): void {
            foreach (Dog::query()->get() as $dog) {
                $dog->update(['at_table' => in_array($dog->id, $ids, true)]);
            }
        });

        return DogResource::collection(Dog::query()->orderBy('position')->orderBy('name')->get());
    }
}
