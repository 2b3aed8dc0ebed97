#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Mutates what people bring and gives it to the command line: nothing may end by a signal, answer
later than ten seconds, take more than a gigabyte, or end with another status than 0 or 2.

usage: mutation_run.py YELLOWFRONT-CLI DATA-FOLDER [--count N] [--seed S] [--keep FOLDER]

Kinds: tables (every encoding), WAV, Touchstone, network text, SPICE text, job documents, curve blobs,
job files byte by byte. Case k of a seed is the same on every machine; what fails is named with its
seed and number, and kept in FOLDER.
"""
import argparse
import concurrent.futures
import json
import math
import os
import pathlib
import random
import resource
import shutil
import sqlite3
import struct
import subprocess
import sys
import tempfile

LONGEST = 10.0  # s
LARGEST = 1 << 20  # kB of a child


def table(draw):
    rows = [(20 * 1000 ** (k / 39), 80 + 10 * math.sin(k), 90 * math.cos(k / 3)) for k in range(40)]
    mark = draw.choice(",;\t ")
    head = draw.choice(["", "f (Hz)%sSPL (dB)%sphase (deg)\n", "f%s|Z| (Ohm)%sphase\n", "# nothing%s%s\n",
                        "\"f (Hz)\"%s\"Re (Pa)\"%s\"Im (Pa)\"\n"])
    text = head % (mark, mark) if "%s" in head else head
    text += "".join(mark.join(f"{v:.4f}" for v in row) + "\n" for row in rows)
    encoding = draw.choice(["utf-8", "utf-8-sig", "utf-16", "utf-16-le", "utf-16-be", "latin-1"])
    return text.encode(encoding)


def sound(draw):
    rate = draw.choice([8000, 44100, 48000, 192000])
    samples = [draw.gauss(0, 0.01) for _ in range(draw.choice([16, 300, 3000]))]
    samples[len(samples) // 4] = 1.0
    data = struct.pack(f"<{len(samples)}f", *samples)
    return (b"RIFF" + struct.pack("<I", 36 + len(data)) + b"WAVEfmt " + struct.pack(
        "<IHHIIHH", 16, 3, 1, rate, 4 * rate, 4, 32) + b"data" + struct.pack("<I", len(data)) + data)


def touchstone(draw):
    form = draw.choice(["RI", "MA", "DB"])
    rows = "".join(f"{20 * 1.15 ** k:.3f} {0.5 + 0.01 * k:.4f} {draw.uniform(-90, 90):.3f}\n" for k in range(30))
    return f"! a driver\n# {draw.choice(['Hz', 'kHz'])} {draw.choice('SYZ')} {form} R 50\n{rows}".encode()


def network(draw):
    return json.dumps({"frequencies_hz": [20, 200, 2000, 20000], "network": {"drivers": {"w": {"r_ohm": 8}, "t": {"r_ohm": 8, "role": "treble"}}, "ways": [
        {"ladder": [{"series": "L1 1.0mH dcr=0.35"}, {"shunt": "C1 4uF esr=0.05"}], "driver": "w"},
        {"ladder": [{"series": "C2 4uF"}, {"shunt": "L2 1mH"}], "driver": "t",
         "polarity": draw.choice([1, -1])}]}}).encode()


def spice(draw):
    return (b"* a crossover\nV1 in 0 dc 0 ac 1\nL1 in a 1.0m Rser=0.35\nC1 a 0 4u\nXw a 0 driver_w\nC2 in b 4u\n"
            b"L2 b 0 1m\nXt b 0 driver_t\n.subckt driver_w a b\nR1 a b 8\n.ends\n"
            b".subckt driver_t a b\nR1 a b 6\n.ends\n.ac dec 20 20 20k\n.end\n")


def mutate(draw, data, fine):
    """A few changes: bytes, pieces, numbers, lengths."""
    data = bytearray(data)
    for _ in range(draw.randint(1, 6)):
        kind = draw.randrange(8)
        at = draw.randrange(len(data)) if data else 0
        if kind == 0 and data:
            data[at] = draw.randrange(256)
        elif kind == 1 and data:
            del data[at:at + draw.randint(1, 40)]
        elif kind == 2:
            data[at:at] = bytes(draw.randrange(256) for _ in range(draw.randint(1, 8)))
        elif kind == 3 and data:
            data[at:at] = data[at:at + draw.randint(1, 200)]
        elif kind == 4 and data:
            data = data[:at]
        elif kind == 5:
            number = draw.choice([b"1e155", b"-1e-300", b"nan", b"inf", b"1e9999", b"0", b"-1", b"9" * 30, b"1.234,5",
                                  b"\"", b"\0", b"{", b"]"])
            data[at:at + draw.randint(0, 8)] = number
        elif kind == 6 and data:
            data[at:at + 4] = struct.pack("<I", draw.choice([0, 1, 0xFFFFFFFF, 0x7FFFFFFF, 65536]))
        elif kind == 7 and fine:
            lines = bytes(data).split(b"\n")
            draw.shuffle(lines)
            data = bytearray(b"\n".join(lines))
    return bytes(data)


def mutated_job(draw, folder, number, job):
    path = folder / f"{number}.yfjob"
    shutil.copy(job, path)
    how = draw.randrange(3)
    if how == 0:
        path.write_bytes(mutate(draw, path.read_bytes(), False))
        return path
    with sqlite3.connect(path) as base:
        if how == 1:
            rows = base.execute("SELECT id, document FROM step").fetchall()
            row, document = rows[-1]
            base.execute("UPDATE step SET document = ? WHERE id = ?",
                         (mutated_document(draw, document), row))
        else:
            keys = [row[0] for row in base.execute("SELECT key FROM curve")]
            column = draw.choice(["frequencies", "real_parts", "imaginary_parts"])
            key = draw.choice(keys)
            blob = base.execute(f"SELECT {column} FROM curve WHERE key = ?", (key,)).fetchone()[0]
            base.execute(f"UPDATE curve SET {column} = ? WHERE key = ?", (mutate(draw, blob, False), key))
    base.close()
    return path


def mutated_document(draw, document):
    """Mostly a document that is JSON still, with one value or list changed."""
    if draw.random() < 0.2:
        return mutate(draw, document.encode(), False).decode("utf-8", "replace")
    value = json.loads(document)
    for _ in range(draw.randint(1, 3)):
        here = value
        for _ in range(12):
            keys = list(here) if isinstance(here, dict) else range(len(here)) if isinstance(here, list) else []
            if not keys:
                break
            key = draw.choice(list(keys))
            if isinstance(here[key], (dict, list)) and here[key] and draw.random() < 0.85:
                here = here[key]
                continue
            here[key] = draw.choice([None, 0, -1, 1e155, 1e-300, 1e9, "", "x", [], {}, True, here[key]])
            if isinstance(here, list) and draw.random() < 0.3:
                here.append(here[key])
            break
    return json.dumps(value)


KINDS = 8


def case(seed, number, folder, jobs, mutate=mutate):
    """The words and the input of one case."""
    draw = random.Random(seed * 1000003 + number)
    kind = number % KINDS
    if kind < 3:
        name, make, verb = [("table", table, "import"), ("sound", sound, "gate"),
                            ("touchstone", touchstone, "import")][kind]
        path = folder / f"{number}.{name}"
        path.write_bytes(mutate(draw, make(draw), kind != 1))
        key = "impulse_file" if kind == 1 else "text_file"
        return ["measure", verb], json.dumps({key: str(path)}), path
    if kind == 3:
        return ["network", "solve"], mutate(draw, network(draw), False), None
    if kind == 4:
        text = mutate(draw, spice(draw), True).decode("latin-1")
        return ["network", "import"], json.dumps({"text": text}), None
    if kind == 5:
        path = folder / f"{number}.wav"
        path.write_bytes(mutate(draw, sound(draw), False))
        return ["measure", "decay"], json.dumps({"impulse_file": str(path)}), path
    if mutate is unchanged:
        return ["job", "show"], json.dumps({"job_file": str(jobs[number % len(jobs)])}), None
    path = mutated_job(draw, folder, number, draw.choice(jobs))
    return ["job", "show"], json.dumps({"job_file": str(path)}), path


def unchanged(_draw, data, _fine):
    return data


def check_originals(program, seed, folder, jobs):
    """What is mutated has to be good before: else nothing would be tried."""
    for number in range(4 * KINDS):
        words, given, _ = case(seed, number, folder, jobs, unchanged)
        given = given if isinstance(given, bytes) else given.encode()
        done = subprocess.run([program, *words], input=given, capture_output=True, timeout=60)
        asks = b"ways:" in done.stderr  # a table may be a question
        if done.returncode != 0 and not asks:
            sys.exit(f"case {number}, {' '.join(words)}, is wrong before it is mutated: {done.stderr.decode()}")


def run(program, seed, number, folder, jobs, keep):
    words, given, path = case(seed, number, folder, jobs)
    given = given if isinstance(given, bytes) else given.encode()
    try:
        done = subprocess.run([program, *words], input=given, capture_output=True, timeout=LONGEST)
        wrong = None if done.returncode in (0, 2) else f"status {done.returncode}: {done.stderr[-200:]!r}"
    except subprocess.TimeoutExpired:
        wrong = f"no answer in {LONGEST:.0f} s"
    if wrong and keep:
        keep.mkdir(parents=True, exist_ok=True)
        (keep / f"{seed}-{number}.json").write_bytes(given)
        if path:
            shutil.copy(path, keep / f"{seed}-{number}{path.suffix}")
    if path:
        path.unlink(missing_ok=True)
        pathlib.Path(str(path) + "-journal").unlink(missing_ok=True)
    return None if wrong is None else f"seed {seed}, case {number}, {' '.join(words)}: {wrong}"


def main():
    asked = argparse.ArgumentParser(description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter)
    asked.add_argument("program")
    asked.add_argument("data", type=pathlib.Path)
    asked.add_argument("--count", type=int, default=20000)
    asked.add_argument("--seed", type=int, default=1)
    asked.add_argument("--keep", type=pathlib.Path)
    asked = asked.parse_args()
    jobs = sorted(asked.data.glob("jobs/*/*.yfjob"))
    if not jobs:
        sys.exit(f"{asked.data}: no job files")
    with tempfile.TemporaryDirectory() as name, concurrent.futures.ThreadPoolExecutor(os.cpu_count()) as pool:
        folder = pathlib.Path(name)
        check_originals(asked.program, asked.seed, folder, jobs)
        answers = pool.map(lambda k: run(asked.program, asked.seed, k, folder, jobs, asked.keep), range(asked.count))
        wrong = [answer for answer in answers if answer]
    most = resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss
    for line in wrong:
        print(line)
    print(f"{asked.count} cases of seed {asked.seed}: {len(wrong)} wrong, at most {most >> 10} MB")
    sys.exit(1 if wrong or most > LARGEST else 0)


if __name__ == "__main__":
    main()
