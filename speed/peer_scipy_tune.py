#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""The two-way of eight parts of the tests tuned flat by SciPy's least squares: the same residuals,
bounds and start as ours, whole arrays over all frequencies, differences for the Jacobian.

usage: peer_scipy_tune.py RUNS; prints "tune SECONDS rms_db evaluations"."""
import sys
import time

import numpy as np
from scipy.optimize import least_squares

F = 10.0 ** (1.0 + np.arange(577) / 160.0)
S = 2j * np.pi * F
BAND = (F >= 200.0) & (F <= 12000.0)
AUDIBLE = (F >= 20.0) & (F <= 20000.0)


def motion(Re, fs, Qms, Qes):
    return (Re / Qes) / (1.0 / Qms + 1j * (F / fs - fs / F))


L2R2 = S * 0.0009 * 3.2 / (S * 0.0009 + 3.2)
BASS = 5.8 + S * 0.00035 + L2R2 + motion(5.8, 42.0, 4.5, 0.42)
TREBLE = 5.2 + S * 0.00005 + motion(5.2, 900.0, 2.5, 1.2)
LIMIT = (F >= 200.0) & (F <= 900.0)
MOST = -30.0 + 16.0 * np.log(F / 200.0) / np.log(4.5)
# L1 C1 R1 | R2 C2 L2 C3 R3
START = np.log([1e-3, 12e-6, 1.5, 1.0, 5.6e-6, 0.4e-3, 20e-6, 20.0])
LOW = np.log([1e-5, 1e-7, 0.1, 0.1, 1e-7, 1e-5, 1e-7, 0.1])
HIGH = np.log([20e-3, 500e-6, 200.0, 200.0, 500e-6, 20e-3, 500e-6, 200.0])


def solve(x):
    L1, C1, R1, R2, C2, L2, C3, R3 = np.exp(x)
    dcr1 = 0.3 * (L1 / 1e-3) ** 0.6
    dcr2 = 0.2 * (L2 / 0.4e-3) ** 0.6
    esr = 0.05 * 12e-6 / C1
    v = np.ones_like(S)
    i = 1.0 / BASS
    i = i + v / (1.0 / (S * C1) + esr + R1)
    v = v + (S * L1 + dcr1) * i
    low, Yl = 1.0 / v, i / v
    v = np.ones_like(S)
    i = 1.0 / TREBLE + v / R3
    v = v + i / (S * C3)
    i = i + v / (S * L2 + dcr2)
    v = v + (1.0 / (S * C2) + R2) * i
    high, Yh = 1.0 / v, i / v
    Y = Yl + Yh
    share = 1.0 / (1.0 + 0.05 * Y)
    return low * share, high * share, 1.0 / Y


def residuals(x):
    low, high, Z = solve(x)
    level = 20.0 * np.log10(np.abs(low + high)[BAND])
    flat = level - level.mean()
    floor = 10.0 * 20.0 * np.maximum(0.0, np.log(3.5 / np.abs(Z[AUDIBLE])))
    limit = 3.0 * np.maximum(0.0, 20.0 * np.log10(np.abs(high)) - MOST)[LIMIT]
    return np.concatenate([flat, floor, limit])


def main():
    runs = int(sys.argv[1])
    best = float("inf")
    for _ in range(runs):
        began = time.perf_counter()
        found = least_squares(residuals, START, bounds=(LOW, HIGH), method="trf", ftol=1e-4)
        best = min(best, time.perf_counter() - began)
    low, high, _ = solve(found.x)
    level = 20.0 * np.log10(np.abs(low + high)[BAND])
    rms = float(np.sqrt(np.mean((level - level.mean()) ** 2)))
    print(f"tune {best:.6f} {rms:.4f} {found.nfev}")


main()
