<?php

declare(strict_types=1);

namespace App\Project;

use App\Models\Photograph;
use App\Models\Project;
use App\Models\User;
use Apron\Json\FileRefused;
use Illuminate\Support\Facades\Storage;

/**
 * Takes a photograph in: checks what it is, turns it upright, makes it smaller, and leaves its place and camera behind.
 */
final class PhotographIntake
{
    private const MOST_PIXELS = 60_000_000;

    private const QUALITY = 85;

    /** Of a JPEG: what may stand before its pixels. Anything else says more than they do: place, camera, words. */
    private const PLAIN = [0xE0, 0xDB, 0xC0, 0xC1, 0xC2, 0xC4, 0xDA, 0xDD];

    /** @throws FileRefused where it is no JPEG, PNG or WebP picture, or too large */
    public function take(Project $project, string $bytes, User $by): Photograph
    {
        return $this->keep($project, $this->redrawn($bytes), $by);
    }

    /**
     * A photograph of an archive. One that Apron drew is kept as it is, for its digest is its name; any other is drawn
     * anew.
     *
     * @return string its bytes
     *
     * @throws FileRefused
     */
    public function fromArchive(string $bytes): string
    {
        $size = $this->size($bytes);

        return $size[2] === IMAGETYPE_JPEG &&
            max($size[0], $size[1]) <= (int) config('apron.photograph_longest_side') &&
            self::isPlain($bytes)
            ? $bytes
            : $this->redrawn($bytes);
    }

    /** Keeps bytes that were drawn here. */
    public function keep(Project $project, string $jpeg, User $by): Photograph
    {
        $size = $this->size($jpeg);
        $photograph = Photograph::firstOrNew(['project_id' => $project->id, 'sha256' => hash('sha256', $jpeg)]);
        if (! $photograph->exists) {
            Storage::put($photograph->path(), $jpeg);
            $this->settle($photograph);
            $photograph
                ->fill(['width' => $size[0], 'height' => $size[1], 'bytes' => strlen($jpeg), 'user_id' => $by->id])
                ->save();
        }

        return $photograph;
    }

    /**
     * On the disk, and not on its way there, before anybody is told that it is kept; a store elsewhere sees to that
     * itself.
     */
    private function settle(Photograph $photograph): void
    {
        $file = @fopen(Storage::path($photograph->path()), 'r+');
        if ($file !== false) {
            fsync($file);
            fclose($file);
        }
    }

    /** Drawing the pixels anew is what strips position, camera and thumbnail: nothing but pixels is carried over. */
    private function redrawn(string $bytes): string
    {
        $size = $this->size($bytes);
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new FileRefused('/photograph', 'a damaged picture', 'one that opens');
        }
        $image = $this->smaller($this->upright($image, $size[2] === IMAGETYPE_JPEG ? $bytes : ''));
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return (string) ob_get_clean();
    }

    /**
     * @return array{int, int, int} width, height and kind
     *
     * @throws FileRefused
     */
    private function size(string $bytes): array
    {
        $most = (int) config('apron.photograph_most_bytes');
        if (strlen($bytes) > $most) {
            throw new FileRefused(
                '/photograph',
                sprintf('%.1f MB', strlen($bytes) / 1e6),
                sprintf('at most %.0f MB', $most / 1e6),
            );
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new FileRefused(
                '/photograph',
                $size === false ? 'no picture' : $size['mime'],
                'a JPEG, PNG or WebP picture',
            );
        }
        if ($size[0] < 1 || $size[1] < 1 || $size[0] * $size[1] > self::MOST_PIXELS) {
            throw new FileRefused('/photograph', "$size[0] × $size[1] pixels", 'at most 60 megapixels');
        }

        return [$size[0], $size[1], $size[2]];
    }

    /**
     * Whether a JPEG holds pixels only: none but the plainest segments before them, one comment of the library that
     * draws it, and nothing after.
     */
    private static function isPlain(string $jpeg): bool
    {
        $at = 2;
        while ($at + 4 <= strlen($jpeg) && $jpeg[$at] === "\xFF") {
            $marker = ord($jpeg[$at + 1]);
            /** @var array{1: int} $length */
            $length = unpack('n', $jpeg, $at + 2);
            $drawn =
                $marker === 0xFE && str_starts_with(substr($jpeg, $at + 4, 32), 'CREATOR: gd-jpeg v1.0 (using IJG');
            if (! $drawn && ! in_array($marker, self::PLAIN, true)) {
                return false;
            }
            if ($marker === 0xDA) {
                return strpos($jpeg, "\xFF\xD9", $at) === strlen($jpeg) - 2;
            }
            $at += 2 + $length[1];
        }

        return false;
    }

    private function upright(\GdImage $image, string $jpeg): \GdImage
    {
        $exif = $jpeg === '' ? false : @exif_read_data('data://image/jpeg;base64,'.base64_encode($jpeg));
        $orientation = $exif['Orientation'] ?? 1;
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($image, $orientation === 4 ? IMG_FLIP_VERTICAL : IMG_FLIP_HORIZONTAL);
        }
        $turn = match ($orientation) {
            3 => 180,
            6, 7 => 270,
            5, 8 => 90,
            default => 0,
        };

        return $turn === 0 ? $image : (imagerotate($image, $turn, 0) ?: $image);
    }

    private function smaller(\GdImage $image): \GdImage
    {
        $longest = (int) config('apron.photograph_longest_side');
        $scale = min(1.0, $longest / max(imagesx($image), imagesy($image)));
        $side = fn (int $pixels): int => max(1, (int) round($pixels * $scale));
        $small = imagecreatetruecolor($side(imagesx($image)), $side(imagesy($image)));
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled(
            $small,
            $image,
            0,
            0,
            0,
            0,
            imagesx($small),
            imagesy($small),
            imagesx($image),
            imagesy($image),
        );

        return $small;
    }
}
