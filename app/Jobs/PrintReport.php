<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Report;
use App\Models\ReportState;
use App\Project\Printer;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Facades\URL;

/** Prints a report from the application's own print pages. */
class PrintReport implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    public int $timeout = 180;

    /** Taken up again twice where the worker was cut short. */
    public int $tries = 3;

    /** A page that cannot be printed cannot be printed the next time either. */
    public int $maxExceptions = 1;

    public function __construct(private readonly string $report)
    {
    }

    public function handle(Printer $printer): void
    {
        if (! $this->say('opening the pages', 20)) {
            return;
        }
        $address = URL::temporarySignedRoute('print', now()->addMinutes(10), ['report' => $this->report]);
        $pdf = $printer->print($address, fn (string $doing, int $percent): bool => $this->say($doing, $percent));
        if ($pdf === null) {
            return;
        }
        $path = "reports/{$this->report}.pdf";
        Storage::put($path, $pdf);
        Report::whereKey($this->report)
            ->where('state', ReportState::Printing)
            ->update(['state' => ReportState::Done, 'percent' => 100, 'doing' => 'printed', 'path' => $path]);
    }

    public function failed(?\Throwable $why): void
    {
        Report::whereKey($this->report)
            ->where('state', '!=', ReportState::Cancelled)
            ->update([
                'state' => ReportState::Failed,
                'doing' => mb_strimwidth(
                    'the printer stopped: '.(trim((string) $why?->getMessage()) ?: 'no reason was given'),
                    0,
                    250,
                    '…',
                ),
            ]);
    }

    /**
     * @return bool whether to go on: false once somebody has cancelled, or it has been printed by another that took it
     *   up
     */
    private function say(string $doing, int $percent): bool
    {
        $report = Report::find($this->report);
        if ($report === null || ! in_array($report->state, ReportState::unfinished(), true)) {
            return false;
        }
        $report->update(['state' => ReportState::Printing, 'percent' => $percent, 'doing' => $doing]);

        return true;
    }
}
