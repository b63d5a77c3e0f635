<?php

declare(strict_types=1);

// Requests of `day` (10 dogs, 8 batches, 60 entries) or of `thaw` (60 days, 300 bags, 40 dogs), one a line: php bench/days.php day|thaw COUNT

[$what, $count] = [$argv[1] ?? 'day', (int) ($argv[2] ?? 1)];
mt_srand(15);
$texts = [
    "200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil", "200 g rice flour\n150 g beef liver\n60 g water", "200 g rice flour\n1/2 tsp salt\n100 g cheddar\n60 g water", "200 g oat flour\n150 g minced chicken",
    "200 g rice flour\n120 g tinned tuna in water\n1 large egg", "2 cups oats\n1 cup pumpkin\n2 tbsp peanut butter\n1 egg\n1/2 tsp cinnamon", "300 g venison\n2 parsnips\n1 cup oat flour\n1 egg\n1 tbsp oil",
    "150 g mussels\n1 cup millet flour\n1 egg\n1 tsp parsley",
];
$day = static function () use ($texts): array {
    $dogs = $batches = $given = [];
    for ($n = 1; $n <= 10; $n++) {
        $dogs[] = ['id' => "d$n", 'name' => "Dog $n", 'weightKg' => 5 + $n * 3, 'ageMonths' => 40, 'conditions' => $n % 3 === 0 ? ['heart'] : [], 'allergies' => $n % 2 === 1 ? ['chicken'] : [], 'foodKcalPer100g' => 350];
    }
    foreach ($texts as $n => $text) {
        $batches[] = ['id' => "b$n", 'question' => ['version' => 1, 'recipe' => ['text' => $text, 'steps' => 'Mix. Bake at 175 C for 20 minutes.'], 'cut' => ['shape' => 'round', 'diameterMm' => 25, 'thicknessMm' => 6], 'bake' => ['texture' => 'biscuit']]];
    }
    for ($n = 0; $n < 60; $n++) {
        $given[] = ['dog' => 'd'.mt_rand(1, 10)] + match ($n % 6) {
            0 => ['text' => mt_rand(3, 20).' g '.['cooked chicken', 'carrot', 'cheddar', 'apple'][mt_rand(0, 3)]],
            1 => ['label' => ['name' => 'bought chew', 'kcal' => 12], 'pieces' => 1],
            default => ['batch' => 'b'.mt_rand(0, 7), 'pieces' => mt_rand(1, 6) / 4],
        };
    }

    return ['version' => 1, 'date' => '2026-05-14', 'dogs' => $dogs, 'batches' => $batches, 'given' => $given];
};
$thaw = static function (): array {
    $bags = $eaters = [];
    for ($n = 0; $n < 300; $n++) {
        $bags[] = ['id' => "b$n", 'pieces' => mt_rand(4, 30), 'place' => ['jar', 'fridge', 'freezer', 'freezer', 'freezer'][mt_rand(0, 4)], 'bestBefore' => gmdate('Y-m-d', (int) gmmktime(12, 0, 0, 5, 14 + mt_rand(0, 90), 2026)), 'thawedDays' => mt_rand(1, 7)];
    }
    for ($n = 0; $n < 40; $n++) {
        $eaters[] = ['dog' => "d$n", 'piecesPerDay' => mt_rand(1, 4) / 2];
    }

    return ['version' => 1, 'from' => '2026-05-14', 'days' => 60, 'eaters' => $eaters, 'bags' => $bags];
};
for ($n = 0; $n < $count; $n++) {
    echo json_encode($what === 'thaw' ? $thaw() : $day()), "\n";
}
