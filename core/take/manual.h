// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/multimeter.h"
#include "core/job/job.h"

#include <string>

namespace yf::take {

/// An impedance read by hand, tone by tone in rising order, as a take of a driver. Its phases,
/// where every reading has one, are those of the three voltages; else it has none.
[[nodiscard]] job::Take handTake(const std::string& driver,
                                 const driver::MultimeterRequest& readings,
                                 const driver::Multimeter& found,
                                 const std::string& date);

} // namespace yf::take
