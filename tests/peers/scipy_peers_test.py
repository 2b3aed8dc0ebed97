#!/usr/bin/python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""The command line against NumPy and SciPy doing the same by other ways: FFTs against direct sums,
closed forms against integrals, our fits against SciPy's.

Usage: scipy_peers_test.py YELLOWFRONT_CLI
"""
import json
import math
import subprocess
import sys
import unittest

import numpy as np
from scipy import integrate, optimize, signal

CLI = ""
C = 343.2  # m/s at 20 °C


def run(topic, verb, **keys):
    done = subprocess.run([CLI, topic, verb], input=json.dumps(keys), capture_output=True,
                          text=True, check=False)
    if done.returncode != 0:
        raise AssertionError(f"{topic} {verb}: {done.stderr.strip()}")
    return json.loads(done.stdout)


def design_axis(low, high):
    f = 1000.0 * 10.0 ** (0.3 * np.arange(-320, 257) / 48.0)
    return f[(f >= low) & (f <= high)]


def db(values):
    return 20.0 * np.log10(np.abs(values))


def damped(rate=48000.0, seconds=0.1):
    """A made-up driver's impulse response: two resonances behind 1 ms of flight."""
    t = np.arange(int(rate * seconds)) / rate - 1e-3
    h = np.where(t >= 0.0,
                 np.exp(-900.0 * t) * np.sin(2.0 * np.pi * 700.0 * t)
                 + 0.3 * np.exp(-2500.0 * t) * np.sin(2.0 * np.pi * 3300.0 * t), 0.0)
    return h


class Sweeps(unittest.TestCase):
    def test_samples_are_those_of_the_formula(self):
        asked = [0, 1, 1000, 30000, 60000]
        out = run("measure", "sweep", start_hz=20, end_hz=20000, duration_s=2, level_db=-12,
                  fade_in_octaves=0, fade_out_octaves=0, silence_before_s=0, silence_after_s=0,
                  at_samples=asked)
        k = math.floor(20.0 * 2.0 / math.log(1000.0) + 0.5)
        L = k / 20.0
        self.assertAlmostEqual(out["rate_constant_s"], L, places=12)
        t = np.array(asked) / 48000.0
        exact = 10.0 ** (-12 / 20) * np.sin(2.0 * np.pi * 20.0 * L * np.exp(t / L))
        np.testing.assert_allclose(out["values"], exact, atol=1e-9)

    def test_spectrum_falls_by_three_decibels_an_octave(self):
        # |X(f)| = ½·√(L/f): from SciPy's transform of the samples themselves.
        n = run("measure", "sweep", start_hz=20, end_hz=20000, duration_s=1,
                level_db=0)["sweep_samples"]
        out = run("measure", "sweep", start_hz=20, end_hz=20000, duration_s=1, level_db=0,
                  silence_before_s=0, silence_after_s=0, at_samples=list(range(n)))
        X = np.abs(np.fft.rfft(out["values"])) / 48000.0
        f = np.fft.rfftfreq(n, 1.0 / 48000.0)
        for low in (100.0, 400.0, 1600.0, 6400.0):
            band = (f > low) & (f < 1.3 * low)
            measured = np.sqrt(np.mean(X[band] ** 2 * f[band]))
            self.assertAlmostEqual(measured, 0.5 * math.sqrt(out["rate_constant_s"]),
                                   delta=0.01 * measured)


