#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""A picture of the demo is complete when it is taken: two runs give the same one, to the byte.

usage: picture_test.py YELLOWFRONT
"""
import os
import pathlib
import subprocess
import sys
import tempfile
import unittest

PROGRAM = sys.argv.pop()


def picture(folder, name, *options):
    path = pathlib.Path(folder) / name
    env = {**os.environ, "HOME": folder, "XDG_CONFIG_HOME": folder, "XDG_DATA_HOME": folder}
    subprocess.run([PROGRAM, "--demo", "--picture", path, *options], check=True, env=env, timeout=120)
    return path.read_bytes()


class Pictures(unittest.TestCase):
    def test_two_runs_give_the_same_picture(self):
        for options in ([], ["--theme", "graphite", "--language", "de"]):
            with tempfile.TemporaryDirectory() as folder:
                first = picture(folder, "first.png", *options)
                self.assertGreater(len(first), 30000, "a window with plots and a circuit")
                self.assertEqual(first, picture(folder, "second.png", *options))

    def test_a_job_that_cannot_be_opened_is_no_picture(self):
        with tempfile.TemporaryDirectory() as folder:
            job = pathlib.Path(folder) / "notes.yfjob"
            job.write_text("no job at all")
            for path in (job, pathlib.Path(folder) / "nowhere.yfjob"):
                env = {**os.environ, "HOME": folder, "XDG_CONFIG_HOME": folder, "XDG_DATA_HOME": folder}
                run = subprocess.run([PROGRAM, path, "--picture", pathlib.Path(folder) / "a.png"],
                                     env=env, timeout=120, capture_output=True, text=True)
                self.assertNotEqual(run.returncode, 0)
                self.assertIn("could not be opened", run.stderr)
                self.assertFalse((pathlib.Path(folder) / "a.png").exists())


if __name__ == "__main__":
    unittest.main()
