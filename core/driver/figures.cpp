// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/figures.h"

namespace yf::driver {

namespace {

namespace q = quantity;

/// In the order of Figure. Narrower ranges would hide contradictions, which are for judging.
const std::array<q::Quantity, figureCount> quantities{q::Re,
                                                      q::fs,
                                                      q::Qms,
                                                      q::Qes,
                                                      q::Qts,
                                                      q::Vas,
                                                      q::Sd,
                                                      q::Bl,
                                                      q::Mms,
                                                      q::Mmd,
                                                      q::Cms,
                                                      q::Rms,
                                                      q::eta0,
                                                      q::sensitivity1w,
                                                      q::sensitivity2v83};

} // namespace

const quantity::Quantity& quantityOf(Figure figure) {
    return quantities[index(figure)];
}

} // namespace yf::driver
