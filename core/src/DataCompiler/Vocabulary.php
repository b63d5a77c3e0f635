<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Composition;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Watching\SignKind;

/**
 * The words that mean something to the program. A word in the data that stands in none of these lists stops the build: what nobody
 * knows, nothing would fire for.
 */
final class Vocabulary
{
    public const CONDITIONS = [
        'pancreatitis', 'hyperlipidaemia', 'diabetes', 'kidney', 'heart', 'heart-advanced', 'oxalate-stones', 'urate-stones', 'struvite-stones',
        'cystine-stones', 'liver', 'shunt', 'copper-storage', 'epilepsy-bromide', 'immunocompromised', 'pregnant', 'nursing', 'sensitive-stomach',
        'gut-protein-loss', 'megaoesophagus', 'addisons', 'anaemia', 'weight-loss', 'weight-gain',
        'hypothyroid', 'arthritis', 'epilepsy', 'dental', 'enteropathy', 'urinary', 'cushings', 'epi', 'silica-stones', 'xanthine-stones',
        'gallbladder-mucocele', 'atopy', 'hypercalcaemia', 'other',
    ];

    public const MEDICINES = [
        'anticoagulant', 'chemotherapy', 'surgery-planned', 'selegiline', 'bromide', 'phenobarbital', 'prednisolone', 'nsaid', 'diuretic',
        'ace-inhibitor', 'levothyroxine', 'insulin', 'tetracycline', 'quinolone', 'ciclosporin', 'allopurinol', 'other',
    ];

    public const TEXTURES = ['cake', 'tray', 'soft', 'chewy', 'biscuit', 'hard', 'jerky', 'frozen', 'none'];

    public const STAGES = ['puppy', 'adult', 'senior'];

    public const JOBS = Jobs::ALL;

    public const SUBSTANCES = [
        'sodiumMg', 'fatG', 'addedSugarG', 'coumarinMg', 'retinolUg', 'vitaminDUg', 'calciumMg', 'newFibreG', 'kelpG', 'garlicG', 'rootSpiceG',
        'theobromineMg', 'xylitolMg', 'raisinG', 'grapeG', 'onionG', 'macadamiaG', 'saltG', 'ironMg', 'vitaminDMg', 'alcoholG', 'nutmegG',
    ];

    public const BASES = ['per100kcalTreat', 'perKcalTreat', 'per100kcalDay', 'perKgDay', 'per10kgDay'];

    /** Whom a dose row concerns, besides the conditions. */
    public const WHO = ['healthy', 'grown', 'growing', 'growing-large', 'garlic-measured'];

    public const FORMS = [
        'mashed', 'pureed', 'grated', 'sliced', 'chopped', 'ground', 'powder', 'cooked', 'boiled', 'raw', 'dried', 'tinned', 'drained', 'undrained',
        'frozen', 'melted', 'beaten', 'hulled', 'pitted', 'unpitted', 'cored', 'peeled', 'unpeeled', 'salted', 'unsalted', 'low-salt', 'sweetened', 'unsweetened',
        'plain', 'homemade', 'smoked', 'cured', 'lean', 'low-fat', 'skimmed', 'lactose-free', 'flavoured', 'whole', 'crunchy', 'green', 'sprouted',
        'unripe', 'bitter', 'black', 'white', 'milk', 'candied', 'mouldy', 'packed', 'dry', 'freeze-dried', 'condensed', 'evaporated', 'concentrated', 'pickled', 'marinated',
        'seasoned', 'syrup', 'breaded', 'stuffed', 'creamed', 'buttered', 'fried', 'in-oil', 'with-skin', 'fat-low', 'fat-mid', 'fat-high', 'full-fat', 'boned', 'oil', 'flour', 'liver',
        'flaked', 'brandied', 'filled', 'juice',
    ];

    public const PIECE_UNITS = ['each', 'slice', 'stalk', 'stick', 'leaf', 'sprig', 'bunch', 'tin', 'packet', 'clove', 'handful', 'juice-of', 'zest-of', 'head', 'floret', 'punnet', 'thumb', 'inch-piece', 'sheet'];

    public const SIZES = ['small', 'medium', 'large'];

    public const ENERGY = [
        'resting-a', 'resting-exponent', 'puppy-young', 'puppy-older', 'adult-neutered', 'adult-intact', 'active', 'inactive', 'senior', 'working-light',
        'working-moderate', 'working-heavy', 'weight-loss', 'weight-gain', 'nrc-inactive', 'nrc-normal', 'nrc-senior', 'nrc-active', 'nrc-young-active',
        'nrc-terrier', 'nrc-puppy-a', 'nrc-puppy-b', 'nrc-puppy-c', 'nrc-puppy-d', 'budget', 'budget-strict', 'individual',
    ];

