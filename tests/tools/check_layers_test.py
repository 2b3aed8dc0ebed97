#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""The layer check finds what it is there to find: each wrong include in a small made-up tree."""
import pathlib
import subprocess
import sys
import tempfile
import unittest

TOOL = pathlib.Path(__file__).resolve().parents[2] / "tools/check_layers.py"
ORDER = "add_subdirectory(worlds)\nadd_subdirectory(base)\nadd_subdirectory(network)\nadd_subdirectory(job)\n"


def check(files):
    """Exit status and lines for a tree of the given files."""
    with tempfile.TemporaryDirectory() as folder:
        root = pathlib.Path(folder)
        for name, text in {"core/CMakeLists.txt": ORDER, **files}.items():
            (root / name).parent.mkdir(parents=True, exist_ok=True)
            (root / name).write_text(text)
        run = subprocess.run([sys.executable, TOOL, folder], capture_output=True, text=True)
        return run.returncode, run.stdout


class Layers(unittest.TestCase):
    def test_what_is_allowed_passes(self):
        status, said = check({
            "core/job/job.cpp": '#include "core/network/parts/part.h"\n#include <vector>\n',
            "core/network/solve/nodal.cpp": "#include <Eigen/Dense>\n",
            "core/network/solve/grid.h": '#include "core/network/circuit/circuit.h"\n',
            "core/job/store/store.cpp": '#include "core/job/store/sqlite.h"\n',
            "core/job/store/sqlite.h": "#include <sqlite3.h>\n",
            "app/crossover/stage.cpp": '#include "app/plots/plot.h"\n#include <QWidget>\n',
            "cli/verbs.cpp": '#include "core/job/job.h"\n',
            "tests/core/a_test.cpp": '#include "app/frame/main_window.h"\n#include "core/job/job.h"\n',
        })
        self.assertEqual(status, 0, said)

    def test_each_wrong_include_is_named_with_its_line(self):
        wrong = {
            "core/network/parts/part.cpp": '#include "core/job/job.h"',
            "core/network/parts/stock.cpp": '#include "core/network/solve/grid.h"',
            "core/network/misc/a.cpp": '#include "core/network/parts/part.h"',
            "core/base/a.h": "#include <QString>",
            "core/job/evaluate.cpp": '#include "core/job/store/store.h"',
            "core/job/job.h": "#include <Eigen/Dense>",
            "core/driver/fit.h": "#include <Eigen/Dense>",
            "core/driver/enclosed/a.cpp": '#include "core/driver/sheet.h"',
            "core/network/solve/grid.h": "#include <Eigen/Dense>",
            "core/network/solve/b.cpp": "#include <sqlite3.h>",
            "core/network/solve/c.cpp": '#include "app/theme/theme.h"',
            "cli/verbs.cpp": "#include <QtWidgets>",
            "cli/main.cpp": '#include "app/frame/main_window.h"',
            "app/crossover/lanes.cpp": '#include "app/measure/measure_stage.h"',
            "app/front/front.cpp": '#include "core/job/store/store.h"',
            "app/plots/plot.cpp": '#include "app/crossover/lanes.h"',
            "app/theme/theme.cpp": '#include "core/job/job.h"',
            "demo/demo.cpp": '#include "cli/verb.h"',
            "core/worlds/tables.cpp": '#include "core/base/result.h"',
            "core/job/draws.cpp": '#include "core/worlds/draws.h"',
        }
        for path, include in wrong.items():
            with self.subTest(path):
                status, said = check({path: "\n\n" + include + "\n"})
                self.assertEqual(status, 1, said)
                self.assertIn(f"{path}:3: ", said)

    def test_a_circle_of_units_is_named_though_no_header_includes_the_other(self):
        status, said = check({
            "core/job/a.h": "",
            "core/job/a.cpp": '#include "core/job/a.h"\n#include "core/job/b.h"\n',
            "core/job/b.h": '#include "core/job/c.h"\n',
            "core/job/c.h": "",
            "core/job/c.cpp": '#include "core/job/a.h"\n#include "core/job/c.h"\n',
            "core/job/d.cpp": '#include "core/job/a.h"\n',
        })
        self.assertEqual(status, 1, said)
        self.assertIn("circle: core/job/a -> core/job/b -> core/job/c\n", said)
        self.assertIn("0 wrong includes, 4 units, 1 circles", said)

    def test_an_empty_tree_is_no_success(self):
        self.assertEqual(check({})[0], 1)


if __name__ == "__main__":
    unittest.main()
