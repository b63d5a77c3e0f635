<?php

declare(strict_types=1);

namespace MildBowl\Core\Console;

use MildBowl\Core\Clipping\ReadQuestion;
use MildBowl\Core\Dogs\ProfileQuestion;
use MildBowl\Core\Emergency\RaidQuestion;
use MildBowl\Core\Feeding\GiveAwayQuestion;
use MildBowl\Core\Feeding\OccasionQuestion;
use MildBowl\Core\Feeding\WeekQuestion;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Screening\LabelQuestion;
use MildBowl\Core\Sizes\ScaleQuestion;
use MildBowl\Core\Sizes\SizeQuestion;
use MildBowl\Core\Swaps\DoughQuestion;
use MildBowl\Core\Swaps\RescueQuestion;
use MildBowl\Core\Swaps\SwapsQuestion;

/** The console of the core: one JSON request in, one JSON answer out; with --lines one a line. */
final readonly class Application
{
    private const USAGE = <<<'TEXT'
        Usage: mildbowl COMMAND [--lines] [FILE]

        formulate  what of this recipe may be baked for these dogs, and how much each may have
        read       the recipes in a text, a web page, JSON-LD or Markdown from outside
        rescue     the fewest changes that clear a recipe for the most dogs, or reach a goal
        size       so many pieces a day for each dog: the sizes and how much dough
        scale      the same recipe larger or smaller, in amounts a kitchen can measure
        occasion   a birthday slice: what is borrowed from the days after
        week       several treats sharing each dog's day, and until when they last
        give-away  pieces a day by body weight, for dogs nobody here knows
        profile    what follows from one dog's profile
        swaps      what may stand in for one line, with its effect
        dough      too wet or too dry: what to work in
        raid       a dog got at something: doses against what is known to harm
        label      what a printed list of ingredients says, part by part

        Reads one request (JSON, version 1) from FILE or standard input and prints the answer.
        With --lines: one request a line, one answer a line, in order.
        Exit code: 0 when every request was answered, 1 when any was refused, 2 for wrong usage.

        TEXT;

    /**
     * @param  resource  $input
     * @param  resource  $output
     * @param  resource  $errors
     */
    public function __construct(private mixed $input, private mixed $output, private mixed $errors) {}

    /** @param  list<string>  $arguments  without the program's name */
    public function run(array $arguments): int
    {
        $command = array_shift($arguments);
        if ($command === '--help' || $command === 'help') {
            fwrite($this->output, self::USAGE);

            return 0;
        }
        $answer = match ($command) {
            'formulate' => static fn (string $json): array => Formulate::answer(Request::fromJson($json)),
            'read' => static fn (string $json): array => ReadQuestion::answer(Node::decode($json)),
            'raid' => static fn (string $json): array => RaidQuestion::answer(Node::decode($json)),
            'rescue' => static fn (string $json): array => RescueQuestion::answer(Node::decode($json)),
            'swaps' => static fn (string $json): array => SwapsQuestion::answer(Node::decode($json)),
            'scale' => static fn (string $json): array => ScaleQuestion::answer(Node::decode($json)),
            'occasion' => static fn (string $json): array => OccasionQuestion::answer(Node::decode($json)),
            'week' => static fn (string $json): array => WeekQuestion::answer(Node::decode($json)),
            'give-away' => static fn (string $json): array => GiveAwayQuestion::answer(Node::decode($json)),
            'profile' => static fn (string $json): array => ProfileQuestion::answer(Node::decode($json)),
            'size' => static fn (string $json): array => SizeQuestion::answer(Node::decode($json)),
            'dough' => static fn (string $json): array => DoughQuestion::answer(Node::decode($json)),
            'label' => static fn (string $json): array => LabelQuestion::answer(Node::decode($json)),
            default => null,
        };
        $lines = in_array('--lines', $arguments, true);
        $files = array_values(array_filter($arguments, static fn (string $argument): bool => $argument !== '--lines'));
        if ($answer === null || count($files) > 1 || ($files !== [] && str_starts_with($files[0], '--'))) {
            fwrite($this->errors, self::USAGE);

            return 2;
        }
        $source = $files === [] ? $this->input : (is_readable($files[0]) ? fopen($files[0], 'r') : false);
        if ($source === false) {
            fwrite($this->errors, "{$files[0]} cannot be read.\n");

            return 2;
        }
        if (! $lines) {
            return $this->one((string) stream_get_contents($source), $answer) ? 0 : 1;
        }
        $code = 0;
        // values make no cycles: looking for them after every few requests only costs time
        gc_disable();
        while (($line = fgets($source)) !== false) {
            if (trim($line) !== '' && ! $this->one($line, $answer)) {
                $code = 1;
            }
        }

        return $code;
    }

    /** @param  callable(string): array<string, mixed>  $answer */
    private function one(string $json, callable $answer): bool
    {
        $answered = true;
        try {
            $result = $answer($json);
        } catch (RequestRefused $refused) {
            $result = $refused->toArray();
            $answered = false;
        }
        fwrite($this->output, json_encode($result, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n");

        return $answered;
    }
}
