// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/files.h"
#include "cli/verb.h"

#include <cstdio>

int main(int argc, char** argv) {
    constexpr std::size_t mostInput = 64U << 20U;
    const std::vector<std::string> words(argv + 1, argv + argc);
    const yf::cli::Answer answer = yf::cli::answer(
        words, [] { return yf::cli::readStream("standard input", stdin, mostInput); });
    std::fputs(answer.out.c_str(), stdout);
    std::fputs(answer.err.c_str(), stderr);
    return answer.status;
}
