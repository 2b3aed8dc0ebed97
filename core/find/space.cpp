// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/space.h"

#include "core/base/parallel.h"
#include "core/network/circuit/ladder_edit.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <set>
#include <tuple>

namespace yf::find {

namespace {

constexpr int orderCount = 2; // of the slopes that starts are made for
constexpr int slopeOrders[orderCount] = {2, 4};

} // namespace

Space::Space(const Plan& plan, const tune::Problem& coarse)
    : plan_(plan), coarse_(coarse), ends_(network::driverEnds(plan.base.circuit)),
      perPair_(ends_.size() == 2 ? 3 : 2), whole_(1U << (ends_.size() - 1)) {
    for (std::size_t q = 0; q < ends_.size(); ++q) {
        const network::Section* way = network::waySection(plan.base.circuit, q);
        names_.push_back(way == nullptr ? std::string() : way->name);
        const Rank rank = rankOf(q, ends_.size());
        ways_.push_back({rank, find::shapes(rank, plan.orders, plan.extras), {}});
        whole_ *= ways_.back().shapes.size();
    }
    if (plan.seriesToo && ends_.size() == 2) {
        std::size_t more = 2;
        for (Way& way : ways_) {
            const auto series = seriesShapes(way.rank, plan.orders, plan.extras);
            way.shapes.insert(way.shapes.end(), series.begin(), series.end());
            more *= series.size();
        }
        whole_ += more;
    }
    const network::Section* top = plan.base.circuit.tree();
    if (top != nullptr && !top->ladder.empty()) {
        network::Circuit alone{.source = {}};
        alone.body = network::Section{.ladder = top->ladder, .end = network::Ways{}};
        common_ = network::parts(alone);
    }
}

/// A crossing's n-th frequency to start from.
double Space::frequency(std::size_t pair, std::size_t n) const {
    const curve::Range& band = plan_.crossings[pair];
    const double share = (static_cast<double>(n) + 0.5) / static_cast<double>(perPair_);
    return band.from * std::pow(band.to / band.from, share);
}

/// Place in Way::alone of one choice of frequencies and slope.
std::size_t
Space::aloneIndex(std::size_t q, const std::vector<std::size_t>& at, std::size_t slope) const {
    const std::size_t low = q > 0 ? at[q - 1] : 0;
    const std::size_t high = q + 1 < ends_.size() ? at[q] : 0;
    return (low * perPair_ + high) * orderCount + slope;
}

void Space::tuneAlone(const std::function<bool()>& goOn) {
    struct Task {
        std::size_t way, shape, low, high, slope;
    };

    std::vector<Task> tasks;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        Way& way = ways_[q];
        way.alone.resize(way.shapes.size(), std::vector<Alone>(perPair_ * perPair_ * orderCount));
        for (std::size_t s = 0; s < way.shapes.size(); ++s) {
            const std::size_t lows = q > 0 ? perPair_ : 1;
            const std::size_t highs = q + 1 < ways_.size() ? perPair_ : 1;
            for (std::size_t i = 0; !way.shapes[s].pad && i < lows * highs * orderCount; ++i) {
                tasks.push_back(
                    {q, s, i / orderCount / highs, i / orderCount % highs, i % orderCount});
            }
        }
    }
    inParallel(tasks.size(), [&](std::size_t i) {
        const Task& t = tasks[i];
        Alone& alone =
            ways_[t.way].alone[t.shape][(t.low * perPair_ + t.high) * orderCount + t.slope];
        if (alone.rms > 0.0 || !goOn()) {
            return;
        }
        Slope slope{.order = slopeOrders[t.slope]};
        if (t.way > 0) {
            slope.fxLow = frequency(t.way - 1, t.low);
        }
        if (t.way + 1 < ways_.size()) {
            slope.fxHigh = frequency(t.way, t.high);
        }
        alone = tunedAlone(coarse_, t.way, ways_[t.way].shapes[t.shape], slope);
    });
    // A pad changes a level, not a slope: the shape without it tells.
    for (Way& way : ways_) {
        for (std::size_t s = 0; s < way.shapes.size(); ++s) {
            if (way.shapes[s].pad) {
                Shape bare = way.shapes[s];
                bare.pad = false;
                const auto found = std::ranges::find(way.shapes, bare);
                way.alone[s] = way.alone[static_cast<std::size_t>(found - way.shapes.begin())];
            }
        }
    }
}

