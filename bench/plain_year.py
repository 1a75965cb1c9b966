"""The same algorithm as the core's, written plainly in Python: R, the profile of the coldest month, the year, fRsi.

Reads {"months": [[indoor C, indoor Pa, outdoor C, outdoor Pa], ...], "walls": [[[lambda, mu, mm], ...], ...]} from standard input.
Writes the seconds it took, reading and writing left out, and for each wall [R, flux, peak g/m2, residue g/m2, fRsi, least fRsi].
"""
import json
import math
import sys
import time

DELTA = 2e-10
DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
RSI, RSE = 0.13, 0.04


def saturation(t):
    return 610.5 * math.exp(17.269 * t / (237.3 + t)) if t >= 0 else 610.5 * math.exp(21.875 * t / (265.5 + t))


def dew_point(p):
    ln = math.log(p / 610.5)
    return 237.3 * ln / (17.269 - ln) if p >= 610.5 else 265.5 * ln / (21.875 - ln)


def touches(sd, sat, first, last, p_first, p_last):
    nodes, pressures = [first], [p_first]
    for i in range(first + 1, last + 1):
        p = p_last if i == last else sat[i]
        while len(nodes) > 1:
            a, b = nodes[-2], nodes[-1]
            if (pressures[-1] - pressures[-2]) * (sd[i] - sd[a]) < (p - pressures[-2]) * (sd[b] - sd[a]):
                break
            nodes.pop()
            pressures.pop()
        nodes.append(i)
        pressures.append(p)
    return nodes


def rates(sd, sat, inside, outside, held):
    last = len(sd) - 1
    touched, start = [0], 0
    for to in sorted(held) + [last]:
        touched += touches(sd, sat, start, to, inside if start == 0 else sat[start], outside if to == last else sat[to])[1:]
        start = to
    found = {}
    for a, b, c in zip(touched, touched[1:], touched[2:]):
        pa = inside if a == 0 else sat[a]
        pc = outside if c == last else sat[c]
        found[b] = DELTA * ((pa - sat[b]) / (sd[b] - sd[a]) - (sat[b] - pc) / (sd[c] - sd[b]))
    return found


def month(sd, sat, inside, outside, water, left):
    while left > 0:
        found = rates(sd, sat, inside, outside, water)
        step, dries = left, None
        for node, amount in water.items():
            rate = found.get(node, 0.0)
            if rate < 0 and amount / -rate < step:
                step, dries = amount / -rate, node
        for node, rate in found.items():
            water[node] = water.get(node, 0.0) + rate * step
        if dries is not None:
            water.pop(dries, None)
        water = {node: amount for node, amount in water.items() if amount > 0}
        left -= step
    return water


def year(sd, months, start):
    water, ends = {}, {}
    for k in range(12):
        m = (start + k) % 12
        water = month(sd, *months[m], water, DAYS[m] * 86400.0)
        for node, amount in water.items():
            ends.setdefault(node, [0.0] * 12)[k] = amount
    return ends


def assess(layers, months):
    r, sd = [RSI], [0.0]
    for conductivity, mu, mm in layers:
        resistance, layer_sd = mm / 1000 / conductivity, mu * mm / 1000
        slices = max(1, math.ceil(resistance / 0.25 - 1e-9))
        r0, s0 = r[-1], sd[-1]
        for k in range(1, slices + 1):
            r.append(r0 + resistance * k / slices)
            sd.append(s0 + layer_sd * k / slices)
    total = sum(mm / 1000 / conductivity for conductivity, mu, mm in layers) + RSI + RSE
    states = []
    for ti, pi, te, pe in months:
        flux = (ti - te) / total
        sat = [saturation(ti - x * flux) for x in r]
        states.append((sat, min(pi, sat[0]), min(pe, sat[-1])))
    coldest = min(range(12), key=lambda m: (months[m][2], m))
    ti, pi, te, pe = months[coldest]
    touches(sd, states[coldest][0], 0, len(sd) - 1, states[coldest][1], states[coldest][2])
    wets = [len(touches(sd, sat, 0, len(sd) - 1, inside, outside)) > 2 for sat, inside, outside in states]
    peak = residue = 0.0
    if any(wets):
        starts = [m for m in [6, 7, 8, 9, 10, 11, 0, 1, 2, 3, 4, 5] if wets[m] and not wets[m - 1]] or [0]
        best = None
        for start in starts:
            ends = year(sd, states, start)
            left = sum(amounts[11] for amounts in ends.values())
            if best is None or left < best[0] - 1e-12:
                best = (left, ends)
        residue = best[0] * 1000
        peak = max(max(amounts) for amounts in best[1].values()) * 1000
    least = max((dew_point(pi / 0.8) - te) / (ti - te) for ti, pi, te, pe in months if te < ti)
    return [total, (months[coldest][0] - te) / total, peak, residue, 1 - 0.25 / (total - RSI + 0.25), least]


asked = json.load(sys.stdin)
began = time.perf_counter()
answers = [assess(layers, asked["months"]) for layers in asked["walls"]]
json.dump({"seconds": time.perf_counter() - began, "walls": answers}, sys.stdout)
