// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "cli/verb.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <string>
#include <vector>

/// The command line as a test meets it: one JSON object in, one line out.
namespace yf::test {

using text::Value;

inline cli::Answer answer(const std::vector<std::string>& words, const std::string& input) {
    return cli::answer(words, [&]() -> Result<std::string> { return input; });
}

inline Value output(const std::vector<std::string>& words, const std::string& input) {
    const cli::Answer a = answer(words, input);
    EXPECT_EQ(a.status, 0) << a.err;
    EXPECT_EQ(a.err, "");
    EXPECT_EQ(std::ranges::count(a.out, '\n'), 1) << "one line";
    auto value = text::parseJson(a.out);
    EXPECT_TRUE(value.ok());
    return value ? *value : Value{};
}

inline double number(const Value& value, const std::string& key) {
    const Value* found = value.find(key);
    EXPECT_NE(found, nullptr) << key;
    EXPECT_NE(found == nullptr ? nullptr : found->number(), nullptr) << key;
    return found != nullptr && found->number() != nullptr ? *found->number() : std::nan("");
}

struct Figure {
    const char* key;
    double value;
    double tolerance;
};

inline void expectFigures(const Value& out, const std::vector<Figure>& figures) {
    for (const Figure& f : figures) {
        EXPECT_NEAR(number(out, f.key), f.value, f.tolerance) << f.key;
    }
}

/// No NaN and no infinity anywhere: JSON has none, and a value that does not exist is null.
inline void expectFinite(const Value& value) {
    if (const double* n = value.number()) {
        EXPECT_TRUE(std::isfinite(*n));
    } else if (const auto* list = value.list()) {
        for (const Value& entry : *list) {
            expectFinite(entry);
        }
    } else if (const auto* object = value.object()) {
        for (const auto& member : *object) {
            expectFinite(member.value);
        }
    }
}

} // namespace yf::test
