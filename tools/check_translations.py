#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Every text of the window and every marked sentence of the core has its translation, and every
sentence of the core that has places is a form with arguments, marked where it stands.

usage: check_translations.py LUPDATE ROOT           says what is missing or left over
       check_translations.py LUPDATE ROOT --update  brings the files up to date for the translator
"""
import pathlib
import re
import shutil
import subprocess
import sys
import tempfile
import xml.etree.ElementTree as ElementTree


def scan(lupdate, root, files):
    """lupdate over the sources; without -I the contexts would lack their namespace."""
    subprocess.run([lupdate, "-silent", "-I", ".", "-locations", "none", "-no-obsolete",
                    "-tr-function-alias", "QT_TRANSLATE_NOOP+=YF_WORDS", "-source-language", "en",
                    "app", "core", "demo", "devices", "-ts", *map(str, files)],
                   cwd=root, check=True, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)


def messages(file):
    for context in ElementTree.parse(file).getroot().iter("context"):
        for message in context.iter("message"):
            translation = message.find("translation")
            finished = translation.get("type") is None and (translation.text or "") != ""
            yield context.find("name").text, message.find("source").text, translation.text or "", finished


def places(text):
    return sorted(re.findall(r"%\d", text))


# Rooms whose texts are files and lines for machines, or names that are kept as they were given.
NOT_FOR_PEOPLE = ("core/network/exchange/", "core/take/export.cpp", "core/sim/box_trial.cpp",
                  "core/sim/import_trial.cpp", "core/worlds/",
                  "devices/yellowfront_sim.cpp", "devices/stand_in_meter.cpp")
# Names, figures and commands that are put together: no form would help.
NAMES = {'"Qtc "', '"from "', '"mid "', '"together with "', '"FREQ "', '"dB "'}
STRING = r'"(?:[^"\\\n]|\\.)*"'


def unmarked(source):
    """Lines where a form has no mark, or a sentence is glued together: `"must be " + number`.

    A text of figures and units ("Q" + number), a name's suffix and lines of a file (they end in
    \\n) are no sentences; two words and a blank are.
    """
    found = []
    for match in re.finditer(r"\bsay\((?!\s*YF_WORDS\()", source):
        if not re.search(r"\bWords\s+$", source[:match.start()]):
            found.append((source.count("\n", 0, match.start()) + 1, "say() without YF_WORDS"))
    glued = rf"(?:{STRING}\s*)*{STRING}\s*\+|\+\s*(?:{STRING}\s*)*{STRING}"
    for match in re.finditer(glued, source):
        said = "".join(re.findall(STRING, match.group(0)))
        if re.search(r"[A-Za-z]{2,} +([A-Za-z]{2,}|\")", said) and \
                "\\n" not in said and said not in NAMES and "PRAGMA " not in said:
            found.append((source.count("\n", 0, match.start()) + 1, f"glued: {said}"))
    return found


def unmarked_in(root):
    for room in ("core", "devices"):
        for file in sorted((root / room).rglob("*.cpp")):
            name = file.relative_to(root).as_posix()
            if not name.startswith(NOT_FOR_PEOPLE):
                for line, what in unmarked(file.read_text()):
                    yield f"{name}:{line}: {what}"


def complaints(lupdate, root):
    found = []
    files = sorted((root / "app/i18n").glob("*.ts"))
    if not files:
        return ["app/i18n holds no translation"]
    with tempfile.TemporaryDirectory() as folder:
        fresh = [pathlib.Path(shutil.copy(file, folder)) for file in files]
        scan(lupdate, root, fresh)
        for file, now in zip(files, fresh):
            kept = {(context, source) for context, source, _, _ in messages(file)}
            wanted = set()
            for context, source, translation, finished in messages(now):
                wanted.add((context, source))
                if not finished:
                    found.append(f"{file.name}: {context}: not translated: {source!r}")
                elif places(source) != places(translation):
                    found.append(f"{file.name}: {context}: other places than in {source!r}")
            for context, source in sorted(kept - wanted):
                found.append(f"{file.name}: {context}: no longer in the sources: {source!r}")
    return found


def main():
    if len(sys.argv) < 3:
        print(__doc__, file=sys.stderr)
        return 2
    lupdate, root = sys.argv[1], pathlib.Path(sys.argv[2])
    if "--update" in sys.argv[3:]:
        scan(lupdate, root, sorted((root / "app/i18n").resolve().glob("*.ts")))
    found = complaints(lupdate, root) + list(unmarked_in(root))
    for complaint in found:
        print(complaint)
    print(f"{len(found)} translations to be mended")
    return 1 if found else 0


if __name__ == "__main__":
    sys.exit(main())
