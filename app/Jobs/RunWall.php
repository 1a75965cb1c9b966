<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Project;
use App\Models\Run;
use App\Models\RunState;
use App\Project\HourlyCures;
use App\Project\KeptRows;
use App\Project\KeptRuns;
use Apron\Project\Section\RunsSection;
use Apron\Transient\Memory;
use Apron\Transient\WallResult;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Takes a wall through its years, one after the other; what a killed worker had done of them is not done again. */
class RunWall implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    /** Two workers look here; reports have a queue of their own, so that they do not wait for years of weather. */
    public const QUEUE = 'runs';

    public int $timeout = 170;

    public int $tries = 5;

    public int $maxExceptions = 1;

    public function __construct(
        private readonly string $project,
        private readonly string $key,
        private readonly string $hash,
    ) {
        $this->onQueue(self::QUEUE);
    }

    public function handle(KeptRuns $runs, KeptRows $kept, HourlyCures $cures): void
    {
        $project = Project::find($this->project);
        $row = Run::find($this->hash);
        if ($project === null || $row === null || ! in_array($row->state, RunState::unfinished(), true)) {
            return;
        }
        [$run, $climate, $indoors, $hash] = $runs->named($project, $this->key);
        $changed = $hash === $this->hash ? null : $cures->hashed($project, $this->key, $this->hash);
        if ($changed !== null) {
            [$run, $climate, $indoors] = $changed;
        } elseif ($hash !== $this->hash) {
            // It was changed since it was asked for: what is there now is asked for by itself.
            $row->update(['state' => RunState::Cancelled, 'doing' => 'changed since it was asked for']);

            return;
        }
        // Whoever cancels it at this moment has cancelled it.
        if (! $this->write(['state' => RunState::Running, 'doing' => 'the first hours'])) {
            return;
        }
        try {
            $result = WallResult::of(
                $run,
                $climate,
                $indoors,
                $this->told(...),
                $row->memory === null ? null : KeptRuns::read(Memory::class, $row->memory),
            );
        } catch (RunCancelled) {
            return;
        }
        $this->write([
            'state' => RunState::Done,
            'years_done' => $result->years,
            'doing' => $result->cut === null ? 'run' : "cut off: it took $result->cut",
            'memory' => null,
            'result' => KeptRuns::write($result),
        ]);
        $kept->forgetDocument($project, (new RunsSection)->kind(), $this->key);
    }

    public function failed(?\Throwable $why): void
    {
        $words = 'it stopped: '.(trim((string) $why?->getMessage()) ?: 'no reason was given');
        Run::whereKey($this->hash)
            ->where('state', '!=', RunState::Cancelled)
            ->update(['state' => RunState::Failed, 'doing' => mb_strimwidth($words, 0, 250, '…')]);
    }

    /** @throws RunCancelled once somebody has cancelled it */
    private function told(int $year, Memory $memory): void
    {
        $going = $this->write([
            'state' => RunState::Running,
            'years_done' => $year,
            'doing' => "year $year",
            'memory' => KeptRuns::write($memory),
        ]);
        if (! $going) {
            throw new RunCancelled;
        }
    }

    /**
     * @param  array<string, mixed>  $said
     * @return bool whether it stands: not where somebody has cancelled it
     */
    private function write(array $said): bool
    {
        return Run::whereKey($this->hash)->whereIn('state', RunState::unfinished())->update($said) > 0;
    }
}
