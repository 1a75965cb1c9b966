<?php

namespace App\Project;

use App\Models\Photograph;
use App\Models\Project;
use Apron\File\FileRefused;
use Illuminate\Support\Facades\Storage;

/** Takes a photograph in: checks what it is, turns it upright, makes it smaller, and leaves its place and camera behind. */
final class PhotographIntake
{
    private const MOST_PIXELS = 60_000_000;

    /** @throws FileRefused where it is no JPEG, PNG or WebP picture, or too large */
    public function take(Project $project, string $bytes): Photograph
    {
        $most = (int) config('apron.photograph_most_bytes');
        if (strlen($bytes) > $most) {
            throw new FileRefused('/photograph', sprintf('%.1f MB', strlen($bytes) / 1e6), sprintf('at most %.0f MB', $most / 1e6));
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new FileRefused('/photograph', $size === false ? 'no picture' : $size['mime'], 'a JPEG, PNG or WebP picture');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw new FileRefused('/photograph', "$size[0] × $size[1] pixels", 'at most 60 megapixels');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new FileRefused('/photograph', 'a damaged picture', 'one that opens');
        }
        $image = $this->smaller($this->upright($image, $size[2] === IMAGETYPE_JPEG ? $bytes : ''));
        // Drawing the pixels anew is what strips position, camera and thumbnail: nothing but pixels is carried over.
        ob_start();
        imagejpeg($image, null, 85);

        return $this->keep($project, (string) ob_get_clean());
    }

    /** Keeps bytes that were taken in before, here or elsewhere. */
    public function keep(Project $project, string $jpeg): Photograph
    {
        $size = @getimagesizefromstring($jpeg);
        if ($size === false || $size[2] !== IMAGETYPE_JPEG) {
            throw new FileRefused('/photograph', 'no JPEG picture', 'a JPEG picture');
        }
        if (str_contains(substr($jpeg, 0, 65536), "Exif\0\0")) {
            throw new FileRefused('/photograph', 'a picture that still says by which camera or where it was taken', 'one that was taken in by Apron, which leaves that behind');
        }
        $photograph = Photograph::firstOrNew(['project_id' => $project->id, 'sha256' => hash('sha256', $jpeg)]);
        if (! $photograph->exists) {
            Storage::put($photograph->path(), $jpeg);
            $photograph->fill(['width' => $size[0], 'height' => $size[1], 'bytes' => strlen($jpeg)])->save();
        }

        return $photograph;
    }

    private function upright(\GdImage $image, string $jpeg): \GdImage
    {
        $exif = $jpeg === '' ? false : @exif_read_data('data://image/jpeg;base64,'.base64_encode($jpeg));
        $turn = match ($exif['Orientation'] ?? 1) {
            3 => 180, 6 => 270, 8 => 90, default => 0,
        };

        return $turn === 0 ? $image : (imagerotate($image, $turn, 0) ?: $image);
    }

    private function smaller(\GdImage $image): \GdImage
    {
        $longest = (int) config('apron.photograph_longest_side');
        $scale = min(1.0, $longest / max(imagesx($image), imagesy($image)));
        $small = imagecreatetruecolor((int) max(1, round(imagesx($image) * $scale)), (int) max(1, round(imagesy($image) * $scale)));
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), imagesx($image), imagesy($image));

        return $small;
    }
}
