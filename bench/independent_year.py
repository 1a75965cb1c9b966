"""The monthly balance again, in another language and by another method, to hold the core to.

Reads a JSON list of walls from standard input: layers as [R, sd] inside to outside, surface resistances, twelve months of
[indoor C, indoor Pa, outdoor C, outdoor Pa]. Writes for each the starting month and, for each plane, twelve accumulated
amounts in g/m2. The pressure of a month is found as an obstacle problem by a primal-dual active set on the balance of
each node (no hull, no string); formulae of ISO 13788:2012, clause 6.
"""
import json
import math
import sys

DELTA = 2e-10
DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]


def saturation(t):
    return 610.5 * math.exp(17.269 * t / (237.3 + t)) if t >= 0 else 610.5 * math.exp(21.875 * t / (265.5 + t))


def solve_balance(sd, held):
    """Pressures where every node not in `held` passes on what it gets: one sweep of elimination along the chain."""
    n = len(sd)
    a, b, c, d = [0.0] * n, [1.0] * n, [0.0] * n, [0.0] * n
    for i in range(n):
        if i in held:
            d[i] = held[i]
        else:
            g1, g2 = 1 / (sd[i] - sd[i - 1]), 1 / (sd[i + 1] - sd[i])
            a[i], b[i], c[i] = -g1, g1 + g2, -g2
    for i in range(1, n):
        w = a[i] / b[i - 1]
        b[i] -= w * c[i - 1]
        d[i] -= w * d[i - 1]
    p = [0.0] * n
    p[-1] = d[-1] / b[-1]
    for i in range(n - 2, -1, -1):
        p[i] = (d[i] - c[i] * p[i + 1]) / b[i]
    return p


def gathering(sd, p, i):
    return DELTA * ((p[i - 1] - p[i]) / (sd[i] - sd[i - 1]) - (p[i] - p[i + 1]) / (sd[i + 1] - sd[i]))


def rates(sd, sat, inside, outside, wet):
    last = len(sd) - 1
    active = set()
    for _ in range(20 * last):
        held = {i: sat[i] for i in active | wet}
        held[0], held[last] = inside, outside
        p = solve_balance(sd, held)
        again = set()
        for i in range(1, last):
            if i in wet:
                continue
            # A node stays saturated while it gathers; a free one becomes so when it would exceed saturation.
            if (gathering(sd, p, i) > 0) if i in active else (p[i] > sat[i] * (1 + 1e-14)):
                again.add(i)
        if again == active:
            break
        active = again
    else:
        raise RuntimeError("the active set does not settle")
    return {i: gathering(sd, p, i) for i in active | wet}


def year(sd, months, start):
    last = len(sd) - 1
    water, ends = {}, {}
    for k in range(12):
        m = (start + k) % 12
        left = DAYS[m] * 86400.0
        while left > 0:
            g = rates(sd, *months[m], set(water))
            step, gone = left, None
            for i in water:
                if g[i] < 0 and water[i] / -g[i] < step:
                    step, gone = water[i] / -g[i], i
            for i, rate in g.items():
                water[i] = water.get(i, 0.0) + rate * step
            water.pop(gone, None)
            water = {i: w for i, w in water.items() if w > 0}
            left -= step
        for i, w in water.items():
            ends.setdefault(i, [0.0] * 12)[k] = w * 1000
    return ends


def assess(wall):
    r, sd = [wall["rsi"]], [0.0]
    for resistance, layer_sd in wall["layers"]:
        slices = max(1, math.ceil(resistance / 0.25 - 1e-9))
        r0, s0 = r[-1], sd[-1]
        for k in range(1, slices + 1):
            r.append(r0 + resistance * k / slices)
            sd.append(s0 + layer_sd * k / slices)
    total = r[-1] + wall["rse"]
    months = []
    for ti, pi, te, pe in wall["months"]:
        sat = [saturation(ti - (ti - te) * x / total) for x in r]
        months.append((sat, min(pi, sat[0]), min(pe, sat[-1])))
    wets = [bool(rates(sd, *m, set())) for m in months]
    if not any(wets):
        return {"start": None, "planes": {}}
    starts = [m for m in [6, 7, 8, 9, 10, 11, 0, 1, 2, 3, 4, 5] if wets[m] and not wets[m - 1]] or [0]
    best = min(((sum(e[11] for e in y.values()), k, s, y) for k, s in enumerate(starts) for y in [year(sd, months, s)]), key=lambda t: (round(t[0], 9), t[1]))
    return {"start": best[2] + 1, "planes": {str(i): e for i, e in sorted(best[3].items())}}


json.dump([assess(w) for w in json.load(sys.stdin)], sys.stdout)
