// SPDX-License-Identifier: GPL-3.0-or-later
// A cabinet's drivers together: pairs, places, what helps, wiring from the cabinet's own take.
#include "core/edit/front.h"
#include "core/edit/lane.h"
#include "core/edit/measurement.h"
#include "core/edit/network.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/neighbours.h"
#include "core/evaluation/wiring_told.h"
#include "core/findings/judge.h"
#include "core/findings/rules.h"
#include "core/job/lookup.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/study/align.h"
#include "core/study/arrival.h"
#include "core/study/order_way.h"
#include "core/take/make.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

const job::Cabinet& left(const job::Job& job) {
    return *job::findCabinet(job, "left");
}

evaluation::CabinetResult resultOf(const job::Job& job) {
    return *evaluation::evaluate(job).find("left");
}

const job::Mount& mountOf(const job::Job& job, const char* driver) {
    return *std::ranges::find(left(job).mounts, driver, &job::Mount::driver);
}

/// The hall with the tweeter as it should be.
job::Job mended() {
    return edited(hallJob(), edit::reverseDriver("left", 2, "Teasel 26"));
}

/// A take of the whole cabinet with the driver's polarity other than drawn.
job::Job withWholeTake(const job::Job& job, std::optional<std::size_t> reversed) {
    const auto result = resultOf(job);
    std::vector<Complex> p = result.sum;
    for (std::size_t k = 0; reversed && k < p.size(); ++k) {
        p[k] -= 2.0 * result.ways[*reversed].pressure[k];
    }
    job::Take take{.kind = job::TakeKind::response, .name = "whole"};
    take.curve = std::make_shared<curve::Curve>(result.axis, p, curve::Phase::own);
    take.recorded.cabinet = "left";
    take.recorded.device = "test";
    return edited(job, edit::addRecordedTake(take));
}

bool found(const job::Job& job, const char* rule) {
    const auto assessment = findings::assess(job);
    return std::ranges::any_of(assessment.judgement.findings, [&](const findings::Finding& f) {
        return findings::rules()[f.rule].id == rule && f.subject.cabinet == "left";
    });
}

} // namespace

// The demo's reversed tweeter, its hole, and what is left after it is turned over.
TEST(Align, theDemosReversedTweeterIsToldAndMended) {
    const auto before = evaluation::neighbourhoods(hallJob(), resultOf(hallJob()));
    ASSERT_EQ(before.size(), 2U);
    EXPECT_LT(before[0].met->flipGain, -speaker::flipThreshold);
    EXPECT_GT(before[1].met->flipGain, speaker::flipThreshold);
    EXPECT_GT(before[1].loss, 6.0);
    EXPECT_TRUE(found(hallJob(), "align.reversed"));
    const auto after = evaluation::neighbourhoods(mended(), resultOf(mended()));
    EXPECT_NEAR(after[1].met->flipGain, -before[1].met->flipGain, 1e-9);
    EXPECT_LT(after[1].loss, 1.0);
    EXPECT_FALSE(found(mended(), "align.reversed"));
    // Bounds are those of the null's depth.
    EXPECT_NEAR(after[1].bounds->phase,
                2.0 * std::atan(std::pow(10.0, -*after[1].met->nullDepth / 20.0)),
                1e-12);
}

TEST(Align, theDialIsTheSumOfItsHands) {
    const auto result = resultOf(hallJob());
    for (const double f : {100.0, 600.0, 2600.0, 9000.0}) {
        const auto dial = study::dialAt(result, f);
        ASSERT_TRUE(dial.has_value());
        Complex sum;
        for (const study::Hand& hand : dial->hands) {
            sum += hand.pressure;
        }
        EXPECT_NEAR(std::abs(sum - dial->sum), 0.0, 1e-12 * std::abs(dial->sum) + 1e-15);
        EXPECT_NEAR(std::log2(dial->frequency / f), 0.0, 0.02);
    }
    EXPECT_FALSE(study::dialAt(result, 1.0).has_value());
}

