<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Golden;

use MildBowl\Core\Console\Application;
use RuntimeException;

/**
 * Requests kept with the answers they had, so that a change shows what it changes. What is asked stands in
 * golden/asked/COMMAND/THEME.json (name of the case => request, or a string that is sent as it stands), what was answered in
 * golden/answered/COMMAND/THEME.txt. The ledger beside them has what the core says of every food by itself.
 */
final class Golden
{
    /** Answers that differ from run to run or with every change of any row. */
    private const LEFT_OUT = ['dataVersion'];

    private const WIDEST = 160;

    private const DIGITS = 9;

    private const FOLDER = __DIR__.'/../golden';

    /** @return list<string> "COMMAND/THEME" of everything that is kept */
    public static function themes(): array
    {
        $themes = [];
        foreach (glob(self::FOLDER.'/asked/*/*.json') ?: [] as $file) {
            $themes[] = basename(dirname($file)).'/'.basename($file, '.json');
        }
        sort($themes);

        return [...$themes, ...array_map(static fn (string $theme): string => "ledger/$theme", Ledger::THEMES)];
    }

    /** @return array<string, mixed> what is asked, by the name of the case */
    public static function asked(string $theme): array
    {
        $file = self::FOLDER."/asked/$theme.json";
        $asked = json_decode((string) file_get_contents($file), false, 512, JSON_THROW_ON_ERROR);

        return get_object_vars(is_object($asked) ? $asked : throw new RuntimeException("$file holds no cases."));
    }

    /** @return array<string, string> what is answered today, by the name of the case */
    public static function now(string $theme): array
    {
        [$command, $name] = explode('/', $theme);
        if ($command === 'ledger') {
            return Ledger::of($name);
        }
        $asked = self::asked($theme);
        $lines = implode(
            "\n",
            array_map(
                static fn (mixed $request): string => is_string($request)
                    ? $request
                    : json_encode($request, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
                $asked
            )
        );
        $answers = explode("\n", trim(self::console($command, $lines)));
        if (count($answers) !== count($asked)) {
            throw new RuntimeException("$theme: ".count($asked).' asked, '.count($answers).' answered.');
        }

        return array_combine(
            array_keys($asked),
            array_map(static fn (string $answer): string => self::plain(json_decode($answer, true, 512, JSON_THROW_ON_ERROR)), $answers)
        );
    }

    /** @return array<string, string> what was answered when it was last taken over, by the name of the case */
    public static function kept(string $theme): array
    {
        $file = self::FOLDER."/answered/$theme.txt";
        $kept = [];
        foreach (preg_split('/^=== /m', is_file($file) ? (string) file_get_contents($file) : '', -1, PREG_SPLIT_NO_EMPTY) ?: [] as $case) {
            [$name, $answer] = explode("\n", $case, 2);
            $kept[$name] = rtrim($answer);
        }

        return $kept;
    }

    /** @param  array<string, string>  $answers */
    public static function take(string $theme, array $answers): void
    {
        $file = self::FOLDER."/answered/$theme.txt";
        if (! is_dir(dirname($file))) {
            mkdir(dirname($file), 0o755, true);
        }
        file_put_contents(
            $file,
            implode("\n", array_map(static fn (string $name, string $answer): string => "=== $name\n$answer\n", array_keys($answers), $answers))
        );
    }

    /** @return array<string, array{string, string}> what was and what is, of every case that differs; '' where there is none */
    public static function changed(string $theme): array
    {
        [$kept, $now] = [self::kept($theme), self::now($theme)];
        $changed = [];
        foreach ($kept + $now as $name => $_) {
            if (($kept[$name] ?? '') !== ($now[$name] ?? '')) {
                $changed[$name] = [$kept[$name] ?? '', $now[$name] ?? ''];
            }
        }

        return $changed;
    }

    private static function console(string $command, string $lines): string
    {
        [$input, $output, $errors] = array_map(static fn (): mixed => fopen('php://memory', 'w+') ?: throw new RuntimeException('No memory stream.'), [
            0,
            1,
            2,
        ]);
        fwrite($input, $lines."\n");
        rewind($input);
        (new Application($input, $output, $errors))->run([$command, '--lines']);
        rewind($output);

        return (string) stream_get_contents($output);
    }

    /** An answer as a person reads it: what is short on one line, figures to nine digits. */
    public static function plain(mixed $value, string $indent = ''): string
    {
        if (! is_array($value)) {
            return self::scalar($value);
        }
        foreach (self::LEFT_OUT as $key) {
            unset($value[$key]);
        }
        $short = self::short($value);
        if (mb_strlen($indent.$short) <= self::WIDEST) {
            return $short;
        }
        $isList = array_is_list($value);
        $rows = [];
        foreach ($value as $key => $one) {
            $text = self::plain($one, "$indent  ");
            $rows[] = "$indent  ".($isList ? '-' : "$key:").(str_starts_with($text, "\n") ? '' : ' ').$text;
        }

        return "\n".implode("\n", $rows);
    }

    /** @param  array<array-key, mixed>  $value */
    private static function short(array $value): string
    {
        if ($value !== [] && array_keys($value) === ['low', 'best', 'high']) {
            return self::scalar($value['low']).' … '.self::scalar($value['best']).' … '.self::scalar($value['high']);
        }
        $parts = [];
        foreach ($value as $key => $one) {
            $parts[] = (array_is_list($value) ? '' : "$key: ").(is_array($one) ? self::short($one) : self::scalar($one));
        }

        return array_is_list($value) ? '['.implode(', ', $parts).']' : '{'.implode(', ', $parts).'}';
    }

    private static function scalar(mixed $value): string
    {
        return match (true) {
            is_float($value) => (string) (float) sprintf('%.'.(self::DIGITS - 1).'e', $value),
            is_string($value) => '"'.str_replace("\n", '⏎', $value).'"',
            is_array($value) => self::short($value),
            default => json_encode($value, JSON_THROW_ON_ERROR),
        };
    }
}
