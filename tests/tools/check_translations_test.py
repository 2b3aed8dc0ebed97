#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""The translation check finds what it is there to find in a source: forms without a mark, and
sentences that are glued together."""
import pathlib
import sys
import unittest

sys.path.insert(0, str(pathlib.Path(__file__).resolve().parents[2] / "tools"))
from check_translations import unmarked  # noqa: E402


class Unmarked(unittest.TestCase):
    def test_marked_forms_names_and_files_pass(self):
        self.assertEqual(unmarked('''
            return Error{"fs", say(YF_WORDS("core", "%1 given"), number), ""};
            return say(
                YF_WORDS("core", "must be %1 to %2"), low, high);
            [[nodiscard]] Words say(std::type_identity_t<Form<2>> form);
            take.name = "take-" + number;
            text += name + " " + unit + "; " + std::to_string(k) + "\\n";
        '''), [])

    def test_a_form_without_a_mark_is_named_with_its_line(self):
        self.assertEqual(unmarked('a;\nreturn say("%1 given", number);'),
                         [(2, "say() without YF_WORDS")])

    def test_glued_sentences_are_named_with_their_line(self):
        for line in ('"must be " + number', 'number + " is given twice"', '"Change " + id',
                     '"the "\n    "nearest one is " + name'):
            self.assertEqual(len(unmarked(f"a;\nreturn {line};")), 1, line)


if __name__ == "__main__":
    unittest.main()