class Responses(unittest.TestCase):
    def test_gated_response_is_the_windowed_transform(self):
        rate = 48000.0
        h = damped(rate)
        f = [100.0, 317.0, 700.0, 1234.5, 3300.0, 9000.0]
        gate = {"left_s": 0.001, "right_s": 0.02, "right_taper": 0.25}
        out = run("measure", "gate", impulse=h.tolist(), sample_rate_hz=rate, frequencies_hz=f,
                  **gate)
        # The window about the arrival that is told, made again with NumPy.
        t = np.arange(h.size) / rate - out["arrival_s"]
        w = np.zeros(h.size)
        rise = (t >= -0.001) & (t < 0.0)
        w[rise] = 0.5 + 0.5 * np.cos(np.pi * t[rise] / 0.001)
        w[(t >= 0.0) & (t <= 0.015)] = 1.0
        fall = (t > 0.015) & (t <= 0.02)
        w[fall] = 0.5 + 0.5 * np.cos(np.pi * (t[fall] - 0.015) / 0.005)
        _, H = signal.freqz(h * w, worN=2.0 * np.pi * np.array(f) / rate)
        np.testing.assert_allclose(out["levels_db"], db(H), atol=0.02)

    def test_energy_is_the_analytic_signals_and_step_is_the_sum(self):
        rate = 48000.0
        h = damped(rate)
        step = run("measure", "decay", impulse=h.tolist(), sample_rate_hz=rate, kind="step",
                   frequencies_hz=[1000.0])
        energy = run("measure", "decay", impulse=h.tolist(), sample_rate_hz=rate, kind="energy",
                     frequencies_hz=[1000.0], range_db=60)
        envelope = db(signal.hilbert(h) + 1e-30)
        envelope -= envelope.max()
        rows = np.array(energy["levels_db"]).ravel()
        shown = rows > -40.0
        at = np.array(energy["times_s"])
        self.assertGreater(np.count_nonzero(shown), 20)
        # Times are told after the arrival; the highest point is the common mark.
        shift = np.argmax(envelope) / rate - at[np.argmax(rows)]
        sample = np.clip(np.round((at + shift) * rate).astype(int), 0, h.size - 1)
        np.testing.assert_allclose(rows[shown], envelope[sample][shown], atol=0.6)
        np.testing.assert_allclose(step["values"], np.cumsum(h) / rate, atol=1e-12)

    def test_smoothing_is_the_integral_over_the_band(self):
        f = design_axis(20.0, 20000.0)
        H = 1.0 / (1.0 + 1j * 4.0 * (f / 800.0 - 800.0 / f))
        for fraction, mode in ((3, "power"), (6, "level"), (12, "power")):
            out = run("measure", "smooth", frequencies_hz=f.tolist(), levels_db=db(H).tolist(),
                      fraction=fraction, mode=mode)
            v = np.abs(H) ** 2 if mode == "power" else db(H)
            u = np.log(f)
            half = math.log(10.0) * 0.3 / (2.0 * fraction)
            for at in (80.0, 500.0, 800.0, 3000.0):
                k = int(np.argmin(np.abs(f - at)))
                fine = np.linspace(u[k] - half, u[k] + half, 4001)
                mean = integrate.trapezoid(np.interp(fine, u, v), fine) / (2.0 * half)
                want = 10.0 * math.log10(mean) if mode == "power" else mean
                self.assertAlmostEqual(out["levels_db"][k], want, delta=2e-3)

    def test_minimum_phase_is_bodes_integral(self):
        def level(u):
            s = 1j * math.exp(u)
            high = (s / 45.0) ** 2 / ((s / 45.0) ** 2 + s / 45.0 / 0.8 + 1.0)
            low = 1.0 / ((s / 2200.0) ** 2 + s / 2200.0 / 1.1 + 1.0)
            return math.log(abs(high * low))

        f = design_axis(10.0, 39000.0)
        out = run("measure", "min-phase", frequencies_hz=f.tolist(),
                  levels_db=[20.0 / math.log(10.0) * level(math.log(v)) for v in f],
                  low_slope_db_per_octave=12, high_slope_db_per_octave=-12)
        for at in (60.0, 400.0, 2200.0, 9000.0):
            k = int(np.argmin(np.abs(f - at)))
            u0 = math.log(f[k])

            def integrand(x):
                slope = (level(u0 + x + 1e-4) - level(u0 + x - 1e-4)) / 2e-4
                return slope * math.log(1.0 / math.tanh(abs(x) / 2.0))

            # The kernel's peak is integrable; the range holds all but 1e-6 of it.
            area = sum(integrate.quad(integrand, a, b, limit=400)[0]
                       for a, b in ((-14.0, -1e-9), (1e-9, 14.0)))
            self.assertAlmostEqual(out["minimum_phase_deg"][k], math.degrees(area / math.pi),
                                   delta=0.4)

    def test_group_delay_is_that_of_the_analogue_filter(self):
        f = design_axis(20.0, 20000.0)
        b, a = signal.butter(3, 2.0 * np.pi * 900.0, analog=True)
        w = 2.0 * np.pi * f
        _, H = signal.freqs(b, a, w)
        flight = 0.6e-3
        H = H * np.exp(-1j * w * flight)
        out = run("measure", "min-phase", frequencies_hz=f.tolist(), levels_db=db(H).tolist(),
                  phases_deg=np.degrees(np.unwrap(np.angle(H))).tolist())
        eps = 1e-4
        _, up = signal.freqs(b, a, w * (1 + eps))
        _, down = signal.freqs(b, a, w * (1 - eps))
        exact = -np.angle(up / down) / (2.0 * eps * w) + flight
        inside = (f > 60.0) & (f < 6000.0)
        np.testing.assert_allclose(np.array(out["group_delay_s"])[inside], exact[inside],
                                   atol=1.5e-5)