double Space::bestAlone(const Way& way, std::size_t s) {
    double best = std::numeric_limits<double>::infinity();
    for (const Alone& alone : way.alone[s]) {
        best = alone.rms > 0.0 ? std::min(best, alone.rms) : best;
    }
    return best;
}

/// Keeps so many shapes of a way (pads not counted): the best of each number of parts, the few
/// parts first, then the second best and so on.
void Space::keepBest(Way& way, std::size_t most) {
    std::map<int, std::vector<std::size_t>> perParts;
    for (std::size_t s = 0; s < way.shapes.size(); ++s) {
        if (!way.shapes[s].pad) {
            perParts[way.shapes[s].parts()].push_back(s);
        }
    }
    for (auto& [parts, bare] : perParts) {
        std::ranges::stable_sort(bare, {}, [&](std::size_t s) { return bestAlone(way, s); });
    }
    std::vector<std::size_t> kept;
    for (std::size_t place = 0; kept.size() < most && place < way.shapes.size(); ++place) {
        double best = std::numeric_limits<double>::infinity();
        for (const auto& [parts, bare] : perParts) {
            if (place >= bare.size() || kept.size() == most) {
                continue;
            }
            // More parts than those kept with no gain are no start.
            const double rms = bestAlone(way, bare[place]);
            if (rms < worth * best) {
                kept.push_back(bare[place]);
                best = rms;
            }
        }
    }
    Way less{.rank = way.rank};
    for (std::size_t s = 0; s < way.shapes.size(); ++s) {
        Shape without = way.shapes[s];
        without.pad = false;
        const bool keep =
            std::ranges::any_of(kept, [&](std::size_t k) { return way.shapes[k] == without; });
        if (keep) {
            less.shapes.push_back(way.shapes[s]);
            less.alone.push_back(way.alone[s]);
        }
    }
    way = std::move(less);
}

void Space::narrow() {
    constexpr std::size_t enough = 10000;
    const auto product = [&] {
        std::size_t all = 1U << (ways_.size() - 1);
        for (const Way& way : ways_) {
            all *= way.shapes.size();
        }
        return all;
    };
    for (std::size_t most = 16; ways_.size() > 2 && most > 3 && product() > enough; --most) {
        for (Way& way : ways_) {
            keepBest(way, way.rank == Rank::middle ? most : most / 2 + 1);
        }
    }
}

std::vector<std::vector<Candidate>> Space::levels() const {
    std::set<Candidate> all;
    const unsigned patterns = 1U << (ways_.size() - 1);
    std::vector<std::size_t> place(ways_.size(), 0);
    for (;;) {
        Candidate candidate{.shapes = place};
        for (std::size_t q = 0; q < ways_.size(); ++q) {
            candidate.parts += ways_[q].shapes[place[q]].parts();
        }
        const bool mixed = std::ranges::any_of(
            shapesOf(candidate), [&](const Shape& s) { return s.series != isSeries(candidate); });
        if (!mixed && (!plan_.maxParts || candidate.parts <= *plan_.maxParts)) {
            for (candidate.turned = 0; candidate.turned < patterns; ++candidate.turned) {
                all.insert(candidate);
            }
        }
        std::size_t q = 0;
        while (q < ways_.size() && ++place[q] == ways_[q].shapes.size()) {
            place[q++] = 0;
        }
        if (q == ways_.size()) {
            break;
        }
    }
    std::vector<std::vector<Candidate>> levels;
    for (const Candidate& candidate : all) {
        if (levels.empty() || levels.back().front().parts != candidate.parts) {
            levels.emplace_back();
        }
        levels.back().push_back(candidate);
    }
    return levels;
}

std::vector<Shape> Space::shapesOf(const Candidate& c) const {
    std::vector<Shape> all;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        all.push_back(shape(c, q));
    }
    return all;
}

