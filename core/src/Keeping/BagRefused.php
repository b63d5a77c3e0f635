<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** Something that cannot happen to a bag, in words. */
final class BagRefused extends \InvalidArgumentException {}
