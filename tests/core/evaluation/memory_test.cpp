// SPDX-License-Identifier: GPL-3.0-or-later
// No stale result, ever: after each of thousands of random edits, an evaluation that remembers what
// it computed before says bit for bit what one says that remembers nothing.
#include "core/base/digest.h"
#include "core/edit/bench.h"
#include "core/edit/box.h"
#include "core/edit/circuit.h"
#include "core/edit/front.h"
#include "core/edit/intake.h"
#include "core/edit/lane.h"
#include "core/edit/measurement.h"
#include "core/edit/network.h"
#include "core/edit/parts.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/findings/assess.h"
#include "core/network/circuit/ladder_edit.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <cstdio>
#include <cstdlib>
#include <random>

namespace yf::test {

namespace {

using job::Job;

/// Draws edits that a person could make, of everything that an evaluation looks at.
class Hands {
public:
    explicit Hands(unsigned seed) : random_(seed) {}

    int upTo(int n) { return std::uniform_int_distribution(0, n - 1)(random_); }

    double between(double a, double b) { return std::uniform_real_distribution(a, b)(random_); }

    template <class T>
    const T& oneOf(const std::vector<T>& all) {
        return all[static_cast<std::size_t>(upTo(static_cast<int>(all.size())))];
    }

    edit::Edit draw(const Job& job) {
        const job::Cabinet& c = oneOf(job.cabinets);
        constexpr int kinds = 24;
        switch (upTo(kinds)) {
        case 0:
        case 1:
        case 2:
        case 3:
            return part(c);
        case 4:
            return edit::reverseDriver(c.id, static_cast<std::size_t>(upTo(3)), "x");
        case 5:
            return edit::changeTarget(
                c.id, {.from = between(50, 300), .to = between(4000, 18000), .tolerance = 2.0});
        case 6:
        case 7:
            return edit::shiftDriver(c.id, moved(c), "");
        case 8:
            return edit::moveDriver(c.id, moved(c), "");
        case 9:
            return seat(c);
        case 10:
            return outline(c);
        case 11:
            return driver(job);
        case 12:
        case 13:
            return atAngle(job, c);
        case 14:
            return trust(job);
        case 15:
            return another(job, c);
        case 16:
            return sheet(job);
        case 17:
            return reading(c);
        case 18:
            return protector(c);
        case 19:
            return box(job, c);
        case 20:
            return edit::concludeDriver(oneOf(c.mounts).driver,
                                        static_cast<job::Condition>(upTo(4)));
        case 21:
            return edit::changeNominal(oneOf(c.mounts).driver, upTo(2) == 0 ? 4.0 : 8.0);
        case 22:
            return edit::changeEdge(c.id, job::FrontEdge::round, between(0.0, 0.03));
        default:
            return edit::separateAmplifiers(c.id, upTo(2) == 0);
        }
    }

private:
    edit::Edit part(const job::Cabinet& c) {
        const auto parts = network::parts(c.circuit);
        if (parts.empty()) {
            return edit::changeTitle("x");
        }
        network::Part p = oneOf(parts);
        switch (upTo(4)) {
        case 0:
            return edit::stepPart(c.id, p.id, network::ESeries::E12, upTo(2) == 0 ? 1 : -1, "");
        case 1:
            return edit::removePart(c.id, p.id);
        case 2:
            p.value *= between(0.8, 1.25);
            return edit::changePart(c.id, p);
        default:
            return edit::insertPart(c.id, {static_cast<std::size_t>(upTo(3)), 0, upTo(2) == 0}, p);
        }
    }

    job::Mount moved(const job::Cabinet& c) {
        job::Mount m = oneOf(c.mounts);
        m.x += between(-0.01, 0.01);
        m.y += between(-0.02, 0.02);
        m.z += upTo(2) == 0 ? between(-0.01, 0.01) : 0.0;
        return m;
    }

    edit::Edit seat(const job::Cabinet& c) {
        job::Seat s = c.seat;
        s.axis = upTo(2) == 0 ? std::nullopt : std::optional(between(-0.1, 0.3));
        s.distance = between(1.0, 4.0);
        return edit::changeSeat(c.id, s, "");
    }

    edit::Edit outline(const job::Cabinet& c) {
        edit::Outline o = edit::outlineOf(c);
        o.height *= between(1.0, 1.02);
        o.width *= between(1.0, 1.02);
        o.depth = between(0.25, 0.4);
        return edit::changeOutline(c.id, o);
    }

