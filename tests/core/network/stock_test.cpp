// SPDX-License-Identifier: GPL-3.0-or-later
// The drawer: what is typed into it, and what a search may take out of it.
#include "core/network/parts/stock.h"
#include "core/text/fields.h"

#include <gtest/gtest.h>

#include <array>

namespace yf::test {

namespace {

using network::PartKind;

network::OwnedPart owned(const char* text) {
    const auto made = network::typedOwned(text);
    EXPECT_TRUE(made.ok()) << text;
    return made ? *made : network::OwnedPart{};
}

network::Part place(PartKind kind, double value) {
    network::Part part;
    part.id = "X1";
    part.kind = kind;
    part.value = value;
    return part;
}

network::EndValues drawer() {
    network::EndValues values;
    for (const char* text : {"2 x 6.8 uF", "C 10uF esr=0.1", "0.35 mH dcr=0.2", "3R3 x4"}) {
        values.stock = network::withOwned(values.stock, owned(text));
    }
    return values;
}

} // namespace

TEST(Stock, isTypedAsPeopleWriteIt) {
    const auto c = owned("2 x 6.8 uF");
    EXPECT_EQ(c.count, 2);
    EXPECT_EQ(c.part.kind, PartKind::capacitor);
    EXPECT_NEAR(c.part.value, 6.8e-6, 1e-15);
    EXPECT_EQ(owned("3× 6,8 µF").count, 3);
    EXPECT_EQ(owned("6.8 uF x3"), owned("3x 6.8 uF"));
    const auto coil = owned("0.35 mH dcr=0.2 x3");
    EXPECT_EQ(coil.part.kind, PartKind::coil);
    EXPECT_EQ(coil.part.dcr, 0.2);
    EXPECT_EQ(coil.count, 3);
    EXPECT_NEAR(owned("3R3 x4").part.value, 3.3, 1e-12);
    EXPECT_NEAR(owned("C 6u8").part.value, 6.8e-6, 1e-15);
    EXPECT_EQ(network::words(c), "2 × 6.8\u202FµF");
    for (const char* wrong : {"", "6u8", "2 x", "many uF", "-3 uF", "0 x 6.8 uF"}) {
        const auto refused = network::typedOwned(wrong);
        ASSERT_FALSE(refused.ok()) << wrong;
        EXPECT_FALSE(refused.error().allowed.empty());
    }
}

TEST(Stock, likePartsAreCountedTogether) {
    auto stock = network::withOwned(drawer().stock, owned("6.8 uF x3"));
    EXPECT_EQ(stock.size(), 4U);
    EXPECT_EQ(std::ranges::find(stock, 5, &network::OwnedPart::count)->part.kind,
              PartKind::capacitor);
    // With another loss it is another part.
    EXPECT_EQ(network::withOwned(stock, owned("6.8 uF esr=0.3")).size(), 5U);
}

TEST(Stock, theNearestAreTakenAsTheyAre) {
    const auto values = drawer();
    const auto near = network::nearestParts(values, place(PartKind::capacitor, 8e-6), 3, false);
    ASSERT_EQ(near.size(), 2U);
    EXPECT_DOUBLE_EQ(near[0].value, 6.8e-6);
    EXPECT_EQ(near[0].id, "X1");
    EXPECT_EQ(near[1].esr, 0.1);
    // None of the kind in the drawer: from the series.
    network::EndValues coils;
    coils.stock = {owned("0.35 mH")};
    EXPECT_EQ(network::nearestParts(coils, place(PartKind::resistor, 4.9), 1, false)[0].value, 4.7);
    // Running short: both.
    EXPECT_TRUE(network::runsShort(values, PartKind::capacitor, 4));
    EXPECT_FALSE(network::runsShort(values, PartKind::capacitor, 3));
    const auto both = network::nearestParts(values, place(PartKind::capacitor, 8e-6), 3, true);
    EXPECT_DOUBLE_EQ(both.front().value, 8.2e-6); // bought: nearer than what is owned
    EXPECT_EQ(both.size(), 3U);
}

TEST(Stock, nothingIsTakenMoreOftenThanItIsThere) {
    const auto values = drawer();
    const auto c = place(PartKind::capacitor, 6.8e-6);
    const auto ten = place(PartKind::capacitor, 10e-6);
    EXPECT_TRUE(network::hasAll(values, {c, c, ten}));
    EXPECT_FALSE(network::hasAll(values, {c, ten, ten}));
    // Four are more than the drawer has: what E12 sells may be bought for the rest.
    EXPECT_TRUE(network::hasAll(values, {c, c, ten, ten}));
    const auto less = network::without(values, c);
    EXPECT_FALSE(network::hasAll(less, {c, c}));
    EXPECT_TRUE(network::hasAll(less, {c, ten}));
}

TEST(Stock, theWheelGoesThroughIt) {
    const auto stock = drawer().stock;
    const auto c = place(PartKind::capacitor, 6.8e-6);
    EXPECT_DOUBLE_EQ(network::stepOwned(stock, c, 1)->value, 10e-6);
    EXPECT_FALSE(network::stepOwned(stock, c, -1));
    EXPECT_DOUBLE_EQ(network::stepOwned(stock, place(PartKind::capacitor, 1e-6), 2)->value, 10e-6);
}

TEST(Stock, isReadAndWritten) {
    for (const network::OwnedPart& one : drawer().stock) {
        const auto again = network::OwnedPart::read(one.write(), "stock[0]");
        ASSERT_TRUE(again.ok());
        EXPECT_EQ(again->part.value, one.part.value);
        EXPECT_EQ(again->part.esr, one.part.esr);
        EXPECT_EQ(again->count, one.count);
    }
    const std::array<std::array<const char*, 2>, 3> wrong{
        {{R"({"count": 2})", "stock[0].part"},
         {R"({"part": "C 6.8uF", "count": 0})", "stock[0].count"},
         {R"({"part": "C 6.8uF", "count": 1.5})", "stock[0].count"}}};
    for (const auto& [json, subject] : wrong) {
        const auto refused = network::OwnedPart::read(*text::parseJson(json), "stock[0]");
        ASSERT_FALSE(refused.ok()) << json;
        EXPECT_EQ(refused.error().subject, subject);
    }
}

} // namespace yf::test