class Decays(unittest.TestCase):
    def test_resonances_are_those_put_in(self):
        # Poles of the made-up driver: decay α gives Q = π·f/α.
        out = run("measure", "decay", impulse=damped().tolist(), sample_rate_hz=48000,
                  kind="resonances", gate_s=0.05, minimum_q=2)
        found = dict(zip(out["resonance_frequencies_hz"], out["resonance_qs"]))
        near = min(found, key=lambda v: abs(v - 3300.0)) if found else 0.0
        self.assertAlmostEqual(near, 3300.0, delta=33.0)
        self.assertAlmostEqual(found[near], math.pi * 3300.0 / 2500.0, delta=0.5)


class Delays(unittest.TestCase):
    def test_arrival_of_a_band_passed_pulse(self):
        f = design_axis(300.0, 20000.0)
        b, a = signal.butter(2, [2.0 * np.pi * 900.0, 2.0 * np.pi * 15000.0], "bandpass",
                             analog=True)
        w = 2.0 * np.pi * f
        _, H = signal.freqs(b, a, w)
        for flight, sign in ((2.345e-3, 1.0), (0.871e-3, -1.0)):
            G = sign * H * np.exp(-1j * w * flight)
            keys = {"frequencies_hz": f.tolist(), "levels_db": db(G).tolist(),
                    "phases_deg": np.degrees(np.unwrap(np.angle(G))).tolist()}
            delay = run("measure", "delay", **keys)
            self.assertAlmostEqual(delay["delay_s"], flight, delta=8e-6)
            self.assertAlmostEqual(delay["distance_m"], C * flight, delta=5e-3)
            self.assertEqual(run("measure", "polarity", **keys)["polarity"],
                             "positive" if sign > 0.0 else "negative")