network::Circuit Space::circuitOf(const Candidate& c, const std::vector<double>& x) const {
    std::vector<network::Section> sections;
    std::size_t next = 0;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        Values values{};
        takeFrom(x, next, shape(c, q), values);
        network::DriverEnd end = ends_[q];
        end.polarity = q > 0 && (c.turned >> (q - 1) & 1U) != 0U ? -1 : 1;
        sections.push_back(section(shape(c, q), values, end, wireOf(ways_[q].rank)));
        sections.back().name = names_[q];
    }
    const network::Section* top = plan_.base.circuit.tree();
    return assembled(plan_.base.circuit.source,
                     std::move(sections),
                     isSeries(c) ? network::Joining::series : network::Joining::parallel,
                     top == nullptr ? std::vector<network::Slot>{} : top->ladder);
}

/// Where the ways_ by themselves would start.
std::vector<double>
Space::startOf(const Candidate& c, const std::vector<std::size_t>& at, std::size_t slope) const {
    double least = std::numeric_limits<double>::infinity();
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        least = std::min(least, ways_[q].alone[c.shapes[q]][aloneIndex(q, at, slope)].level);
    }
    std::vector<double> x;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        const Alone& alone = ways_[q].alone[c.shapes[q]][aloneIndex(q, at, slope)];
        Values values = alone.values;
        if (shape(c, q).pad) {
            setPad(values, alone.level - least, q);
        }
        appendTo(x, shape(c, q), values);
    }
    return x;
}

std::vector<std::vector<double>> Space::starts(const Candidate& c) const {
    std::vector<std::vector<double>> all;
    std::vector<std::size_t> at(ways_.size() - 1, 0);
    for (;;) {
        for (std::size_t slope = 0; slope < orderCount; ++slope) {
            all.push_back(startOf(c, at, slope));
        }
        std::size_t pair = 0;
        while (pair < at.size() && ++at[pair] == perPair_) {
            at[pair++] = 0;
        }
        if (pair == at.size()) {
            return all;
        }
    }
}

void Space::setPad(Values& values, double dB, std::size_t q) const {
    constexpr double slight = 0.5;
    const network::Loads& loads = coarse_.loads.loads();
    const double R =
        std::max(1.0, loads.drivers[*loads.find(ends_[q].driver)].dcResistance) * ends_[q].ratio();
    const double k = std::pow(10.0, -std::max(dB, slight) / 20.0);
    values[static_cast<std::size_t>(Role::padSeries)] = R * (1.0 - k);
    values[static_cast<std::size_t>(Role::padShunt)] = R * k / (1.0 - k);
}

std::vector<Candidate> Space::simplerThan(const Candidate& c) const {
    std::vector<Candidate> all;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        for (const Shape& less : simpler(shape(c, q), plan_.orders)) {
            const auto place = std::ranges::find(ways_[q].shapes, less);
            if (place != ways_[q].shapes.end()) {
                Candidate& parent = all.emplace_back(c);
                parent.shapes[q] = static_cast<std::size_t>(place - ways_[q].shapes.begin());
                parent.parts += less.parts() - shape(c, q).parts();
            }
        }
    }
    return all;
}

std::vector<double>
Space::carriedOn(const Candidate& from, const std::vector<double>& x, const Candidate& to) const {
    std::vector<double> carried;
    std::size_t next = 0;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        Values values = neutral();
        takeFrom(x, next, shape(from, q), values);
        appendTo(carried, shape(to, q), values);
    }
    return carried;
}

std::vector<bool> Space::freeOf(const Candidate& c) const {
    std::vector<bool> free(common_.size(), false);
    free.resize(common_.size() + static_cast<std::size_t>(c.parts), true);
    return free;
}

tune::Box Space::commonBox() const {
    tune::Box box;
    for (const network::Part& part : common_) {
        box.low.push_back(std::log(part.value));
        box.high.push_back(std::log(part.value));
    }
    return box;
}

tune::Box Space::wholeBoxOf(const Candidate& c) const {
    tune::Box box = commonBox();
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        appendTo(box, shape(c, q));
    }
    return box;
}

tune::Box Space::boxOf(const Candidate& c) const {
    tune::Box box;
    for (std::size_t q = 0; q < ways_.size(); ++q) {
        appendTo(box, shape(c, q));
    }
    return box;
}

} // namespace yf::find