// At the microphone the directions give the sum itself, whatever depth is thought of; elsewhere
// they do not.
TEST(Directions, beginWithTheMeasuredSum) {
    const auto result = resultOf(hallJob());
    const auto all = evaluation::directionsOf(hallJob(), left(hallJob()), result, 1);
    ASSERT_TRUE(all.has_value());
    const auto microphone = evaluation::microphoneOf(hallJob(), left(hallJob()), 1.0);
    const auto sum = speaker::sumAt(all->radiators, microphone, 1.0);
    for (std::size_t k = 0; k < sum.size(); ++k) {
        ASSERT_NEAR(std::abs(sum[k] / result.sum[k]), 1.0, 1e-9);
    }
    const auto map =
        evaluation::mapOf(*all, left(hallJob()).seat, quantity::Plane::vertical, 15, 90);
    EXPECT_EQ(map.angles.size(), 13U);
    EXPECT_EQ(map.levels.size(), 13U);
}

// Where a driver's sides were taken, the map says how far; a set of the other plane counts as far
// to either side as it goes to the wider one. Nothing taken, nothing said.
TEST(Directions, theMapSaysWhereTakesEnd) {
    const auto takenOf = [](const job::Job& job, quantity::Plane plane) {
        const auto all = evaluation::directionsOf(job, left(job), resultOf(job), 8);
        return evaluation::mapOf(*all, left(job).seat, plane, 15, 90).taken;
    };
    EXPECT_FALSE(takenOf(hallJob(), quantity::Plane::horizontal));
    job::Job job = hallJob();
    const job::Driver& tweeter = *job::findDriver(job, "left-teasel");
    const job::Take onAxis = *job::takeInUse(job, tweeter, job::TakeKind::response);
    for (const double angle : {0.0, 30.0, -45.0}) {
        job::Take take = onAxis;
        take.id = "side" + std::to_string(static_cast<int>(angle));
        take.recorded.cabinet = "left";
        take.recorded.driver = tweeter.id;
        take.recorded.place = job::MicPlace::farField;
        take.recorded.plane = quantity::Plane::horizontal;
        take.recorded.angle = angle;
        job.takes.push_back(take);
    }
    const auto horizontal = takenOf(job, quantity::Plane::horizontal);
    ASSERT_TRUE(horizontal);
    EXPECT_NEAR(horizontal->first, -45.0 * quantity::degree, 1e-9);
    EXPECT_NEAR(horizontal->second, 30.0 * quantity::degree, 1e-9);
    const auto vertical = takenOf(job, quantity::Plane::vertical);
    ASSERT_TRUE(vertical);
    EXPECT_NEAR(vertical->first, -45.0 * quantity::degree, 1e-9);
    EXPECT_NEAR(vertical->second, 45.0 * quantity::degree, 1e-9);
}

// A saw moves a driver: its curve goes on by path and distance; a corrected note moves nothing.
TEST(Directions, movedWoodIsHeardAndACorrectedNoteIsNot) {
    const auto before = resultOf(mended());
    job::Mount to = mountOf(mended(), "left-teasel");
    const double y0 = to.y;
    to.y -= 0.03;
    const job::Job noted = edited(mended(), edit::moveDriver("left", to, {}));
    EXPECT_EQ(resultOf(noted).sum, before.sum);
    to = mountOf(mended(), "left-teasel");
    to.z = -0.02;
    const job::Job sawn = edited(mended(), edit::shiftDriver("left", to, "drag"));
    ASSERT_TRUE(mountOf(sawn, "left-teasel").taken.has_value());
    EXPECT_EQ(mountOf(sawn, "left-teasel").taken->y, y0);
    // The twin of a mirrored pair goes along.
    EXPECT_TRUE(std::ranges::any_of(job::findCabinet(sawn, "right")->mounts,
                                    [](const job::Mount& m) { return m.taken.has_value(); }));
    const auto after = resultOf(sawn);
    const auto& tweeter = before.ways[2].pressure;
    const speaker::Point mic = evaluation::microphoneOf(mended(), left(mended()), 1.0);
    const double r0 = std::hypot(to.x - mic.x, to.y - mic.y, mic.z);
    const double r1 = std::hypot(to.x - mic.x, to.y - mic.y, mic.z + 0.02);
    for (std::size_t k = 0; k < tweeter.size(); k += 40) {
        const double turn = -2.0 * pi * before.axis[k] / quantity::soundSpeed * (r1 - r0);
        const Complex ratio = after.ways[2].pressure[k] / tweeter[k];
        EXPECT_NEAR(std::remainder(std::arg(ratio) - turn, 2.0 * pi), 0.0, 1e-6);
        EXPECT_NEAR(std::abs(ratio), r0 / r1, 0.02);
    }
    EXPECT_EQ(after.ways[0].pressure, before.ways[0].pressure);
    // Back where it was it is the same job again.
    to.z = 0.0;
    EXPECT_EQ(edited(sawn, edit::shiftDriver("left", to, "drag")), mended());
}

