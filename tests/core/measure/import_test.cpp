// SPDX-License-Identifier: GPL-3.0-or-later
// docs/theory/measurement.md, "Text tables": every form that is read, every guess that is told,
// every refusal with its place.
#include "core/measure/table/decode.h"
#include "core/measure/table/import.h"
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"
#include "core/take/import.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <numbers>

namespace yf::test {

namespace {

using measure::ImportedTable;
using measure::ImportRequest;

std::string utf16(const std::string& ascii, bool bigEndian) {
    std::string bytes = bigEndian ? std::string("\xFE\xFF", 2) : std::string("\xFF\xFE", 2);
    for (const char c : ascii) {
        bytes += bigEndian ? std::string{'\0', c} : std::string{c, '\0'};
    }
    return bytes;
}

/// The same three points in every form below.
const std::vector<double> frequencies{100.0, 1000.0, 10000.0};
const std::vector<double> levels{80.5, 90.25, 85.0};
const std::vector<double> phasesDeg{10.0, -20.5, 170.0};

} // namespace

TEST(ImportTable, readsEveryFormAlike) {
    struct {
        const char* what;
        std::string text;
        const char* delimiter;
        const char* decimal;
    } const rows[] = {
        {"comma separated",
         "freq,level_db,phase_deg\n100,80.5,10\n1000,90.25,-20.5\n10000,85,170\n",
         "comma",
         "point"},
        {"no final newline",
         "freq,level_db,phase_deg\n100,80.5,10\n1000,90.25,-20.5\n10000,85,170",
         "comma",
         "point"},
        {"semicolon, decimal comma",
         "Frequenz Hz;Pegel dB;Phase\n100;80,5;10\n1000;90,25;-20,5\n10000;85;170\n",
         "semicolon",
         "comma"},
        {"tabs",
         "Freq\tSPL\tPhase\n100\t80.5\t10\n1000\t90.25\t-20.5\n10000\t85\t170\n",
         "tab",
         "point"},
        {"tabs, decimal comma",
         "Freq\tSPL\tPhase\n100\t80,5\t10\n1000\t90,25\t-20,5\n10000\t85\t170\n",
         "tab",
         "comma"},
        {"blanks",
         "* comment\n* freq spl phase\nfreq spl phase\n100  80.5  10\n 1000 90.25   -20.5\n10000 "
         "85 170\n",
         "space",
         "point"},
        {"comma and blank",
         "freq, spl, phase\n100, 80.5, 10\n1000, 90.25, -20.5\n10000, 85, 170\n",
         "comma",
         "point"},
        {"Windows line ends",
         "freq,spl,phase\r\n100,80.5,10\r\n1000,90.25,-20.5\r\n10000,85,170\r\n",
         "comma",
         "point"},
        {"old line ends",
         "freq,spl,phase\r100,80.5,10\r1000,90.25,-20.5\r10000,85,170\r",
         "comma",
         "point"},
        {"exponents",
         "freq spl phase\n1.0E+02 8.05e1 1D1\n1e3 90.25 -2.05d+1\n1e4 85 170\n",
         "space",
         "point"},
        {"comment marks",
         "# one\n; two\n! three\n% four\n// "
         "five\nfreq,spl,phase\n100,80.5,10\n1000,90.25,-20.5\n\n10000,85,170\n# end\n",
         "comma",
         "point"},
        {"trailing separators",
         "freq,spl,phase,\n100,80.5,10,\n1000,90.25,-20.5,\n10000,85,170,\n",
         "comma",
         "point"},
        {"UTF-8 mark",
         "\xEF\xBB\xBF"
         "freq,spl,phase\n100,80.5,10\n1000,90.25,-20.5\n10000,85,170\n",
         "comma",
         "point"},
        {"typographic minus",
         "freq,spl,phase\n100,80.5,10\n1000,90.25,\xE2\x88\x92"
         "20.5\n10000,85,170\n",
         "comma",
         "point"},
        {"Latin-1 header",
         "freq (Hz);Schalldruck dB f\xFCr 1 m;Phase "
         "\xB0\n100;80.5;10\n1000;90.25;-20.5\n10000;85;170\n",
         "semicolon",
         "point"},
        {"UTF-16 little",
         utf16("freq,spl,phase\n100,80.5,10\n1000,90.25,-20.5\n10000,85,170\n", false),
         "comma",
         "point"},
        {"UTF-16 big",
         utf16("freq,spl,phase\n100,80.5,10\n1000,90.25,-20.5\n10000,85,170\n", true),
         "comma",
         "point"},
    };

    for (const auto& row : rows) {
        const auto table = measure::importTable({.text = row.text});
        ASSERT_TRUE(table.ok()) << row.what << ": " << text::sentence(table.error());
        EXPECT_EQ(table->frequencies, frequencies) << row.what;
        ASSERT_TRUE(table->levels.has_value()) << row.what;
        EXPECT_EQ(*table->levels, levels) << row.what;
        ASSERT_TRUE(table->phases.has_value()) << row.what;
        for (std::size_t i = 0; i < phasesDeg.size(); ++i) {
            EXPECT_NEAR((*table->phases)[i], phasesDeg[i] * quantity::degree, 1e-12) << row.what;
        }
        EXPECT_EQ(table->delimiter, row.delimiter) << row.what;
        EXPECT_EQ(table->decimal, row.decimal) << row.what;
        EXPECT_TRUE(table->warnings.empty()) << row.what << " " << table->warnings.front();
        EXPECT_EQ(table->rows, 3) << row.what;
    }
}

TEST(ImportTable, tellsWhatItDidOrGuessed) {
    struct {
        const char* text;
        std::vector<std::string> warnings;
    } const rows[] = {
        {"freq,spl\n1000,90\n100,80\n", {"unsorted"}},
        {"freq,spl\n100,80\n100,80\n200,81\n", {"duplicates"}},
        {"freq,spl\n0,-inf\n100,80\n200,81\n", {"dc_row_dropped"}},
        {"freq kHz,spl\n0.1,80\n0.2,81\n", {"kilohertz"}},
        {"freq,spl,phase rad\n100,80,1\n200,81,2\n", {"radians"}},
        {"100 80\n200 81\n", {"quantity_guessed"}},
        {"freq,spl,coherence\n100,80,1\n200,81,0.9\n", {"columns_left_out"}},
        {"freq,spl\n100,80\n150,nan\n200,81\n", {"rows_without_number"}},
        {"freq,spl\n100,80\n200,81\nEnd of data\n", {"footer"}},
        {"freq,pressure Pa\n100,1\n200,2\n", {"unit_changed"}},
        {"freq,voltage V\n100,1\n200,2\n", {"relative_level"}},
        {"freq,re ohm,im ohm\n100,1,1\n200,2,0\n", {"parts"}},
        {"omega,spl\n100,80\n200,81\n", {"angular"}},
        {"log10 f,spl\n2,80\n3,81\n", {"log_frequency"}},
        {"freq;spl\n500;80\n1,000;80.5\n", {"thousands"}},
    };

    for (const auto& row : rows) {
        const auto table = measure::importTable({.text = row.text});
        ASSERT_TRUE(table.ok()) << row.text << text::sentence(table.error());
        EXPECT_EQ(table->warnings, row.warnings) << row.text;
        for (const std::string& warning : row.warnings) {
            const std::string sentence = measure::warningInWords(warning).english();
            EXPECT_NE(sentence, warning);
            EXPECT_NE(measure::understood(*table).english().find(sentence), std::string::npos);
        }
    }
    const auto kilo = measure::importTable({.text = "freq kHz,spl\n0.1,80\n0.2,81\n"});
    EXPECT_NEAR(kilo->frequencies[0], 100.0, 1e-9);
    const auto radians = measure::importTable({.text = "freq,spl,phase rad\n100,80,1\n200,81,2\n"});
    EXPECT_NEAR((*radians->phases)[1], 2.0, 1e-12);
}

TEST(ImportTable, equalFrequenciesBecomeTheirComplexMean) {
    const auto table =
        measure::importTable({.text = "freq,spl,phase\n100,80,0\n100,80,90\n200,80,0\n"});
    ASSERT_TRUE(table.ok());
    // Mean of 1 and j: modulus 1/√2 (−3.01 dB), 45°.
    EXPECT_NEAR((*table->levels)[0], 80.0 - 3.0103, 1e-4);
    EXPECT_NEAR((*table->phases)[0], std::numbers::pi / 4.0, 1e-12);
}

TEST(ImportTable, quantityFromHeaderOrWish) {
    struct {
        const char* text;
        measure::QuantityChoice wish;
        const char* quantity;
    } const rows[] = {
        {"f,impedance,phase\n100,6,0\n200,7,0\n", measure::QuantityChoice::automatic, "impedance"},
        {"f;Impedanz Ohm;Phase\n100;6;0\n200;7;0\n",
         measure::QuantityChoice::automatic,
         "impedance"},
        {"f,spl\n100,6\n200,7\n", measure::QuantityChoice::automatic, "level"},
        {"f,level_db\n100,6\n200,7\n", measure::QuantityChoice::impedance, "impedance"},
        {"100,6\n200,7\n", measure::QuantityChoice::level, "level"},
    };

    for (const auto& row : rows) {
        const auto table = measure::importTable({.text = row.text, .quantity = row.wish});
        ASSERT_TRUE(table.ok()) << row.text;
        EXPECT_EQ(table->quantity, row.quantity) << row.text;
        EXPECT_EQ(table->magnitudes.has_value(), std::string(row.quantity) == "impedance");
    }
}

TEST(ImportTable, refusesWithLineAndColumn) {
    struct {
        std::string text;
        const char* part;
    } const rows[] = {
        {"", "empty, must hold a table"},
        {"\n\n", "empty, must hold a table"},
        {"freq,spl\n", "no row begins with a number"},
        {"freq,spl\n100,80\n", "1 row"},
        {"freq,spl\n100,80\n100,80\n", "1 row"},
        {"freq,spl\n100,80\n200,abc\n", "line 3, column 2: 'abc' is not a number"},
        {"freq,spl\n100,80\n200,NaN\n", "1 row of data"},
        {"freq,spl\n100,80\n200,inf\n", "1 row of data"},
        {"freq,spl,phase\n100,80,1\n200,81\n", "line 3"},
        {"freq,spl\n100,80\n200,81,5\n", "line 3"},
        {"freq,spl\n100,80\n-200,81\n", "line 3, column 1"},
        {"freq;spl\n100;1.234,5\n200;81,5\n", "line 2, column 2: 1234.5 dB"},
        {"100\n200\n300\n", "column"},
        {"freq,impedance\n100,-5\n200,8\n", "line 2, column 2"},
        {"freq,impedance\n100,0\n200,8\n", "line 2, column 2"},
        {"\n\n# c\nfreq,spl\n\n100,80\nx,81\n", "line 7, column 1: 'x' is not a number"},
        {std::string("PNG\0\1\2", 6), "text"},
        {std::string("100,80\n200,\0\n", 13), "text"},
        {std::string("\xFF\xFE"
                     "1",
                     3),
         "text"},
    };

    for (const auto& row : rows) {
        const auto table = measure::importTable({.text = row.text});
        ASSERT_FALSE(table.ok()) << row.text;
        const std::string said = text::sentence(table.error()).english();
        EXPECT_NE(said.find(row.part), std::string::npos) << row.text << "\n" << said;
    }
}

TEST(ImportTable, largeTextsAreReadOrRefusedBySize) {
    std::string big = "freq,spl\n";
    for (int i = 1; i <= 200000; ++i) {
        big += std::to_string(i) + ",80\n";
    }
    const auto table = measure::importTable({.text = big});
    ASSERT_TRUE(table.ok());
    EXPECT_EQ(table->rows, 200000);
    const auto refused =
        measure::importTable({.text = std::string(measure::largestTable + 1, '1')});
    ASSERT_FALSE(refused.ok());
    EXPECT_NE(text::sentence(refused.error()).english().find("MB"), std::string::npos)
        << text::sentence(refused.error());
}

// Rubbish may be refused, but nothing else: every cut and every flipped byte of a good table.
TEST(ImportTable, survivesMutilation) {
    const std::string good = "freq;Pegel dB;Phase\n100;80,5;10\n1000;90,25;-20,5\n10000;85;170\n";
    for (std::size_t cut = 0; cut <= good.size(); ++cut) {
        const auto table = measure::importTable({.text = good.substr(0, cut)});
        EXPECT_TRUE(table.ok() || !table.error().given.empty());
    }
    for (std::size_t at = 0; at < good.size(); ++at) {
        for (const char c : {'\0', '\xFF', ',', ';', '-', 'e', '\n', '9'}) {
            std::string broken = good;
            broken[at] = c;
            const auto table = measure::importTable({.text = broken});
            if (table.ok()) {
                EXPECT_EQ(table->frequencies.size(),
                          table->levels ? table->levels->size() : table->magnitudes->size());
                EXPECT_TRUE(std::ranges::is_sorted(table->frequencies));
            } else {
                EXPECT_FALSE(text::sentence(table.error()).empty());
            }
        }
    }
}

TEST(ImportTable, curveOfATable) {
    const auto table = measure::importTable({.text = "freq,spl,phase\n100,94,90\n200,74,0\n"});
    const curve::Curve curve = measure::toCurve(*table);
    EXPECT_NEAR(std::abs(curve.values()[0]), 1.0024, 1e-4); // 94 dB re 20 µPa is 1 Pa, near enough
    EXPECT_NEAR(std::arg(curve.values()[0]), std::numbers::pi / 2.0, 1e-12);
    EXPECT_EQ(curve.phase(), curve::Phase::common);
    EXPECT_EQ(
        measure::toCurve(*measure::importTable({.text = "freq,spl\n100,94\n200,74\n"})).phase(),
        curve::Phase::none);
}

TEST(ImportTake, tellsAndKeepsHowItWasRead) {
    const auto take = take::importTake(
        take::TableFile{"freq,impedance\n100,6\n200,7\n", "old.txt", "2026-05-06"});
    ASSERT_TRUE(take.ok());
    EXPECT_EQ(take->take.kind, job::TakeKind::impedance);
    EXPECT_EQ(take->take.name, "old.txt");
    EXPECT_TRUE(take->doubtful);
    EXPECT_NE(take->told.english().find("minimum phase"), std::string::npos);
    const auto refused = take::importTake(take::TableFile{"nothing", "old.txt", "2026-05-06"});
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().subject, "old.txt");
}

TEST(Decode, nothingButTextPasses) {
    EXPECT_EQ(measure::decode("abc").value(), "abc");
    EXPECT_EQ(measure::decode("\xC3\xBC").value(), "\xC3\xBC");
    EXPECT_EQ(measure::decode("\xFC").value(), "\xC3\xBC");
    EXPECT_EQ(measure::decode("a\xE2\x88\x92"
                              "b")
                  .value(),
              "a-b");
    EXPECT_FALSE(measure::decode(std::string("a\0b", 3)).ok());
}

} // namespace yf::test
