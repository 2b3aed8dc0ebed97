// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/evidence.h"

#include <memory>

namespace yf::evaluation {

/// What is judged by, beside the job: the shipped tables, or somebody's own.
struct Tables {
    std::shared_ptr<const bench::EvidenceTable> evidence;

    /// The tables that ship.
    [[nodiscard]] static Tables shipped();

    bool operator==(const Tables&) const = default;
};

} // namespace yf::evaluation
