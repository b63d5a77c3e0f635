<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\RequestRefused;

/** `mildbowl read`: a recipe from outside, made fit to be asked about. */
final class ReadQuestion
{
    /** A web page of ten million characters, and some room. */
    private const LONGEST = 12_000_000;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $node->object(['version', 'content', 'kind', 'explain'])->requireVersion();
        $content = $node->required('content', 'The content')->filled(self::LONGEST);
        $kind = $node->get('kind')?->choice(ClippingReader::KINDS) ?? 'auto';
        $explain = $node->get('explain')?->boolean() ?? false;
        $clipped = ClippingReader::read($content, $kind);

        return [
            'version' => 1,
            'recipes' => array_map(static fn (Clipping $one): array => $one->toArray() + ($explain ? ['doubts' => Doubts::of($one->text, $one->steps)] : []), $clipped->recipes),
            'notUnderstood' => $clipped->notUnderstood,
        ];
    }
}
