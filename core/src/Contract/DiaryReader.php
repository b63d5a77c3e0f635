<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Watching\DiaryEntry;
use MildBowl\Core\Watching\DiaryKind;
use MildBowl\Core\Watching\How;
use MildBowl\Core\Watching\Sign;
use MildBowl\Core\Watching\SignKind;
use MildBowl\Core\Watching\SignStep;

/** Reads what somebody wrote down of a dog. */
final class DiaryReader
{
    private const LONGEST_NOTE = 1000;

    private function __construct() {}

    /** @throws RequestRefused */
    public static function entry(Node $node): DiaryEntry
    {
        $node->object(['id', 'at', 'by', 'dog', 'on', 'kind', 'said', 'photo']);
        $kind = DiaryKind::from($node->required('kind', 'What is written down')->choice(array_column(DiaryKind::cases(), 'value')));
        $said = $node->get('said') ?? new Node(new \stdClass, '/said');
        $photo = $node->get('photo');

        return new DiaryEntry(
            JarActReader::uuid($node->required('id', 'The id of what is written down')), LogReader::moment($node->required('at', 'When it was written down')), trim($node->required('by', 'Who')->filled(60)),
            JarActReader::uuid($node->required('dog', 'The dog')), $node->required('on', 'The day')->day(), $kind,
            match ($kind) {
                DiaryKind::Taken => self::taken($said),
                DiaryKind::Sign => self::sign($said),
                DiaryKind::Well => self::nothing($said),
                DiaryKind::Note => ['text' => trim($said->object(['text'])->required('text', 'The note')->filled(self::LONGEST_NOTE))],
            },
            $photo === null ? null : JarActReader::uuid($photo),
        );
    }

    /** @return array<string, mixed> */
    private static function taken(Node $said): array
    {
        $said->object(['how', 'gift', 'batch', 'words', 'foods', 'texture', 'shape']);
        $gift = $said->get('gift');
        $batch = $said->get('batch');

        return array_filter([
            'how' => $said->required('how', 'How it took it')->choice(array_column(How::cases(), 'value')),
            'gift' => $gift === null ? null : JarActReader::uuid($gift), 'batch' => $batch === null ? null : JarActReader::uuid($batch),
            'words' => $said->get('words')?->string(200), 'foods' => array_map(static fn (Node $one): string => $one->filled(80), $said->get('foods')?->list(100) ?? []),
            'texture' => $said->get('texture')?->choice(Texture::ids()), 'shape' => $said->get('shape')?->choice(Shapes::ids()),
        ], static fn (mixed $one): bool => $one !== null && $one !== []);
    }

    /**
     * A step of those that are drawn, or a number.
     *
     * @return array<string, mixed>
     */
    private static function sign(Node $said): array
    {
        $said->object(['sign', 'step', 'score', 'note']);
        $kind = SignKind::from($said->required('sign', 'What was seen')->choice(array_column(SignKind::cases(), 'value')));
        $step = $said->get('step');
        $note = $said->get('note')?->string(self::LONGEST_NOTE);
        $steps = SignStep::of($kind);
        if ($steps === []) {
            if ($step !== null) {
                throw RequestRefused::outOfRange('/said/step', "This is told by a number from 0 to 10, as `score`: {$kind->label()} has no steps.");
            }
            $seen = ['score' => $said->required('score', 'The score, from 0 to 10,')->number(0, Sign::WORST)];
        } else {
            $one = SignStep::numbered($kind, ($step ?? throw RequestRefused::missing('/said/step', 'Which step it was'))->integer(1, count($steps)));
            $seen = ['step' => $one?->step, 'score' => $one?->score];
        }

        return ['sign' => $kind->value] + $seen + ($note === null || trim($note) === '' ? [] : ['note' => trim($note)]);
    }

    /** @return array<string, mixed> */
    private static function nothing(Node $said): array
    {
        $said->object([]);

        return [];
    }
}
