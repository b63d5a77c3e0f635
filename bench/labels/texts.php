<?php

declare(strict_types=1);

// What is printed on the made-up labels that are photographed to measure by: by language, a name, the list, and what stands below it.
return [
    'en' => ['Crunchy Peanut Spread', 'Ingredients: roasted peanuts (91 %), rapeseed oil, birch sugar (xylitol), sea salt, emulsifier: sunflower lecithin. May contain traces of almonds, macadamia nuts and milk.', 'Store in a cool, dry place. Best before: see lid. Net weight 340 g.'],
    'de' => ['Hafer-Knusperstücke', 'Zutaten: Vollkornhaferflocken (62 %), Rohrzucker, Sonnenblumenöl, Rosinen (9 %), Honig, Weizenmehl, Magermilchpulver, Zimt, Speisesalz. Kann Spuren von Haselnüssen und Mandeln enthalten.', 'Kühl und trocken lagern. Mindestens haltbar bis: siehe Boden. Füllmenge 375 g.'],
    'fr' => ['Compote de pommes', 'Ingrédients : pommes 88 %, purée de poires, sucre de canne, jus de citron concentré, cannelle, antioxydant : acide ascorbique. Peut contenir des traces de fruits à coque et de soja.', 'À conserver au frais après ouverture. À consommer de préférence avant fin. Poids net 400 g.'],
    'es' => ['Caldo de pollo suave', 'Ingredientes: agua, carne de pollo (12 %), cebolla, zanahoria, apio, sal marina, ajo en polvo, aceite de girasol, extracto de levadura. Puede contener trazas de huevo y pescado.', 'Conservar en lugar fresco y seco. Una vez abierto, consumir en tres días. Peso neto 500 ml.'],
    'it' => ['Crema di nocciole', 'Ingredienti: zucchero, nocciole (45 %), olio di semi di girasole, cacao magro in polvore, latte scremato in polvere, emulsionante: lecitina di soia. Può contenere tracce di frumento e uva passa.', 'Conservare a temperatura ambiente. Da consumarsi entro la data sul tappo. Peso netto 200 g.'],
];