TEST(Remedies, theFlipComesFirstAndDoesWhatItSays) {
    const job::Job& job = hallJob();
    const auto assembly = evaluation::assemble(job);
    const auto list = study::remediesFor(job, left(job), assembly);
    EXPECT_GT(list.tried, 50);
    ASSERT_FALSE(list.remedies.empty());
    EXPECT_EQ(list.remedies.front().edit.name, "Reverse Teasel 26");
    EXPECT_EQ(list.remedies.front().effort, study::Effort::free);
    for (std::size_t i = 1; i < list.remedies.size(); ++i) {
        EXPECT_LE(list.remedies[i].window, list.remedies[i - 1].window);
    }
    // What it said it would bring is what the next list begins with.
    const job::Job after = edited(job, list.remedies.front().edit);
    const auto next = study::remediesFor(after, left(after), evaluation::assemble(after));
    EXPECT_NEAR(next.window, list.window - list.remedies.front().window, 1e-9);
    EXPECT_NEAR(next.axis, list.axis - list.remedies.front().axis, 1e-9);
    for (const study::Remedy& r : next.remedies) {
        EXPECT_NE(r.edit.name, "Reverse Teasel 26");
        EXPECT_GE(r.impedance, 3.2 * 0.999);
    }
}

// One order more: a reactance before the driver of the other kind of slot, as large as the driver's
// own impedance at the crossover, and it turns that way's phase at fx by some tens of degrees while
// the other stays.
TEST(Steeper, aPartMoreTurnsThePhase) {
    const job::Job job = mended();
    const auto before = resultOf(job);
    const auto pairs = evaluation::neighbourhoods(job, before);
    ASSERT_EQ(pairs.size(), 2U);
    const double fx = pairs[1].met->fx;
    const auto phaseAt = [&](const evaluation::CabinetResult& r, std::size_t way) {
        const auto k =
            static_cast<std::size_t>(std::ranges::lower_bound(r.axis, fx) - r.axis.begin());
        return std::arg(r.ways[way].pressure[k]);
    };
    for (const auto& [way, side] : {std::pair{std::size_t{1}, speaker::FilterSide::low},
                                    std::pair{std::size_t{2}, speaker::FilterSide::high}}) {
        const auto edit = study::steeperWay(job, left(job), way, side, fx, 1.0);
        ASSERT_TRUE(edit);
        const job::Job steeper = edited(job, *edit);
        const auto was = network::parts(left(job).circuit);
        const auto now = network::parts(left(steeper).circuit);
        ASSERT_EQ(now.size(), was.size() + 1);
        const auto after = resultOf(steeper);
        const double turn =
            std::remainder(phaseAt(after, way) - phaseAt(before, way), 2.0 * pi) / quantity::degree;
        // Steeper: over the two octaves beyond fx it falls by 3 dB more at least. (Nearer to fx it
        // may ring: the parts that stand there were not meant for one more.)
        const auto slope = [&](const evaluation::CabinetResult& r) {
            const auto at = [&](double f) {
                const auto k = std::ranges::lower_bound(r.axis, f) - r.axis.begin();
                return quantity::decibels(
                    std::abs(r.ways[way].pressure[static_cast<std::size_t>(k)]));
            };
            return side == speaker::FilterSide::low ? at(4.0 * fx) - at(fx) : at(fx / 4.0) - at(fx);
        };
        const double more = slope(after) - slope(before);
        EXPECT_LT(more, -3.0) << way;
        EXPECT_LT(std::abs(turn), 120.0) << way;
        EXPECT_EQ(turn < 0.0, side == speaker::FilterSide::low)
            << "a low-pass lags, a high-pass leads";
        EXPECT_NEAR(phaseAt(after, 3 - way), phaseAt(before, 3 - way), 0.01) << "but for the cable";
        for (const network::Part& part : now) {
            if (!network::findPart(left(job).circuit, part.id)) {
                const double omega = 2.0 * pi * fx;
                const double z = part.kind == network::PartKind::coil ? omega * part.value
                                                                      : 1.0 / (omega * part.value);
                EXPECT_GT(z, 2.0);
                EXPECT_LT(z, 40.0);
            }
        }
    }
    EXPECT_FALSE(study::steeperWay(job, left(job), 1, speaker::FilterSide::low, 90e3, 1.0));
}

