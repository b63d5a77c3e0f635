<?php

declare(strict_types=1);

// Writes the closed lists of schemas/ from the data and the code they come from: every node with "$comment": "list: NAME".
//   php ops/schema-lists.php           writes
//   php ops/schema-lists.php --check   only tells which file differs, and which list stands in no schema

use MildBowl\Core\Baking\Parts\Joins;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Shapes\Size;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Thaw;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Condition;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Making\Kind;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Watching\DiaryKind;
use MildBowl\Core\Watching\How;
use MildBowl\Core\Watching\SignKind;
use MildBowl\Core\Watching\Strength;
use MildBowl\Core\Watching\TrialKind;
use MildBowl\Core\Watching\TrialOutcome;

require __DIR__.'/../core/vendor/autoload.php';

$levels = array_values(array_filter(array_column(Level::cases(), 'value'), static fn (string $level): bool => $level !== 'clear'));
$limits = [Limit::BUDGET, Limit::UNKNOWN, ...array_values(array_unique(array_column(Doses::all()->rows, 'code'))), Limit::NEW, Limit::AGE];
$lists = [
    'textures' => Texture::ids(), 'conditions' => Condition::ids(), 'medicines' => Condition::medicineIds(), 'shapes' => Shapes::ids(),
    'roles' => Role::ids(), 'processes' => Processes::ids(), 'joins' => Joins::ids(), 'stages' => array_column(Stage::cases(), 'value'),
    'teeth' => Dog::TEETH, 'eating' => Dog::EATING, 'activities' => Dog::ACTIVITIES, 'sexes' => Dog::SEXES,
    'learnedOf' => Learned::OF, 'workKinds' => array_column(Kind::cases(), 'value'), 'entryKinds' => array_column(EntryKind::cases(), 'value'), 'noteAbout' => LogReader::ABOUT, 'bagPlaces' => LogReader::PLACES, 'levels' => $levels, 'worst' => [...$levels, 'clear'], 'limits' => $limits, 'heldBy' => [...$limits, 'not-cleared'],
    'signKinds' => array_column(SignKind::cases(), 'value'), 'strengths' => array_column(Strength::cases(), 'value'), 'diaryKinds' => array_column(DiaryKind::cases(), 'value'), 'trialKinds' => array_column(TrialKind::cases(), 'value'), 'trialOutcomes' => array_column(TrialOutcome::cases(), 'value'), 'hows' => array_column(How::cases(), 'value'), 'likings' => array_column(Liking::cases(), 'value'),
    'heldByDay' => [...$limits, Limit::WEEKLY_FISH, 'not-cleared'], 'keepClasses' => array_keys(Compiled::days()['keeping']), 'keepPlaces' => array_column(Place::cases(), 'value'), 'thawPlaces' => Thaw::PLACES, 'jarActs' => array_column(JarActKind::cases(), 'value'),
] + Policy::CHOICES;

$size = static fn (Size $size): array => $size->unit === Size::COUNT
    ? ['type' => 'integer', 'minimum' => 1, 'maximum' => (int) $size->most]
    : ['type' => 'number', 'exclusiveMinimum' => 0, 'maximum' => (int) $size->most];
$cut = static fn (Shape $shape): array => [
    'type' => 'object',
    'properties' => ['shape' => ['const' => $shape->id()]] + array_combine(array_column($shape->sizes(), 'key'), array_map($size, $shape->sizes())),
    'required' => ['shape', ...array_column($shape->sizes(), 'key')],
    'additionalProperties' => false,
];

$used = [];
$fill = static function (mixed $node) use (&$fill, &$used, $lists, $cut): void {
    foreach (is_object($node) || is_array($node) ? $node : [] as $one) {
        $fill($one);
    }
    if (! $node instanceof stdClass || ! is_string($node->{'$comment'} ?? null) || ! str_starts_with($node->{'$comment'}, 'list: ')) {
        return;
    }
    $name = substr($node->{'$comment'}, strlen('list: '));
    $used[$name] = true;
    if ($name === 'cuts') {
        $node->oneOf = array_map($cut, Shapes::all());

        return;
    }
    if (! isset($lists[$name])) {
        fwrite(STDERR, "A schema asks for the list \"$name\", which nobody knows. There are: ".implode(', ', array_keys($lists)).".\n");
        exit(1);
    }
    $node->enum = [...$lists[$name], ...(in_array('null', (array) ($node->type ?? []), true) ? [null] : [])];
};

$differs = [];
foreach (glob(__DIR__.'/../schemas/*.json') ?: [] as $file) {
    $was = (string) file_get_contents($file);
    $schema = json_decode($was, false, 128, JSON_THROW_ON_ERROR);
    $fill($schema);
    $is = json_encode($schema, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
    $is = (string) preg_replace_callback('/^ +/m', static fn (array $found): string => str_repeat(' ', intdiv(strlen($found[0]), 2)), $is)."\n";
    if ($is !== $was) {
        $differs[] = basename($file);
        if (! in_array('--check', $argv, true)) {
            file_put_contents($file, $is);
        }
    }
}
$nowhere = array_diff([...array_keys($lists), 'cuts'], array_keys($used), ['budgetPercent']);
foreach ($nowhere as $name) {
    fwrite(STDERR, "No schema holds the list \"$name\": mark where it stands with \"\$comment\": \"list: $name\".\n");
}
if (in_array('--check', $argv, true) && $differs !== []) {
    fwrite(STDERR, implode(', ', $differs)." differ from the data: run 'php ops/schema-lists.php' and commit.\n");
}
exit($nowhere !== [] || (in_array('--check', $argv, true) && $differs !== []) ? 1 : 0);
