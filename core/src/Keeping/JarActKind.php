<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** What a person does at the jars. */
enum JarActKind: string
{
    /** what a batch made, or its dough, is put away */
    case Put = 'put';
    /** a bag that nobody put away here: found, bought, brought along */
    case Found = 'found';
    /** a tin is opened, a squash cut, something left over */
    case Open = 'open';
    /** nothing of a food, or of the dough, of a batch is left over */
    case Gone = 'gone';
    /** to another place: freezing and thawing are moves */
    case Move = 'move';
    case Split = 'split';
    case Merge = 'merge';
    /** pieces leave it */
    case Take = 'take';
    case Count = 'count';
    /** another best before */
    case Date = 'date';
    /** for whom it is */
    case For = 'for';
    /** the power was gone */
    case Cut = 'cut';
    /** an earlier act was a slip */
    case Undo = 'undo';
}
