<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;

/** All dogs of a party at once: how much of the cake each gets, what that borrows, and how the slices are shared out. */
final readonly class Party
{
    private const ONE_EACH = 1.0;

    /**
     * @param  list<PartyGuest>  $guests
     * @param  list<Slice>  $slices
     * @param  float  $left  pieces that nobody gets
     */
    private function __construct(public array $guests, public array $slices, public float $left) {}

    /**
     * @param  non-empty-list<array{Dog, ?float}>  $wishes  pieces by dog; null: one each, or as much of it as it may have
     */
    public static function of(Question $question, array $wishes, float $count): self
    {
        $guests = [];
        $judgement = Judgement::on($question);
        foreach ($wishes as [$dog, $pieces]) {
            $answer = (new OccasionQuestion($question, $dog, $pieces ?? self::ONE_EACH, $judgement))->answer();
            if ($pieces === null && ! $answer->possible && Ration::isAPiece($answer->mostPieces)) {
                $pieces = min(self::ONE_EACH, $answer->mostPieces);
                $answer = (new OccasionQuestion($question, $dog, $pieces, $judgement))->answer();
            }
            $guests[] = new PartyGuest($dog, $answer->possible ? $pieces ?? self::ONE_EACH : 0.0, $answer);
        }

        return new self($guests, self::slices($guests), $count - array_sum(array_map(static fn (PartyGuest $one): float => $one->pieces, $guests)));
    }

    /**
     * Whole slices first; what is less than a slice shares one, the largest first, where the next fits.
     *
     * @param  list<PartyGuest>  $guests
     * @return list<Slice>
     */
    public static function slices(array $guests): array
    {
        $whole = $parts = [];
        foreach ($guests as $guest) {
            for ($left = $guest->pieces; $left >= 1.0 - 1e-9; $left--) {
                $whole[] = [self::part($guest, 1.0)];
            }
            if ($left > 1e-6) {
                $parts[] = self::part($guest, $left);
            }
        }
        usort($parts, static fn (array $a, array $b): int => $b['share'] <=> $a['share']);
        $shared = [];
        foreach ($parts as $part) {
            foreach ($shared as $n => $slice) {
                if (array_sum(array_column($slice, 'share')) + $part['share'] <= 1.0 + 1e-9) {
                    $shared[$n][] = $part;

                    continue 2;
                }
            }
            $shared[] = [$part];
        }
        $slices = [];
        foreach ([...$whole, ...$shared] as $n => $parts) {
            $slices[] = new Slice($n + 1, $parts);
        }

        return $slices;
    }

    /** @return array{dog: string, dogId: ?string, share: float, without: list<string>} */
    private static function part(PartyGuest $guest, float $share): array
    {
        return ['dog' => $guest->dog->name, 'dogId' => $guest->dog->id, 'share' => $share, 'without' => $guest->dog->without];
    }
}
