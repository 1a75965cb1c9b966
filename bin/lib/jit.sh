# Long loops of floats are compiled, with all their side ways: a process that has compiled much else before it comes to them would
# else have none left for them, and take four times as long.
LOOPS=(-d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=20000 -d opcache.jit_max_side_traces=1000 -d opcache.jit_max_exit_counters=200000 -d opcache.jit_hot_side_exit=1)
JIT=(-d opcache.enable_cli=1 -d opcache.jit=tracing "${LOOPS[@]}")
