// SPDX-License-Identifier: GPL-3.0-or-later
// Data sheets: every figure recomputed from the six base quantities by the formulas of Small (1972)
// and Thiel (1971), then some taken away, falsified or rounded.
#include "core/driver/complete.h"
#include "core/sim/random.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using driver::Figure;
using driver::Figures;
using driver::SheetVerdict;

constexpr double pi = std::numbers::pi;

std::size_t at(Figure f) {
    return static_cast<std::size_t>(f);
}

struct Base {
    double Re, Bl, Mms, Cms, Rms, Sd;
};

constexpr Base woofer{5.8, 7.1, 0.0168, 0.95e-3, 1.15, 0.0133};
constexpr Base tweeter{6.1, 3.0, 0.35e-3, 0.06e-3, 0.3, 0.00066};
constexpr Base large{5.4, 17.0, 0.16, 0.22e-3, 6.0, 0.085};
constexpr Base midrange{6.2, 5.5, 0.0055, 0.4e-3, 0.9, 0.0053};

Figures all(const Base& b) {
    constexpr double rho = 1.204;
    constexpr double c = 343.2;
    Figures f;
    const auto set = [&](Figure figure, double value) { f[at(figure)] = value; };
    const double root = std::sqrt(b.Mms / b.Cms);
    const double eta = rho / (2 * pi * c) * b.Bl * b.Bl * b.Sd * b.Sd / (b.Re * b.Mms * b.Mms);
    const double perWatt = 10 * std::log10(eta * rho * c / (2 * pi) / 4e-10);
    set(Figure::Re, b.Re);
    set(Figure::fs, 1 / (2 * pi * std::sqrt(b.Mms * b.Cms)));
    set(Figure::Qms, root / b.Rms);
    set(Figure::Qes, root * b.Re / (b.Bl * b.Bl));
    set(Figure::Qts, 1 / (b.Rms / root + b.Bl * b.Bl / (root * b.Re)));
    set(Figure::Vas, rho * c * c * b.Sd * b.Sd * b.Cms);
    set(Figure::Sd, b.Sd);
    set(Figure::Bl, b.Bl);
    set(Figure::Mms, b.Mms);
    set(Figure::Mmd, b.Mms - 16.0 / 3 * rho * std::pow(b.Sd / pi, 1.5));
    set(Figure::Cms, b.Cms);
    set(Figure::Rms, b.Rms);
    set(Figure::eta0, eta);
    set(Figure::sensitivity1w, perWatt);
    set(Figure::sensitivity2v83, perWatt + 10 * std::log10(2.83 * 2.83 / b.Re));
    return f;
}

Figures only(const Figures& f, std::initializer_list<Figure> kept) {
    Figures out;
    for (const Figure k : kept) {
        out[at(k)] = f[at(k)];
    }
    return out;
}

driver::Completed completed(const Figures& given) {
    driver::CompleteRequest r;
    r.given = given;
    return *driver::complete(r);
}

} // namespace

// Any six figures: what is called determined is right to 1e-5, whatever six they are.
TEST(DataSheet, whatIsFilledInIsRight) {
    sim::Random random(5);
    int filled{};
    for (const Base& base : {woofer, tweeter, large, midrange}) {
        const Figures truth = all(base);
        for (int k = 0; k < 150; ++k) {
            Figures given;
            int count{};
            while (count < 6) {
                const auto i = static_cast<std::size_t>(random.uniform() * driver::figureCount);
                count += given[i] ? 0 : 1;
                given[i] = truth[i];
            }
            const auto out = completed(given);
            for (std::size_t i = 0; i < driver::figureCount; ++i) {
                if (out.values[i]) {
                    ++filled;
                    EXPECT_NEAR(*out.values[i] / *truth[i], 1.0, 1e-5)
                        << driver::quantityOf(static_cast<Figure>(i)).key;
                }
            }
        }
    }
    EXPECT_GT(filled, 600 * 9);
}

// Solutions that no chain of "solve for the one unknown" finds: Qts with Rms and Bl.
TEST(DataSheet, solvesSimultaneously) {
    const Figures truth = all(woofer);
    const auto out = completed(
        only(truth, {Figure::Re, Figure::Qts, Figure::Rms, Figure::Bl, Figure::fs, Figure::Sd}));
    for (std::size_t i = 0; i < driver::figureCount; ++i) {
        ASSERT_TRUE(out.values[i].has_value()) << i;
        EXPECT_NEAR(*out.values[i] / *truth[i], 1.0, 1e-5) << i;
    }
    EXPECT_TRUE(out.undetermined.empty());
}

TEST(DataSheet, saysWhatWouldSettleTheRest) {
    const auto out = completed(
        only(all(woofer), {Figure::Re, Figure::fs, Figure::Qms, Figure::Qes, Figure::Sd}));
    EXPECT_NEAR(*out.values[at(Figure::Qts)], *all(woofer)[at(Figure::Qts)], 1e-9);
    EXPECT_FALSE(out.values[at(Figure::Vas)].has_value());
    const auto found = std::ranges::find(
        out.wouldSettle, "Vas_l", &std::pair<std::string, std::vector<std::string>>::first);
    ASSERT_NE(found, out.wouldSettle.end());
    for (const char* key : {"Bl_t_m", "Mms_kg", "Mmd_kg", "Cms_m_per_n", "eta0_pct"}) {
        EXPECT_NE(std::ranges::find(found->second, key), found->second.end()) << key;
    }
    EXPECT_EQ(out.verdict, SheetVerdict::notCheckable);
}

