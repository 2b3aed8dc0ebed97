// SPDX-License-Identifier: GPL-3.0-or-later
// A job's boxes: wood and air kept, volume and tuning following; what hands do to them; what they
// tell the rules. Truth is the box folder's own arithmetic, which is checked against the outside
// there.
#include "core/edit/box.h"
#include "core/edit/front.h"
#include "core/findings/assess.h"
#include "core/findings/box_facts.h"
#include "core/study/box.h"
#include "core/study/replacement.h"
#include "core/take/box.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::test {

namespace {

job::Job after(const job::Job& job, const edit::Edit& edit) {
    auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << (changed.ok() ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

std::string refusal(const job::Job& job, const edit::Edit& edit) {
    const auto changed = edit.apply(job);
    EXPECT_FALSE(changed.ok());
    return changed ? std::string() : text::sentence(changed.error()).english();
}

const job::Enclosure&
boxOf(const job::Job& job, const char* cabinet = "left", const char* driver = "left-brome") {
    const job::Enclosure* e = job::findEnclosure(job, *job::findCabinet(job, cabinet), driver);
    EXPECT_NE(e, nullptr);
    return *e;
}

evaluation::BoxResult
resultOf(const job::Job& job, const char* cabinet = "left", const char* driver = "left-brome") {
    return evaluation::boxResult(
        evaluation::boxInputs(job,
                              *job::findCabinet(job, cabinet),
                              boxOf(job, cabinet, driver),
                              std::make_shared<const Result<evaluation::BoxDriver>>(
                                  evaluation::boxDriver(job, *job::findDriver(job, driver)))));
}

std::set<std::string> rulesAbout(const job::Job& job, const std::string& driver) {
    std::set<std::string> ids;
    for (const findings::Finding& f : findings::assess(job).judgement.findings) {
        if (f.subject.driver == driver) {
            ids.emplace(findings::rules()[f.rule].id);
        }
    }
    return ids;
}

job::Job with(const job::Job& job, const std::function<void(job::Enclosure&)>& how) {
    job::Enclosure e = boxOf(job);
    how(e);
    return after(job, edit::changeBox("left", e, "change"));
}

} // namespace

TEST(JobBox, volumeAndTuningFollowFromTheWood) {
    const evaluation::BoxResult r = resultOf(hallJob());
    // By the verb of the command line from the same sizes.
    box::VolumeRequest request{.height = 0.96,
                               .width = 0.26,
                               .depth = 0.34,
                               .panel = 0.019,
                               .dead = 0.31,
                               .less = r.volumes.less};
    const auto volume = box::volume(request);
    ASSERT_TRUE(volume.ok());
    EXPECT_NEAR(r.volumes.net, volume->net, 1e-12);
    box::PortRequest port{.Vb = 1.05 * r.volumes.net, .length = 0.12};
    port.port.diameter = 0.067;
    EXPECT_NEAR(*r.fb, box::port(port)->fb, 1e-9);
    EXPECT_EQ(r.problem, "");
    EXPECT_GT(r.response.frequencies.size(), 200U);
    EXPECT_LT(r.bands.f3.low[0], *r.summary.f3);
    EXPECT_GT(r.bands.f3.high[0], *r.summary.f3);
}

TEST(JobBox, theNetworksCoilCounts) {
    const double Qts = resultOf(hallJob()).Qts;
    network::Part coil;
    coil.id = "L1";
    coil.kind = network::PartKind::coil;
    coil.value = 3.3e-3;
    coil.dcr = 1.2;
    const job::Job thin = after(hallJob(), edit::changePart("left", coil));
    EXPECT_NEAR(
        evaluation::seriesResistance(*job::findCabinet(thin, "left"), "left-brome"), 1.25, 1e-9);
    EXPECT_GT(resultOf(thin).Qts, Qts * 1.05);
}

TEST(JobBox, aBoxFromTheMapHasItsVolumeAndTuning) {
    const job::Job deeper =
        after(hallJob(), edit::takeBox("left", "left-brome", {0.055, 33.0, false}));
    EXPECT_NEAR(resultOf(deeper).volumes.net, 0.055, 1e-5);
    EXPECT_NEAR(*resultOf(deeper).fb, 33.0, 0.01);
    EXPECT_GT(*job::findCabinet(deeper, "left")->depth, 0.4);
    EXPECT_EQ(job::findCabinet(deeper, "left")->depth, job::findCabinet(deeper, "right")->depth);
    const job::Job kept =
        after(hallJob(), edit::takeBox("left", "left-brome", {0.055, 33.0, true}));
    EXPECT_EQ(*job::findCabinet(kept, "left")->depth, 0.34);
    EXPECT_NEAR(*resultOf(kept).fb, 33.0, 0.01);
    EXPECT_NE(refusal(hallJob(), edit::takeBox("left", "left-brome", {0.03, 300.0, true}))
                  .find("must be below"),
              std::string::npos);
}

TEST(JobBox, aPairFollowsWhileAlike) {
    const job::Job both = with(hallJob(), [](job::Enclosure& e) { e.fill = job::Fill::none; });
    EXPECT_EQ(boxOf(both, "right", "right-brome").fill, job::Fill::none);
    job::Enclosure right = boxOf(both, "right", "right-brome");
    right.ports.front().length = 0.15;
    // Changed on one side, the left goes along; made different by hand, no more.
    job::Job apart = after(both, edit::changeBox("right", right, "change"));
    EXPECT_EQ(boxOf(apart).ports.front().length, 0.15);
    job::Cabinet& rightCabinet = *std::ranges::find(apart.cabinets, "right", &job::Cabinet::id);
    rightCabinet.boxes.front().QL = 9.0;
    const job::Job later = with(apart, [](job::Enclosure& e) { e.fill = job::Fill::lined; });
    EXPECT_EQ(boxOf(later, "right", "right-brome").fill, job::Fill::none);
}

TEST(JobBox, swappingKeepsTheTuningWithAllItDisplaces) {
    job::PortIn made = boxOf(hallJob()).ports.front();
    made.port.diameter = 0.085;
    made.port.flareOuter = 0.015;
    const job::Job swapped = after(hallJob(), edit::swapPort("left", "left-brome", made));
    EXPECT_NEAR(*resultOf(swapped).fb, *resultOf(hallJob()).fb, 1e-3);
    EXPECT_GT(boxOf(swapped).ports.front().length, 0.2);
    EXPECT_LT(*resultOf(swapped).fastest, *resultOf(hallJob()).fastest);
    made.port.diameter = 0.02;
    EXPECT_FALSE(refusal(hallJob(), edit::swapPort("left", "left-brome", made)).empty());
}

TEST(JobBox, everyKindBeginsWithSomethingThatCanBeBuilt) {
    for (const bool depthKnown : {true, false}) {
        for (int k = 0; k < 8; ++k) {
            job::Job bare = hallJob();
            for (job::Cabinet& c : bare.cabinets) {
                c.boxes.clear();
                if (!depthKnown) {
                    c.depth.reset();
                }
            }
            const auto kind = static_cast<box::Kind>(k);
            const job::Job made = after(
                bare,
                edit::beginBox(
                    "left", "left-brome", kind, evaluation::boxParameters(bare, "left-brome")));
            const evaluation::BoxResult r = resultOf(made);
            EXPECT_EQ(r.problem, "") << k;
            EXPECT_TRUE(r.summary.f3.has_value()) << k;
            EXPECT_EQ(boxOf(made, "right", "right-brome").kind, kind);
            for (const job::PortIn& p : boxOf(made).ports) {
                EXPECT_GT(p.length, 0.0) << k;
            }
        }
    }
}

TEST(JobBox, doubtIsSaid) {
    const job::Job& job = hallJob();
    const auto brome = evaluation::boxDriver(job, *job::findDriver(job, "left-brome"));
    ASSERT_TRUE(brome.ok());
    EXPECT_EQ(brome->source, evaluation::ParameterSource::measured);
    EXPECT_TRUE(brome->guessed.empty());
    EXPECT_NEAR(brome->driver.fs, 41.0, 0.2);
    const auto sorrel = evaluation::boxDriver(job, *job::findDriver(job, "left-sorrel"));
    ASSERT_TRUE(sorrel.ok());
    EXPECT_EQ(sorrel->guessed.size(), 3U); // area, Vas, Xmax
    EXPECT_GT(sorrel->doubt.Vas, 0.3);
    job::Job none = job;
    job::Driver& d = *std::ranges::find(none.drivers, "left-brome", &job::Driver::id);
    d.impedanceTake.clear();
    std::erase_if(none.takes, [](const job::Take& t) { return t.recorded.driver == "left-brome"; });
    EXPECT_FALSE(evaluation::boxDriver(none, *job::findDriver(none, "left-brome")).ok());
    // From a take in the box alone: what the curve itself tells.
    job::Job boxed = job;
    std::ranges::find(boxed.drivers, "left-brome", &job::Driver::id)->impedanceTake.clear();
    std::erase_if(boxed.takes, [](const job::Take& t) {
        return t.recorded.driver == "left-brome" && t.kind == job::TakeKind::impedance &&
               t.recorded.mounting == job::Mounting::free;
    });
    const auto seen = evaluation::boxDriver(boxed, *job::findDriver(boxed, "left-brome"));
    ASSERT_TRUE(seen.ok());
    EXPECT_EQ(seen->source, evaluation::ParameterSource::inBox);
    EXPECT_NEAR(seen->driver.fs, 41.0, 0.2);
}

TEST(JobBox, whatTheBoxTakesForUsualWidensItsBands) {
    const auto wider = [](const evaluation::BoxResult& a, const evaluation::BoxResult& b) {
        return (a.bands.f3.high[0] - a.bands.f3.low[0]) / (b.bands.f3.high[0] - b.bands.f3.low[0]);
    };
    const auto says = [](const evaluation::BoxResult& r, const char* word) {
        return std::ranges::any_of(
            r.assumed, [&](const Words& s) { return s.english().find(word) != std::string::npos; });
    };
    const evaluation::BoxResult plain = resultOf(hallJob());
    const evaluation::BoxResult known = resultOf(with(hallJob(), [](job::Enclosure& e) {
        e.QL = box::usualQL;
        e.driverVolume = 0.001;
        e.fill = job::Fill::none;
    }));
    EXPECT_TRUE(says(plain, "QL 7"));
    EXPECT_TRUE(says(plain, "Basket"));
    EXPECT_TRUE(known.assumed.empty());
    EXPECT_GT(wider(plain, known), 1.1);
    // A slot from wall to wall.
    const evaluation::BoxResult slot = resultOf(with(hallJob(), [](job::Enclosure& e) {
        e.QL = box::usualQL;
        e.driverVolume = 0.001;
        e.fill = job::Fill::none;
        box::Port& p = e.ports.front().port;
        p = box::inShape(p, box::PortShape::slot);
        p.width = 0.222;
        p.height = 0.016;
    }));
    EXPECT_EQ(slot.problem, "");
    ASSERT_EQ(slot.assumed.size(), 1U);
    EXPECT_TRUE(says(slot, "8 %"));
    EXPECT_EQ(slot.known.doubt.tuning, 0.04);
}

TEST(JobBox, driveIsVoltsOrWattsIntoRe) {
    const evaluation::BoxResult r = resultOf(hallJob());
    const double Re = r.known.driver.Re;
    EXPECT_NEAR(evaluation::powerIn(r, 2.83), 2.83 * 2.83 / Re, 1e-9);
    EXPECT_NEAR(evaluation::voltageFor(r, evaluation::powerIn(r, 2.83)), 2.83, 1e-12);
    EXPECT_EQ(job::evenBraces(0.9, 2), (std::vector<double>{0.3, 0.6}));
    EXPECT_TRUE(job::evenBraces(0.9, 0).empty());
}

TEST(JobBox, theDemosCabinetIsReadBack) {
    const job::Job& job = hallJob();
    const auto takes = take::boxTakes(job, "left-brome");
    ASSERT_EQ(takes.size(), 1U);
    const auto read = study::readBackOf(boxOf(job), resultOf(job), *takes.front());
    ASSERT_TRUE(read.ok());
    EXPECT_NEAR(read->fb->value, 40.6, 0.1);
    EXPECT_NEAR(read->QL->value, 4.3, 0.1);
    EXPECT_TRUE(rulesAbout(job, "left-brome").contains("box.leak"));
    EXPECT_FALSE(rulesAbout(job, "right-brome").contains("box.leak"));
}

TEST(JobBox, rulesHearOfPortsWavesAndBraces) {
    const auto expect = [](const char* id, const std::function<void(job::Enclosure&)>& how) {
        EXPECT_FALSE(rulesAbout(hallJob(), "left-brome").contains(id)) << id;
        EXPECT_TRUE(rulesAbout(with(hallJob(), how), "left-brome").contains(id)) << id;
    };
    expect("port.speed", [](job::Enclosure& e) { e.voltage = 18.0; });
    expect("port.fit", [](job::Enclosure& e) { e.ports.front().length = 0.28; });
    expect("port.behind", [](job::Enclosure& e) {
        e.ports.front().side = job::PortWall::back;
        e.ports.front().height = job::driverHeight(*job::findCabinet(hallJob(), "left"), e);
    });
    expect("box.bracing", [](job::Enclosure& e) { e.braces = {0.1, 0.2, 0.3, 0.4, 0.5}; });
    expect("box.fb", [](job::Enclosure& e) { e.designfb = 33.0; });
    expect("box.volume", [](job::Enclosure& e) { e.designVb = 0.045; });
    // 593 × 302 mm are nearly two to one; a chamber of another height is not.
    EXPECT_TRUE(rulesAbout(hallJob(), "left-brome").contains("box.cube"));
    const job::Job lower = with(hallJob(), [](job::Enclosure& e) { e.dead = 0.36; });
    EXPECT_FALSE(rulesAbout(lower, "left-brome").contains("box.cube"));
    EXPECT_TRUE(rulesAbout(hallJob(), "left-brome").contains("port.unload"));
    // A blocked port: its take is that of a sealed box.
    job::Job blocked = hallJob();
    for (job::Take& t : blocked.takes) {
        if (t.recorded.driver == "left-brome" && t.recorded.mounting == job::Mounting::ventedBox) {
            const box::System s = box::systemOf(
                resultOf(hallJob()).known.driver, box::Closed{.Vb = 0.037, .QL = 40.0}, {});
            std::vector<curve::Complex> Z;
            for (const double f : t.curve->frequencies()) {
                Z.push_back(box::motionAt(s, f).Z);
            }
            t.curve = std::make_shared<const curve::Curve>(
                t.curve->frequencies(), Z, curve::Phase::common);
        }
    }
    EXPECT_TRUE(rulesAbout(blocked, "left-brome").contains("box.blocked"));
}

TEST(JobBox, candidatesAndReplacementsAreComputedNotGuessed) {
    const job::Job& job = hallJob();
    const job::Cabinet& left = *job::findCabinet(job, "left");
    const evaluation::BoxResult r = resultOf(job);
    const study::BoxChoice choice = study::boxChoice(left, boxOf(job), r);
    ASSERT_GE(choice.candidates.size(), 3U);
    EXPECT_EQ(choice.candidates.front().kind, box::Kind::vented);
    EXPECT_NEAR(*choice.candidates.front().summary.f3, *r.summary.f3, 1e-9);
    const auto sixth = [](const study::BoxChoice& c) {
        return std::ranges::find(
            c.candidates, box::Kind::bandPass6Parallel, &study::BoxCandidate::kind);
    };
    EXPECT_EQ(sixth(choice), choice.candidates.end()); // this Qts is too high for one
    evaluation::BoxResult strong = r;
    strong.known.driver.Qes = 0.3;
    strong.Qts = box::motorOf(strong.known.driver, r.source).QtsWith(r.source.resistance);
    const study::BoxChoice wider = study::boxChoice(left, boxOf(job), strong);
    ASSERT_NE(sixth(wider), wider.candidates.end());
    EXPECT_GT(sixth(wider)->Vb, 0.0);
    EXPECT_GT(*sixth(wider)->fb, strong.known.driver.fs);
    const auto study = study::replacementsInBox(job, left, boxOf(job), r, driver::shippedLibrary());
    ASSERT_GE(study.candidates.size(), 5U);
    for (const study::InThisBox& c : study.candidates) {
        double lost = 0.0;
        for (const box::Penalty& p : c.suits.penalties) {
            lost += p.points;
        }
        EXPECT_NEAR(c.suits.score, 100.0 - lost, 1e-9) << c.entry.part.id;
    }
    const auto advice = study::braceAdvice(boxOf(job), r);
    ASSERT_TRUE(advice.has_value());
    EXPECT_LE(advice->share, 0.05);
    EXPECT_GT(advice->after.supported, advice->before.supported);
    EXPECT_EQ(advice->before.supported, r.panels.front().resonance.supported); // the side
}

TEST(JobBox, readsBackFromItsNotation) {
    job::Enclosure e = boxOf(hallJob());
    e.kind = box::Kind::bandPass6Parallel;
    e.shape = box::Shape::trapezoid;
    e.depthTop = 0.2;
    e.front = 0.025;
    e.material = "oak";
    e.QL = 9.5;
    e.driverVolume = 1.5e-3;
    e.frontShare = 0.3;
    e.designVb = 0.04;
    e.ports.push_back(e.ports.front());
    e.ports.back().port.shape = box::PortShape::slot;
    e.ports.back().port.width = 0.2;
    e.ports.back().port.height = 0.02;
    e.ports.back().port.onWall = true;
    e.ports.back().ofRear = true;
    e.ports.back().bent = true;
    e.radiator.Xmax = 0.01;
    e.wishes.level = 95.0;
    const auto again = text::read<job::Enclosure>(text::write(e), "");
    ASSERT_TRUE(again.ok()) << text::sentence(again.error());
    EXPECT_EQ(*again, e);
}

TEST(JobBox, goesWithItsDriverAndItsCabinet) {
    const job::Job gone = after(hallJob(), edit::removeDriver("left", "left-sorrel"));
    EXPECT_EQ(job::findEnclosure(gone, *job::findCabinet(gone, "left"), "left-sorrel"), nullptr);
    EXPECT_NE(job::findEnclosure(gone, *job::findCabinet(gone, "left"), "left-brome"), nullptr);
    const job::Job removed = after(hallJob(), edit::removeBox("left", "left-brome"));
    EXPECT_EQ(job::findCabinet(removed, "left")->boxes.size(), 1U);
    EXPECT_FALSE(refusal(removed, edit::removeBox("left", "left-brome")).empty());
}

} // namespace yf::test
