#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Ten thousand vented boxes at 96 frequencies by NumPy, every step over whole arrays: the same
qualities as box::boxMap. usage: peer_numpy_boxes.py RUNS; prints "boxes SECONDS checksum"."""
import sys
import time

import numpy as np

RE, FS, QMS, QES, VAS, SD, XMAX = 5.2, 38.0, 7.0, 0.30, 0.070, 0.035, 0.005
RHO, C, QL, E = 1.204, 343.2, 7.0, 2.83


def boxes():
    f = 10.0 * 250.0 ** (np.arange(96) / 95.0)
    x = (f / FS)[None, None, :]
    V = 0.02 * 8.0 ** (np.arange(100) / 99.0)
    h = (0.4 * 5.0 ** (np.arange(100) / 99.0))[None, :, None]
    alpha = (VAS / V)[:, None, None]
    Qt = QMS * QES / (QMS + QES)
    c3 = h / QL + 1.0 / Qt
    c2 = h * h + h / (Qt * QL) + 1.0 + alpha
    c1 = h * h / Qt + h / QL
    c0 = h * h
    x2 = x * x
    re = (x2 - c2) * x2 + c0
    im = x * (c1 - c3 * x2)
    dre = x * (4.0 * x2 - 2.0 * c2)
    dim = c1 - 3.0 * c3 * x2
    over = 1.0 / (re * re + im * im)
    power = x2 * x2 * x2 * x2 * over
    delay = (re * dim - im * dre) * over
    near = 1.0 - x2 / (h * h)
    travel = (near * near + x2 / (h * h * QL * QL)) * over
    peak = np.maximum(10.0 * np.log10(power.max(axis=2)), 0.0)
    below = power < 0.5
    k = 95 - np.argmax(below[:, :, ::-1], axis=2)
    k1 = np.minimum(k + 1, 95)
    lo = np.log(np.take_along_axis(power, k[:, :, None], 2)[:, :, 0] / 0.5)
    hi = np.log(np.take_along_axis(power, k1[:, :, None], 2)[:, :, 0] / 0.5)
    f3 = f[k] * (f[k1] / f[k]) ** (-lo / np.where(hi == lo, 1.0, hi - lo))
    longest = delay[:, :, f <= 1000.0].max(axis=2) / (2.0 * np.pi * FS)
    Cms = VAS / (RHO * C * C * SD * SD)
    Mms = 1.0 / ((2.0 * np.pi * FS) ** 2 * Cms)
    Bl = np.sqrt(2.0 * np.pi * FS * Mms * RE / QES)
    rms2 = (Bl * E * Cms / RE) ** 2 * c0[:, :, 0] ** 2
    allowed = power * (0.5 * XMAX * XMAX) / (travel * rms2[:, :, None])
    inside = (np.arange(96)[None, None, :] > k[:, :, None]) & (f <= 200.0)[None, None, :]
    level = 10.0 * np.log10(np.where(inside, allowed, np.inf).min(axis=2))
    fastest = (x2 * over)[:, :, f >= 20.0].max(axis=2)
    return f3, peak, longest, level, fastest


least = 1e9
for _ in range(int(sys.argv[1])):
    begin = time.perf_counter()
    found = boxes()
    least = min(least, time.perf_counter() - begin)
print("boxes", least, float(np.mean(found[0])))