    public const RESCUE_WEIGHTS = [
        'change', 'remove', 'add', 'job-lost', 'rank', 'adjust', 'mend', 'batch', 'cut', 'cut-step', 'hurts', 'hurts-ill', 'identity', 'named', 'pieces-for-mash', 'richer-fat', 'richer-kcal', 'dislike', 'liked', 'new', 'label', 'not-at-hand',
        'meat-lost', 'fewer-pieces',
    ];

    /** What stands opened, cut or cooked in a kitchen. */
    public const OPENED = ['tin', 'squash', 'leftover', 'egg', 'raw-meat'];

    public const KEEPING = ['hard-biscuit', 'biscuit', 'chewy', 'dry-with-meat', 'plant-chews', 'roasted-seeds', 'dough', 'dough-with-meat', 'soft', 'moist', 'jerky', 'no-bake', 'frozen'];

    public const HEAT_CLASSES = [
        'frozen', 'microwave', 'griddle-meat', 'griddle-egg', 'griddle', 'hob-meat', 'meat-drop', 'meat-bar', 'hob-egg', 'hob', 'dried', 'jerky', 'none', 'seeds', 'pie', 'egg-mould', 'egg-dish',
        'meatball', 'meat-spread', 'meat-tray', 'meat-mould', 'meat-loaf', 'meat-piece', 'scone', 'mould-cake', 'mould-crisp', 'tray-cake', 'bar', 'tray', 'cake', 'drop',
        'ball', 'dough', 'off',
    ];

    public const HEAT_DOES = [
        'bake', 'dry', 'chill', 'freeze', 'fry', 'simmer', 'roast', 'heat in short bursts', 'turn over and dry', 'leave in the turned-off oven',
    ];

    /** What hands and waiting are needed for. */
    public const WORK_JOBS = [
        'weigh', 'prepare', 'swell', 'bloom', 'mix', 'rest', 'chill', 'warm', 'roll', 'cut', 'ball', 'drop', 'fill', 'spread', 'slice', 'lay', 'preheat', 'reheat', 'embers', 'pan', 'look', 'turn', 'stir',
        'core', 'heat-through', 'strain', 'drain', 'cool-thin', 'cool-thick', 'cool-cake', 'cool-liquid', 'set', 'bag',
    ];

    /** Kinds of step of a plan of work, as the contract names them. */
    public const WORK_KINDS = ['prepare', 'soak', 'mix', 'rest', 'chill', 'shape', 'preheat', 'heat', 'look', 'turn', 'stir', 'core', 'cool', 'set', 'freeze', 'dry', 'bag'];

    /** What sets a tip or a caution of a step off. */
    public const NOTE_WHEN = [
        'raw-flesh', 'raw-egg', 'raw-flour', 'core-and-stone', 'fire', 'microwave', 'hob', 'heated', 'egg', 'syrup-by-cup', 'carob', 'loose-puree', 'double-batch', 'small-batch', 'sticky-cut', 'sticky-rolled', 'rolled',
        'mould', 'large-dough',
    ];

    /** What decides between classes of heat besides shape and texture. */
    public const HEAT_OF = ['meat', 'thick-meat', 'flesh', 'egg', 'seeds', 'risen', 'filled'];

    /** What a line is on the plate, that a swap must leave it. */
    public const PLATE_STATES = ['creamy', 'spreadable', 'slice', 'dry'];

    public const DRYING = ['warm-up', 'flux', 'still-below', 'fan', 'spread-low', 'spread-high', 'usual-thickness'];

    public const MADE = ['pressed', 'rolled', 'dropped', 'spread', 'poured', 'shaped'];

    /** What ops/fit-doughs.php fits. */
    public const DOUGH_PARAMETERS = [
        'free-liquid', 'free-cultured', 'free-egg', 'free-fruit-puree', 'free-vegetable-puree', 'free-banana', 'free-mash', 'free-syrup', 'free-juicy',
        'free-firm', 'free-meat', 'free-bound', 'free-oil', 'free-nut', 'shortens', 'drinks-wheat', 'drinks-whole-wheat', 'drinks-rye', 'drinks-oat',
        'drinks-gluten-free', 'drinks-pulse', 'drinks-starch', 'drinks-nut', 'drinks-coconut', 'drinks-seed', 'drinks-powder',
    ];

    public const CHECKS = ['energy', 'both', 'sodium', 'vitaminA', 'copper', 'phosphorus'];

    /** Codes of dose rows: what `heldBy` may say. */
    public const DOSES = ['sodium', 'fat', 'added-sugar', 'coumarin', 'vitamin-a', 'vitamin-d', 'calcium', 'fibre', 'kelp', 'garlic', 'root-spice'];

