// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"

#include <string>
#include <variant>
#include <vector>

namespace yf::network {

/// A circuit as nodes and branches, for the nodal solver. Node 0 is the return, node 1 is `in`.
struct Graph {
    struct PartBranch {
        std::size_t from{};
        std::size_t to{};
        OnePort port;
        std::string coilId; ///< of a lone coil, so that couplings find it
    };

    struct DriverBranch {
        std::size_t from{};
        std::size_t to{};
        DriverEnd end;
    };

    /// V(secondary) = n·V(primary), both to `common`.
    struct IdealTransformer {
        std::size_t primary{};
        std::size_t secondary{};
        std::size_t common{};
        double ratio{};
    };

    std::vector<std::string> nodes;
    std::vector<PartBranch> parts;
    std::vector<DriverBranch> drivers; ///< in writing order
    std::vector<IdealTransformer> transformers;
};

inline constexpr std::size_t returnNode = 0;
inline constexpr std::size_t inNode = 1;

[[nodiscard]] Graph flatten(const Circuit& circuit);

/// The first node in writing order that hangs on neither the amplifier nor the return, as the
/// error that refuses it; a transformer or part with both ends on one node is not one.
[[nodiscard]] std::optional<Error> findFloatingNode(const Circuit& circuit,
                                                    const std::string& path);

} // namespace yf::network
