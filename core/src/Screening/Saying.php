<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Values\Level;

/**
 * A row of findings.csv: what is said of a line, a step, a label or a dog. Rows about a dog hold by their `when`; of the others the
 * program finds out, and `trigger` tells when.
 */
final readonly class Saying
{
    private function __construct(
        public string $code,
        public string $about,
        public Level $level,
        public When $when,
        public string $trigger,
        public string $message,
        public string $advice,
        public string $figure,
        public string $source,
    ) {}

    /** @throws \OutOfBoundsException when findings.csv holds no such row */
    public static function of(string $code, string $about = 'line'): self
    {
        return self::row(Compiled::tables()['findings']["$code|$about"][0] ?? throw new \OutOfBoundsException("findings.csv has no row \"$code\" about a $about."));
    }

    /** @return list<self> in the order of the file */
    public static function all(): array
    {
        return array_map(self::row(...), array_merge(...array_values(Compiled::tables()['findings'])));
    }

    /** @return list<self> what holds of a dog as it is served, in the order of the file */
    public static function holdingOf(Dog $dog, Circumstances $circumstances): array
    {
        $holding = [];
        foreach (Compiled::tables()['findingsOfDogs'] as $row) {
            foreach ($row['when'] as $kind => $values) {
                if (When::clause($kind, $values, null, $dog, $circumstances) !== true) {
                    continue 2;
                }
            }
            $holding[] = self::row($row);
        }

        return $holding;
    }

    /**
     * @param  array<string, string>  $fill  what stands for each {word} of the row
     * @param  ?string  $code  where the row stands for many codes ("allergy-beef")
     */
    public function finding(?Dog $dog = null, array $fill = [], ?string $code = null): Finding
    {
        $fill = ['{dog}' => $dog === null ? 'a dog' : $dog->name] + $fill;

        return new Finding($dog, $this->level, $code ?? $this->code, strtr($this->message, $fill), strtr($this->advice, $fill), $this->figure === '' ? null : strtr($this->figure, $fill), false, Sources::name($this->source));
    }

    /** @param  array{code: string, about: string, level: string, when: array<string, list<string>>, trigger: string, message: string, advice: string, figure: string, source: string}  $row */
    private static function row(array $row): self
    {
        return new self($row['code'], $row['about'], Level::from($row['level']), new When($row['when']), $row['trigger'], $row['message'], $row['advice'], $row['figure'], $row['source']);
    }
}
