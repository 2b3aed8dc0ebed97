// SPDX-License-Identifier: GPL-3.0-or-later
#include "speed/peer_ngspice.h"

#include <ngspice/sharedspice.h>

#include <cstdio>
#include <cstring>
#include <sstream>
#include <vector>

namespace yf::speed {

namespace {

int quiet(char* /*text*/, int /*id*/, void* /*user*/) {
    return 0;
}

int leave(int /*status*/, NG_BOOL /*unload*/, NG_BOOL /*quit*/, int /*id*/, void* /*user*/) {
    return 0;
}

void command(const std::string& text) {
    std::vector<char> writable(text.begin(), text.end());
    writable.push_back('\0');
    ngSpice_Command(writable.data());
}

} // namespace

Ngspice::Ngspice(const std::string& circuit, std::string sweep) : sweep_(std::move(sweep)) {
    ngSpice_Init(&quiet, &quiet, &leave, nullptr, nullptr, nullptr, nullptr);
    std::vector<std::string> lines;
    std::istringstream text(circuit + "\n.end\n");
    for (std::string line; std::getline(text, line);) {
        lines.push_back(line);
    }
    std::vector<char*> pointers;
    for (std::string& line : lines) {
        pointers.push_back(line.data());
    }
    pointers.push_back(nullptr);
    ngSpice_Circ(pointers.data());
}

int Ngspice::run(const std::string& coil, double henry) {
    char text[80];
    std::snprintf(text, sizeof text, "alter %s = %.9e", coil.c_str(), henry);
    command(text);
    command(sweep_);
    char name[] = "frequency";
    const pvector_info vector = ngGet_Vec_Info(name);
    const int points = vector == nullptr ? 0 : vector->v_length;
    command("destroy all"); // or memory grows with every run
    return points;
}

} // namespace yf::speed
