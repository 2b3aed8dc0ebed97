// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/dashes.h"
#include "app/plots/thinning.h"

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

// Whatever the curve, no point that was left out lies further from the line than is allowed.
TEST(Thinning, whatIsLeftOutLiesOnTheLine) {
    struct {
        const char* name;
        double (*at)(double);
        qsizetype most;
    } const curves[] = {
        {"straight", [](double x) { return 3.0 * x; }, 2},
        {"smooth", [](double x) { return 20.0 * std::sin(2.0 * x); }, 160},
        {"notch", [](double x) { return -40.0 * std::exp(-1e4 * (x - 1.5) * (x - 1.5)); }, 120},
        {"rough", [](double x) { return 5.0 * std::sin(1e4 * x); }, 601},
    };

    constexpr double tolerance = 0.1;
    for (const auto& curve : curves) {
        QVector<double> keys;
        QVector<double> values;
        for (int i = 0; i <= 600; ++i) {
            keys.push_back(std::pow(10.0, 3.0 * i / 600.0));
            values.push_back(curve.at(3.0 * i / 600.0));
        }
        const QVector<double> allKeys = keys;
        const QVector<double> allValues = values;
        app::thinOut(keys, values, pixels, tolerance);
        EXPECT_LE(keys.size(), curve.most) << curve.name;
        ASSERT_GE(keys.size(), 2) << curve.name;
        EXPECT_EQ(keys.front(), allKeys.front());
        EXPECT_EQ(keys.back(), allKeys.back());
        qsizetype piece = 0;
        for (qsizetype i = 0; i < allKeys.size(); ++i) {
            while (keys[piece + 1] < allKeys[i]) {
                ++piece;
            }
            const double from = pixels.x(keys[piece]);
            const double share = (pixels.x(allKeys[i]) - from) / (pixels.x(keys[piece + 1]) - from);
            const double line = pixels.y(values[piece]) +
                                share * (pixels.y(values[piece + 1]) - pixels.y(values[piece]));
            EXPECT_NEAR(line, pixels.y(allValues[i]), tolerance * 1.001) << curve.name << ' ' << i;
        }
    }
}

TEST(Thinning, gapsStayAndNothingIsDrawnAcrossThem) {
    const double gap = std::nan("");
    QVector<double> keys{1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 6.0, 7.0};
    QVector<double> values{0.0, 0.0, gap, 0.0, gap, 1.0, 9.0, 1.0};
    app::thinOut(keys, values, pixels);
    EXPECT_EQ(keys, (QVector<double>{1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 6.0, 7.0}));
    QVector<double> many{1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0};
    QVector<double> mostlyGap{gap, gap, 1.0, gap, gap, gap, 1.0, gap};
    app::thinOut(many, mostlyGap, pixels);
    EXPECT_EQ(many, (QVector<double>{3.0, 4.0, 7.0, 8.0})) << "one gap between two pieces";
    QVector<double> none;
    app::thinOut(none, none, pixels);
    EXPECT_TRUE(none.isEmpty());
    // Before there is room every point lies at one place: all stay.
    QVector<double> same{1.0, 10.0, 100.0};
    QVector<double> other{1.0, 2.0, 3.0};
    app::thinOut(same, other, {[](double) { return 0.0; }, [](double) { return 0.0; }, 1.0});
    EXPECT_EQ(same.size(), 3);
}

} // namespace yf::test
