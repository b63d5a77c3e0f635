<?php

declare(strict_types=1);

namespace MildBowl\Ops\Mutation;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/** Every small wrong change of a PHP file: a figure a tenth off, a boundary moved, a condition turned, a line left out. */
final class CodeMutants extends NodeVisitorAbstract
{
    private const SWAPS = [
        Node\Expr\BinaryOp\Smaller::class => '<=',
        Node\Expr\BinaryOp\SmallerOrEqual::class => '<',
        Node\Expr\BinaryOp\Greater::class => '>=',
        Node\Expr\BinaryOp\GreaterOrEqual::class => '>',
        Node\Expr\BinaryOp\Identical::class => '!==',
        Node\Expr\BinaryOp\NotIdentical::class => '===',
        Node\Expr\BinaryOp\BooleanAnd::class => '||',
        Node\Expr\BinaryOp\BooleanOr::class => '&&',
        Node\Expr\BinaryOp\Plus::class => '-',
        Node\Expr\BinaryOp\Minus::class => '+',
        Node\Expr\BinaryOp\Mul::class => '/',
        Node\Expr\BinaryOp\Div::class => '*',
    ];

    private const CALLS = ['min' => 'max', 'max' => 'min', 'floor' => 'ceil', 'ceil' => 'floor', 'round' => 'floor'];

    /** Their last argument asks for a strict comparison: among values of one type, as ours are, it changes nothing. */
    private const STRICT = ['in_array', 'array_search', 'array_keys'];

    /** @var array<int, true> */
    private array $styled = [];

    /** Smaller figures only keep floating point from a hair's breadth. */
    private const SMALLEST = 1e-4;

    /** @var list<Mutant> */
    private array $mutants = [];

    private function __construct(private readonly string $file, private readonly string $code) {}

    /** @return list<Mutant> */
    public static function of(string $root, string $file): array
    {
        $self = new self($file, (string) file_get_contents("$root/$file"));
        $traverser = new NodeTraverser();
        $traverser->addVisitor($self);
        $traverser->traverse((new ParserFactory())->createForHostVersion()->parse($self->code) ?? []);

        return $self->mutants;
    }

    private static function isTrue(Node\Expr $expr): bool
    {
        return $expr instanceof Node\Expr\ConstFetch && $expr->name->toLowerString() === 'true';
    }

    public function enterNode(Node $node): ?int
    {
        if ($node instanceof Node\Stmt\Declare_) {
            return self::DONT_TRAVERSE_CHILDREN;
        }
        if ($node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name && in_array($node->name->toString(), self::STRICT, true)) {
            $this->styled[spl_object_id(end($node->args)->value)] = true;
        }
        // a set: its keys are read, not what stands under them
        if ($node instanceof Node\Expr\Assign && $node->var instanceof Node\Expr\ArrayDimFetch && self::isTrue($node->expr)) {
            $this->styled[spl_object_id($node->expr)] = true;
        }
        if ($node instanceof Node\Expr\Array_ && count($node->items) > 1 && count(array_filter($node->items, static fn ($item): bool => self::isTrue($item->value))) === count($node->items)) {
            foreach ($node->items as $item) {
                $this->styled[spl_object_id($item->value)] = true;
            }
        }
        if (isset($this->styled[spl_object_id($node)])) {
            return null;
        }
        match (true) {
            $node instanceof Node\Scalar\Int_ => $this->put(
                $node,
                'figure',
                (string) ($node->value >= 10 ? (int) ceil($node->value * 1.1) : $node->value + 1)
            ),
            $node instanceof Node\Scalar\Float_ => abs($node->value) >= self::SMALLEST || $node->value === 0.0
                ? $this->put($node, 'figure', var_export($node->value === 0.0 ? 1.0 : $node->value * 1.1, true))
                : null,
            isset(self::SWAPS[$node::class]) && $node instanceof Node\Expr\BinaryOp => $this->put(
                $node,
                'operator',
                $this->side($node->left).' '.self::SWAPS[$node::class].' '.$this->side($node->right)
            ),
            $node instanceof Node\Expr\BinaryOp\Coalesce => $this->put($node, 'fallback', '('.$this->text($node->right).')'),
            $node instanceof Node\Expr\BooleanNot => $this->put($node, 'not', $this->text($node->expr)),
            $node instanceof Node\Expr\ConstFetch && in_array($node->name->toLowerString(), ['true', 'false'], true) => $this->put(
                $node,
                'flag',
                $node->name->toLowerString() === 'true' ? 'false' : 'true'
            ),
            $node instanceof Node\Expr\Ternary && $node->if !== null => $this->put(
                $node,
                'choice',
                $this->text($node->cond).' ? '.$this->text($node->else).' : '.$this->text($node->if)
            ),
            $node instanceof Node\Expr\AssignOp\Plus => $this->put($node, 'operator', $this->text($node->var).' -= '.$this->text($node->expr)),
            $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name && isset(self::CALLS[$node->name->toString()]) => $this->put(
                $node->name,
                'call',
                self::CALLS[$node->name->toString()]
            ),
            $node instanceof Node\Stmt\Continue_ => $this->put($node, 'loop', 'break;'),
            $node instanceof Node\Stmt\Return_ && $node->expr instanceof Node\Expr\Array_ && $node->expr->items !== [] => $this->put(
                $node,
                'nothing',
                'return [];'
            ),
            $node instanceof Node\Stmt\Expression => $this->leaveOut($node),
            $node instanceof Node\Expr\Match_ => $this->withoutArms($node),
            $node instanceof Node\Expr\Array_ => $this->withoutItems($node),
            default => null,
        };

        return null;
    }

