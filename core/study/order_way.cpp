// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/order_way.h"

#include "core/curve/interpolate.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/parts/part_words.h"
#include "core/network/parts/price.h"

#include <cmath>
#include <numbers>

namespace yf::study {

std::optional<edit::Edit> steeperWay(const job::Job& job,
                                     const job::Cabinet& cabinet,
                                     std::size_t way,
                                     speaker::FilterSide side,
                                     double fx,
                                     double factor) {
    const network::Section* section = network::waySection(cabinet.circuit, way);
    const auto ends = network::driverEnds(cabinet.circuit);
    const job::Driver* driver =
        way < ends.size() ? job::findDriver(job, ends[way].driver) : nullptr;
    const job::Take* take =
        driver == nullptr ? nullptr : job::takeInUse(job, *driver, job::TakeKind::impedance);
    if (section == nullptr || take == nullptr ||
        !std::holds_alternative<network::DriverEnd>(section->end)) {
        return std::nullopt;
    }
    const auto z = curve::interpolate(*take->curve, {fx});
    if (!z) {
        return std::nullopt;
    }
    const double R = ends[way].ratio() * std::abs(z->front());
    const double omega = 2.0 * std::numbers::pi * fx;
    const auto& ladder = section->ladder;
    const bool inLine =
        ladder.empty() || !std::holds_alternative<network::SeriesSlot>(ladder.back());
    const bool coil = (side == speaker::FilterSide::low) == inLine;
    constexpr double thickWire = 1.0e-3; // m, bare
    constexpr double thinWire = 0.71e-3;
    const double exact = factor * (coil ? R / omega : 1.0 / (omega * R));
    const double value = network::nearestValue(exact, network::ESeries::E12);
    const network::Part part =
        coil ? network::usualCoil(value, side == speaker::FilterSide::low ? thickWire : thinWire)
             : network::usualCapacitor(value);
    edit::Edit edit = edit::insertPart(cabinet.id, {way, ladder.size(), inLine}, part);
    edit.name = inLine ? say(YF_WORDS("core", "Insert %1 in the line before %2"),
                             network::valueText(part.kind, part.value),
                             driver->name)
                       : say(YF_WORDS("core", "Insert %1 across the way before %2"),
                             network::valueText(part.kind, part.value),
                             driver->name);
    return edit;
}

} // namespace yf::study
