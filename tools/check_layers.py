#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Reads every include of the project and names each one that looks the wrong way.

usage: check_layers.py ROOT; exit status 1 and a line FILE:LINE for each wrong include, and a line
for each circle of units (a unit: header and source of one name together).
The order of the core's folders is that of core/CMakeLists.txt: a folder may use itself and those
above it. What the other rooms may use stands in RULES below.
"""
import pathlib
import re
import sys

INCLUDE = re.compile(r'^\s*#\s*include\s*([<"])([^>"]+)[>"]')
QT = re.compile(r"^(Q[A-Z]|Qt[A-Z]|qcustomplot)")
# Heavy or foreign libraries: in these folders only, and in sources only.
LIBRARIES = {
    "nlohmann/": ["core/text"],
    "Eigen/": ["core/network", "core/tune", "core/driver", "core/signal", "core/box"],
    "ceres/": ["core/driver"],
    "sqlite3.h": ["core/job/store"],
    "fftw3.h": ["core/signal"],
    "sndfile.h": ["core/signal"],
    "portaudio.h": ["devices"],
    "jack/": ["devices"],
    "alsa/": ["devices"],
}
# A folder's own headers: they may hold its library, and nobody outside the folder includes them.
INNER = ["core/driver/sheet.h", "core/job/store/sqlite.h"]
# room: the prefixes of our own headers that it may include; Qt or not
RULES = {
    "core/": (["core/"], False),
    "cli/": (["core/", "cli/"], False),
    "demo/": (["core/", "demo/"], False),
    "devices/": (["core/", "devices/"], True),
    "devices/answers": (["core/", "devices/answers"], False),
    "devices/stand_in_meter": (["core/", "devices/stand_in_meter"], False),
    "devices/sound": (["core/", "devices/sound"], False),
    "devices/port_sound": (["core/", "devices/sound"], False),
    "devices/simulated_sound": (["core/", "devices/sound"], False),
    "app/instruments/": (["core/", "demo/bench.h", "devices/", "app/instruments/", "app/widgets/", "app/theme/"], True),
    "app/plots/": (["core/", "app/plots/", "app/widgets/", "app/theme/"], True),
    "app/widgets/": (["core/", "app/widgets/", "app/theme/"], True),
    "app/theme/": (["app/theme/"], True),
    "app/evaluation/": (["core/", "app/evaluation/", "app/widgets/aside.h"], True),
    "app/document/": (["core/", "app/document/"], True),
    "app/help/": (["app/help/", "app/theme/"], True),
    "app/desk/": (["core/", "demo/", "app/desk/", "app/document/", "app/evaluation/", "app/front/front_picture.h",
                   "app/widgets/", "app/stage/"], True),
    "app/stage/": (["core/", "app/evaluation/", "app/stage/"], True),
    "app/": (["core/", "app/", "demo/", "devices/"], True),
    "speed/": (["core/", "app/", "demo/", "tests/", "speed/"], True),
    "tests/": (["core/", "cli/", "app/", "demo/", "devices/", "tests/", "speed/"], True),
}
# Parts of the window that know neither each other nor the job file.
STAGES = ["app/align/", "app/box/", "app/check/", "app/crossover/", "app/findings/", "app/front/", "app/history/",
          "app/import/", "app/intake/", "app/line/", "app/measure/", "app/practice/"]
# Shared rooms that only some of them need.
USES = {"app/check/": ["app/instruments/", "devices/"], "app/practice/": ["app/check/"], "app/measure/": ["devices/sound.h"]}
# Truths that judge the core: they use nothing of the project but themselves, and only these use them.
WORLDS = "core/worlds/"
JUDGES = ["core/worlds/", "core/sim/", "tests/"]
# Rooms inside a folder of the core: each may use those before it.
INSIDE = {"network": ["parts", "line", "circuit", "solve", "design", "judge", "exchange"]}
FOR_STAGES = ["core/", "app/plots/", "app/widgets/", "app/theme/", "app/stage/"]


def core_order(root):
    text = (root / "core/CMakeLists.txt").read_text()
    return re.findall(r"add_subdirectory\((\w+)\)", text)


def allowed(path):
    for stage in STAGES:
        if path.startswith(stage):
            return FOR_STAGES + USES.get(stage, []) + [stage], True
    for room in sorted(RULES, key=len, reverse=True):
        if path.startswith(room):
            return RULES[room]
    return None


def complaint(path, quoted, name, order):
    rule = allowed(path)
    if rule is None:
        return "this folder is not in the table of tools/check_layers.py"
    prefixes, qt = rule
    if name in INNER and path.rsplit("/", 1)[0] != name.rsplit("/", 1)[0]:
        return f'"{name}": an inner header of its folder'
    if not quoted:
        if QT.match(name) and not qt:
            return f"<{name}>: no Qt here"
        for library, rooms in LIBRARIES.items():
            if name.startswith(library) and not path.startswith("tests/"):
                if not any(path.startswith(room + "/") for room in rooms) or not (path.endswith(".cpp") or path in INNER):
                    return f"<{name}>: only in sources of {', '.join(rooms)}"
        return None
    if not any(name.startswith(prefix) for prefix in prefixes):
        return f'"{name}": not from here'
    if path.startswith(WORLDS) and not name.startswith(WORLDS):
        return f'"{name}": a world includes nothing that it may judge'
    if name.startswith(WORLDS) and not path.startswith(tuple(JUDGES)):
        return f'"{name}": only trials and tests use a world'
    if path.startswith("core/") and name.startswith("core/"):
        here, there = path.split("/")[1], name.split("/")[1]
        if here not in order or there not in order:
            return f'"{name}": its folder is not in core/CMakeLists.txt'
        if order.index(there) > order.index(here):
            return f'"{name}": {there} comes after {here}'
        inside = INSIDE.get(here, [])
        if inside and there == here:
            mine, other = path.split("/")[2], name.split("/")[2]
            if mine not in inside or other not in inside:
                return f'"{name}": its room is not among those of {here} in tools/check_layers.py'
            if inside.index(other) > inside.index(mine):
                return f'"{name}": {here}/{other} comes after {here}/{mine}'
        if name.startswith("core/job/store/") and here == "job" and not path.startswith("core/job/store/"):
            return f'"{name}": only the store itself opens files'
    if name.startswith("core/job/store/") and path.startswith(tuple(STAGES + ["app/plots/", "app/widgets/"])):
        return f'"{name}": a stage does not know the job file'
    return None


def unit(path):
    """Header and source of one name are one unit."""
    return re.sub(r"\.(h|cpp)$", "", path)


def circles(graph):
    """Sets of units that include each other, each sorted (Tarjan 1972)."""
    index, low, stack, found = {}, {}, [], []
    for first in sorted(graph):
        if first in index:
            continue
        walk = [(first, iter(sorted(graph[first])))]
        index[first] = low[first] = len(index)
        stack.append(first)
        while walk:
            here, onward = walk[-1]
            there = next((t for t in onward if t in graph), None)
            if there is None:
                walk.pop()
                if walk:
                    low[walk[-1][0]] = min(low[walk[-1][0]], low[here])
                if low[here] == index[here]:
                    at = stack.index(here)
                    if len(stack) - at > 1:
                        found.append(sorted(stack[at:]))
                    del stack[at:]
            elif there not in index:
                index[there] = low[there] = len(index)
                stack.append(there)
                walk.append((there, iter(sorted(graph[there]))))
            elif there in stack:
                low[here] = min(low[here], index[there])
    return found


def main(root):
    root = pathlib.Path(root)
    order = core_order(root)
    wrong = files = 0
    graph = {}
    for folder in ["core", "devices", "cli", "app", "demo", "speed", "tests"]:
        for file in sorted((root / folder).rglob("*")):
            if file.suffix not in (".h", ".cpp"):
                continue
            files += 1
            path = file.relative_to(root).as_posix()
            known = graph.setdefault(unit(path), set())
            for number, line in enumerate(file.read_text().splitlines(), 1):
                found = INCLUDE.match(line)
                if found:
                    if found[1] == '"' and unit(found[2]) != unit(path):
                        known.add(unit(found[2]))
                    why = complaint(path, found[1] == '"', found[2], order)
                    if why:
                        wrong += 1
                        print(f"{path}:{number}: {why}")
    if files == 0:
        print(f"{root}: no sources found")
        return 1
    round_ones = circles(graph)
    for circle in round_ones:
        print(f"circle: {' -> '.join(circle)}")
    print(f"{files} files, {wrong} wrong includes, {len(graph)} units, {len(round_ones)} circles")
    return 1 if wrong or round_ones else 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1] if len(sys.argv) > 1 else "."))