    private function leaveOut(Node\Stmt\Expression $node): void
    {
        $isPush = $node->expr instanceof Node\Expr\Assign && $node->expr->var instanceof Node\Expr\ArrayDimFetch;
        if (
            $isPush ||
            $node->expr instanceof Node\Expr\MethodCall ||
            $node->expr instanceof Node\Expr\StaticCall ||
            $node->expr instanceof Node\Expr\FuncCall
        ) {
            $this->put($node, 'left out', ';');
        }
    }

    private function withoutArms(Node\Expr\Match_ $node): void
    {
        foreach ($node->arms as $arm) {
            if ($arm->conds !== null) {
                $this->put($arm->conds[0], 'arm', $node->cond instanceof Node\Expr\ConstFetch ? 'false' : '"\0"');
            }
        }
    }

    /** One word less in a list of words. */
    private function withoutItems(Node\Expr\Array_ $node): void
    {
        foreach ($node->items as $item) {
            if (
                $item !== null &&
                count($node->items) > 1 &&
                $item->value instanceof Node\Scalar\String_ &&
                ($item->key === null || $item->key instanceof Node\Scalar\String_)
            ) {
                $this->put($item, 'item', $item->key === null ? "'\\0'" : "'\\0' => ".$this->text($item->value));
            }
        }
    }

    /** One side of an operator; the parentheses around it belong to no node. */
    private function side(Node\Expr $side): string
    {
        $isWhole = ! $side instanceof Node\Expr\BinaryOp && ! $side instanceof Node\Expr\Ternary && ! $side instanceof Node\Expr\Assign;

        return $isWhole ? $this->text($side) : '('.$this->text($side).')';
    }

    private function text(Node $node): string
    {
        return substr($this->code, $node->getStartFilePos(), $node->getEndFilePos() - $node->getStartFilePos() + 1);
    }

    private function put(Node $node, string $kind, string $replacement): void
    {
        $from = $node->getStartFilePos();
        $to = $node->getEndFilePos() + 1;
        $lineStart = strrpos(substr($this->code, 0, $from), "\n");
        $line = trim(
            substr(
                $this->code,
                $lineStart === false ? 0 : $lineStart + 1,
                (strpos($this->code, "\n", $from) ?: strlen($this->code)) - ($lineStart === false ? 0 : $lineStart + 1)
            )
        );
        $before = substr($this->code, $from, $to - $from);
        $this->mutants[] = new Mutant(
            $this->file,
            $node->getStartLine(),
            $kind,
            $line,
            self::oneLine($before),
            self::oneLine($replacement),
            substr($this->code, 0, $from).$replacement.substr($this->code, $to)
        );
    }

    private static function oneLine(string $code): string
    {
        return (string) preg_replace('/\s+/', ' ', $code);
    }
}
