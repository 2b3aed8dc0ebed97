// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/complete.h"
#include "core/driver/impedance.h"
#include "core/driver/resonance.h"
#include "core/edit/front.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/findings/judge.h"
#include "core/study/replacement.h"
#include "core/text/fields.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace yf::test {

namespace {

using driver::Library;
using study::FigureSource;

const job::Job& hall() {
    static const job::Job job = test::hallJob();
    return job;
}

study::OldDriver oldOf(const job::Job& job, const char* cabinet, const char* driver) {
    const auto assembly = evaluation::assemble(job);
    const auto evaluation = evaluation::evaluate(job, assembly);
    return study::oldDriver(job, assembly, evaluation, cabinet, driver);
}

std::string complaint(std::string_view json) {
    const auto read = driver::readLibrary(json);
    return read ? std::string{} : text::sentence(read.error()).english();
}

bool has(const Words& text, const char* part) {
    return text.english().find(part) != std::string::npos;
}

} // namespace

// Against the model that made the curve: Small 1972, the three-decibel method.
TEST(QFactors, comeFromTheWidthOfThePeak) {
    for (const auto& [Qms, Qes] :
         {std::pair{3.4, 0.75}, std::pair{8.0, 0.4}, std::pair{2.2, 1.4}}) {
        const driver::ImpedanceModel model{.Re = 6.4, .fs = 135.0, .Qms = Qms, .Qes = Qes};
        const curve::Axis axis = curve::designAxis();
        const curve::Curve Z(axis, driver::impedance(model, axis), curve::Phase::own);
        const auto peak = driver::resonance(Z);
        ASSERT_TRUE(peak.has_value());
        const auto q = driver::qFactors(Z, 6.4, *peak);
        ASSERT_TRUE(q.has_value());
        EXPECT_NEAR(q->Qms, Qms, 0.01 * Qms);
        EXPECT_NEAR(q->Qes, Qes, 0.01 * Qes);
        EXPECT_LT(q->offCentre, 0.002);
    }
}

TEST(QFactors, aFlankThatIsMissingIsNoWidth) {
    const driver::ImpedanceModel model{.Re = 6.0, .fs = 30.0, .Qms = 4.0, .Qes = 0.5};
    const curve::Axis axis = curve::within(curve::designAxis(), 29.0, 20000.0);
    const curve::Curve Z(axis, driver::impedance(model, axis), curve::Phase::own);
    const auto peak = driver::resonance(Z);
    ASSERT_TRUE(peak.has_value());
    EXPECT_FALSE(driver::qFactors(Z, 6.0, *peak).has_value());
}

// What ships is invented, and yet no sheet of it contradicts itself.
TEST(DriverLibrary, theShippedOneIsWholeAndConsistent) {
    const Library& library = driver::shippedLibrary();
    EXPECT_GE(library.drivers.size(), 12U);
    for (const driver::LibraryEntry& entry : library.drivers) {
        driver::CompleteRequest sheet;
        using driver::Figure;
        const auto give = [&](Figure figure, std::optional<double> value) {
            sheet.given[static_cast<std::size_t>(figure)] = value;
        };
        give(Figure::Re, entry.part.model.Re);
        give(Figure::fs, entry.part.model.fs);
        give(Figure::Qms, entry.part.model.Qms);
        give(Figure::Qes, entry.part.model.Qes);
        give(Figure::Vas, entry.part.Vas);
        give(Figure::Sd, entry.part.Sd);
        give(Figure::sensitivity2v83, entry.part.sensitivity);
        const auto completed = driver::complete(sheet);
        ASSERT_TRUE(completed.ok()) << entry.part.id;
        EXPECT_EQ(completed->verdict, driver::SheetVerdict::consistent) << entry.part.id;
        EXPECT_TRUE(entry.part.cutout < entry.part.outer) << entry.part.id;
    }
    const auto again = driver::readLibrary(driver::writeLibrary(library));
    ASSERT_TRUE(again.ok()) << text::sentence(again.error());
    EXPECT_EQ(*again, library);
}

TEST(DriverLibrary, whatIsWrongIsNamedWithItsPlace) {
    EXPECT_FALSE(complaint("{").empty());
    EXPECT_FALSE(complaint("{}").empty()) << "no list";
    EXPECT_TRUE(has(complaint(R"({"drivers": [{"role": "woofer"}]})"), "drivers[0].id"));
    EXPECT_TRUE(has(complaint(R"({"drivers": [{"id": "A", "role": "woofer"},
                                              {"id": "A", "role": "woofer"}]})"),
                    "given twice"));
    EXPECT_TRUE(has(complaint(R"({"drivers": [{"id": "A", "role": "horn"}]})"), "horn"));
    EXPECT_TRUE(
        has(complaint(R"({"drivers": [{"id": "A", "role": "woofer", "Re_omh": 6}]})"), "Re_ohm"));
    EXPECT_TRUE(has(complaint(R"({"drivers": [{"id": "A", "role": "woofer", "Re_ohm": 6}]})"),
                    "drivers[0]"))
        << "a model by halves";
    EXPECT_TRUE(
        has(complaint(R"({"drivers": [{"id": "A", "role": "woofer", "Vas_l": -1}]})"), "Vas_l"));
}