    edit::Edit driver(const Job& job) {
        const job::Driver& d = oneOf(job.drivers);
        edit::DriverData data = edit::dataOf(d);
        switch (upTo(3)) {
        case 0:
            data.name += "'";
            break;
        case 1:
            data.diameter *= between(0.95, 1.05);
            break;
        default:
            data.band = static_cast<job::Band>(upTo(5));
        }
        return edit::changeDriver(d.id, data);
    }

    /// Another measurement of a driver, at an angle, on its axis or of the whole cabinet.
    edit::Edit atAngle(const Job& job, const job::Cabinet& c) {
        const job::Driver& d = *job::findDriver(job, oneOf(c.mounts).driver);
        const job::Take* own = job::takeInUse(job, d, job::TakeKind::response);
        if (own == nullptr) {
            return edit::changeTitle("y");
        }
        job::Take take = *own;
        std::vector<curve::Complex> values = own->curve->values();
        const double less = between(0.4, 1.1);
        for (std::size_t k = 0; k < values.size(); ++k) {
            values[k] *=
                1.0 + (less - 1.0) * static_cast<double>(k) / static_cast<double>(values.size());
        }
        take.curve = std::make_shared<const curve::Curve>(
            own->curve->frequencies(), std::move(values), own->curve->phase());
        take.recorded = {};
        take.recorded.cabinet = c.id;
        take.recorded.driver = upTo(5) == 0 ? "" : d.id;
        take.recorded.device = "test";
        take.recorded.angle = 15.0 * upTo(4);
        return edit::addRecordedTake(take);
    }

    edit::Edit trust(const Job& job) {
        const job::Take& take = oneOf(job.takes);
        const curve::Range all = take.curve->extent();
        return edit::trustTake(take.id, {all.from * between(1.0, 2.0), all.to});
    }

    /// Another measurement of the job becomes the one in use.
    edit::Edit another(const Job& job, const job::Cabinet& c) {
        return edit::useTake(oneOf(c.mounts).driver, oneOf(job.takes).id);
    }

    edit::Edit sheet(const Job& job) {
        const job::Driver& d = oneOf(job.drivers);
        driver::Part part = d.sheet;
        part.Sd = upTo(3) == 0 ? std::nullopt : std::optional(between(0.005, 0.03));
        part.Xmax = between(0.002, 0.01);
        if (upTo(2) == 0) {
            part.model.Re = 5.8;
            part.model.fs = between(30, 80);
            part.model.Qms = 4.0;
            part.model.Qes = 0.45;
            part.Vas = 0.04;
        } else {
            part.model = {};
        }
        return edit::changeSheet(d.id, part, d.place);
    }

    edit::Edit reading(const job::Cabinet& c) {
        static const std::vector<std::pair<std::string, std::string>> seen{
            {"push", "scrape"}, {"push", "even"}, {"look_smell", "nothing"}, {"dcr", "normal"}};
        const auto& [check, outcome] = oneOf(seen);
        job::BenchReading r;
        r.check = check;
        r.outcome = outcome;
        r.cabinet = c.id;
        r.driver = oneOf(c.mounts).driver;
        if (check == "dcr") {
            r.ohms = {between(3.0, 8.0)};
        }
        return edit::addReading(r);
    }

    edit::Edit protector(const job::Cabinet& c) {
        if (upTo(3) == 0) {
            return edit::setNoControls(c.id, upTo(2) == 0);
        }
        return edit::putProtector(c.id,
                                  {.kind = job::ProtectorKind::fuse,
                                   .driver = oneOf(c.mounts).driver,
                                   .state = static_cast<job::ProtectorState>(upTo(4))});
    }

    edit::Edit box(const Job& job, const job::Cabinet& c) {
        if (c.boxes.empty()) {
            return edit::changeTitle(
                "z"); // boxes are slow to compute: only jobs that begin with one
        }
        job::Enclosure e = oneOf(c.boxes);
        switch (upTo(4)) {
        case 0:
            e.fill = static_cast<job::Fill>(upTo(4));
            break;
        case 1:
            e.braces = {between(0.1, 0.2)};
            break;
        case 2:
            e.voltage = between(2.0, 10.0);
            break;
        default:
            static_cast<void>(job);
            e.crossoverVolume = between(0.0, 1e-3);
        }
        return edit::changeBox(c.id, e, "box");
    }