class NearAndFar(unittest.TestCase):
    """A cone and a port in one front, with the pressure before each out of Rayleigh's integral."""

    a, port_a, apart, z, fb = 0.066, math.sqrt(33e-4 / math.pi), 0.18, 0.005, 38.0

    def share(self, f):
        h = f / self.fb
        return -1.0 / complex(1.0 - h * h, h / 8.0)

    @staticmethod
    def disc(radius, rho, z, f):
        """Pressure at (rho, z) for a volume velocity of 1, without the factor jωϱ/2π."""
        k = 2.0 * math.pi * f / C
        r, dr = np.linspace(0.0, radius, 81), radius / 80.0
        phi = np.linspace(0.0, 2.0 * math.pi, 121)[:-1]
        R, P = np.meshgrid(r[:-1] + 0.5 * dr, phi)
        d = np.sqrt((R * np.cos(P) - rho) ** 2 + (R * np.sin(P)) ** 2 + z * z)
        return np.sum(np.exp(-1j * k * d) / d * R) * dr * (phi[1] - phi[0]) / (math.pi * radius ** 2)

    def curves(self):
        f = design_axis(15.0, 400.0)
        near, port, far = [], [], []
        for v in f:
            u = self.share(v)
            unit = 1j * v
            near.append(unit * (self.disc(self.a, 0.0, self.z, v)
                                + u * self.disc(self.port_a, self.apart, self.z, v)))
            port.append(unit * (u * self.disc(self.port_a, 0.0, 1e-4, v)
                                + self.disc(self.a, self.apart, 1e-4, v)))
            far.append(unit * (1.0 + u) * np.exp(-2j * np.pi * v / C))
        return f, np.array(near), np.array(port), np.array(far)

    @staticmethod
    def keys(f, H):
        return {"frequencies_hz": f.tolist(), "levels_db": db(H).tolist(),
                "phases_deg": np.degrees(np.unwrap(np.angle(H))).tolist()}

    def test_what_each_microphone_hears_of_the_other_is_taken_out(self):
        f, near, port, far = self.curves()
        above = f > 150.0
        order = {"near": self.keys(f, near), "port": self.keys(f, port),
                 "far": self.keys(f[above], far[above]), "cone_area_m2": math.pi * self.a ** 2,
                 "port_area_m2": math.pi * self.port_a ** 2, "near_distance_m": self.z,
                 "far_distance_m": 1.0, "far_lowest_valid_hz": 160.0, "splice_hz": 250.0,
                 "frequencies_hz": [15.5, 20.0, 30.0, 38.0, 60.0, 100.0]}
        plain = np.array(run("measure", "merge", **order)["levels_db"])
        clean = np.array(run("measure", "merge", **order, port_distance_m=self.apart)["levels_db"])
        truth = np.interp(np.log(order["frequencies_hz"]), np.log(f), db(far))
        self.assertGreater(abs(plain[1] - truth[1]), 2.0, "the plain sum is wrong at 20 Hz")
        np.testing.assert_allclose(clean[1:], truth[1:], atol=0.45)
        self.assertLess(abs(clean[2] - truth[2]), 0.25)

    def test_step_of_a_square_front(self):
        # The edge model's mean over directions, by SciPy's quadrature.
        w = h = 0.3

        def edge(theta):
            c, s = abs(math.cos(theta)), abs(math.sin(theta))
            return min(0.5 * w / c if c > 1e-12 else 1e9, 0.5 * h / s if s > 1e-12 else 1e9)

        f = design_axis(15.0, 400.0)
        flat = np.ones(f.size)
        lower = self.keys(f, flat.astype(complex))
        far = self.keys(f[f > 100.0], (0.5 * flat * 0.033)[f > 100.0].astype(complex))
        out = run("measure", "merge", near=lower, far=far, cone_area_m2=math.pi * self.a ** 2,
                  far_distance_m=1.0, far_lowest_valid_hz=110.0, splice_hz=300.0,
                  match="computed", diffraction="baffle", baffle_width_m=w, baffle_height_m=h,
                  frequencies_hz=[20.0, 60.0, 120.0])
        for at, level in zip((20.0, 60.0, 120.0), out["levels_db"]):
            k = 2.0 * math.pi * at / C
            mean = sum(integrate.quad(lambda t, part=part: part(np.exp(-1j * k * edge(t))),
                                      0.0, 2.0 * math.pi, limit=400)[0] * factor
                       for part, factor in ((np.real, 1.0), (np.imag, 1j))) / (2.0 * math.pi)
            want = db(self.a / 2.0 * (1.0 - 0.5 * mean))
            self.assertAlmostEqual(level, float(want), delta=0.05)


