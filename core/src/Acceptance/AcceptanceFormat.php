<?php

declare(strict_types=1);

namespace Apron\Acceptance;

use Apron\Inspection\SiteFormat;
use Apron\Json\FileRefused;
use Apron\Json\Node;

/** An acceptance as `apron-project/1` writes it. */
final class AcceptanceFormat
{
    /** @throws FileRefused */
    public static function read(Node $node): Acceptance
    {
        $keys = ['id', 'key', 'reason', 'by', 'at', 'stamp'];
        $node->object($keys, $keys);
        $acceptance = new Acceptance(
            $node->get('key')->text(500),
            $node->get('reason')->text(2000),
            $node->get('by')->text(200),
            SiteFormat::instant($node->get('at')),
            $node->get('stamp')->text(40),
        );
        if ($node->get('id')->id() !== $acceptance->id) {
            $node->get('id')->refuse("“{$acceptance->id}”, which follows from its “key”");
        }

        return $acceptance;
    }

    /** @return array<string, string> */
    public static function write(Acceptance $acceptance): array
    {
        return [
            'id' => $acceptance->id,
            'key' => $acceptance->key,
            'reason' => $acceptance->reason,
            'by' => $acceptance->by,
            'at' => $acceptance->at,
            'stamp' => $acceptance->stamp,
        ];
    }
}
