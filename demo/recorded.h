// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"
#include "core/edit/parts.h"

namespace yf::demo {

/// Takes of the pair as received, recorded on the simulated bench: both cabinets as a whole, on
/// axis and as a load, the two midranges and the left tweeter by themselves with their samples; and
/// a set of angles of each cabinet without. None of them is put to use. The same each time.
[[nodiscard]] edit::Edit recordAsReceived();

/// A woofer in the cabinet in which it came.
struct WooferInBox {
    std::string cabinet;
    std::string driver;
    box::Driver woofer;
    box::Box box;
};

/// An impedance of each at its lugs, network off; none is put to use.
[[nodiscard]] edit::Edit recordBoxes(const std::vector<WooferInBox>& woofers);

/// One short take of the projection room's tweeter: for job files that are to stay small.
[[nodiscard]] edit::Edit recordOneShort();

} // namespace yf::demo
