<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Dogs\Breed;
use MildBowl\Core\Dogs\Condition;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Groups;
use MildBowl\Core\Questions\SuspectsQuestion;
use MildBowl\Core\Telling\HouseUnits;
use MildBowl\Core\Watching\How;
use MildBowl\Core\Watching\SignKind;
use MildBowl\Core\Watching\SignStep;

/** Everything a person can choose from when describing a dog, a cut or a policy, with plain names. */
final class Choices
{
    public const STANDING_WORDS = 'A planning aid, not veterinary advice. A dog with a condition, on medicine, pregnant, very young or unwell: ask the vet first. If it has eaten something on the never list: call a vet or an animal poison line now.';

    /** @return array<string, mixed> as schemas/choices.json says */
    public static function all(): array
    {
        $named = static fn (array $rows): array => array_map(
            static fn (string $id, mixed $name): array => ['id' => $id, 'name' => is_string($name) ? $name : ''],
            array_keys($rows), $rows,
        );
        $foods = array_filter(Compiled::tables()['entries'], static fn (array $entry): bool => $entry['composition'] !== null && ! isset($entry['groups']['category-word']));

        return [
            'measures' => ['kgAPound' => HouseUnits::KG_A_POUND, 'mmAnInch' => HouseUnits::MM_AN_INCH, 'gasMarks' => Heat::gasMarks()],
            'sexes' => Dog::SEXES,
            'activities' => Dog::ACTIVITIES,
            'stages' => array_map(static fn (Stage $stage): string => $stage->value, Stage::cases()),
            'teeth' => Dog::TEETH,
            'eating' => Dog::EATING,
            'allergens' => $named(Groups::labels()),
            'conditions' => $named(array_map(static fn (Condition $row): string => $row->label, Condition::all())),
            'medicines' => $named(array_map(static fn (Condition $row): string => $row->label, Condition::medicines())),
            'breeds' => array_keys(Breed::all()),
            'foods' => $named(array_map(static fn (array $entry): string => $entry['name'], $foods)),
            'shapes' => array_map(self::shape(...), Shapes::all()),
            'textures' => array_map(static fn (string $id): array => ['id' => $id, 'name' => Texture::of($id)->name], Texture::ids()),
            'roles' => array_map(static fn (Role $role): array => ['id' => $role->value, 'name' => $role->label()], Role::cases()),
            'processes' => array_map(static fn (Process $process): array => ['id' => $process->id(), 'name' => $process->label()], Processes::all()),
            'feels' => array_map(static fn (Feel $row): array => ['feel' => $row->feel, 'word' => $row->word, 'below' => $row->below], Feel::all()),
            'feelsOfMeat' => array_map(static fn (Feel $row): array => ['feel' => $row->feel, 'word' => $row->word, 'below' => $row->below], Feel::allOfMeat()),
            'cups' => array_map(static fn (string $units): array => [
                'units' => $units, 'cupMl' => Unit::millilitres($units, 'cup'), 'tablespoonMl' => Unit::millilitres($units, 'tbsp'),
            ], Unit::SYSTEMS),
            'signs' => array_map(self::sign(...), SignKind::cases()),
            'ramp' => Ramp::steps(),
            'hows' => array_map(static fn (How $how): array => ['id' => $how->value, 'name' => $how->label()], How::cases()),
            'policies' => Policy::CHOICES,
            'standingWords' => self::STANDING_WORDS,
            'dataVersion' => Compiled::version(),
        ];
    }

    /** @return array<string, mixed> */
    private static function sign(SignKind $kind): array
    {
        $step = static fn (SignStep $one): array => ['step' => $one->step, 'score' => $one->score, 'name' => $one->name, 'meaning' => $one->meaning, 'urgent' => $one->urgent];

        return ['kind' => $kind->value, 'name' => $kind->label(), 'windowDays' => $kind->windowDays(), 'badFrom' => $kind->badFrom(SuspectsQuestion::THRESHOLD), 'steps' => array_map($step, SignStep::of($kind))];
    }

    /** @return array<string, mixed> */
    private static function shape(Shape $shape): array
    {
        $drawing = $shape->drawing();

        return [
            'id' => $shape->id(), 'name' => $shape->label(), 'lies' => $shape->lies()->name,
            'sizes' => array_map(static fn ($size): array => ['key' => $size->key, 'label' => $size->label, 'unit' => $size->unit, 'start' => $size->start], $shape->sizes()),
            'drawing' => $drawing === null ? null : Presenter::object($drawing),
        ];
    }
}
