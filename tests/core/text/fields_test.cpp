// SPDX-License-Identifier: GPL-3.0-or-later
// One walk over the field lists of all described types: both ends of every range are taken, the
// next number beyond is refused with its key named, what is written reads back equal.
#include "core/bench/battery.h"
#include "core/box/advise.h"
#include "core/box/align.h"
#include "core/box/closed.h"
#include "core/box/designs.h"
#include "core/box/driver_check.h"
#include "core/box/find.h"
#include "core/box/panel.h"
#include "core/box/port_swap.h"
#include "core/box/read_back.h"
#include "core/box/response.h"
#include "core/box/volume.h"
#include "core/driver/enclosed.h"
#include "core/driver/heat.h"
#include "core/driver/library.h"
#include "core/driver/usable_band.h"
#include "core/driver/vas.h"
#include "core/job/job.h"
#include "core/measure/decay.h"
#include "core/measure/deconvolve.h"
#include "core/measure/table/import.h"
#include "core/measure/phase.h"
#include "core/network/design/pad.h"
#include "core/network/design/textbook.h"
#include "core/network/design/zobel.h"
#include "core/network/judge/load.h"
#include "core/network/parts/e_series.h"
#include "core/report/job_file.h"
#include "core/sim/room.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <cmath>
#include <limits>

