<?php

declare(strict_types=1);

namespace App\Http;

use App\Project\OtherContent;
use App\Project\StaleSave;
use Apron\Budget\TakesTooLong;
use Apron\Drafting\CannotGenerate;
use Apron\Json\FileRefused;
use Apron\Trace\RunsInARing;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What the core refuses, as answers: what was wrong, where, and what would be right. */
final class Refusals
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([
            FileRefused::class,
            CannotGenerate::class,
            StaleSave::class,
            OtherContent::class,
            TakesTooLong::class,
            RunsInARing::class,
        ]);
        $exceptions->render(
            fn (FileRefused $e): JsonResponse => self::answer($e->pointer, $e->value, $e->expected, $e->getMessage()),
        );
        $exceptions->render(
            fn (CannotGenerate $e): JsonResponse => self::answer(
                '/parameters/'.$e->parameter,
                (string) $e->value,
                $e->expected,
                $e->getMessage(),
            ),
        );
        $exceptions->render(
            fn (StaleSave $e): JsonResponse => new JsonResponse(
                [
                    'message' => $e->getMessage(),
                    'theirs' => $e->current->toShape(),
                    'yours' => $e->offered,
                ],
                409,
            ),
        );
        $exceptions->render(
            fn (OtherContent $e): JsonResponse => new JsonResponse(
                ['message' => $e->getMessage(), 'event' => $e->event],
                409,
            ),
        );
        $exceptions->render(
            fn (TakesTooLong|RunsInARing $e): JsonResponse => new JsonResponse(['message' => $e->getMessage()], 422),
        );
        // An address of something that is gone, or never was: without the names of tables.
        $exceptions->render(
            fn (NotFoundHttpException $e): ?JsonResponse => $e->getPrevious() instanceof ModelNotFoundException
                ? new JsonResponse(['message' => 'There is nothing at this address: it was removed, or never was.'], 404)
                : null,
        );
    }

    private static function answer(string $pointer, string $value, string $expected, string $message): JsonResponse
    {
        return new JsonResponse(
            ['message' => $message, 'pointer' => $pointer, 'value' => $value, 'expected' => $expected],
            422,
        );
    }
}
