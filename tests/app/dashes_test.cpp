// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/dashes.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

const app::DashScale pixels{
    [](double x) { return 100.0 * std::log10(x); }, [](double y) { return 2.0 * y; }, 2.0};

/// Lengths of the pieces in pixels.
std::vector<double> pieces(const QVector<double>& keys, const QVector<double>& values) {
    std::vector<double> lengths;
    double length = 0.0;
    for (qsizetype i = 0; i < keys.size(); ++i) {
        if (std::isnan(values[i])) {
            lengths.push_back(length);
            length = 0.0;
        } else if (i > 0 && !std::isnan(values[i - 1])) {
            length += std::hypot(pixels.x(keys[i]) - pixels.x(keys[i - 1]),
                                 pixels.y(values[i]) - pixels.y(values[i - 1]));
        }
    }
    lengths.push_back(length);
    return lengths;
}

} // namespace

TEST(Dashes, areAsLongAsThePatternSaysWhateverThePoints) {
    for (const int points : {2, 7, 60, 500}) {
        QVector<double> keys;
        QVector<double> values;
        for (int i = 0; i < points; ++i) {
            keys.push_back(std::pow(10.0, 3.0 * i / (points - 1.0)));
            values.push_back(50.0 * i / (points - 1.0));
        }
        app::cutIntoDashes(keys, values, {5.0, 3.0}, pixels);
        const auto lengths = pieces(keys, values);
        // 316.2 px of line: dashes of 10 px every 16; nothing but a gap may follow the last one.
        const auto dashes =
            std::ranges::count_if(lengths, [](double length) { return length > 0.0; });
        ASSERT_EQ(dashes, 20) << points;
        for (std::size_t i = 0; i + 1 < lengths.size(); ++i) {
            EXPECT_NEAR(lengths[i], 10.0, 1e-6) << points << " points, dash " << i;
        }
    }
}

TEST(Dashes, gapsOfTheCurveStay) {
    QVector<double> keys{1.0, 10.0, 20.0, 30.0, 100.0};
    QVector<double> values{1.0, 1.0, std::nan(""), 1.0, 1.0};
    app::cutIntoDashes(keys, values, {4.0, 2.0}, pixels);
    for (qsizetype i = 1; i < keys.size(); ++i) {
        if (!std::isnan(values[i]) && !std::isnan(values[i - 1])) {
            EXPECT_FALSE(keys[i - 1] < 20.0 && keys[i] > 20.0) << "a dash over the gap";
        }
    }
    QVector<double> none;
    QVector<double> noValues;
    app::cutIntoDashes(none, noValues, {4.0, 2.0}, pixels);
    EXPECT_TRUE(none.isEmpty());
}

} // namespace yf::test