class Directions(unittest.TestCase):
    def test_power_of_an_axial_pattern(self):
        """Both orbits' weighted sum against the integral over the sphere: the orbits know only two
        planes, so for a pattern round about the axis they differ a little, as the standard's do."""
        angles = [a for a in range(-170, 181, 10)]

        def cardioid(theta):
            return 0.5 * (1.0 + math.cos(theta))

        curves = [{"plane": plane, "angle_deg": a,
                   "levels_db": [float(db(max(cardioid(math.radians(a)), 1e-6)))] * 2}
                  for plane in ("horizontal", "vertical") for a in angles
                  if plane == "horizontal" or a not in (0, 180)]
        out = run("measure", "polar-summary", frequencies_hz=[500, 1000], curves=curves)
        exact = 2.0 * math.pi * integrate.quad(lambda t: cardioid(t) ** 2 * math.sin(t), 0,
                                               math.pi)[0] / (4.0 * math.pi)
        self.assertAlmostEqual(-10.0 * math.log10(exact), 4.77, delta=0.01)
        self.assertAlmostEqual(out["on_axis_db"][0] - out["sound_power_db"][0], 4.67, delta=0.02)

    def test_listening_window_is_the_mean_of_nine(self):
        levels = {a: -0.1 * abs(a) for a in range(-30, 31, 10)}
        curves = [{"plane": "horizontal", "angle_deg": a, "levels_db": [levels[a]] * 2}
                  for a in levels]
        curves += [{"plane": "vertical", "angle_deg": a, "levels_db": [-2.0] * 2}
                   for a in (-10, 10)]
        out = run("measure", "polar-summary", frequencies_hz=[500, 1000], curves=curves)
        nine = [levels[a] for a in levels] + [-2.0, -2.0]
        want = 10.0 * math.log10(np.mean(10.0 ** (np.array(nine) / 10.0)))
        self.assertAlmostEqual(out["listening_window_db"][0], want, places=6)
        self.assertNotIn("sound_power_db", out)