TEST(DataSheet, noFalseAlarmOnRoundedSheets) {
    for (const Base& base : {woofer, tweeter, large, midrange}) {
        Figures rounded = all(base);
        for (std::size_t i = 0; i < driver::figureCount; ++i) {
            const double step = std::pow(10.0, std::floor(std::log10(*rounded[i])) - 2);
            rounded[i] = step * std::round(*rounded[i] / step);
        }
        const auto out = completed(rounded);
        EXPECT_EQ(out.verdict, SheetVerdict::consistent);
        for (const auto& check : out.checks) {
            EXPECT_TRUE(check.ok) << check.relation;
        }
        EXPECT_EQ(out.checks.size(), 8U);
    }
}

// A figure half as large again stands out of a full sheet: named alone or first in a short list,
// never another one alone.
TEST(DataSheet, namesTheFalsifiedFigure) {
    int alone{};
    int tried{};
    for (const Base& base : {woofer, midrange, large}) {
        for (const Figure f : {Figure::fs,
                               Figure::Qms,
                               Figure::Qes,
                               Figure::Qts,
                               Figure::Vas,
                               Figure::Bl,
                               Figure::Mms,
                               Figure::Cms,
                               Figure::Rms}) {
            Figures sheet = all(base);
            sheet[at(Figure::Mmd)].reset();
            sheet[at(f)] = *sheet[at(f)] * 1.5;
            const auto out = completed(sheet);
            const std::string key(driver::quantityOf(f).key);
            ++tried;
            EXPECT_NE(out.verdict, SheetVerdict::consistent) << key;
            if (out.verdict == SheetVerdict::oneOff) {
                ++alone;
                EXPECT_EQ(out.suspects.front(), key);
                EXPECT_NEAR(*out.values[at(f)] / *all(base)[at(f)], 1.0, 0.05);
            } else {
                EXPECT_NE(std::ranges::find(out.suspects, key), out.suspects.end()) << key;
            }
        }
    }
    EXPECT_GT(alone, tried * 2 / 3);
}

// With only three Q any of them may be the wrong one; Qts above Qms never is possible.
TEST(DataSheet, saysThatItCannotTell) {
    Figures sheet = only(
        all(woofer), {Figure::Re, Figure::fs, Figure::Qms, Figure::Qes, Figure::Qts, Figure::Sd});
    sheet[at(Figure::Qts)] = *sheet[at(Figure::Qts)] * 1.2;
    const auto out = completed(sheet);
    EXPECT_EQ(out.verdict, SheetVerdict::cannotTell);
    EXPECT_EQ(out.unchecked, (std::vector<std::string>{"Re_ohm", "fs_hz", "Sd_m2"}));
    EXPECT_GE(out.suspects.size(), 2U);
}

TEST(DataSheet, findsSlips) {
    Figures sheet = all(woofer);
    sheet[at(Figure::Mmd)].reset();
    sheet[at(Figure::Mms)] = *sheet[at(Figure::Mms)] * 1000; // grams as kilograms
    const auto grams = completed(sheet);
    ASSERT_EQ(grams.slips.size(), 1U);
    EXPECT_EQ(grams.slips[0], (std::pair<std::string, std::string>{"Mms_kg", "a prefix (1000)"}));
    sheet = all(woofer);
    sheet[at(Figure::Vas)] = *sheet[at(Figure::Vas)] / 28.32;
    EXPECT_EQ(completed(sheet).slips[0].second, "cubic feet taken for litres");
}

// By propagation worked by hand: fs = 1/(2π√(Mms·Cms)), so u(fs)² = (u(Mms)² + u(Cms)²)/4.
TEST(DataSheet, carriesUncertainties) {
    driver::CompleteRequest r;
    r.given = only(all(woofer), {Figure::Mms, Figure::Cms, Figure::Rms, Figure::Re});
    r.uncertainties = {
        {"Mms_kg", 3.0}, {"Cms_m_per_n", 4.0}, {"Rms_n_s_per_m", 1.0}, {"Re_ohm", 1.0}};
    const auto out = *driver::complete(r);
    const auto u = [&](const std::string& key) {
        const auto found =
            std::ranges::find(out.uncertainties, key, &std::pair<std::string, double>::first);
        return found == out.uncertainties.end() ? std::nan("") : found->second;
    };
    EXPECT_NEAR(u("fs_u_pct"), 2.5, 1e-9);
    EXPECT_NEAR(u("Qms_u_pct"), std::sqrt(2.5 * 2.5 + 1.0), 1e-9);
    EXPECT_NEAR(u("Re_u_pct"), 1.0, 1e-9);
    EXPECT_TRUE(std::isnan(u("Bl_u_pct"))) << "nothing determines it";
}

TEST(DataSheet, refusesByName) {
    const auto error = [](const std::string& json) {
        const auto r = driver::CompleteRequest::read(text::parseJson(json).value(), "");
        return r ? driver::complete(*r).error() : r.error();
    };
    EXPECT_EQ(error("{}").given, "no figure given");
    EXPECT_EQ(error(R"({"Qez": 0.4})").allowed, "the nearest known key is Qes");
    EXPECT_EQ(error(R"({"Qes": -0.4})").allowed, "must be 0.01 to 1000");
    EXPECT_EQ(error(R"({"Sd_m2": 0.01, "diameter_m": 0.1})").subject, "diameter_m");
    EXPECT_EQ(error(R"({"Re_ohm": 6, "uncertainties_pct": {"Re": 1}})").subject,
              "uncertainties_pct.Re");
}

} // namespace yf::test
