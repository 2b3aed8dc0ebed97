// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/fields.h"

namespace yf::text {

std::string rangeText(double lowest, double highest) {
    return printNumber(lowest) + " to " + printNumber(highest);
}

Result<double>
readNumber(const Value& value, const quantity::Quantity& quantity, const std::string& path) {
    const double* number = value.number();
    if (number == nullptr) {
        return wrongKind(path, value, "a number, " + rangeText(quantity.lowest, quantity.highest));
    }
    if (*number >= quantity.lowest && *number <= quantity.highest) {
        return *number;
    }
    return Error{path,
                 printNumber(*number) + " given",
                 "must be " + rangeText(quantity.lowest, quantity.highest)};
}

} // namespace yf::text
