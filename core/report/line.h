// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"

/// Sentences about results. What the window shows and the command line prints comes from here.
namespace yf::report {

/// One figure of the line: what it is, how it reads, where it comes from.
struct Figure {
    Words id;       ///< sensitivity, impedance, corridor, parts
    Words text;     ///< "86.4 dB"
    Words explains; ///< one sentence on how it was found and what it rests on
};

/// The whole speaker's state in one line: sensitivity, least impedance, flatness, parts.
/// A figure that cannot be given says what is missing instead of being left out.
[[nodiscard]] std::vector<Figure> line(const evaluation::CabinetResult& result);

/// "3.41 Ω at 2.1 kHz"
[[nodiscard]] Words impedanceText(const network::Lowest& least);

/// "−3.2 dB": the typographic minus, one decimal.
[[nodiscard]] std::string levelText(double level);

} // namespace yf::report
