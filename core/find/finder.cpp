// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/finder.h"

#include "core/base/parallel.h"
#include "core/find/space.h"

#include <algorithm>
#include <atomic>
#include <limits>
#include <map>
#include <mutex>
#include <tuple>

namespace yf::find {

namespace {

constexpr std::size_t coarsePoints = 64; // one block of the solver
constexpr std::size_t finePoints = 128;

double worthOf(double rms) {
    constexpr double least = 0.01;
    return worth * rms - least;
}

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
    Space space;
    std::vector<std::vector<Candidate>> levels; ///< by number of parts
    std::map<Candidate, Tried> tried;
    std::vector<Point> front;
    /// Best of each number of parts that the front has no use for while values are exact: with
    /// values of a series more parts can be worth it.
    std::vector<Point> reserve;
    std::vector<std::optional<Point>> rounded; ///< of front and reserve
    int beyond{};                ///< numbers of parts tried since the floor was reached
    std::vector<double> richest; ///< dB rms of the richest networks
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
          fine(thinned(plan.base, finePoints)), space(plan, coarse) {
        for (std::size_t q = 0; q < plan.crossings.size(); ++q) {
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
        total = space.whole();
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

    [[nodiscard]] tune::Objective objectiveOf(const Candidate& c,
                                              const std::vector<double>& x,
                                              const tune::Problem& problem) const {
        return {
            space.circuitOf(c, x), problem.loads, problem.factors, space.freeOf(c), problem.goal};
    }

    /// A few steps from the best starts.
    [[nodiscard]] Tried coarsely(const Candidate& c) const {
        auto starts = space.starts(c);
        for (const Candidate& parent : space.simplerThan(c)) {
            const auto known = tried.find(parent);
            if (known != tried.end() && !known->second.x.empty()) {
                starts.push_back(space.carriedOn(parent, known->second.x, c));
            }
        }
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
                              space.boxOf(c),
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
        auto found = tune::descend(objective, from.x, space.boxOf(c), upTo(steps, goOn));
        // What is a film capacitor and what is not shows only now.
        tune::Objective again = objectiveOf(c, found.x, fine);
        found = tune::descend(again, found.x, space.boxOf(c), upTo(steps / 4, goOn));
        return {found.x, from.coarse, found.standing.cost, found.standing.rms(), true};
    }

    [[nodiscard]] tune::Problem problemOf(const Candidate& c, const std::vector<double>& x) const {
        tune::Problem problem = plan.base;
        problem.circuit = space.circuitOf(c, x);
        problem.free = space.freeOf(c);
        problem.box = space.wholeBoxOf(c);
        problem.starts = 1;
        return problem;
    }

    [[nodiscard]] Point pointOf(const Candidate& c, tune::Found found) const {
        Point point{.found = std::move(found),
                    .shapes = space.shapesOf(c),
                    .parts = c.parts + space.commonParts()};
        point.price = plan.prices.of(network::parts(point.found.circuit));
        return point;
    }

    [[nodiscard]] bool isHopeful(const Candidate& c, const Tried& t) const {
        const double price = pointOf(c, {.circuit = space.circuitOf(c, t.x)}).price;
        return std::ranges::none_of(front, [&](const Point& p) {
            return p.parts <= c.parts + space.commonParts() && p.price <= price &&
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
        if (ranked.empty() && plan.series) {
            const auto cost = [&](const Candidate& c) { return tried.at(c).cost; };
            const auto best = std::ranges::min_element(candidates, {}, cost);
            ranked.emplace_back(cost(*best), &*best);
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
        constexpr std::size_t kept = 2;
        for (std::size_t i = 0; i < points.size(); ++i) {
            if (points[i]) {
                if (i < kept) {
                    reserve.push_back(*points[i]);
                }
                insert(front, std::move(*points[i]));
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
        std::vector<Point> all = front;
        for (const Point& point : reserve) {
            const auto same = [&](const Point& other) {
                return other.found.circuit == point.found.circuit;
            };
            if (std::ranges::none_of(front, same)) {
                all.push_back(point);
            }
        }
        rounded.resize(all.size());
        const tune::GoOn asked = [this](const auto&, const auto&) { return ask(); };
        const bool finishedAll = finishAll(all.size(), [&](std::size_t i) {
            Point point = all[i];
            tune::Problem problem = plan.base;
            problem.circuit = point.found.circuit;
            problem.starts = 1;
            problem.box = space.commonBox();
            problem.free.assign(problem.box.low.size(), false);
            problem.free.resize(static_cast<std::size_t>(point.parts), true);
            for (const Shape& shape : point.shapes) {
                appendTo(problem.box, shape);
            }
            point.found = tune::snapped(problem, {.series = plan.series}, asked);
            if (!point.found.allowed) {
                return;
            }
            point.price = plan.prices.of(network::parts(point.found.circuit));
            rounded[i] = std::move(point);
        });
        if (!finishedAll) {
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
            space.tuneAlone(goOn);
            if (!stopped) {
                space.narrow();
                levels = space.levels();
                total = 0;
                for (const auto& some : levels) {
                    total += some.size();
                }
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
            constexpr int further = 4;
            beyond += reached && plan.series ? 1 : 0;
            if (level == levels.size() || (reached && (!plan.series || beyond > further))) {
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
    return state_->space.whole();
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
