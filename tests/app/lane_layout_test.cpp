// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/lane_layout.h"
#include "tests/support/demo_job.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <set>

namespace yf::test {

namespace {

using app::LaneLayout;

/// What must hold of every drawing: all parts once, nothing on top of anything, inside the sheet.
void expectSound(const network::Circuit& circuit, const std::string& what) {
    const LaneLayout layout = app::layOut(circuit);
    std::multiset<std::string> drawn;
    QVector<QRect> solid;
    for (const LaneLayout::Tile& tile : layout.tiles) {
        drawn.insert(tile.part);
        solid.push_back(tile.rect);
    }
    for (const LaneLayout::End& end : layout.ends) {
        solid.push_back(end.rect);
    }
    for (const LaneLayout::Insert& insert : layout.inserts) {
        solid.push_back(insert.rect);
        EXPECT_GE(insert.rect.height(), 28) << "a target for a finger";
    }
    std::multiset<std::string> parts;
    for (const network::Part& part : network::parts(circuit)) {
        parts.insert(part.id);
    }
    EXPECT_EQ(drawn, parts) << what;
    const QRect sheet(QPoint(0, 0), layout.size);
    for (qsizetype i = 0; i < solid.size(); ++i) {
        EXPECT_TRUE(sheet.contains(solid[i])) << what;
        for (qsizetype j = 0; j < i; ++j) {
            EXPECT_FALSE(solid[i].intersects(solid[j]))
                << what << ": " << solid[i].x() << "," << solid[i].y() << " " << solid[i].width()
                << "x" << solid[i].height() << " over " << solid[j].x() << "," << solid[j].y()
                << " " << solid[j].width() << "x" << solid[j].height();
        }
    }
    for (const QLine& wire : layout.wires) {
        EXPECT_TRUE(wire.x1() == wire.x2() || wire.y1() == wire.y2()) << "wires run straight";
    }
}

} // namespace

TEST(LaneLayout, demo) {
    const LaneLayout layout = app::layOut(demoCabinet().circuit);
    EXPECT_EQ(layout.lanes.size(), 2);
    EXPECT_EQ(layout.ends.size(), 2);
    expectSound(demoCabinet().circuit, "demo");
    // The Zobel hangs: its resistor above its capacitor on one line.
    const auto find = [&](const char* id) {
        return *std::ranges::find(layout.tiles, std::string(id), &LaneLayout::Tile::part);
    };
    EXPECT_TRUE(find("R1").hanging);
    EXPECT_EQ(find("R1").rect.center().x(), find("C5").rect.center().x());
    EXPECT_LT(find("R1").rect.bottom(), find("C5").rect.top());
    EXPECT_FALSE(find("L1").hanging);
}

TEST(LaneLayout, everyRandomTreeIsDrawnSoundly) {
    for (std::uint64_t seed = 1; seed <= 300; ++seed) {
        expectSound(randomNetwork(seed).circuit, "seed " + std::to_string(seed));
    }
}

TEST(LaneLayout, placesAreThoseOfTheLadder) {
    const network::Circuit& circuit = demoCabinet().circuit;
    const LaneLayout layout = app::layOut(circuit);
    for (std::size_t way = 0; way < 2; ++way) {
        const std::size_t slots = network::waySection(circuit, way)->ladder.size();
        std::set<std::size_t> places;
        for (const LaneLayout::Insert& insert : layout.inserts) {
            if (insert.place.way == way) {
                places.insert(insert.place.slot);
            }
        }
        EXPECT_EQ(places.size(), slots + 1);
        EXPECT_EQ(*places.rbegin(), slots);
    }
}

TEST(LaneLayout, whatIsNoLadderIsSaid) {
    const auto net = networkFrom(
        R"({"drivers": {"d": {"r_ohm": 8}}, "net": {"parts": [["R1 1", "in", "a"]], "drivers": [["d", "a", "0", 1]]}})");
    EXPECT_EQ(app::layOut(net.circuit).notes.size(), 1);
    const auto special = networkFrom(
        R"({"drivers": {"d": {"r_ohm": 8}}, "ladder": [{"transformer": {"ratio": 0.5}}, {"control": {"kind": "rheostat", "total_ohm": 15, "position": 0.4, "id": "P1"}}], "driver": "d"})");
    EXPECT_EQ(app::layOut(special.circuit).notes.size(), 1);
    EXPECT_EQ(app::layOut(special.circuit).controls.size(), 1);
}

// Ways in series follow each other: one begins at the amplifier, one ends there, and where one
// returns the next begins.
TEST(LaneLayout, waysInSeriesFollowEachOther) {
    const network::Network n = networkFrom(
        R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"join":"series","ways":[)"
        R"({"ladder":[{"shunt":"C1 10uF"}],"driver":"a"},{"ladder":[{"shunt":"L1 1mH"}],"driver":"b"}]})");
    const LaneLayout series = app::layOut(n.circuit);
    ASSERT_EQ(series.lanes.size(), 2);
    EXPECT_TRUE(series.lanes[0].onHot);
    EXPECT_FALSE(series.lanes[0].onReturn);
    EXPECT_FALSE(series.lanes[1].onHot);
    EXPECT_TRUE(series.lanes[1].onReturn);
    const QLine down(
        series.hotPost, series.lanes[0].returnRail, series.hotPost, series.lanes[1].rail);
    EXPECT_TRUE(series.posts.contains(down));
    network::Circuit parallel = n.circuit;
    std::get<network::Ways>(parallel.tree()->end).join = network::Joining::parallel;
    const LaneLayout side = app::layOut(parallel);
    EXPECT_TRUE(side.lanes[0].onReturn && side.lanes[1].onHot);
    EXPECT_FALSE(side.posts.contains(down));
    expectSound(n.circuit, "series");
}

// Before amplifiers of their own: filters from the left, the amplifier right before its post, all
// amplifiers one under the other, nothing between the lanes.
TEST(LaneLayout, whatStandsBeforeAnAmplifierComesFirst) {
    const auto n = networkFrom(
        R"({"drivers": {"a": {"r_ohm": 8}, "b": {"r_ohm": 8}},
            "ways": [{"line": {"filters": [{"kind": "low-pass", "f0_hz": 500}, {"kind": "peaking", "f0_hz": 90, "gain_db": 2}]}, "driver": "a"},
                     {"ladder": [{"series": "C1 10uF"}], "driver": "b"}]})");
    const app::LaneLayout layout = app::layOut(n.circuit);
    EXPECT_TRUE(layout.posts.isEmpty());
    ASSERT_EQ(layout.filters.size(), 4); // two filters, two amplifiers
    ASSERT_EQ(layout.filterInserts.size(), 2);
    int amplifier = 0;
    for (const auto& filter : layout.filters) {
        EXPECT_LT(filter.rect.right(), layout.hotPost);
        for (const auto& other : layout.filters) {
            EXPECT_TRUE(&other == &filter || !other.rect.intersects(filter.rect));
        }
        if (!filter.place.filter) {
            EXPECT_TRUE(amplifier == 0 || filter.rect.x() == amplifier);
            amplifier = filter.rect.x();
        }
    }
    EXPECT_GT(layout.tiles.front().rect.x(), layout.hotPost);
}

} // namespace yf::test
