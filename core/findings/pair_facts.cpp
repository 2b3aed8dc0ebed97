// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/pair_facts.h"

#include "core/evaluation/take_polarity.h"
#include "core/findings/known_facts.h"
#include "core/speaker/crossover.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::findings {

namespace {

/// Third-octave means of a level difference, one band centre for each.
struct PairShape {
    double level{};
    double largest{}; ///< of what remains without the level, signed
};

std::optional<PairShape> compare(const evaluation::CabinetResult& left,
                                 const evaluation::CabinetResult& right) {
    std::vector<double> bands;
    for (int n = -7; n <= 10; ++n) { // 200 Hz to 10 kHz, IEC 61260-1
        const double centre = 1000.0 * std::pow(10.0, n / 10.0);
        const curve::Range band{centre * std::pow(10.0, -0.05), centre * std::pow(10.0, 0.05)};
        const auto l = speaker::meanLevel(left.axis, left.sum, band);
        const auto r = speaker::meanLevel(right.axis, right.sum, band);
        if (l && r) {
            bands.push_back(*l - *r);
        }
    }
    if (bands.empty()) {
        return std::nullopt;
    }
    PairShape shape;
    for (const double band : bands) {
        shape.level += band / static_cast<double>(bands.size());
    }
    for (const double band : bands) {
        const double rest = band - shape.level;
        shape.largest = std::abs(rest) > std::abs(shape.largest) ? rest : shape.largest;
    }
    return shape;
}

/// Whether the lowest ways push together.
std::optional<bool> samePolarity(const CabinetView& left, const CabinetView& right) {
    const auto l = waysFromBelow(left);
    const auto r = waysFromBelow(right);
    if (l.empty() || r.empty() || left.result.axis != right.result.axis) {
        return std::nullopt;
    }
    // The octave in which the lowest way is loudest decides.
    const auto loudest = std::ranges::max_element(
        l.front().way->pressure, {}, [](const curve::Complex& p) { return std::norm(p); });
    const auto k = static_cast<std::size_t>(loudest - l.front().way->pressure.begin());
    const double angle = std::arg(l.front().way->pressure[k] / r.front().way->pressure[k]);
    return std::abs(angle) < std::numbers::pi / 2.0;
}

/// The same from takes of both as a whole, where these are known to be of the networks drawn now:
/// then it is the wiring as it is, cables and terminals included.
std::optional<bool> takenPolarity(const CabinetView& left, const CabinetView& right) {
    if (!hasTakeOfItsNetwork(left) || !hasTakeOfItsNetwork(right)) {
        return std::nullopt;
    }
    const auto told = evaluation::alikeByTakes(left.job, left.cabinet, right.cabinet);
    return told.found ? std::optional(told.found->sign > 0) : std::nullopt;
}

} // namespace

void putPair(Collector& all, const CabinetView& left, const CabinetView& right) {
    const std::size_t scope = all.add({.cabinet = left.cabinet.id, .other = right.cabinet.id});
    all.put(scope, fact::polar::mirrored, left.cabinet.mirrored != right.cabinet.mirrored);
    const bool sums = !left.result.sum.empty() && !right.result.sum.empty();
    if (sums) {
        if (const auto shape = compare(left.result, right.result)) {
            all.put(scope, fact::pair::level_difference_db, shape->level);
            all.put(scope, fact::pair::shape_max_db, shape->largest);
        }
    }
    const auto taken = takenPolarity(left, right);
    if (const auto same = taken ? taken : sums ? samePolarity(left, right) : std::nullopt) {
        all.put(scope, fact::pair::polarity_equal, *same);
    }
    if (left.cabinet.mounts.size() != right.cabinet.mounts.size()) {
        return;
    }
    for (std::size_t i = 0; i < left.cabinet.mounts.size(); ++i) {
        const auto l = resonanceOf(left.assembly, left.cabinet.mounts[i].driver);
        const auto r = resonanceOf(right.assembly, right.cabinet.mounts[i].driver);
        if (l && r) {
            const std::size_t twins = all.add({.cabinet = left.cabinet.id,
                                               .driver = left.cabinet.mounts[i].driver,
                                               .other = right.cabinet.mounts[i].driver},
                                              scope);
            all.put(twins, fact::pair::fs_left_hz, *l);
            all.put(twins, fact::pair::fs_right_hz, *r);
        }
    }
}

} // namespace yf::findings
