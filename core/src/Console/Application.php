<?php

declare(strict_types=1);

namespace MildBowl\Core\Console;

use MildBowl\Core\Contract\Answers;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Contract\Json;
use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Questions\RequestRefused;

/** The console of the core: one JSON request in, one JSON answer out; with --lines one a line. */
final readonly class Application
{
    private Contract $contract;

    /**
     * @param  resource  $input
     * @param  resource  $output
     * @param  resource  $errors
     */
    public function __construct(private mixed $input, private mixed $output, private mixed $errors)
    {
        $this->contract = new Contract;
    }

    /** @param  list<string>  $arguments  without the program's name */
    public function run(array $arguments): int
    {
        $command = array_shift($arguments);
        if ($command === '--help' || $command === 'help') {
            fwrite($this->output, self::usage());

            return 0;
        }
        $lines = in_array('--lines', $arguments, true);
        $files = array_values(array_filter($arguments, static fn (string $argument): bool => $argument !== '--lines'));
        if ($command === null || ! Contract::has($command) || count($files) > 1 || ($files !== [] && str_starts_with($files[0], '--'))) {
            fwrite($this->errors, self::usage());

            return 2;
        }
        $source = $files === [] ? $this->input : (is_readable($files[0]) ? fopen($files[0], 'r') : false);
        if ($source === false) {
            fwrite($this->errors, "{$files[0]} cannot be read.\n");

            return 2;
        }
        if (! $lines) {
            return $this->one($command, (string) stream_get_contents($source)) ? 0 : 1;
        }
        $code = 0;
        // values make no cycles: looking for them after every few requests only costs time
        gc_disable();
        while (($line = fgets($source)) !== false) {
            if (trim($line) !== '' && ! $this->one($command, $line)) {
                $code = 1;
            }
        }

        return $code;
    }

    private function one(string $command, string $json): bool
    {
        $answered = true;
        try {
            $result = $this->contract->answer($command, $json);
        } catch (RequestRefused $refused) {
            $result = Presenter::refusal($refused);
            $answered = false;
        }
        fwrite($this->output, Json::of($result)."\n");

        return $answered;
    }

    private static function usage(): string
    {
        $longest = max(array_map(strlen(...), Contract::names()));
        $commands = implode("\n", array_map(static fn (Answers $one): string => str_pad($one->name(), $longest).'  '.$one->says(), Contract::all()));

        return <<<TEXT
            Usage: mildbowl COMMAND [--lines] [FILE]

            $commands

            Reads one request (JSON, version 1) from FILE or standard input and prints the answer.
            With --lines: one request a line, one answer a line, in order.
            Exit code: 0 when every request was answered, 1 when any was refused, 2 for wrong usage.

            TEXT;
    }
}
