<?php

declare(strict_types=1);

/**
 * Ordinary requests, no two alike: 12 lines drawn from a kitchen's usual foods with changing amounts, five dogs.
 * Usage: php bench/requests.php COUNT [LINES] [DOGS]
 */
[$count, $lines, $dogs] = [(int) ($argv[1] ?? 400), (int) ($argv[2] ?? 12), (int) ($argv[3] ?? 5)];
mt_srand(20261125);
$amounts = ['1/4 cup', '1/2 cup', '1 cup', '1 1/2 cups', '2 tbsp', '1 tbsp', '2 tsp', '60 g', '120 g', '2–3 tbsp', 'about 80 ml', 'half a cup'];
$foods = [
    'oat flour', 'brown rice flour, sifted', 'plain pumpkin purée', 'coconut oil, melted', 'ground flaxseed', 'fresh parsley, finely chopped', 'blueberries', 'rolled oats', 'cooked quinoa', 'plain yogurt', 'unsweetened applesauce',
    'peanut butter, unsalted', 'milk', 'water, plus more as needed', 'ground cinnamon', 'grated courgette', 'cooked chicken breast, shredded', 'minced turkey', 'cheddar cheese, grated', 'chickpea flour', 'sweet potato, boiled and mashed', 'green beans, chopped', 'honey (optional)', 'chia seeds', 'olive oil',
];
$table = [
    ['name' => 'Quill', 'weightKg' => 12.5, 'ageMonths' => 146, 'neutered' => true, 'bodyCondition' => 5, 'conditions' => ['heart'], 'teeth' => 'few'],
    ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 49, 'neutered' => true, 'bodyCondition' => 5, 'allergies' => ['gluten', 'chicken'], 'breed' => 'border terrier'],
    ['name' => 'Biscay', 'weightKg' => 17, 'ageMonths' => 5, 'expectedAdultWeightKg' => 48, 'bodyCondition' => 5],
    ['name' => 'Ferris', 'weightKg' => 36, 'ageMonths' => 75, 'neutered' => true, 'bodyCondition' => 7, 'conditions' => ['pancreatitis']],
    ['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40, 'neutered' => false, 'bodyCondition' => 5, 'activity' => 'working-moderate', 'eating' => 'gulps'],
];
for ($n = count($table); $n < $dogs; $n++) {
    $table[] = ['name' => "Dog $n", 'weightKg' => 3 + $n] + $table[$n % 5];
}
for ($i = 0; $i < $count; $i++) {
    $text = ['For the dough:'];
    for ($line = 1; $line < $lines; $line++) {
        $text[] = $amounts[array_rand($amounts)].' '.$foods[array_rand($foods)];
    }
    $text[] = mt_rand(1, 4).' large eggs, beaten';
    echo json_encode([
        'version' => 1, 'recipe' => ['text' => implode("\n", $text)], 'cut' => ['shape' => 'round', 'diameterMm' => mt_rand(15, 40), 'thicknessMm' => 6],
        'bake' => ['texture' => 'biscuit'], 'dogs' => array_slice($table, 0, $dogs),
    ], JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), "\n";
}
