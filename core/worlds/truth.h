// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>
#include <vector>

namespace worlds {

/// One curve as its table shows it: what was printed, to hertz and decibels or ohms.
struct TrueCurve {
    std::string name;
    bool impedance{};
    bool relative{}; ///< of volts or a ratio: only differences of level are true
    std::vector<double> hertz;
    std::vector<double> values;  ///< dB re 20 µPa, or ohms
    std::vector<double> degrees; ///< empty: the table has no phase; NaN: an empty cell
};

} // namespace worlds
