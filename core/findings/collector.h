// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/findings/judge.h"

#include <optional>
#include <utility>
#include <vector>

namespace yf::findings {

/// Collects scopes; an added one knows those around it.
class Collector {
public:
    std::size_t add(Subject subject, std::optional<std::size_t> around = std::nullopt) {
        scopes_.push_back({.subject = std::move(subject), .facts = {}, .around = around});
        return scopes_.size() - 1;
    }

    template <class Kind, class Value>
    void put(std::size_t scope, const Kind& kind, Value value) {
        scopes_[scope].facts.put(kind, value);
    }

    void put(std::size_t scope, const Facts& facts) {
        for (const auto& [name, entry] : facts) {
            scopes_[scope].facts.put(entry);
        }
    }

    std::vector<Scope> take() { return std::move(scopes_); }

private:
    std::vector<Scope> scopes_;
};

struct CabinetView {
    const job::Job& job;
    const evaluation::Assembly& assembly;
    const job::Cabinet& cabinet;
    const evaluation::CabinetResult& result;
    const evaluation::Evaluation& evaluation;
};

/// A way with the driver's band and where it sits.
struct Placed {
    const evaluation::WayResult* way{};
    const job::Driver* driver{};
    const job::Mount* mount{};
};

/// The ways with their crossovers, from the lowest.
[[nodiscard]] std::vector<Placed> waysFromBelow(const CabinetView& view);

/// Hz, by the driver's impedance in use; absent where it shows none.
[[nodiscard]] std::optional<double> resonanceOf(const evaluation::Assembly& assembly,
                                                const std::string& driver);

/// Whether a take of the whole cabinet was made with the network that is drawn now.
[[nodiscard]] bool hasTakeOfItsNetwork(const CabinetView& view);

} // namespace yf::findings