    /** What a rule may ask for with `when`, and the values it may name; an empty list: none, null: see `whenValues`. */
    public const WHEN = [
        'heat' => ['yes', 'no'], 'garlic' => Policy::CHOICES['garlic'], 'raw' => ['meat', 'fish'], 'not' => null, 'texture' => self::TEXTURES,
        'stage' => self::STAGES, 'growing-large' => [], 'garlic-refused' => [], 'condition' => self::CONDITIONS, 'medicine' => self::MEDICINES,
        'teeth' => Dog::TEETH, 'eating' => Dog::EATING,
    ];

    /** What a row about a dog may ask for. */
    public const WHEN_DOG = [
        'texture' => self::TEXTURES, 'stage' => self::STAGES, 'growing-large' => [], 'very-young' => [], 'condition' => self::CONDITIONS, 'medicine' => self::MEDICINES,
        'teeth' => Dog::TEETH, 'eating' => Dog::EATING, 'body-condition' => ['1', '2', '3', '4', '5', '6', '7', '8', '9'], 'breed-note' => [], 'over-bite' => [], 'over-fingertip' => [],
        'hard' => [], 'not-hard' => [], 'several-new' => [], 'beside-trial' => [], 'legume-heavy' => [],
    ];

    /** What a row of findings.csv speaks of. */
    public const ABOUT = ['line', 'step', 'label', 'food', 'dog', 'ration', 'ration-age', 'given'];

    /** Traits that the program itself asks about; every other must be named by a row. */
    public const TRAITS_IN_CODE = [
        'flour', 'bran', 'oil', 'animal-fat', 'meat', 'organ', 'liver-organ', 'raw-meat', 'raw-fish', 'cured-meat', 'cheese', 'nut-butter', 'liquid', 'herb',
        'spice', 'spice-mix', 'added-sugar', 'added-sugar-part', 'new-fibre', 'baking-leavener', 'category-word', 'additive', 'salted', 'tinned-fish', 'gelling', 'melts-gelatin', 'cooked-bone-as-such', 'raw-bone-as-such',
        'kelp', 'check-sugar-free', 'composite-head', 'hides-poison', 'check-flavouring',
    ];

    /**
     * @return list<string>|null the words of a closed list by its name; null where there is no such list
     */
    public static function words(string $list): ?array
    {
        return match ($list) {
            // of what a row can say; unknown and limit are worked out
            'level' => array_values(array_diff(array_map(static fn (Level $level): string => $level->value, Level::cases()), ['unknown', 'limit', 'clear'])),
            'condition' => self::CONDITIONS,
            'medicine' => self::MEDICINES,
            'texture' => self::TEXTURES,
            'role' => Role::ids(),
            'process' => Processes::ids(),
            'shape' => Shapes::ids(),
            'about' => self::ABOUT,
            'any-level' => array_map(static fn (Level $level): string => $level->value, Level::cases()),
            'job' => self::JOBS,
            'substance' => self::SUBSTANCES,
            'basis' => self::BASES,
            'who' => [...self::WHO, ...self::CONDITIONS],
            'form' => self::FORMS,
            'piece-unit' => self::PIECE_UNITS,
            'size' => self::SIZES,
            'energy' => self::ENERGY,
            'rescue-weight' => self::RESCUE_WEIGHTS,
            'keeping' => self::KEEPING,
            'opened' => self::OPENED,
            'reach' => ['bin', 'bowl'],
            'sign-kind' => array_column(SignKind::cases(), 'value'),
            'heat-class' => self::HEAT_CLASSES,
            'heat-does' => self::HEAT_DOES,
            'heat-of' => self::HEAT_OF,
            'heat-by' => ['mm', 'ml', 'g'],
            'loss-how' => ['loses', 'within'],
            'drying' => self::DRYING,
            'toxic-who' => ['fat-prone'],
            'plate-state' => self::PLATE_STATES,
            'made' => self::MADE,
            'check' => self::CHECKS,
            'dose' => self::DOSES,
            'unit-kind' => ['g', 'ml'],
            'dough-parameter' => self::DOUGH_PARAMETERS,
            'free-counts' => ['water', 'mass', 'fat'],
            'uptake-kind' => ['flour', 'binder'],
            'confidence' => ['A', 'B', 'C'],
            'nutrient' => Composition::COLUMNS,
            'core-word' => ['minced'],
            'work-job' => self::WORK_JOBS,
            'work-per' => ['line', 'piece', 'sheet'],
            'work-kind' => self::WORK_KINDS,
            'note-as' => ['tip', 'hazard'],
            'note-when' => self::NOTE_WHEN,
            'derived-by' => ['water', 'yield', 'like', 'sugar', 'as'],
            default => null,
        };
    }
}