class Drivers(unittest.TestCase):
    @staticmethod
    def model(p, f):
        Re, fs, Qms, Qes, K, n = p
        s = 2j * np.pi * f
        x = 1j * (f / fs - fs / f)
        return Re + K * s ** n + Re / Qes / (1.0 / Qms + x)

    def test_fit_agrees_with_scipys(self):
        rng = np.random.default_rng(5)
        for Re, fs, Qms, Qes, K, n in ((5.6, 42.0, 4.2, 0.41, 0.012, 0.68),
                                       (6.9, 310.0, 2.8, 1.3, 0.004, 0.72),
                                       (3.3, 980.0, 3.6, 1.9, 0.0015, 0.8)):
            f = design_axis(max(10.0, 0.2 * fs), 20000.0)
            Z = self.model((Re, fs, Qms, Qes, K, n), f)
            Z = Z * np.exp(0.004 * (rng.standard_normal(f.size) + 1j * rng.standard_normal(f.size)))
            out = run("driver", "fit-impedance", frequencies_hz=f.tolist(),
                      impedances_ohm_re=Z.real.tolist(), impedances_ohm_im=Z.imag.tolist(),
                      inductance_model="leach")

            def residual(q):
                e = np.log(Z / self.model(np.exp(q), f))
                return np.concatenate((e.real, e.imag))

            best = optimize.least_squares(residual, np.log([Re, fs, Qms, Qes, K, n]))
            theirs = np.exp(best.x)
            for key, value in zip(("Re_ohm", "fs_hz", "Qms", "Qes"), theirs):
                u = 0.01 * out[key.split("_")[0] + "_u_pct"]
                self.assertAlmostEqual(out[key] / value, 1.0, delta=max(2.5 * u, 2e-4), msg=key)
            for key, true in zip(("Re_ohm", "fs_hz", "Qms", "Qes"), (Re, fs, Qms, Qes)):
                u = 0.01 * out[key.split("_")[0] + "_u_pct"]
                self.assertAlmostEqual(out[key] / true, 1.0, delta=4.0 * u, msg=key)
            self.assertEqual(len(out["coil_u_pct"]), 2)

    def test_impedance_is_the_formula(self):
        f = design_axis(20.0, 20000.0)
        out = run("driver", "impedance", frequencies_hz=f.tolist(), Re_ohm=5.6, fs_hz=42, Qms=4.2,
                  Qes=0.41, inductance_model="leach", leach_k=0.012, leach_n=0.68)
        Z = self.model((5.6, 42.0, 4.2, 0.41, 0.012, 0.68), f)
        np.testing.assert_allclose(out["impedances_ohm"], np.abs(Z), rtol=1e-9)

    def test_added_mass_uncertainty_by_trial(self):
        """u(Vas) of the formula against the spread of ten thousand draws."""
        keys = {"fs_hz": 40.0, "fs_loaded_hz": 28.0, "added_mass_kg": 0.022, "Sd_m2": 0.0137,
                "fs_u_pct": 0.4, "fs_loaded_u_pct": 0.4, "added_mass_u_pct": 1.0, "Sd_u_pct": 3.0}
        described = run("driver", "vas-added-mass", **self.in_units(keys))
        rng = np.random.default_rng(3)
        n = 20000
        fs = 40.0 * (1.0 + 0.004 * rng.standard_normal(n))
        fl = 28.0 * (1.0 + 0.004 * rng.standard_normal(n))
        m = 0.022 * (1.0 + 0.01 * rng.standard_normal(n))
        Sd = 0.0137 * (1.0 + 0.03 * rng.standard_normal(n))
        Mms = m / ((fs / fl) ** 2 - 1.0)
        Vas = 1.204 * C ** 2 * Sd ** 2 / ((2.0 * np.pi * fs) ** 2 * Mms)
        self.assertAlmostEqual(described["Vas_u_pct"], 100.0 * np.std(Vas) / np.mean(Vas),
                               delta=0.25)

    @staticmethod
    def in_units(keys):
        """Keys in the units that the verb describes."""
        told = json.loads(subprocess.run([CLI, "driver", "vas-added-mass", "--describe"],
                                         capture_output=True, text=True, check=True).stdout)
        known = {entry["key"] for entry in told["keys"]} if isinstance(
            told["keys"], list) else set(told["keys"])
        swapped = {}
        for key, value in keys.items():
            if key in known:
                swapped[key] = value
            else:
                stem = key.rsplit("_", 1)[0]
                other = next(k for k in known if k.startswith(stem + "_") and "_u_" not in k)
                swapped[other] = value * {"g": 1e3, "cm2": 1e4}[other.rsplit("_", 1)[1]]
        return swapped


class Comparing(unittest.TestCase):
    def test_offset_deviation_and_spread(self):
        f = design_axis(20.0, 20000.0)
        rng = np.random.default_rng(2)
        a = np.cumsum(rng.standard_normal(f.size)) * 0.1
        b = a + 1.7 + 0.3 * np.sin(np.log(f))
        out = run("measure", "compare",
                  curve_a={"frequencies_hz": f.tolist(), "levels_db": a.tolist()},
                  curve_b={"frequencies_hz": f.tolist(), "levels_db": b.tolist()},
                  from_hz=100, to_hz=10000)
        band = (f >= 100.0) & (f <= 10000.0)
        d = (b - a)[band]
        self.assertAlmostEqual(out["offset_db"], d.mean(), delta=0.01)
        self.assertAlmostEqual(out["rms_difference_db"], d.std(), delta=0.01)
        self.assertAlmostEqual(out["deviation_a_db"], a[band].std(), delta=0.02)


if __name__ == "__main__":
    CLI = sys.argv.pop(1)
    unittest.main(verbosity=1)