    std::mt19937 random_;
};

/// A job to begin with: the small demo, or one cabinet of the hall, with a box or without.
Job firstJob(unsigned seed) {
    if (seed % 25 != 0) {
        return demoJob();
    }
    Job job = hallJob();
    job.readings.clear();
    if (seed % 50 == 0) {
        for (job::Cabinet& c : job.cabinets) {
            c.boxes.clear();
        }
    }
    return job;
}

struct Count {
    int edits{};
    int refused{};
    int differing{};
    evaluation::Reuse reuse;
};

Count walk(unsigned seed, int edits) {
    Count count;
    Hands hands(seed);
    std::vector<Job> states{firstJob(seed)};
    evaluation::Memory memory;
    const evaluation::Tables tables = evaluation::Tables::shipped();
    for (int i = 0; i < edits; ++i) {
        ++count.edits;
        // Now and then back to where the job was before, as by undo or a snapshot.
        if (hands.upTo(12) == 0) {
            states.push_back(hands.oneOf(states));
        } else {
            const edit::Edit edit = hands.draw(states.back());
            auto changed = edit.apply(states.back());
            if (!changed) {
                ++count.refused;
                continue;
            }
            states.push_back(std::move(*changed));
        }
        const Job& job = states.back();
        const evaluation::Assembly quick = evaluation::assemble(job, memory);
        const auto remembered = evaluation::evaluate(job, quick, tables, memory);
        evaluation::Memory none;
        const evaluation::Assembly slow = evaluation::assemble(job, none);
        const auto fresh = evaluation::evaluate(job, slow, tables, none);
        const bool same = remembered == fresh && findings::assess(job, quick, remembered) ==
                                                     findings::assess(job, slow, fresh);
        count.differing += same ? 0 : 1;
    }
    count.reuse = memory.reuse();
    return count;
}

} // namespace

TEST(Memory, saysBitForBitWhatIsSaidWithoutIt) {
    Count all;
    const char* wanted = std::getenv("YF_EDITS");
    const int each = wanted == nullptr ? 24 : std::atoi(wanted);
    for (unsigned seed = 1; seed <= 50; ++seed) {
        const Count one = walk(seed, each);
        EXPECT_EQ(one.differing, 0) << "seed " << seed;
        all.edits += one.edits;
        all.refused += one.refused;
        all.differing += one.differing;
        all.reuse.taken += one.reuse.taken;
        all.reuse.computed += one.reuse.computed;
    }
    const double share = static_cast<double>(all.reuse.taken) /
                         static_cast<double>(all.reuse.taken + all.reuse.computed);
    std::printf("edits %d, of them refused %d, differing %d; parts reused %.1f %%\n",
                all.edits,
                all.refused,
                all.differing,
                100.0 * share);
    EXPECT_GE(all.edits - all.refused, 40 * each);
    EXPECT_GT(share, 0.6) << "a memory that keeps nothing is none";
}

// What was found in the code before: a driver that was moved, measured once more at an angle.
TEST(Memory, seesAMovedDriversNewMeasurementAtAnAngle) {
    job::Mount to = hallJob().cabinets.front().mounts.back();
    to.x += 0.05;
    to.y -= 0.1;
    const Job sawn = edited(hallJob(), edit::shiftDriver("left", to, ""));
    job::Take take =
        *job::takeInUse(sawn, *job::findDriver(sawn, to.driver), job::TakeKind::response);
    for (const double angle : {0.0, 30.0}) {
        std::vector<curve::Complex> values = take.curve->values();
        for (curve::Complex& v : values) {
            v *= angle == 0.0 ? 1.0 : 0.3;
        }
        take.curve = std::make_shared<const curve::Curve>(
            take.curve->frequencies(), std::move(values), take.curve->phase());
        take.recorded = {};
        take.recorded.driver = to.driver;
        take.recorded.device = "test";
        take.recorded.angle = angle;
        evaluation::Memory memory;
        const evaluation::Tables tables = evaluation::Tables::shipped();
        const auto before =
            evaluation::evaluate(sawn, evaluation::assemble(sawn, memory), tables, memory);
        const Job after = edited(sawn, edit::addRecordedTake(take));
        const auto quick =
            evaluation::evaluate(after, evaluation::assemble(after, memory), tables, memory);
        EXPECT_EQ(quick, evaluation::evaluate(after)) << angle;
    }
}

} // namespace yf::test
