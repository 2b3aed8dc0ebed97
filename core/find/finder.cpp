// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/finder.h"

#include "core/base/parallel.h"
#include "core/find/start.h"
#include "core/network/ladder_edit.h"

#include <algorithm>
#include <atomic>
#include <cmath>
#include <limits>
#include <map>
#include <mutex>
#include <set>
#include <tuple>

namespace yf::find {

namespace {

constexpr std::size_t coarsePoints = 64; // one block of the solver
constexpr std::size_t finePoints = 128;
constexpr int orderCount = 2; // of the slopes that starts are made for
constexpr int slopeOrders[orderCount] = {2, 4};
/// So much flatter a network must be to be worth its parts: 3 % and 0.01 dB.
constexpr double worth = 0.97;

double worthOf(double rms) {
    constexpr double least = 0.01;
    return worth * rms - least;
}

/// One way and what its shapes can do.
struct Way {
    Rank rank{};
    std::vector<Shape> shapes;
    std::vector<std::vector<Alone>> alone; ///< [shape][combination]
};

/// A whole network without its values.
struct Candidate {
    std::vector<std::size_t> shapes; ///< of each way, places in Way::shapes
    unsigned turned{};               ///< bit q−1: way q upside down
    int parts{};

    bool operator<(const Candidate& other) const {
        return std::tie(parts, shapes, turned) < std::tie(other.parts, other.shapes, other.turned);
    }
};

/// What a candidate came to.
struct Tried {
    std::vector<double> x;                                  ///< ln(value), all parts
    double coarse{std::numeric_limits<double>::infinity()}; ///< cost on few points
    double cost{std::numeric_limits<double>::infinity()};
    double rms{std::numeric_limits<double>::infinity()};
    bool fine{};
};

tune::GoOn upTo(int steps, const std::function<bool()>& goOn) {
    return [steps, done = 0, &goOn](const auto&, const auto&) mutable {
        return ++done <= steps && goOn();
    };
}

bool beats(const Point& a, const Point& b) {
    return a.parts <= b.parts && a.price <= b.price &&
           a.found.standing.rms() <= b.found.standing.rms();
}

void order(std::vector<Point>& front) {
    std::ranges::sort(front, [](const Point& a, const Point& b) {
        return std::make_tuple(a.parts, a.price, a.found.standing.rms()) <
               std::make_tuple(b.parts, b.price, b.found.standing.rms());
    });
}

/// Puts a point among the others unless one of them is as good; takes away those it beats.
void insert(std::vector<Point>& front, Point point) {
    const double rms = point.found.standing.rms();
    for (const Point& other : front) {
        if (other.parts <= point.parts && other.price <= point.price &&
            worthOf(other.found.standing.rms()) <= rms) {
            return;
        }
    }
    std::erase_if(front, [&](const Point& other) { return beats(point, other); });
    front.push_back(std::move(point));
    order(front);
}

} // namespace

struct Finder::State {
    Plan plan;
    tune::Problem coarse;
    tune::Problem fine;
    std::vector<network::DriverEnd> ends;
    std::vector<std::string> names; ///< of the ways, may be empty
    std::vector<Way> ways;
    std::size_t perPair{}; ///< frequencies that each crossing is started from
    std::size_t whole{};
    std::vector<std::vector<Candidate>> levels; ///< by number of parts
    std::map<Candidate, Tried> tried;
    std::vector<Point> front;
    std::vector<std::optional<Point>> rounded; ///< of the front
    std::vector<double> richest;               ///< dB rms of the richest networks
    /// What of a step was finished when the search was stopped.
    std::vector<char> finished;
    double floor{}; ///< dB rms, the least of those
    enum class Stage { alone, richest, levels, rounding, done } stage{};
    std::size_t level{};
    std::size_t done{};
    std::size_t total{};

    std::mutex mutex;
    std::atomic<bool> stopped{false};
    const Watch* watch{};
    std::function<bool()> goOn;

