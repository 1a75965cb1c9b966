"""The scheme of core/src/Transient/March.php for one material, with NumPy and SciPy's banded solver: implicit in time,
Newton for humidity and temperature together."""
import json
import sys
import time

import numpy as np
from scipy.linalg import solve_banded

said = json.load(open(sys.argv[1]))
thick = np.array(said['thick'])
rh, water, potential, permeability = (np.array(said[k]) for k in ('rh', 'water', 'potential', 'permeability'))
lam, rho_c = said['conductivity'], said['heat']
slope_w, slope_p = np.diff(water) / np.diff(rh), np.diff(potential) / np.diff(rh)
n, dt, latent, beyond = len(thick), 3600.0, 2.5e6, 1e6
half = 0.5 * thick
phi, t = np.full(n, 0.6), np.full(n, 15.0)


def saturation(c):
    return np.where(c >= 0, 610.5 * np.exp(17.269 * c / (237.3 + c)), 610.5 * np.exp(21.875 * c / (265.5 + c)))


def slope(c, p):
    return np.where(c >= 0, 4097.9337 * p / (237.3 + c) ** 2, 5807.8125 * p / (265.5 + c) ** 2)


def table(f):
    i = np.where(f < 0.95, (f * 1000).astype(int), 950 + ((f - 0.95) * 1e5).astype(int)).clip(0, len(rh) - 2)
    over = f >= 1
    w = np.where(over, water[-1] + beyond * (f - 1), water[i] + slope_w[i] * (f - rh[i]))
    p = np.where(over, potential[-1] + slope_p[-1] * (f - 1), potential[i] + slope_p[i] * (f - rh[i]))
    return w, np.where(over, beyond, slope_w[i]), p, np.where(over, slope_p[-1], slope_p[i]), permeability[i]


began = time.perf_counter()
for celsius, humid in said['outside']:
    films = ((0, 7.7, 2.5e-8, 21.0, 0.4), (n - 1, 25.0, 7.5e-8, celsius, humid))
    w0 = table(phi)[0]
    capacity, t0 = thick * (rho_c + w0 * 4187) / dt, t.copy()
    for _ in range(25):
        w, dw, pot, dpot, perm = table(phi)
        ps = saturation(t)
        dps = slope(t, ps)
        g = 1 / (half[:-1] / perm[:-1] + half[1:] / perm[1:])
        way, heat = 1 / (half[:-1] + half[1:]), 1 / (half[:-1] / lam + half[1:] / lam)
        vapour = g * (phi[:-1] * ps[:-1] - phi[1:] * ps[1:])
        flow = vapour + way * (pot[:-1] - pot[1:])
        warm = heat * (t[:-1] - t[1:]) + latent * vapour
        rw, rt = thick / dt * (w - w0), capacity * (t - t0)
        rw[:-1] += flow
        rw[1:] -= flow
        rt[:-1] += warm
        rt[1:] -= warm
        # by node: what both sums change with humidity and temperature here (b), before (a) and after (c)
        vp, vt = (g * ps[:-1], g * ps[1:]), (g * (phi * dps)[:-1], g * (phi * dps)[1:])
        lp = (vp[0] + way * dpot[:-1], vp[1] + way * dpot[1:])
        bwp, bwt, btp, btt = thick / dt * dw, np.zeros(n), np.zeros(n), capacity.copy()
        for side, at in ((0, slice(None, -1)), (1, slice(1, None))):
            bwp[at] += lp[side]
            bwt[at] += vt[side]
            btp[at] += latent * vp[side]
            btt[at] += heat + latent * vt[side]
        for k, h, beta, air, damp in films:
            out = beta * (phi[k] * ps[k] - damp * float(saturation(np.float64(air))))
            rw[k] += out
            bwp[k] += beta * ps[k]
            bwt[k] += beta * phi[k] * dps[k]
            rt[k] += latent * out + h * (t[k] - air)
            btp[k] += latent * beta * ps[k]
            btt[k] += latent * beta * phi[k] * dps[k] + h
        band = np.zeros((7, 2 * n))
        # row 3 + i − j of the band: unknowns alternate, humidity then temperature
        band[3, 0::2], band[3, 1::2] = bwp, btt
        band[2, 1::2], band[4, 0::2] = bwt, btp
        band[1, 2::2], band[1, 3::2] = -lp[1], -(heat + latent * vt[1])
        band[0, 3::2], band[2, 2::2] = -vt[1], -latent * vp[1]
        band[5, 0:-2:2], band[5, 1:-2:2] = -lp[0], -(heat + latent * vt[0])
        band[4, 1:-2:2], band[6, 0:-3:2] = -vt[0], -latent * vp[0]
        right = np.empty(2 * n)
        right[0::2], right[1::2] = rw, rt
        step = solve_banded((3, 3), band, right, overwrite_ab=True, overwrite_b=True, check_finite=False)
        dp = np.clip(step[0::2], -0.25, 0.25)
        phi = np.maximum(phi - dp, 1e-4)
        t = t - step[1::2]
        if np.abs(dp).max() < 1e-6 and np.abs(step[1::2]).max() < 1e-4:
            break
seconds = time.perf_counter() - began
print(json.dumps({'seconds': seconds, 'water': float((thick * table(phi)[0])[1:-1].sum())}))
