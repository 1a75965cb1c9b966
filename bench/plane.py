"""The system of bench/plane.php, by SciPy's sparse direct solver, in both of its usual orders."""
import json
import statistics
import sys
import time

import numpy as np
import scipy.sparse as sp
import scipy.sparse.linalg as sl

n = int(sys.argv[1])
half = np.full((n - 1, n - 1), 0.5 * 0.035)
half[np.arange(n - 1) < 0.2 * n, :] = 0.5 * 1.15
i = np.arange(n - 1)
half[:, (i > 0.45 * n) & (i < 0.48 * n)] = 25.0
east, north = np.zeros((n, n)), np.zeros((n, n))
east[:-1, :-1] += half
east[1:, :-1] += half
north[:-1, :-1] += half
north[:-1, 1:] += half
total = east + north
total[:, 1:] += east[:, :-1]
total[1:, :] += north[:-1, :]
right = np.zeros((n, n))
total[0] += 8.0 / n
right[0] += 160.0 / n
total[-1] += 24.0 / n
e, u = east.ravel(), north.ravel()
matrix = sp.diags([total.ravel(), -e[:-1], -e[:-1], -u[:-n], -u[:-n]], [0, 1, -1, n, -n], format='csc')
told = {}
for how, order in (('spsolve as it comes', 'COLAMD'), ('minimum degree', 'MMD_AT_PLUS_A')):
    times = []
    for _ in range(3):
        began = time.perf_counter()
        solved = sl.splu(matrix, permc_spec=order).solve(right.ravel())
        times.append(1000 * (time.perf_counter() - began))
    told[how] = statistics.median(times)
nodes = [0, n * n // 3, n * n // 2, n * n - 1]
print(json.dumps({'ms': told, 'nodes': nodes, 'at': [float(solved[k]) for k in nodes]}))
