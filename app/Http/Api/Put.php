<?php

declare(strict_types=1);

namespace App\Http\Api;

use Attribute;
use OpenApi\Attributes as OA;

#[Attribute(Attribute::TARGET_METHOD)]
final class Put extends OA\Put
{
    /**
     * @param  array<int, string|array{string, string}>  $answers  as Described takes them
     * @param  list<string>  $queries  names of what its query may carry
     */
    public function __construct(string $path, string $id, array $answers, array $queries = [])
    {
        parent::__construct(
            path: $path,
            operationId: $id,
            parameters: Described::parameters($path, $queries),
            responses: Described::answers($answers),
        );
    }
}
