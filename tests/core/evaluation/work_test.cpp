// SPDX-License-Identifier: GPL-3.0-or-later
// What an evaluation can do without, and a job of many cabinets.
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/evaluation/work.h"
#include "core/findings/assess.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace yf::test {

using evaluation::Piece;
using evaluation::Work;

TEST(Work, aLineIsReadAsItWasWritten) {
    for (const Work& work : {Work{Piece::measurements, {"a b\"c\n"}},
                             Work{Piece::box, {"left", "right"}},
                             Work{Piece::whole, {}}}) {
        const std::string line = evaluation::toLine(work);
        EXPECT_EQ(line.find('\n'), std::string::npos) << line;
        EXPECT_EQ(evaluation::workOf(line), work);
    }
    for (const char* line :
         {"", "{", "7", "{\"part\":\"moon\",\"of\":[]}", "{\"part\":\"box\",\"of\":[1]}"}) {
        EXPECT_FALSE(evaluation::workOf(line)) << line;
    }
}

TEST(Work, aJobWithoutAPieceIsSoundAndEvaluates) {
    const job::Job& job = demoJob();
    std::vector<std::string> drivers;
    std::vector<std::string> cabinets;
    for (const job::Driver& driver : job.drivers) {
        drivers.push_back(driver.id);
    }
    for (const job::Cabinet& cabinet : job.cabinets) {
        cabinets.push_back(cabinet.id);
    }
    for (const Work& left : {Work{Piece::measurements, drivers},
                             Work{Piece::network, cabinets},
                             Work{Piece::box, cabinets},
                             Work{Piece::bench, {}},
                             Work{Piece::whole, {}},
                             Work{Piece::box, {"nobody"}}}) {
        const job::Job rest = evaluation::without(job, std::vector{left});
        const auto wrong = job::check(rest);
        EXPECT_FALSE(wrong) << evaluation::toLine(left);
        EXPECT_EQ(rest.cabinets.size(), job.cabinets.size());
        EXPECT_FALSE(findings::assess(rest).facts.empty());
    }
    const job::Job bare = evaluation::without(job, std::vector{Work{Piece::whole, {}}});
    EXPECT_TRUE(bare.takes.empty());
    EXPECT_TRUE(bare.readings.empty());
    EXPECT_TRUE(std::ranges::all_of(bare.cabinets, [](const auto& c) { return c.boxes.empty(); }));
}

TEST(Work, everyPieceIsToldBeforeItIsBegun) {
    const job::Job& job = demoJob();
    std::vector<Work> told;
    evaluation::Memory memory;
    memory.watch = [&](const Work& work) { told.push_back(work); };
    const auto assembly = evaluation::assemble(job, memory);
    static_cast<void>(evaluation::evaluate(job, assembly, evaluation::Tables::shipped(), memory));
    for (const job::Cabinet& cabinet : job.cabinets) {
        EXPECT_NE(std::ranges::find(told, Work{Piece::network, {cabinet.id}}), told.end());
    }
    EXPECT_EQ(told.back(), (Work{Piece::bench, {}}));
}

TEST(Work, aJobOfManyCabinetsFindsWhatItHasComputed) {
    const job::Job& one = demoJob();
    job::Job many = one;
    constexpr int copies = 24;
    for (int i = 0; i < copies; ++i) {
        job::Cabinet cabinet = one.cabinets.front();
        cabinet.id = "copy" + std::to_string(i);
        cabinet.twin.clear();
        cabinet.seat.distance = 1.0 + 0.01 * i;
        many.cabinets.push_back(std::move(cabinet));
    }
    evaluation::Memory memory;
    const auto& tables = evaluation::Tables::shipped();
    const auto first =
        evaluation::evaluate(many, evaluation::assemble(many, memory), tables, memory);
    const auto computed = memory.reuse().computed;
    const auto second =
        evaluation::evaluate(many, evaluation::assemble(many, memory), tables, memory);
    EXPECT_EQ(memory.reuse().computed, computed);
    EXPECT_TRUE(first == second);
}

} // namespace yf::test
