// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"

#include <string>
#include <string_view>
#include <vector>

namespace yf::measure {

/// An impedance out of a Touchstone one-port file.
struct OnePort {
    std::vector<double> frequencies; ///< Hz, rising
    std::vector<curve::Complex> Z;   ///< Ω
    double reference{50.0};          ///< Ω
    char parameter{'S'};             ///< S, Y or Z
    std::string form;                ///< "RI", "MA" or "DB"
    int version{1};
    bool dcDropped{}; ///< a row at 0 Hz was left out
};

/// Whether a text has an option line that no text table begins with: '#', then only words of such a
/// line, with "R" and a number among them, or version 2's "[Version]".
[[nodiscard]] bool looksLikeTouchstone(std::string_view text);

/// Reads a Touchstone file of one port, version 1 or 2.
///
/// Option line "# [Hz|kHz|MHz|GHz] [S|Y|Z] [RI|MA|DB] [R n]" in any order, GHz S MA R 50 where
/// words are missing; `!` begins a comment. S → Z = R·(1 + S)/(1 − S); Y and Z of version 1 are
/// normalised to R, of version 2 not (both from memory). Errors give line and column; refused: more
/// than one port, H or G parameters, frequencies that do not rise, S of exactly 1 (an open circuit
/// has no ohms), fewer than two rows.
[[nodiscard]] Result<OnePort> readTouchstone(std::string_view text);

/// Version 1: "# Hz S RI R 50"; reads back equal but for rounding.
[[nodiscard]] std::string writeTouchstone(const curve::Curve& impedance);

} // namespace yf::measure
