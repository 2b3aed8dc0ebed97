// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/dcr.h"
#include "core/bench/lcr.h"
#include "core/bench/next_check.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::evaluation {

/// Where one piece of evidence comes from.
struct BenchEvidence {
    bench::Evidence evidence;
    std::string reading; ///< id; empty: from the measured curves

    bool operator==(const BenchEvidence&) const = default;
};

/// One check on offer, by name.
struct CheckOffer {
    std::string check;
    double gain{};
    double minutes{};
    std::optional<double> rate;

    bool operator==(const CheckOffer&) const = default;
};

/// Everything the bench says of one driver.
struct DriverBench {
    std::string cabinet;
    std::string driver;
    std::string twin;                    ///< driver at the same place of the twin; empty: none
    std::vector<BenchEvidence> evidence; ///< the latest of each check, in the order of time
    bench::Diagnosis diagnosis;
    std::vector<CheckOffer> offers; ///< best first
    std::optional<bench::DcrJudgement> dcr;
    std::optional<bench::LcrJudgement> lcr;

    bool operator==(const DriverBench&) const = default;
};

} // namespace yf::evaluation
