<?php

declare(strict_types=1);

// A wire between a browser and the application that can be cut: forward.php LISTEN TO, both ports of 127.0.0.1.

[, $listen, $to] = $argv;
$server = stream_socket_server("tcp://127.0.0.1:$listen") ?: exit(1);
stream_set_blocking($server, false);
echo "ready\n";
/** @var array<int, resource> $ends by number */
$ends = [];
/** @var array<int, int> $other the number at the other end */
$other = [];
$close = function (int $end) use (&$ends, &$other): void {
    foreach ([$end, $other[$end] ?? -1] as $one) {
        isset($ends[$one]) && fclose($ends[$one]);
        unset($ends[$one], $other[$one]);
    }
};
while (true) {
    $read = [$server, ...array_values($ends)];
    [$write, $except] = [null, null];
    if (stream_select($read, $write, $except, 1) === false) {
        exit(1);
    }
    foreach ($read as $stream) {
        if ($stream === $server) {
            $came = @stream_socket_accept($server, 0);
            $goes = $came === false ? false : @stream_socket_client("tcp://127.0.0.1:$to");
            if ($came !== false && $goes !== false) {
                $ends += [(int) $came => $came, (int) $goes => $goes];
                $other += [(int) $came => (int) $goes, (int) $goes => (int) $came];
            }

            continue;
        }
        $bytes = @fread($stream, 65536);
        if ($bytes === false || $bytes === '') {
            $close((int) $stream);
        } elseif (isset($other[(int) $stream])) {
            @fwrite($ends[$other[(int) $stream]], $bytes) === false && $close((int) $stream);
        }
    }
}
