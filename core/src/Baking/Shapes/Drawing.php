<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/**
 * How a piece is drawn from above: the path of its outline in a square of 1 × 1, and the sizes that stretch it across and down. A side may
 * be a size divided by another ("a tray's width in columns"); only one that is a size itself can be dragged.
 */
final readonly class Drawing
{
    public const CIRCLE = 'M0 .5 a.5 .5 0 1 0 1 0 a.5 .5 0 1 0 -1 0z';

    public const BOX = 'M0 0 h1 v1 h-1z';

    public const BONE = 'M.2 .3 H.8 a.1 .25 0 1 1 .1 .2 a.1 .25 0 1 1 -.1 .2 H.2 a.1 .25 0 1 1 -.1 -.2 a.1 .25 0 1 1 .1 -.2z';

    public const HEART = 'M.5 1 C-.35 .45 .15 -.25 .5 .22 C.85 -.25 1.35 .45 .5 1z';

    public const STAR = 'M.5 0 L.618 .338 L.976 .345 L.69 .562 L.794 .905 L.5 .7 L.206 .905 L.31 .562 L.024 .345 L.382 .338z';

    /**
     * @param  non-empty-list<string>  $across  the size across, and the one it is divided by
     * @param  non-empty-list<string>  $down
     * @param  ?string  $thick  the size of the side view
     */
    public function __construct(public string $path, public array $across, public array $down, public ?string $thick) {}
}