namespace yf::test {

namespace {

using text::Value;

/// A value that a key takes, as far as its list tells.
Value acceptedBy(const Value& entry) {
    const std::string kind = *entry.find("kind")->word();
    if (kind == "numbers") {
        return Value::List{*entry.find("lowest")->number(), *entry.find("highest")->number()};
    }
    if (kind == "texts") {
        return Value::List{"x"};
    }
    if (kind == "number" || kind == "whole number") {
        return *entry.find("lowest")->number();
    }
    if (kind == "one of") {
        return entry.find("names")->list()->front();
    }
    if (kind == "text") {
        return "x";
    }
    // The one group that these lists demand is a network.
    return text::parseJson(R"({"drivers": {"d": {"r_ohm": 8}}, "driver": "d"})").value();
}

/// An object with every required key and one key under test.
template <class T>
std::optional<Error> errorFor(const std::string& key, const Value& value) {
    Value::Object object;
    const Value described = text::describe<T>();
    for (const Value& entry : *described.find("keys")->list()) {
        const std::string other = *entry.find("key")->word();
        if (*entry.find("required")->flag() && other != key) {
            object.push_back({other, acceptedBy(entry)});
        }
    }
    object.push_back({key, value});
    const auto read = text::read<T>(Value{object}, "");
    return read ? std::nullopt : std::optional(read.error());
}

bool isAbout(const std::optional<Error>& error, const std::string& key) {
    return error && error->subject == key;
}

template <class T>
class FieldLists : public testing::Test {};

using Described = testing::Types<measure::ImportRequest,
                                 network::PartsRequest,
                                 network::PadRequest,
                                 network::TextbookRequest,
                                 network::ZobelRequest,
                                 network::SolveInput,
                                 network::LoadRequest,
                                 driver::ImpedanceModel,
                                 report::ShowRequest,
                                 report::ExportRequest,
                                 bench::BatteryRequest,
                                 bench::LcrRequest,
                                 driver::HeatRequest,
                                 driver::LibraryEntry,
                                 job::Protector,
                                 job::OldPart,
                                 job::Place,
                                 job::Take,
                                 job::Driver,
                                 job::Mount,
                                 job::Target,
                                 job::Recorded,
                                 signal::SweepPlan,
                                 signal::Geometry,
                                 sim::Chain,
                                 sim::Filter,
                                 measure::DeconvolveRequest,
                                 measure::DecayRequest,
                                 measure::DelayRequest,
                                 driver::ImpedanceRequest,
                                 driver::AddedMassRequest,
                                 driver::TestBoxRequest,
                                 driver::UsableBandRequest,
                                 box::ClosedRequest,
                                 box::VentedRequest,
                                 box::RadiatorRequest,
                                 box::BandPassRequest,
                                 box::PortRequest,
                                 box::SwapRequest,
                                 box::VolumeRequest,
                                 box::PanelRequest,
                                 box::AdviseRequest,
                                 box::AlignRequest,
                                 box::ReadRequest,
                                 box::CurveRequest,
                                 box::DriverCheckRequest,
                                 box::FindRequest>;
TYPED_TEST_SUITE(FieldLists, Described);

} // namespace

TYPED_TEST(FieldLists, rangesHoldAtBothEndsAndNotBeyond) {
    const Value described = text::describe<TypeParam>();
    EXPECT_GE(described.find("keys")->list()->size(), 1U);
    for (const Value& entry : *described.find("keys")->list()) {
        const std::string key = *entry.find("key")->word();
        const std::string kind = *entry.find("kind")->word();
        EXPECT_FALSE(entry.find("help")->word()->empty()) << key;
        if (kind != "number" && kind != "whole number") {
            continue;
        }
        const double lowest = *entry.find("lowest")->number();
        const double highest = *entry.find("highest")->number();
        const std::string range = text::rangeText(lowest, highest).english();
        for (const double inside : {lowest, highest}) {
            // A rule between keys may still object, but not for the range.
            const auto error = errorFor<TypeParam>(key, inside);
            EXPECT_TRUE(!isAbout(error, key) ||
                        error->allowed.english().find(range) == std::string::npos)
                << key << " " << inside;
        }
        const bool whole = kind == "whole number";
        const double below =
            whole ? lowest - 1.0 : std::nextafter(lowest, -std::numeric_limits<double>::infinity());
        const double above = whole
                                 ? highest + 1.0
                                 : std::nextafter(highest, std::numeric_limits<double>::infinity());
        for (const double outside : {below, above}) {
            const auto error = errorFor<TypeParam>(key, outside);
            ASSERT_TRUE(isAbout(error, key)) << key << " " << outside;
            EXPECT_FALSE(error->allowed.empty());
        }
    }
}

TYPED_TEST(FieldLists, wrongKindsAreRefusedByKey) {
    const Value described = text::describe<TypeParam>();
    for (const Value& entry : *described.find("keys")->list()) {
        const std::string key = *entry.find("key")->word();
        const auto error = errorFor<TypeParam>(key, Value{Value::List{Value{Value::List{}}}});
        ASSERT_TRUE(error.has_value()) << key;
        EXPECT_EQ(error->subject.substr(0, key.size()), key) << text::sentence(*error);
    }
}

TYPED_TEST(FieldLists, unknownKeysNameTheNearest) {
    const Value described = text::describe<TypeParam>();
    const std::string first = *described.find("keys")->list()->front().find("key")->word();
    const auto read = text::read<TypeParam>(Value{Value::Object{{first + "x", 1.0}}}, "place");
    ASSERT_FALSE(read.ok());
    EXPECT_EQ(read.error().subject, "place." + first + "x");
    EXPECT_NE(read.error().allowed.english().find(first), std::string::npos);
}

TYPED_TEST(FieldLists, missingRequiredKeysAreNamed) {
    const Value described = text::describe<TypeParam>();
    const auto read = text::read<TypeParam>(Value{Value::Object{}}, "");
    for (const Value& entry : *described.find("keys")->list()) {
        if (*entry.find("required")->flag()) {
            ASSERT_FALSE(read.ok());
            EXPECT_EQ(read.error().subject, *entry.find("key")->word());
            EXPECT_EQ(read.error().given, "missing");
            return;
        }
    }
}

TEST(Fields, writtenReadsBackEqual) {
    const job::Driver driver{.id = "a",
                             .name = "Brome 210",
                             .band = job::Band::mid,
                             .condition = job::Condition::suspect,
                             .diameter = 0.21,
                             .responseTake = "t1"};
    EXPECT_EQ(text::read<job::Driver>(text::write(driver), "").value(), driver);
    const job::Target target{.from = 55.5, .to = 17000.0, .tolerance = 1.25, .level = 86.5};
    EXPECT_EQ(text::read<job::Target>(text::write(target), "").value(), target);
    const network::TextbookRequest request{.kind = network::TextbookKind::threeWay,
                                           .alignment = network::Alignment::bessel,
                                           .order = 3,
                                           .fxLow = 400.0,
                                           .fxHigh = 3000.0,
                                           .midLoad = 5.5};
    EXPECT_EQ(text::read<network::TextbookRequest>(text::write(request), "").value(), request);
    const measure::ImportRequest import{.text = "a\nb",
                                        .quantity = measure::QuantityChoice::impedance,
                                        .decimal = measure::DecimalChoice::comma};
    EXPECT_EQ(text::read<measure::ImportRequest>(text::write(import), "").value(), import);
    const job::Mount mount{.driver = "a", .x = -0.1, .y = 0.2};
    EXPECT_EQ(text::read<job::Mount>(text::write(mount), "").value(), mount);
}

TEST(Fields, degreesAndPercentAreConvertedOnceAtTheDoor) {
    const auto zobel = text::read<network::ZobelRequest>(
        text::parseJson(
            R"({"frequencies_hz": [100, 200], "impedances_ohm": [8, 9], "phases_deg": [90, -45]})")
            .value(),
        "");
    ASSERT_TRUE(zobel.ok());
    EXPECT_NEAR((*zobel->phases)[0], 1.5707963267948966, 1e-15);
    const auto part = network::readPart("R1 10 tol=5", "part");
    ASSERT_TRUE(part.ok());
    EXPECT_NEAR(part->tolerance.value(), 0.05, 1e-15);
}

} // namespace yf::test
