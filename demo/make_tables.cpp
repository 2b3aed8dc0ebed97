// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/wav.h"
#include "demo/drivers.h"

#include <cstdio>
#include <fstream>

/// Writes the demo's tables and an impulse response into a folder, the tables byte for byte the
/// same on every machine.
int main(int argc, char** argv) {
    if (argc != 2) {
        std::fputs("usage: make_tables FOLDER\n", stderr);
        return 2;
    }
    const std::string folder = argv[1];
    const auto write = [&](const std::string& name, const std::string& content) {
        std::ofstream file(folder + "/" + name, std::ios::binary);
        file << content;
        return static_cast<bool>(file.flush());
    };
    const auto campion = yf::demo::campion165();
    const auto teasel = yf::demo::teasel26();
    const bool written =
        write("campion-165-response.csv", yf::demo::responseTable(campion, false)) &&
        write("campion-165-impedance.txt", yf::demo::impedanceTable(campion, false)) &&
        write("teasel-26-response.csv", yf::demo::responseTable(teasel, true)) &&
        write("teasel-26-impedance.csv", yf::demo::impedanceTable(teasel, true)) &&
        write("sorrel-130-in-the-hall.wav",
              yf::signal::writeWav(yf::demo::impulseInRoom(yf::demo::sorrel130()), 48000.0));
    if (!written) {
        std::fprintf(stderr, "%s: not written\n", folder.c_str());
        return 1;
    }
    return 0;
}
