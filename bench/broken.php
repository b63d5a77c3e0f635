<?php

declare(strict_types=1);

/**
 * A random broken recipe and its table.
 *
 * @return array<string, mixed>
 */
function broken(int $lines, int $dogs, int $bad): array
{
    $poison = ['1/2 cup raisins', '2 tsp mixed spice', '1/4 cup cocoa powder', '1/2 cup onion, chopped', '2 cloves garlic', '1/4 cup macadamia nuts', '1 tbsp soy sauce', '1/2 tsp nutmeg', '1/4 cup chocolate chips', '1/4 cup sultanas', '1 tbsp rum', '1/4 tsp cream of tartar', '2 cups whole wheat flour', '200 g minced chicken', '1 cup white flour', '1/2 cup rye flour', '100 g cooked chicken', '1 tbsp chives', '2 tbsp birch sugar', '1 cup pumpkin pie filling', '1/2 cup wine', '1 stock cube', '1/2 cup chicken broth', '100 g beef liver', '1 tsp cloves', '1/4 cup poppy seeds', '1 cup barley flour', '1/2 cup grapes', '1 leek', '1 tsp mustard'];
    $plain = ['1 cup oat flour', '1/2 cup pumpkin purée, plain', '1 tbsp olive oil', '1/2 cup water', '2 carrots, grated', '1 large egg', '1 cup brown rice flour', '2 tbsp parsley', '1/2 cup blueberries', '1 apple, cored', '1/4 cup plain yogurt', '1 tbsp honey', '1/2 cup rolled oats', '1 tsp ginger', '100 g cod', '1/2 cup green beans', '1 courgette, grated', '1 tbsp chia seeds', '1 cup sorghum flour', '1/2 cup milk'];
    shuffle($poison);
    shuffle($plain);
    $text = [...array_slice($poison, 0, $bad), '2 cups millet flour', ...array_slice([...$plain, ...$plain], 0, $lines - $bad - 1)];
    shuffle($text);
    $table = [];
    $kinds = [['allergies' => ['gluten', 'chicken']], [], ['conditions' => ['urate-stones']], ['allergies' => ['beef']], ['ageMonths' => 6, 'expectedAdultWeightKg' => 40], ['allergies' => ['dairy']], ['conditions' => ['oxalate-stones']], ['allergies' => ['egg']]];
    for ($n = 0; $n < $dogs; $n++) {
        $table[] = ['name' => "Dog $n", 'weightKg' => 8 + 3 * $n, 'ageMonths' => 40] + $kinds[$n % count($kinds)];
        $table[$n] = $kinds[$n % count($kinds)] + $table[$n];
    }

    return ['version' => 1, 'recipe' => ['text' => implode("\n", $text)], 'cut' => ['shape' => 'pieces', 'count' => 150], 'dogs' => $table];
}