// A take of the whole cabinet tells what is really wired, but only one of the network as drawn.
TEST(WholeTake, tellsAHiddenWiringError) {
    const job::Job right = withWholeTake(mended(), std::nullopt);
    const auto told = evaluation::wiringTold(right, left(right), resultOf(right));
    ASSERT_TRUE(told.has_value());
    EXPECT_TRUE(told->networkKnown);
    EXPECT_TRUE(told->ofThisNetwork);
    EXPECT_FALSE(speaker::isWrong(told->found));
    EXPECT_FALSE(found(right, "align.wiring"));
    for (const std::size_t way : {1U, 2U}) {
        const job::Job wrong = withWholeTake(mended(), way);
        const auto other = evaluation::wiringTold(wrong, left(wrong), resultOf(wrong));
        ASSERT_EQ(other->reversed.size(), 1U);
        EXPECT_EQ(other->reversed[0], resultOf(wrong).ways[way].driver);
        EXPECT_TRUE(speaker::isWrong(other->found));
        EXPECT_TRUE(found(wrong, "align.wiring"));
        // Drawn as it is, the drawing's own finding takes over.
        const job::Job drawn = edited(wrong, edit::drawAsWired("left", other->reversed));
        EXPECT_FALSE(found(drawn, "align.wiring"));
        EXPECT_TRUE(found(drawn, "align.reversed"));
    }
    // After another part the take is of another network.
    const job::Job changed = edited(withWholeTake(mended(), 2U),
                                    edit::stepPart("left", "C3", network::ESeries::E12, 1, {}));
    EXPECT_FALSE(evaluation::wiringTold(changed, left(changed), resultOf(changed))->ofThisNetwork);
    EXPECT_FALSE(found(changed, "align.wiring"));
}

// With no curve of the tweeter there is no sum to compare with: the hole itself is told.
TEST(WholeTake, aHoleIsToldWhereNoSumIsKnown) {
    const auto blind = [](job::Job job) {
        for (job::Driver& driver : job.drivers) {
            driver.responseTake = driver.id == "left-teasel" ? "" : driver.responseTake;
        }
        return job;
    };
    EXPECT_TRUE(found(blind(withWholeTake(hallJob(), std::nullopt)), "align.hole"));
    EXPECT_FALSE(found(withWholeTake(hallJob(), std::nullopt), "align.hole"));
    EXPECT_FALSE(found(blind(withWholeTake(mended(), std::nullopt)), "align.hole"));
}

// The demo's own takes: the right one is of the network as drawn, the left one was made before C1
// was renewed.
TEST(WholeTake, knowsItsNetwork) {
    const job::Job job = hallJob();
    const job::Cabinet& one = *job::findCabinet(job, "right");
    const auto results = evaluation::evaluate(job);
    const auto right = evaluation::wiringTold(job, one, *results.find("right"));
    ASSERT_TRUE(right.has_value());
    EXPECT_TRUE(right->ofThisNetwork);
    EXPECT_FALSE(speaker::isWrong(right->found));
    const auto other = evaluation::wiringTold(job, left(job), resultOf(job));
    ASSERT_TRUE(other.has_value());
    EXPECT_TRUE(other->networkKnown);
    EXPECT_FALSE(other->ofThisNetwork);
}

// A pair whose takes as a whole are opposite ways round is told on the first screen, but only where
// both takes are of the networks as they are drawn: a lead that was swapped since is not accused.
TEST(PairTaken, oppositeCabinetsAreAFinding) {
    job::Job job = hallJob();
    const auto takeOf = [&](const char* cabinet) {
        const job::Take* whole = job::wholeTake(job, *job::findCabinet(job, cabinet));
        return std::ranges::find(job.takes, whole->id, &job::Take::id);
    };
    const auto turnOver = [&](const char* cabinet) {
        job::Take& take = *takeOf(cabinet);
        std::vector<Complex> values = take.curve->values();
        for (Complex& value : values) {
            value = -value;
        }
        take.curve = std::make_shared<curve::Curve>(
            take.curve->frequencies(), values, take.curve->phase(), take.curve->trusted());
    };
    EXPECT_FALSE(found(job, "pair.polarity"));
    turnOver("right");
    EXPECT_FALSE(found(job, "pair.polarity")) << "of which network they are is another";
    for (const char* cabinet : {"left", "right"}) {
        takeOf(cabinet)->recorded.network =
            job::networkKey(job::findCabinet(job, cabinet)->circuit);
    }
    EXPECT_TRUE(found(job, "pair.polarity"));
    turnOver("left");
    EXPECT_FALSE(found(job, "pair.polarity"));
}

