// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstddef>
#include <functional>

namespace yf {

/// Calls `work(i)` for 0 … count−1 on all cores and returns when all are done. The order is open:
/// work that is to come out alike everywhere must not depend on it.
void inParallel(std::size_t count, const std::function<void(std::size_t)>& work);

} // namespace yf
