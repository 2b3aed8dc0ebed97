# SPDX-License-Identifier: GPL-3.0-or-later
"""The same work with SciPy: least times in seconds, one "NAME TIME" a line.

usage: peer_scipy.py RUNS
"""
import sys
import time

import numpy as np
from scipy import fft, optimize

RUNS = int(sys.argv[1])


def least(work):
    best = 1e9
    for _ in range(RUNS):
        before = time.perf_counter()
        work()
        best = min(best, time.perf_counter() - before)
    return best


rng = np.random.default_rng(1)
N = 1 << 20
measured, reference = rng.standard_normal(N), rng.standard_normal(N)


def deconvolution():
    M, R = fft.rfft(measured), fft.rfft(reference)
    return fft.irfft(M * np.conj(R) / (np.abs(R) ** 2 + 1e-9), N)


def transforms():
    fft.irfft(fft.rfft(measured), N)
    fft.rfft(reference)


impulse = np.exp(-np.arange(1024) / 100.0) * rng.standard_normal(1024)
axis = 1000.0 * 10 ** (0.3 * np.arange(-270, 208) / 48)


def decay():
    rows = []
    for k in range(200):
        part = impulse.copy()
        part[: 4 * k] = 0.0
        spectrum = fft.rfft(part, 8192)
        rows.append(np.interp(axis, np.arange(4097) * 48000 / 8192, np.abs(spectrum)))
    return np.array(rows)


f = 1000.0 * 10 ** (0.3 * np.arange(-320, 257) / 48)
w = 2j * np.pi * f


def model(p):
    Re, fs, Qms, Qes, K = np.exp(p[:5])
    return Re + K * w ** p[5] + (Re / Qes) / (1 / Qms + 1j * (f / fs - fs / f))


truth = np.array([np.log(5.8), np.log(42), np.log(4.5), np.log(0.45), np.log(0.02), 0.7])
Z = model(truth) * np.exp(0.01 * (rng.standard_normal(577) + 1j * rng.standard_normal(577)))


def residuals(p):
    e = np.log(Z / model(p))
    return np.concatenate([e.real, e.imag])


def fit():
    start = truth + [0.1, 0.05, 0.2, 0.2, 0.3, 0.05]
    return optimize.least_squares(residuals, start, loss="cauchy", f_scale=0.02)


linear = np.arange(1, 65537) * 24000 / 65536
power = rng.random(65536) + 0.5
u = np.log(linear)
area = np.concatenate([[0.0], np.cumsum(0.5 * (power[1:] + power[:-1]) * np.diff(u))])


def smoothing():
    half = 0.3 * np.log(10) / 48
    return (np.interp(u + half, u, area) - np.interp(u - half, u, area)) / (2 * half)


for name, work in [("deconvolution", deconvolution), ("transforms", transforms), ("decay", decay),
                   ("fit", fit), ("smoothing", smoothing)]:
    print(name, least(work))
