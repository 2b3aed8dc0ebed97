// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/driver.h"
#include "core/box/spread.h"
#include "core/job/job.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::evaluation {

/// Where a driver's parameters come from.
enum class ParameterSource { sheet, measured, inBox };

/// A driver as its box sees it.
struct BoxDriver {
    box::Driver driver;
    box::Doubt doubt;
    ParameterSource source{};
    std::vector<Words> guessed; ///< sentences: what is not known and was taken for usual

    bool operator==(const BoxDriver&) const = default;
};

/// Parameters by their best source: the data sheet if all of Re, fs, Qms and Qes stand on it, else
/// a fit of a free impedance take, else of one in a box. Vas from the sheet, else from a usual
/// cone's mass for its area, with the doubt that deserves. Fails with what is missing.
/// Takes are fitted: some tens of milliseconds.
[[nodiscard]] Result<BoxDriver> boxDriver(const job::Job& job, const job::Driver& driver);

/// The same parameters alone, as a new box is advised by; nothing where they are not known.
[[nodiscard]] std::optional<box::Driver> boxParameters(const job::Job& job,
                                                       const std::string& driver);

} // namespace yf::evaluation