    explicit State(Plan p)
        : plan(std::move(p)), coarse(thinned(plan.base, coarsePoints)),
          fine(thinned(plan.base, finePoints)), ends(network::driverEnds(plan.base.circuit)) {
        for (std::size_t q = 0; q < ends.size(); ++q) {
            const network::Section* way = network::waySection(plan.base.circuit, q);
            names.push_back(way == nullptr ? std::string() : way->name);
        }
        for (std::size_t q = 0; q + 1 < ends.size() && q < plan.crossings.size(); ++q) {
            const tune::Crossing crossing{q, plan.crossings[q].from, plan.crossings[q].to};
            plan.base.goal.crossings.push_back(crossing);
            coarse.goal.crossings.push_back(crossing);
            fine.goal.crossings.push_back(crossing);
        }
        // What is told of a network before it is verified is to be what it comes to within floor
        // and limits.
        constexpr double harder = 4.0;
        fine.goal.floorFactor *= harder;
        fine.goal.limitFactor *= harder;
        perPair = ends.size() == 2 ? 3 : 2;
        whole = 1U << (ends.size() - 1);
        for (std::size_t q = 0; q < ends.size(); ++q) {
            const Rank rank = rankOf(q, ends.size());
            ways.push_back({rank, shapes(rank, plan.orders, plan.extras), {}});
            whole *= ways.back().shapes.size();
        }
        total = whole;
        goOn = [this] { return ask(); };
    }

    bool ask() {
        if (stopped) {
            return false;
        }
        const std::scoped_lock lock(mutex);
        if (!stopped && *watch && !(*watch)({done, total, front})) {
            stopped = true;
        }
        return !stopped;
    }

    void count() {
        const std::scoped_lock lock(mutex);
        ++done;
    }

    /// A crossing's n-th frequency to start from.
    [[nodiscard]] double frequency(std::size_t pair, std::size_t n) const {
        const curve::Range& band = plan.crossings[pair];
        const double share = (static_cast<double>(n) + 0.5) / static_cast<double>(perPair);
        return band.from * std::pow(band.to / band.from, share);
    }

    /// Place in Way::alone of one choice of frequencies and slope.
    [[nodiscard]] std::size_t
    aloneIndex(std::size_t q, const std::vector<std::size_t>& at, std::size_t slope) const {
        const std::size_t low = q > 0 ? at[q - 1] : 0;
        const std::size_t high = q + 1 < ends.size() ? at[q] : 0;
        return (low * perPair + high) * orderCount + slope;
    }

