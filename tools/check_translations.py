#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Every text of the window and every marked sentence of the core has its translation.

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
                    "app", "core", "devices", "-ts", *map(str, files)],
                   cwd=root, check=True, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)


def messages(file):
    for context in ElementTree.parse(file).getroot().iter("context"):
        for message in context.iter("message"):
            translation = message.find("translation")
            finished = translation.get("type") is None and (translation.text or "") != ""
            yield context.find("name").text, message.find("source").text, translation.text or "", finished


def places(text):
    return sorted(re.findall(r"%\d", text))


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
    found = complaints(lupdate, root)
    for complaint in found:
        print(complaint)
    print(f"{len(found)} translations to be mended")
    return 1 if found else 0


if __name__ == "__main__":
    sys.exit(main())
