<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Http\Requests\PhotoRequest;
use App\Support\Picture;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;

/** What lies in a JSON-LD file from outside: recipes of any kind, and what another kitchen put beside them. Nothing in it is run, fetched or shown as markup. */
final readonly class ShelfReader
{
    private const MOST = 6000;

    private const DEEPEST = 12;

    private const OURS = ['bowl:product' => 'products', 'bowl:food' => 'foods', 'bowl:word' => 'words', 'bowl:swap' => 'swaps'];

    public function __construct(private Contract $contract) {}

    /**
     * @return array{from: ?string, made: ?string, items: list<Offered>}
     *
     * @throws RequestRefused where it is no such file
     */
    public function read(string $content): array
    {
        $data = json_decode((string) preg_replace('/^\x{FEFF}/u', '', $content), true, 64);
        if (! is_array($data)) {
            throw RequestRefused::outOfRange('/content', 'This is no recipe file: it is not JSON'.(json_last_error() === JSON_ERROR_DEPTH ? ', or nested far too deeply' : '').'. A text, a web page or Markdown is brought in on the shelf.');
        }
        if (is_int($data['bowl:version'] ?? null) && $data['bowl:version'] > Terms::VERSION) {
            throw RequestRefused::outOfRange('/content', 'This file was made by a later version of Mild Bowl: open it with that one, or a newer.');
        }
        $nodes = [];
        self::find($data, 0, $nodes);
        if ($nodes === []) {
            throw RequestRefused::outOfRange('/content', 'No recipe, product or swap was found in this file.');
        }
        $text = static fn (string $key): ?string => is_string($data[$key] ?? null) ? mb_substr($data[$key], 0, 120) : null;
        $items = [];
        foreach ($nodes as $n => $node) {
            $items[] = $this->offered($n, $node);
        }

        return ['from' => $text('bowl:from'), 'made' => $text('bowl:made'), 'items' => $items];
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @param  list<array<array-key, mixed>>  $found
     */
    private static function find(array $node, int $depth, array &$found): void
    {
        if ($depth > self::DEEPEST || count($found) >= self::MOST) {
            return;
        }
        $types = array_map(static fn (mixed $type): string => is_string($type) ? strtolower((string) preg_replace('~^.*[/#:]~', '', $type)) : '', (array) ($node['@type'] ?? []));
        if (in_array('recipe', $types, true) || array_intersect_key($node, self::OURS) !== []) {
            $found[] = $node;

            return;
        }
        foreach ($node as $key => $child) {
            if (is_array($child) && $key !== '@context') {
                self::find($child, $depth + 1, $found);
            }
        }
    }

    /** @param  array<array-key, mixed>  $node */
    private function offered(int $n, array $node): Offered
    {
        $id = is_string($node['@id'] ?? null) ? $node['@id'] : null;
        foreach (self::OURS as $key => $kind) {
            if (isset($node[$key])) {
                $fields = is_array($node[$key]) ? $node[$key] : [];
                $name = $fields['name'] ?? $fields['words'] ?? $fields['in'] ?? '';

                return new Offered($n, $kind, is_string($name) ? $name : '', $fields, 'new', null, $id, null, null);
            }
        }
        $fields = is_array($node['bowl:recipe'] ?? null) ? RecipeAsLd::withoutItsDogs(array_intersect_key($node['bowl:recipe'], array_flip(RecipeAsLd::TAKEN_ALONG))) : $this->asClipped($node);
        $parent = is_string($node['isBasedOn'] ?? null) ? $node['isBasedOn'] : null;

        return new Offered($n, 'recipes', is_string($fields['title'] ?? null) ? $fields['title'] : '', $fields, 'new', null, $id, $parent, self::picture($node['image'] ?? null));
    }

    /**
     * A recipe that knows none of our words, read as one from a web page is.
     *
     * @param  array<array-key, mixed>  $node
     * @return array<string, mixed>
     */
    private function asClipped(array $node): array
    {
        unset($node['nutrition'], $node['image'], $node['video']);
        $asked = (object) ['version' => 1, 'content' => json_encode($node, JSON_THROW_ON_ERROR), 'kind' => 'json-ld'];
        $one = $this->contract->answerTo('read', $asked)['recipes'][0] ?? null;

        return ! is_array($one) ? [] : ['title' => $one['title'], 'text' => $one['text'], 'steps' => $one['steps'], 'source' => $one['source'], 'yield' => $one['yield'] === null ? null : mb_substr((string) $one['yield'], 0, 200), 'prepMinutes' => $one['times']['prepMinutes'], 'bakeMinutes' => $one['times']['bakeMinutes']];
    }

    /** Only one that lies in the file itself: nothing is fetched. */
    private static function picture(mixed $image): ?string
    {
        if (! is_string($image) || preg_match('~^data:image/(?:jpeg|png|webp);base64,~', $image, $head) !== 1) {
            return null;
        }
        $bytes = base64_decode(substr($image, strlen($head[0])), true);

        return $bytes === false || Picture::problemOf($bytes, PhotoRequest::MOST) !== null ? null : $bytes;
    }
}
