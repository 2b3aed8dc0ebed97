#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Figures of the code's shape: lengths of functions and files, branches, comments, flags.

usage: shape.py ROOT. Read as text, so a figure can be off by a little; what is counted is the same
each time. A function: from the line of its name to its closing brace at the depth of a namespace or
class. Branches: 1 + if, for, while, case, catch, &&, ||, ? in it (McCabe 1976).
"""
import pathlib
import re
import sys

STRINGS = re.compile(r'"(?:\\.|[^"\\])*"|\'(?:\\.|[^\'\\])\'')
BRANCH = re.compile(r"\b(?:if|for|while|case|catch)\b|&&|\|\||\?")
HEAD = re.compile(r"(?:^|[\s*&:~])([\w~]+(?:::[\w~]+)*)\s*\(")
NOT_FUNCTIONS = {"if", "for", "while", "switch", "catch", "return", "sizeof", "decltype", "alignof"}


def bare(line):
    return re.sub(r"//.*", "", STRINGS.sub('""', line))


def functions(text):
    """(name, first line, lines, branches) of each function that has a body."""
    lines = [bare(line) for line in text.splitlines()]
    found, scopes, pending = [], [], ""
    start = 0
    for number, line in enumerate(lines, 1):
        if line.lstrip().startswith("#"):
            continue
        for char in line + "\n":
            if char == "{":
                kind = "block"
                if all(s[0] in ("namespace", "class") for s in scopes):
                    head = pending.strip()
                    if re.search(r"\b(namespace|extern)\b", head):
                        kind = "namespace"
                    elif re.search(r"\b(class|struct|enum|union)\b", head) and not head.endswith(")"):
                        kind = "class"
                    else:
                        match = HEAD.search(head)
                        if match and match[1] not in NOT_FUNCTIONS and "=" not in head.split("(")[0]:
                            kind = "function"
                            scopes.append((kind, match[1], start or number))
                            pending = ""
                            continue
                scopes.append((kind, "", number))
                pending = ""
            elif char == "}":
                if scopes:
                    kind, name, first = scopes.pop()
                    if kind == "function":
                        body = "\n".join(lines[first - 1:number])
                        found.append((name, first, number - first + 1, 1 + len(BRANCH.findall(body))))
                pending, start = "", 0
            elif char == ";":
                if not scopes or scopes[-1][0] in ("namespace", "class"):
                    pending, start = "", 0
            else:
                if not pending.strip() and not char.isspace():
                    start = number
                pending += char
    return found


def percentile(values, share):
    values = sorted(values)
    return values[min(len(values) - 1, int(share * len(values)))] if values else 0


def sources(root, folders):
    for folder in folders:
        for file in sorted((root / folder).rglob("*")):
            if file.suffix in (".h", ".cpp"):
                yield file


def main(root):
    root = pathlib.Path(root)
    for folder in ("core", "app"):
        found, files = [], []
        for file in sources(root, [folder]):
            text = file.read_text()
            files.append((text.count("\n"), file.relative_to(root).as_posix()))
            found += [(length, branches, name, f"{file.relative_to(root).as_posix()}:{first}")
                      for name, first, length, branches in functions(text)]
        lengths = [f[0] for f in found]
        branches = [f[1] for f in found]
        limit = 90 if folder == "core" else 80
        print(f"{folder}: {len(files)} files, {len(found)} functions")
        print(f"  length p50 {percentile(lengths, .5)}, p90 {percentile(lengths, .9)}, most {max(lengths)}"
              f"; over {limit}: {sum(n > limit for n in lengths)}")
        print(f"  branches p90 {percentile(branches, .9)}, most {max(branches)}"
              f"; over 30: {sum(n > 30 for n in branches)}")
        print(f"  sources over 600 lines: {sum(n > 600 for n, _ in files)}")
        for length, branch, name, place in sorted(found, reverse=True)[:6]:
            print(f"    {length} lines, {branch} branches: {name} ({place})")
        for length, name in sorted(files, reverse=True)[:4]:
            print(f"    {length} lines: {name}")
    comments = code = flags = 0
    for file in sources(root, ["core"]):
        if file.suffix == ".h":
            for line in file.read_text().splitlines():
                comments += "//" in STRINGS.sub('""', line)
                code += bool(bare(line).strip())
                flags += len(re.findall(r"[(,]\s*bool\s+\w+\s*[,)=]", bare(line)))
    print(f"core headers: share of lines with a comment {comments / max(1, comments + code):.2f}, "
          f"bool parameters {flags}")
    lines = {folder: sum(f.read_text().count("\n") for f in sources(root, [folder]))
             for folder in ("core", "app", "cli", "devices", "demo", "speed", "tests")}
    print(f"tests: {lines['tests']} of {sum(lines.values())} lines, "
          f"{100 * lines['tests'] / sum(lines.values()):.1f} %")


if __name__ == "__main__":
    main(sys.argv[1] if len(sys.argv) > 1 else ".")
