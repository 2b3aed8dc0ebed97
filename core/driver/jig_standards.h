// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/jig_take.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// What a jig read with its clips open, together, and on a known resistor: kept as text with every
/// take that it corrects, so that the take stays whole.
struct JigStandards {
    std::vector<double> frequencies;
    std::vector<double> opensRe;
    std::vector<double> opensIm;
    std::vector<double> shortsRe;
    std::vector<double> shortsIm;
    std::vector<double> loadsRe;
    std::vector<double> loadsIm;
    double load{}; ///< Ω

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto ratio = [](const char* key) {
            return q::Quantity{"H", key, 1.0, "", -1e6, 1e6, "V_B over V_A"};
        };
        field(self.frequencies, q::frequencies);
        field(self.opensRe, ratio("opens_re"));
        field(self.opensIm, ratio("opens_im"));
        field(self.shortsRe, ratio("shorts_re"));
        field(self.shortsIm, ratio("shorts_im"));
        field(self.loadsRe, ratio("loads_re"));
        field(self.loadsIm, ratio("loads_im"));
        field(self.load, q::resistance.as("load_ohm", "the known resistor").within(0.01, 1e6));
    }

    [[nodiscard]] bool operator==(const JigStandards&) const = default;
};

/// Which of the three a recording is of.
enum class Standard { open, shorted, load };

/// Frequencies at which standards are kept: a jig is smooth, about ten an octave are enough.
[[nodiscard]] const curve::Axis& standardAxis();

/// The recording of a standard joins what is known already. Refused, with what was read: an open
/// that reads below 0.9, a short above 0.3, a load that is off by more than a third with the
/// resistor said. The share of V_A is the mean of 100 Hz to 1 kHz.
[[nodiscard]] Result<JigStandards> withStandard(const std::optional<JigStandards>& known,
                                                Standard which,
                                                const Ratios& read,
                                                double sense,
                                                double load);

/// Whether all three are there.
[[nodiscard]] bool complete(const JigStandards& standards);

[[nodiscard]] std::string writeStandards(const JigStandards& standards);
[[nodiscard]] Result<JigStandards> readStandards(const std::string& text);

/// On the frequencies of a take, straight between points over ln f, held at the ends.
[[nodiscard]] StandardTakes onAxis(const JigStandards& standards, const curve::Axis& axis);

} // namespace yf::driver
