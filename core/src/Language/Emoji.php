<?php

declare(strict_types=1);

namespace MildBowl\Core\Language;

/** A food's picture is a word for it: captions name half of their poisons so. Other pictures say nothing and are passed over. */
final class Emoji
{
    /** The word with a blank on both sides, by the picture. */
    public const WORDS = [
        '🍇' => ' grape ', '🍈' => ' melon ', '🍉' => ' watermelon ', '🍊' => ' mandarin ', '🍋' => ' lemon ', '🍌' => ' banana ', '🍍' => ' pineapple ', '🥭' => ' mango ',
        '🍎' => ' apple ', '🍏' => ' apple ', '🍐' => ' pear ', '🍑' => ' peach ', '🍒' => ' cherry ', '🍓' => ' strawberry ', '🫐' => ' blueberry ', '🥝' => ' kiwi ',
        '🍅' => ' tomato ', '🫒' => ' olive ', '🥥' => ' coconut ', '🥑' => ' avocado ', '🍆' => ' aubergine ', '🥔' => ' potato ', '🥕' => ' carrot ', '🌽' => ' sweetcorn ',
        '🌶' => ' chilli ', '🫑' => ' bell pepper ', '🥒' => ' cucumber ', '🥬' => ' lettuce ', '🥦' => ' broccoli ', '🧄' => ' garlic ', '🧅' => ' onion ', '🍄' => ' mushroom ',
        '🥜' => ' peanut ', '🫘' => ' bean ', '🌰' => ' chestnut ', '🫚' => ' ginger ', '🫛' => ' pea ', '🍞' => ' bread ', '🥐' => ' croissant ', '🥖' => ' bread ',
        '🥨' => ' pretzel ', '🥯' => ' bread ', '🥞' => ' pancake ', '🧇' => ' waffle ', '🧀' => ' cheese ', '🍗' => ' chicken ',
        '🥓' => ' bacon ', '🌭' => ' hot dog ', '🍕' => ' pizza ', '🍟' => ' crisps ', '🥚' => ' egg ', '🍳' => ' egg ', '🧈' => ' butter ', '🧂' => ' salt ', '🍤' => ' prawn ',
        '🦐' => ' prawn ', '🦀' => ' crab ', '🦞' => ' prawn ', '🦪' => ' oyster ', '🦑' => ' squid ', '🐟' => ' fish ', '🍣' => ' raw fish ', '🍿' => ' popcorn ', '🍚' => ' rice ',
        '🍝' => ' pasta ', '🍠' => ' sweet potato ', '🍦' => ' ice cream ', '🍨' => ' ice cream ', '🍩' => ' doughnut ',
        '🍫' => ' chocolate ', '🍬' => ' candy ', '🍭' => ' candy ', '🍮' => ' pudding ', '🍯' => ' honey ', '🥛' => ' milk ',
        '☕' => ' coffee ', '🫖' => ' tea ', '🍵' => ' tea ', '🍶' => ' sake ', '🍾' => ' champagne ', '🍷' => ' wine ', '🍸' => ' spirits ', '🍹' => ' spirits ', '🍺' => ' beer ', '🍻' => ' beer ',
        '🥂' => ' champagne ', '🥃' => ' whisky ', '🥤' => ' cola ', '🧃' => ' juice ', '🧊' => ' ice cube ',
    ];

    /** Whether a text holds the picture of a food. */
    public static function isFood(string $text): bool
    {
        return strtr($text, self::WORDS) !== $text;
    }
}