    void tuneAlone() {
        struct Task {
            std::size_t way, shape, low, high, slope;
        };

        std::vector<Task> tasks;
        for (std::size_t q = 0; q < ways.size(); ++q) {
            Way& way = ways[q];
            way.alone.resize(way.shapes.size(), std::vector<Alone>(perPair * perPair * orderCount));
            for (std::size_t s = 0; s < way.shapes.size(); ++s) {
                const std::size_t lows = q > 0 ? perPair : 1;
                const std::size_t highs = q + 1 < ways.size() ? perPair : 1;
                for (std::size_t i = 0; !way.shapes[s].pad && i < lows * highs * orderCount; ++i) {
                    tasks.push_back(
                        {q, s, i / orderCount / highs, i / orderCount % highs, i % orderCount});
                }
            }
        }
        inParallel(tasks.size(), [&](std::size_t i) {
            const Task& t = tasks[i];
            Alone& alone =
                ways[t.way].alone[t.shape][(t.low * perPair + t.high) * orderCount + t.slope];
            if (alone.rms > 0.0 || !ask()) {
                return;
            }
            Slope slope{.order = slopeOrders[t.slope]};
            if (t.way > 0) {
                slope.fxLow = frequency(t.way - 1, t.low);
            }
            if (t.way + 1 < ways.size()) {
                slope.fxHigh = frequency(t.way, t.high);
            }
            alone = tunedAlone(coarse, t.way, ways[t.way].shapes[t.shape], slope);
        });
        // A pad changes a level, not a slope: the shape without it tells.
        for (Way& way : ways) {
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

    [[nodiscard]] double bestAlone(const Way& way, std::size_t s) const {
        double best = std::numeric_limits<double>::infinity();
        for (const Alone& alone : way.alone[s]) {
            best = alone.rms > 0.0 ? std::min(best, alone.rms) : best;
        }
        return best;
    }

    /// Keeps so many shapes of a way (pads not counted): the best of each number of parts, the few
    /// parts first, then the second best and so on.
    void keepBest(Way& way, std::size_t most) const {
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

    void enumerate() {
        constexpr std::size_t enough = 10000;
        const auto product = [&] {
            std::size_t all = 1U << (ways.size() - 1);
            for (const Way& way : ways) {
                all *= way.shapes.size();
            }
            return all;
        };
        for (std::size_t most = 16; ways.size() > 2 && most > 3 && product() > enough; --most) {
            for (Way& way : ways) {
                keepBest(way, way.rank == Rank::middle ? most : most / 2 + 1);
            }
        }
        std::set<Candidate> all;
        const unsigned patterns = 1U << (ways.size() - 1);
        std::vector<std::size_t> place(ways.size(), 0);
        for (;;) {
            Candidate candidate{.shapes = place};
            for (std::size_t q = 0; q < ways.size(); ++q) {
                candidate.parts += ways[q].shapes[place[q]].parts();
            }
            if (!plan.maxParts || candidate.parts <= *plan.maxParts) {
                for (candidate.turned = 0; candidate.turned < patterns; ++candidate.turned) {
                    all.insert(candidate);
                }
            }
            std::size_t q = 0;
            while (q < ways.size() && ++place[q] == ways[q].shapes.size()) {
                place[q++] = 0;
            }
            if (q == ways.size()) {
                break;
            }
        }
        for (const Candidate& candidate : all) {
            if (levels.empty() || levels.back().front().parts != candidate.parts) {
                levels.emplace_back();
            }
            levels.back().push_back(candidate);
        }
        total = all.size();
        done = 0;
    }

    [[nodiscard]] const Shape& shape(const Candidate& c, std::size_t q) const {
        return ways[q].shapes[c.shapes[q]];
    }

    [[nodiscard]] network::Circuit circuitOf(const Candidate& c,
                                             const std::vector<double>& x) const {
        std::vector<network::Section> sections;
        std::size_t next = 0;
        for (std::size_t q = 0; q < ways.size(); ++q) {
            Values values{};
            takeFrom(x, next, shape(c, q), values);
            network::DriverEnd end = ends[q];
            end.polarity = q > 0 && (c.turned >> (q - 1) & 1U) != 0U ? -1 : 1;
            sections.push_back(section(shape(c, q), values, end, wireOf(ways[q].rank)));
            sections.back().name = names[q];
        }
        return assembled(plan.base.circuit.source, std::move(sections));
    }

    /// Where the ways by themselves would start.
    [[nodiscard]] std::vector<double>
    startOf(const Candidate& c, const std::vector<std::size_t>& at, std::size_t slope) const {
        double least = std::numeric_limits<double>::infinity();
        for (std::size_t q = 0; q < ways.size(); ++q) {
            least = std::min(least, ways[q].alone[c.shapes[q]][aloneIndex(q, at, slope)].level);
        }
        std::vector<double> x;
        for (std::size_t q = 0; q < ways.size(); ++q) {
            const Alone& alone = ways[q].alone[c.shapes[q]][aloneIndex(q, at, slope)];
            Values values = alone.values;
            if (shape(c, q).pad) {
                setPad(values, alone.level - least, q);
            }
            appendTo(x, shape(c, q), values);
        }
        return x;
    }

    void setPad(Values& values, double dB, std::size_t q) const {
        constexpr double slight = 0.5;
        const network::Loads& loads = coarse.loads.loads();
        const double R = std::max(1.0, loads.drivers[*loads.find(ends[q].driver)].dcResistance) *
                         ends[q].ratio();
        const double k = std::pow(10.0, -std::max(dB, slight) / 20.0);
        values[static_cast<std::size_t>(Role::padSeries)] = R * (1.0 - k);
        values[static_cast<std::size_t>(Role::padShunt)] = R * k / (1.0 - k);
    }

    /// What simpler networks came to, the part more being next to nothing.
    void addParents(const Candidate& c, std::vector<std::vector<double>>& starts) const {
        for (std::size_t q = 0; q < ways.size(); ++q) {
            for (const Shape& less : simpler(shape(c, q), plan.orders)) {
                const auto place = std::ranges::find(ways[q].shapes, less);
                if (place == ways[q].shapes.end()) {
                    continue;
                }
                Candidate parent = c;
                parent.shapes[q] = static_cast<std::size_t>(place - ways[q].shapes.begin());
                parent.parts += less.parts() - shape(c, q).parts();
                const auto known = tried.find(parent);
                if (known == tried.end() || known->second.x.empty()) {
                    continue;
                }
                std::vector<double> x;
                std::size_t next = 0;
                for (std::size_t r = 0; r < ways.size(); ++r) {
                    Values values = neutral();
                    takeFrom(known->second.x, next, shape(parent, r), values);
                    appendTo(x, shape(c, r), values);
                }
                starts.push_back(std::move(x));
            }
        }
    }

    [[nodiscard]] tune::Box boxOf(const Candidate& c) const {
        tune::Box box;
        for (std::size_t q = 0; q < ways.size(); ++q) {
            appendTo(box, shape(c, q));
        }
        return box;
    }

    [[nodiscard]] tune::Objective objectiveOf(const Candidate& c,
                                              const std::vector<double>& x,
                                              const tune::Problem& problem) const {
        return {circuitOf(c, x),
                problem.loads,
                problem.factors,
                std::vector<bool>(static_cast<std::size_t>(c.parts), true),
                problem.goal};
    }

    /// A few steps from the best starts.
    [[nodiscard]] Tried coarsely(const Candidate& c) const {
        std::vector<std::vector<double>> starts;
        std::vector<std::size_t> at(ways.size() - 1, 0);
        for (;;) {
            for (std::size_t slope = 0; slope < orderCount; ++slope) {
                starts.push_back(startOf(c, at, slope));
            }
            std::size_t pair = 0;
            while (pair < at.size() && ++at[pair] == perPair) {
                at[pair++] = 0;
            }
            if (pair == at.size()) {
                break;
            }
        }
        addParents(c, starts);
        tune::Objective objective = objectiveOf(c, starts.front(), coarse);
        std::vector<std::pair<double, std::size_t>> ranked;
        for (std::size_t i = 0; i < starts.size(); ++i) {
            ranked.emplace_back(objective.value(starts[i]).cost, i);
        }
        std::ranges::sort(ranked);
        Tried best;
        constexpr int steps = 6;
        for (std::size_t i = 0; i < static_cast<std::size_t>(plan.starts); ++i) {
            const bool another = i + 1 == static_cast<std::size_t>(plan.starts) && i > 0;
            const std::vector<double>& first = starts[ranked.front().second];
            const auto found =
                tune::descend(objective,
                              another || i >= ranked.size() ? tune::shaken(first, 1, plan.seed + i)
                                                            : starts[ranked[i].second],
                              boxOf(c),
                              upTo(steps, goOn));
            if (found.standing.cost < best.cost) {
                best = {found.x, found.standing.cost, found.standing.cost, found.standing.rms()};
            }
        }
        return best;
    }

    [[nodiscard]] Tried finely(const Candidate& c, const Tried& from) const {
        constexpr int steps = 80;
        tune::Objective objective = objectiveOf(c, from.x, fine);
        auto found = tune::descend(objective, from.x, boxOf(c), upTo(steps, goOn));
        // What is a film capacitor and what is not shows only now.
        tune::Objective again = objectiveOf(c, found.x, fine);
        found = tune::descend(again, found.x, boxOf(c), upTo(steps / 4, goOn));
        return {found.x, from.coarse, found.standing.cost, found.standing.rms(), true};
    }

    [[nodiscard]] tune::Problem problemOf(const Candidate& c, const std::vector<double>& x) const {
        tune::Problem problem = plan.base;
        problem.circuit = circuitOf(c, x);
        problem.free.assign(static_cast<std::size_t>(c.parts), true);
        problem.box = boxOf(c);
        problem.starts = 1;
        return problem;
    }

    [[nodiscard]] Point pointOf(const Candidate& c, tune::Found found) const {
        Point point{.found = std::move(found), .shapes = {}, .parts = c.parts};
        for (std::size_t q = 0; q < ways.size(); ++q) {
            point.shapes.push_back(shape(c, q));
        }
        for (const network::Part& part : network::parts(point.found.circuit)) {
            point.price += plan.prices.of(part);
        }
        return point;
    }

    [[nodiscard]] bool isHopeful(const Candidate& c, const Tried& t) const {
        const double price = pointOf(c, {.circuit = circuitOf(c, t.x)}).price;
        return std::ranges::none_of(front, [&](const Point& p) {
            return p.parts <= c.parts && p.price <= price &&
                   worthOf(p.found.standing.rms()) <= t.rms;
        });
    }

    /// Verifies the most hopeful of a level and puts what holds into the front.
    void verify(const std::vector<Candidate>& candidates) {
        std::vector<std::pair<double, const Candidate*>> ranked;
        for (const Candidate& c : candidates) {
            const Tried& t = tried.at(c);
            if (t.fine && isHopeful(c, t)) {
                ranked.emplace_back(t.cost, &c);
            }
        }
        std::ranges::sort(ranked);
        constexpr std::size_t most = 6;
        ranked.resize(std::min(ranked.size(), most));
        std::vector<std::optional<Point>> points(ranked.size());
        const tune::GoOn asked = [this](const auto&, const auto&) { return ask(); };
        inParallel(ranked.size(), [&](std::size_t i) {
            const Candidate& c = *ranked[i].second;
            tune::Found found = tune::tuneValues(problemOf(c, tried.at(c).x), asked);
            if (found.allowed) {
                points[i] = pointOf(c, std::move(found));
            }
        });
        if (stopped) {
            return;
        }
        for (auto& point : points) {
            if (point) {
                insert(front, std::move(*point));
            }
        }
    }

    /// Work that may be stopped: what was finished by then stays. True when all is.
    bool finishAll(std::size_t count, const std::function<void(std::size_t)>& work) {
        finished.resize(count, 0);
        inParallel(count, [&](std::size_t i) {
            if (finished[i] == 0 && !stopped) {
                work(i);
                finished[i] = stopped ? 0 : 1;
            }
        });
        if (stopped) {
            return false;
        }
        finished.clear();
        return true;
    }

    /// All candidates of one number of parts.
    void tryLevel(const std::vector<Candidate>& candidates) {
        // Networks of as many parts are no parents of each other: what is known of some does not
        // change the others.
        std::vector<Tried> results(candidates.size());
        std::vector<char> known(candidates.size(), 0);
        inParallel(candidates.size(), [&](std::size_t i) {
            if (const auto before = tried.find(candidates[i]); before != tried.end()) {
                results[i] = before->second;
                known[i] = 1;
            } else if (!stopped) {
                results[i] = coarsely(candidates[i]);
                known[i] = stopped ? 0 : 1;
                count();
            }
        });
        keep(candidates, results, known);
        if (stopped) {
            return;
        }
        std::vector<std::size_t> ranked(candidates.size());
        for (std::size_t i = 0; i < ranked.size(); ++i) {
            ranked[i] = i;
        }
        std::ranges::stable_sort(ranked, {}, [&](std::size_t i) { return results[i].coarse; });
        constexpr std::size_t least = 16;
        constexpr std::size_t share = 4;
        ranked.resize(std::min(ranked.size(), std::max(least, ranked.size() / share)));
        inParallel(ranked.size(), [&](std::size_t i) {
            const std::size_t at = ranked[i];
            if (results[at].fine || stopped) {
                return;
            }
            Tried better = finely(candidates[at], results[at]);
            if (!stopped) {
                results[at] = std::move(better);
            }
        });
        keep(candidates, results, known);
        if (!stopped) {
            verify(candidates);
        }
    }

    void keep(const std::vector<Candidate>& candidates,
              const std::vector<Tried>& results,
              const std::vector<char>& known) {
        for (std::size_t i = 0; i < candidates.size(); ++i) {
            if (known[i] != 0) {
                tried[candidates[i]] = results[i];
            }
        }
        done = tried.size();
    }

    /// How flat it could become at all: the networks with the most parts.
    void tuneRichest() {
        const std::vector<Candidate>& candidates = levels.back();
        constexpr std::size_t most = 16;
        richest.resize(std::min(most, candidates.size()));
        if (finishAll(richest.size(), [&](std::size_t i) {
                richest[i] = finely(candidates[i], coarsely(candidates[i])).rms;
            })) {
            floor = *std::ranges::min_element(richest);
        }
    }

    /// Values of the series for every network of the front; those that can't hold floor and limits
    /// with them are dropped.
    void round() {
        rounded.resize(front.size());
        const tune::GoOn asked = [this](const auto&, const auto&) { return ask(); };
        const bool all = finishAll(front.size(), [&](std::size_t i) {
            Point point = front[i];
            tune::Problem problem = plan.base;
            problem.circuit = point.found.circuit;
            problem.free.assign(static_cast<std::size_t>(point.parts), true);
            problem.starts = 1;
            for (const Shape& shape : point.shapes) {
                appendTo(problem.box, shape);
            }
            point.found = tune::snapped(problem, *plan.series, asked);
            if (!point.found.allowed) {
                return;
            }
            point.price = 0.0;
            for (const network::Part& part : network::parts(point.found.circuit)) {
                point.price += plan.prices.of(part);
            }
            rounded[i] = std::move(point);
        });
        if (!all) {
            return;
        }
        std::vector<Point> kept;
        for (auto& point : rounded) {
            if (point) {
                insert(kept, std::move(*point));
            }
        }
        front = std::move(kept);
    }

    void step() {
        switch (stage) {
        case Stage::alone:
            tuneAlone();
            if (!stopped) {
                enumerate();
                stage = levels.empty() ? Stage::done : Stage::richest;
            }
            return;
        case Stage::richest:
            tuneRichest();
            stage = stopped ? Stage::richest : Stage::levels;
            return;
        case Stage::levels: {
            tryLevel(levels[level]);
            if (stopped) {
                return;
            }
            ++level;
            constexpr double asGood = 1.02;
            constexpr double nothing = 0.03; // dB that nobody would pay for
            const bool reached = std::ranges::any_of(front, [&](const Point& p) {
                return p.found.standing.rms() <= asGood * floor + nothing;
            });
            if (level == levels.size() || reached) {
                stage = plan.series ? Stage::rounding : Stage::done;
            }
            return;
        }
        case Stage::rounding:
            round();
            stage = stopped ? Stage::rounding : Stage::done;
            return;
        case Stage::done:
            return;
        }
    }
};

Finder::Finder(Plan plan) : state_(std::make_unique<State>(std::move(plan))) {}

Finder::~Finder() = default;
Finder::Finder(Finder&&) noexcept = default;
Finder& Finder::operator=(Finder&&) noexcept = default;

std::size_t Finder::candidates() const {
    return state_->whole;
}

bool Finder::run(const Watch& watch) {
    state_->watch = &watch;
    state_->stopped = false;
    while (!state_->stopped && state_->stage != State::Stage::done) {
        state_->step();
    }
    state_->watch = nullptr;
    return !state_->stopped;
}

const std::vector<Point>& Finder::front() const {
    return state_->front;
}

std::vector<Point> byParts(const std::vector<Point>& front) {
    std::vector<Point> best;
    for (const Point& point : front) {
        if (!best.empty() && best.back().parts == point.parts &&
            point.found.standing.rms() < best.back().found.standing.rms()) {
            best.pop_back();
        }
        if (best.empty() || point.found.standing.rms() < best.back().found.standing.rms()) {
            best.push_back(point);
        }
    }
    return best;
}

} // namespace yf::find
