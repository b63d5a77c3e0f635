<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\DayOfTreats;
use MildBowl\Core\Feeding\Dose;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Feeding\HadBefore;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Values\Range;

/** `day`: one budget and every dose of each dog, shared by all it was given, whoever gave it; and what it may still have of each batch. */
final readonly class DayQuestion
{
    public const MOST_BATCHES = 60;

    public const MOST_GIVEN = 2000;

    private const PREDATOR_FISH = 'predator-fish';

    /**
     * @param  list<Dog>  $dogs
     * @param  array<string, Judgement>  $batches  by id, each judged for these dogs
     * @param  list<GivenPieces|GivenText|GivenLabel>  $given
     * @param  list<HadBefore>  $before
     * @param  array<string, float>  $borrowed  kcal by dog key
     */
    public function __construct(private Day $date, private Kitchen $kitchen, private array $dogs, private array $batches, private array $given, private array $before, private array $borrowed) {}

    /** @return list<DayDog> */
    public function answer(): array
    {
        $answers = [];
        foreach ($this->dogs as $dog) {
            $given = [];
            foreach ($this->given as $one) {
                if ($one->dog->key() === $dog->key()) {
                    $given[] = match (true) {
                        $one instanceof GivenPieces => self::pieces($one, $this->batches[$one->batch]),
                        $one instanceof GivenText => $this->text($one),
                        default => $this->label($one),
                    };
                }
            }
            $before = array_values(array_filter($this->before, static fn (HadBefore $one): bool => $one->dog->key() === $dog->key()));
            $day = new DayOfTreats($dog, $this->kitchen->policy, $this->date, $given, $this->borrowed[$dog->key()] ?? 0.0, $before);
            $may = [];
            foreach ($this->batches as $id => $judgement) {
                $may[] = self::may((string) $id, $dog, $judgement, $day);
            }
            $answers[] = new DayDog($dog, $day->budget->kcal, ['kcal' => $day->kcal] + $day->substances, $day->leftKcal, $may, $day->holdBackGrams(), $day->isOver(), $day->findings(), array_filter($given, static fn (Given $one): bool => $one->isPredatorFish) !== [], FoodsEaten::ofAll($given));
        }

        return $answers;
    }

    private static function may(string $id, Dog $dog, Judgement $judgement, DayOfTreats $day): DayMay
    {
        $obstacle = $judgement->whyNotCleared($dog);
        if ($obstacle !== null) {
            return new DayMay($id, 0.0, Limit::NOT_CLEARED, $obstacle->why);
        }
        $lot = $judgement->lotOf($dog);
        [$pieces, $heldBy] = $day->may($lot->batch->for($dog), Ramp::today($dog, $judgement->bowl->foods($dog)), self::isPredatorFish($judgement, $dog));

        return new DayMay($id, $pieces, $heldBy);
    }

    private static function pieces(GivenPieces $one, Judgement $judgement): Given
    {
        $batch = $judgement->lotOf($one->dog)->batch->for($one->dog);
        $substances = [];
        foreach (Given::SUBSTANCES as $substance) {
            $substances[$substance] = Range::exact(($batch->pieceSubstances[Dose::countedBy($substance)] ?? 0.0) * $one->pieces);
        }

        return new Given(
            $one->dog, $batch->pieceKcal->times($one->pieces), $batch->pieceUnknownKcal * $one->pieces, $substances, $judgement->openFor($one->dog), null,
            self::isNew($judgement, $one->dog), self::isPredatorFish($judgement, $one->dog), $one->batch, $one->pieces, FoodsEaten::of($judgement, $one->dog),
        );
    }

    private static function isNew(Judgement $judgement, Dog $dog): bool
    {
        foreach ($dog->hasNew() ? $judgement->bowl->foods($dog) : [] as $food) {
            if ($dog->isNewTo($food)) {
                return true;
            }
        }

        return false;
    }

    private static function isPredatorFish(Judgement $judgement, Dog $dog): bool
    {
        foreach ($judgement->bowl->doughFor($dog)->weighed as $one) {
            if ($one->ingredient->inGroup(self::PREDATOR_FISH)) {
                return true;
            }
        }

        return false;
    }

    /** Foods as a person writes them, eaten as they are. */
    private function text(GivenText $one): Given
    {
        $judgement = Judgement::on(new Question($this->kitchen, $one->text, '', null, Texture::of('none'), [$one->dog]));
        $bowl = $judgement->bowl;
        $substances = [];
        foreach (Given::SUBSTANCES as $substance) {
            $substances[$substance] = Range::exact($bowl->dough->substances[Dose::countedBy($substance)] ?? 0.0);
        }
        $unread = $bowl->recipe->lines === [] ? $one->text : null;
        foreach ($bowl->recipe->lines as $index => $line) {
            $isWater = $line->food !== null && $line->food->composition?->kcal === 0.0 && $line->food->composition->waterG > 99.0;
            $unread ??= ($bowl->grams[$index] === null || $line->food === null) && ! $isWater ? $line->text : null;
        }

        return new Given(
            $one->dog, $bowl->dough->kcal, $bowl->dough->unknownKcal, $substances, self::saidOfGiven($judgement->openFor($one->dog), $one), $unread, self::isNew($judgement, $one->dog), self::isPredatorFish($judgement, $one->dog),
            foods: $bowl->recipe->lines === [] ? [FoodsEaten::asWritten($one->text)] : FoodsEaten::of($judgement, $one->dog),
        );
    }

    /**
     * What was eaten is no line of a recipe to be mended: where nobody knows what it is, that is said of what was given.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function saidOfGiven(array $findings, GivenText $one): array
    {
        return array_map(static fn (Finding $finding): Finding => $finding->code === 'unrecognised' ? Saying::of('unrecognised', 'given')->finding($one->dog, ['{what}' => $one->text]) : $finding, $findings);
    }

    /** A bought treat by what its label says; what the label does not say is a range. */
    private function label(GivenLabel $one): Given
    {
        [$kcal, $unknown, $unread] = match (true) {
            $one->kcal !== null => [Range::exact($one->kcal * $one->pieces), 0.0, null],
            $one->grams !== null => [Range::of(0.0, Weighed::MOST_UNKNOWN / 2 * $one->grams * $one->pieces, Weighed::MOST_UNKNOWN * $one->grams * $one->pieces), Weighed::MOST_UNKNOWN / 2 * $one->grams * $one->pieces, null],
            default => [Range::zero(), 0.0, $one->name],
        };
        $substances = [];
        foreach (Given::SUBSTANCES as $substance) {
            $told = $one->substances[$substance] ?? null;
            $most = $told === null ? self::mostOf($substance, $kcal->high) : null;
            $substances[$substance] = $told !== null ? Range::exact($told * $one->pieces) : Range::of(0.0, 0.0, $most ?? 0.0);
        }
        [$findings, $isNew, $foods] = $this->onLabel($one);

        return new Given($one->dog, $kcal, $unknown, $substances, $findings, $unread, $isNew, false, null, $one->pieces, $foods);
    }

    /**
     * The most of a substance that is reckoned with where a label tells none: as much as a healthy dog's treats may hold of it; null
     * where no row is for every healthy dog by its energy.
     */
    private static function mostOf(string $substance, float $kcal): ?float
    {
        foreach (Dose::allOf($substance) as $dose) {
            if ($dose->limit !== null && ! $dose->isOfIllness() && $dose->basis === 'per100kcalTreat') {
                return $dose->limit * $kcal / 100;
            }
        }

        return null;
    }

    /** @return array{list<Finding>, bool, list<string>} what stands against it by its name and its list of ingredients, whether it is new to the dog, and what is in it */
    private function onLabel(GivenLabel $one): array
    {
        $isGrave = static fn (Finding $finding): bool => $finding->concerns($one->dog) && in_array($finding->level, [Level::Never, Level::Allergen, Level::AskVet], true);
        $screener = new Screener(Circumstances::of([$one->dog], Texture::of('none'), $this->kitchen->policy), $this->kitchen->reader->lines);
        $named = Judgement::on(new Question($this->kitchen, $one->name, '', null, Texture::of('none'), [$one->dog]));
        $findings = array_filter($named->openFor($one->dog), $isGrave);
        if ($one->ingredients !== null) {
            $findings = [...$findings, ...array_filter($screener->label($one->name, $one->ingredients), static fn (Finding $finding): bool => $finding->concerns($one->dog) && $finding->isOpen())];
        }

        $foods = $one->ingredients === null ? [] : FoodsEaten::onLabel($one->ingredients, $this->kitchen->reader->lines);

        return [Finding::unique(array_values($findings)), self::isNew($named, $one->dog), $foods === [] ? [FoodsEaten::asWritten($one->name)] : $foods];
    }
}