TEST(Replacement, theOldDriverIsKnownFromItsCurves) {
    const study::OldDriver old = oldOf(hall(), "left", "left-sorrel");
    EXPECT_EQ(old.role, quantity::DriverRole::midrange);
    EXPECT_EQ(old.model, FigureSource::measured);
    EXPECT_EQ(old.sensitivity, FigureSource::measured);
    // The demo's invented driver (demo/drivers.cpp): 6.4 Ω, 135 Hz, 3.4, 0.75, about 90 dB.
    EXPECT_NEAR(*old.part.model.Re, 6.4, 0.3);
    EXPECT_NEAR(*old.part.model.fs, 135.0, 2.0);
    EXPECT_NEAR(*old.part.model.Qms, 3.4, 0.4);
    EXPECT_NEAR(*old.part.model.Qes, 0.75, 0.08);
    EXPECT_NEAR(*old.part.sensitivity, 90.0, 1.5);
    ASSERT_TRUE(old.fx.has_value());
}

TEST(Replacement, aFaultyDriverIsNoMeasureItsTwinIs) {
    const study::OldDriver old = oldOf(hall(), "right", "right-sorrel"); // shorted turns, suspect
    EXPECT_EQ(old.model, FigureSource::twin);
    EXPECT_EQ(old.sensitivity, FigureSource::twin);
    const study::OldDriver twin = oldOf(hall(), "left", "left-sorrel");
    EXPECT_EQ(*old.part.model.Re, *twin.part.model.Re);
    EXPECT_EQ(*old.part.sensitivity, *twin.part.sensitivity);
}

TEST(Replacement, thePresentSeriesComesFirstAndAMisfitLast) {
    const study::OldDriver old = oldOf(hall(), "left", "left-sorrel");
    const auto found = study::findReplacements(old, {.hole = 0.117}, driver::shippedLibrary());
    ASSERT_TRUE(found.ok()) << text::sentence(found.error());
    ASSERT_GE(found->size(), 3U);
    EXPECT_EQ(found->front().entry.part.id, "Sorrel 130 II");
    EXPECT_TRUE(found->front().judged.fits);
    // 3.2 Ω in place of 6.4 Ω, and a larger hole.
    const auto misfit = std::ranges::find_if(
        *found, [](const study::Replacement& f) { return f.entry.part.id == "Figwort 140"; });
    ASSERT_NE(misfit, found->end());
    EXPECT_FALSE(misfit->judged.fits);
    EXPECT_GE(misfit->judged.reasons.size(), 2U);
    EXPECT_TRUE(std::ranges::none_of(*found, [](const study::Replacement& f) {
        return f.entry.role != quantity::DriverRole::midrange;
    }));
}

TEST(Replacement, aDataSheetOutranksTheCurves) {
    job::Job job = hall();
    driver::Part sheet;
    sheet.model.Re = 6.4;
    sheet.model.fs = 118.0;
    sheet.model.Qms = 3.4;
    sheet.model.Qes = 0.7;
    sheet.sensitivity = 92.0;
    const auto changed =
        edit::changeSheet("left-sorrel", sheet, {.hole = 0.117, .room = 0.09}).apply(job);
    ASSERT_TRUE(changed.ok());
    const study::OldDriver old = oldOf(*changed, "left", "left-sorrel");
    EXPECT_EQ(old.model, FigureSource::dataSheet);
    EXPECT_EQ(old.sensitivity, FigureSource::dataSheet);
    EXPECT_EQ(*old.part.model.fs, 118.0);
    // It survives the job's notation; an empty sheet is not written at all.
    const auto again = text::read<job::Job>(text::write(*changed), "");
    ASSERT_TRUE(again.ok()) << text::sentence(again.error());
    EXPECT_EQ(job::findDriver(*again, "left-sorrel")->sheet, sheet);
    const std::string written =
        text::writeJson(text::write(*job::findDriver(hall(), "left-sorrel")));
    EXPECT_EQ(written.find("\"sheet\""), std::string::npos);
}

TEST(Replacement, whatIsNotKnownIsSaidNotGuessed) {
    study::OldDriver old;
    old.role = quantity::DriverRole::tweeter;
    const auto found = study::findReplacements(old, {}, driver::shippedLibrary());
    ASSERT_TRUE(found.ok());
    ASSERT_FALSE(found->empty());
    EXPECT_TRUE(has(found->front().judged.reasons.back(), "Not compared for lack of figures"));
}

TEST(Replacement, aDriverOfTheJobBecomesAnEntry) {
    const study::OldDriver old = oldOf(hall(), "left", "left-sorrel");
    Library own;
    own.drivers.push_back(study::asEntry(hall(), old));
    const auto again = driver::readLibrary(driver::writeLibrary(own));
    ASSERT_TRUE(again.ok()) << text::sentence(again.error());
    EXPECT_EQ(again->drivers.front().part.id, "Sorrel 130");
    EXPECT_EQ(again->drivers.front().nominal, 8.0);
    EXPECT_EQ(again->drivers.front().note, "from Lantern Hall");
}

} // namespace yf::test
