// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/box.h"

namespace yf::box {

namespace {

struct Namer {
    std::string_view operator()(const InfiniteBaffle& /*b*/) const { return "infinite-baffle"; }

    std::string_view operator()(const Closed& /*b*/) const { return "closed"; }

    std::string_view operator()(const Vented& /*b*/) const { return "vented"; }

    std::string_view operator()(const PassiveRadiator& /*b*/) const { return "passive-radiator"; }

    std::string_view operator()(const BandPass4& /*b*/) const { return "bandpass-4"; }

    std::string_view operator()(const BandPass6& b) const {
        return b.chaining == Chaining::parallel ? "bandpass-6-parallel" : "bandpass-6-series";
    }

    std::string_view operator()(const OpenBaffle& /*b*/) const { return "open-baffle"; }
};

} // namespace

std::string_view kindOf(const Box& box) {
    return std::visit(Namer{}, box);
}

Chambers chambersOf(const Box& box, const Motor& motor, const Source& source) {
    return std::visit([&](const auto& b) { return chambersOf(b, motor, source); }, box);
}

} // namespace yf::box
