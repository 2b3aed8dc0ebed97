// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>

namespace yf::speed {

/// ngspice as a library in this process: one circuit loaded once, then a value altered and an AC
/// sweep run, as often as wanted. One at a time.
class Ngspice {
public:
    /// The circuit without control section and .end; `sweep` such as "ac dec 160 10 39810.7171".
    Ngspice(const std::string& circuit, std::string sweep);

    /// Sets a coil's value and sweeps; the number of points that came out.
    int run(const std::string& coil, double henry);

private:
    std::string sweep_;
};

} // namespace yf::speed
