<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Devices\LabelLanguage;
use App\Support\CurrentKitchen;
use App\Support\KitchenParts;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;
use Illuminate\Validation\Validator;
use MildBowl\Core\Telling\HealthClaim;

/** A body whose keys are all known: a misspelled key is refused instead of lost. */
abstract class StrictRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, mixed> */
    abstract public function rules(): array;

    /**
     * A name is free where nothing of its kind in this kitchen bears it, however it is written; what lies in the trash bears none.
     *
     * @param  class-string<Model>  $model
     */
    protected static function free(string $model, string $column, mixed $own, string $message): Closure
    {
        return static function (string $path, mixed $value, Closure $fail) use ($model, $column, $own, $message): void {
            $others = $model::query()->whereRaw("lower($column) = lower(?)", [is_string($value) ? trim($value) : '']);
            if ($own instanceof Model) {
                $others->where('id', '!=', $own->getKey());
            }
            if ($others->exists()) {
                $fail($message);
            }
        };
    }

    /** Languages that labels are read in, each once. */
    protected static function labelLanguages(): Closure
    {
        return static function (string $path, mixed $value, Closure $fail): void {
            $all = LabelLanguage::all();
            if (! is_array($value) || ! array_is_list($value) || $value === [] || array_filter($value, static fn (mixed $one): bool => ! in_array($one, $all, true)) !== [] || count(array_unique($value)) < count($value)) {
                $fail('Name the languages in which labels are read, each once: '.implode(', ', $all).'.');
            }
        };
    }

    /** Words that may stand on a label: none of them says anything about health. */
    protected static function noClaim(): Closure
    {
        return static function (string $path, mixed $value, Closure $fail): void {
            $claim = is_string($value) ? HealthClaim::in($value) : null;
            if ($claim !== null) {
                $fail("“{$claim}” says something about health, and that is never printed on a treat: write it another way.");
            }
        };
    }

    /** A food or a group of foods that is known in this kitchen. */
    protected static function food(): Closure
    {
        return static function (string $path, mixed $value, Closure $fail): void {
            if (! is_string($value) || app(KitchenParts::class)->catalogue()->resolveGroupOrId($value) === null) {
                $fail('"'.(is_scalar($value) ? $value : '?').'" is neither a group of foods nor a food of the catalogue.');
            }
        };
    }

    /** @param  list<string>  $keys */
    protected static function keysAre(array $keys): Closure
    {
        return static function (string $path, mixed $value, Closure $fail) use ($keys): void {
            if (! is_array($value) || array_diff(array_keys($value), $keys) !== []) {
                $fail('This holds '.implode(', ', $keys).' and nothing else.');
            }
        };
    }

    /** A row of this kitchen. */
    protected static function ofThisKitchen(string $table): Exists
    {
        return Rule::exists($table, 'id')->where('kitchen_id', app(CurrentKitchen::class)->id());
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            foreach (array_keys($this->all()) as $key) {
                if (! array_key_exists((string) $key, $this->rules())) {
                    $validator->setCustomMessages(["$key.prohibited" => 'Nobody knows this key. Is it spelled right?']);
                    $validator->addFailure((string) $key, 'Prohibited');
                }
            }
        });
    }
}
