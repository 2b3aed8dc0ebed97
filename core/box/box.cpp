// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/box.h"

namespace yf::box {

Chambers chambersOf(const Box& box, const Motor& motor, const Source& source) {
    return std::visit([&](const auto& b) { return chambersOf(b, motor, source); }, box);
}

} // namespace yf::box