TEST(Arrivals, methodsStandBesideEachOther) {
    const auto result = resultOf(hallJob());
    const auto all = study::arrivals(hallJob(), left(hallJob()), result);
    ASSERT_EQ(all.size(), 2U);
    for (const study::ArrivalStudy& study : all) {
        ASSERT_EQ(study.ways.size(), 3U);
        ASSERT_TRUE(study.ways[0].delay.has_value());
        EXPECT_GT(study.ways[0].u, 0.0);
        EXPECT_FALSE(study.ways[1].delay.has_value());
        EXPECT_FALSE(study.ways[1].missing.empty()); // says which take it needs
        const study::TakeWanted both{result.ways[study.lower].driver,
                                     result.ways[study.upper].driver};
        EXPECT_EQ(study.wanted, both);
        ASSERT_TRUE(study.ways[2].delay.has_value());
        EXPECT_NEAR(study.ways[2].u * quantity::soundSpeed, 0.010, 1e-12);
    }
    // With a take of both together the three takes answer too, and agree with the clock.
    const auto& lower = result.ways[1].driver;
    const auto& upper = result.ways[2].driver;
    const auto& a =
        *job::takeInUse(hallJob(), *job::findDriver(hallJob(), lower), job::TakeKind::response);
    const auto& b =
        *job::takeInUse(hallJob(), *job::findDriver(hallJob(), upper), job::TakeKind::response);
    const curve::Axis axis = curve::within(curve::designAxis(), 300.0, 15000.0);
    const auto p = *curve::interpolate(*a.curve, axis);
    const auto q = *curve::interpolate(*b.curve, axis);
    std::vector<Complex> both;
    for (std::size_t k = 0; k < p.size(); ++k) {
        both.push_back(p[k] + q[k]);
    }
    job::Take take{.kind = job::TakeKind::response, .name = "both"};
    take.curve = std::make_shared<curve::Curve>(axis, both, curve::Phase::own);
    take.recorded.cabinet = "left";
    take.recorded.driver = lower;
    take.recorded.also = upper;
    const job::Job with = edited(hallJob(), edit::addRecordedTake(take));
    const auto three = study::arrivals(with, left(with), resultOf(with))[1].ways[1];
    ASSERT_TRUE(three.delay.has_value());
    const auto& clock = all[1].ways[0];
    EXPECT_NEAR(*three.delay, *clock.delay, 3.0 * std::hypot(three.u, clock.u) + 15e-6);
}

TEST(Seat, heightsAndFloorFollowGeometry) {
    job::Seat seat = left(hallJob()).seat;
    seat.distance = 2.5;
    seat.stand = 0.3;
    seat.sitting = 0.95;
    const job::Job job = edited(hallJob(), edit::changeSeat("left", seat, {}));
    EXPECT_EQ(job::findCabinet(job, "right")->seat.stand, 0.3);
    const double height = 0.3 + 0.5 * left(job).height + evaluation::axisOf(job, left(job));
    EXPECT_NEAR(
        std::tan(evaluation::elevationOf(job, left(job), 0.95)), (0.95 - height) / 2.5, 1e-12);
    // Source 0.90, ear 0.95, 2.5 m: the reflection is 0.610 m longer, first dip 282 Hz (closed
    // form).
    seat.axis = 0.90 - 0.3 - 0.5 * left(job).height;
    const job::Job at = edited(job, edit::changeSeat("left", seat, {}));
    const curve::Axis axis = curve::within(curve::designAxis(), 150.0, 420.0);
    const auto bounce = evaluation::floorBounce(at, left(at), axis);
    const auto least =
        std::ranges::min_element(bounce, {}, [](const Complex& h) { return std::abs(h); }) -
        bounce.begin();
    EXPECT_NEAR(axis[static_cast<std::size_t>(least)], 282.0, 5.0);
    EXPECT_FALSE(edit::changeEdge("left", job::FrontEdge::round, 1.0).apply(job).ok());
    EXPECT_TRUE(edit::changeEdge("left", job::FrontEdge::round, 0.02).apply(job).ok());
}

} // namespace yf::test
