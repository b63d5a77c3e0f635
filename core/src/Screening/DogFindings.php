<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\BroughtIn;
use MildBowl\Core\Dogs\Condition;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Values\Level;

/** What is said once per dog, whatever the line: the vet, the breed, the bite, the texture. */
final class DogFindings
{
    /** @return list<Finding> */
    public static function of(Dog $dog, Served $served, Circumstances $circumstances): array
    {
        $circumstances = $circumstances->serving($dog, $served);
        $findings = $vet = [];
        foreach (Saying::holdingOf($dog, $circumstances) as $saying) {
            $finding = $saying->finding($dog, self::fill($saying->code, $dog, $served, $circumstances->texture));
            if ($saying->level === Level::AskVet) {
                $vet[] = $finding;
            } else {
                $findings[] = $saying->code === 'breed-note' ? self::cited($finding, $dog->breed()->source ?? '') : $finding;
            }
        }

        return [...self::vet($dog, $vet), ...$findings];
    }

    /**
     * Whatever asks for a vet, in one: its conditions, its medicines, its body.
     *
     * @param  list<Finding>  $body
     * @return list<Finding>
     */
    private static function vet(Dog $dog, array $body): array
    {
        $reasons = $advice = [];
        foreach (Condition::askingVetFor($dog) as $row) {
            $reasons[] = strtr($row->message, ['{dog}' => $dog->name]);
            $advice[] = $row->advice;
        }
        foreach ($body as $finding) {
            $reasons[] = $finding->message;
            $advice[] = $finding->advice;
        }

        return $reasons === [] ? []
            : [new Finding($dog, Level::AskVet, 'ask-vet', implode(' ', array_unique($reasons)), implode(' ', array_unique($advice)), null, false, Sources::name('ACVIM'))];
    }

    /** @return array<string, string> */
    private static function fill(string $code, Dog $dog, Served $served, Texture $texture): array
    {
        return match ($code) {
            'bite', 'bite-gulps', 'size-young' => ['{size}' => (string) round($served->cut->largestMm() ?? 0.0), '{bite}' => (string) round($dog->safeBiteMm() ?? 0.0), '{parts}' => (string) $served->parts($dog)],
            'breed-note' => ['{note}' => $dog->breed()->note ?? '', '{food}' => $served->ofBreedNote($dog)->name ?? ''],
            'several-new' => ['{foods}' => implode(', ', $served->newTo($dog))],
            'beside-trial' => ['{foods}' => implode(', ', $served->newBesideTrial($dog)), '{tried}' => implode(', ', array_map(static fn (BroughtIn $one): string => $one->name, $dog->watched->broughtIn))],
            'legume-heart' => ['{legumes}' => (string) round(100 * ($served->legumes() ?? 0.0))],
            default => ['{score}' => (string) $dog->bodyCondition, '{texture}' => $texture->name],
        };
    }

    private static function cited(Finding $finding, string $source): Finding
    {
        return new Finding($finding->dog, $finding->level, $finding->code, $finding->message, $finding->advice, $finding->figure, $finding->emergency, Sources::name($source));
    }
}
