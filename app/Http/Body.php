<?php

declare(strict_types=1);

namespace App\Http;

use Apron\Json\Node;
use Illuminate\Http\Request;

/**
 * What a request carries, as it was sent: an empty object stays one, and a number too large to hold is refused and not
 * rounded.
 */
final class Body
{
    /** @throws \Apron\Json\FileRefused where it is no JSON, or has no such key */
    public static function content(Request $request, string $key = 'content'): Node
    {
        return Node::parse($request->getContent())->get($key);
    }
}
