// SPDX-License-Identifier: GPL-3.0-or-later
// What the columns of a table are (docs/theory/measurement.md, "Text tables"): by name, unit and
// numbers, asked where two readings are plausible, several curves never mixed. The tables of the
// trial are written by core/worlds, which knows nothing of the importer.
#include "core/measure/calibration.h"
#include "core/measure/table/heading.h"
#include "core/measure/table/import.h"
#include "core/sim/import_trial.h"
#include "core/take/import.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using measure::ImportedTable;
using measure::Meaning;

std::vector<ImportedTable> curves(const std::string& text) {
    auto read = measure::importCurves({.text = text});
    EXPECT_TRUE(read.ok()) << text << "\n"
                           << (read ? std::string() : text::sentence(read.error()).english());
    return read ? std::move(*read) : std::vector<ImportedTable>();
}

/// What a text is refused or asked with; empty if it is read.
std::string refusal(const measure::ImportRequest& request) {
    const auto read = measure::importTable(request);
    return read ? std::string() : text::sentence(read.error()).english();
}

/// Twenty rows of a two-ohm circle: R = 4 + 2 cos, X = 2 sin, as a resonance draws it.
std::string circle(const char* head) {
    std::string text = head;
    for (int k = 0; k < 20; ++k) {
        const double f = 20.0 * std::pow(1000.0, k / 19.0);
        const double t = std::numbers::pi * (0.9 - 1.8 * k / 19.0);
        text += std::to_string(f) + ";" + std::to_string(4.0 + 2.0 * std::cos(t)) + ";" +
                std::to_string(2.0 * std::sin(t)) + "\n";
    }
    return text;
}

} // namespace

TEST(Heading, namesAndUnitsInEverySpelling) {
    struct {
        const char* name;
        std::vector<Meaning> allowed;
    } const rows[] = {
        {"Frequency (Hz)", {Meaning::hertz}},
        {"f/kHz", {Meaning::kilohertz}},
        {"omega [rad/s]", {Meaning::angular}},
        {"\u03c9", {Meaning::angular}},
        {"log10(f)", {Meaning::logHertz}},
        {"SPL", {Meaning::decibel}},
        {"SPL at 1 kHz ref (dB)", {Meaning::decibel}},
        {"Schalldruckpegel dB re 20 \u00b5Pa", {Meaning::decibel}},
        {"level, swept to 5 kHz", {Meaning::decibel}},
        {"Sound pressure (Pa)", {Meaning::pascal}},
        {"|Z| in k\u03a9", {Meaning::kiloohm}},
        {"Impedance [mOhm]", {Meaning::milliohm}},
        {"Impedance (dB)", {Meaning::decibelOhm}},
        {"Re(Z)/Ohm", {Meaning::realOhm}},
        {"Imagin\u00e4rteil (Ohm)", {Meaning::imaginaryOhm}},
        {"Phase \u00b0", {Meaning::degrees}},
        {"Phase (rad)", {Meaning::radians}},
        {"Phase", {Meaning::degrees, Meaning::radians}},
        {"Winkel in Grad", {Meaning::degrees}},
        {"excess phase (deg)", {Meaning::unused}},
        {"Coherence", {Meaning::coherence}},
        {"Noise floor dB", {Meaning::noise}},
        {"THD %", {Meaning::distortion}},
        {"Group delay (ms)", {Meaning::delay}},
        {"No", {Meaning::index}},
        {"15\u00b0", {}},
        {"2.83 V", {}},
        {"left front", {}},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(measure::readHeading(row.name).allowed, row.allowed) << row.name;
    }
    EXPECT_EQ(measure::readHeading("SPL left (dB)").label, "left");
}

TEST(Columns, anyOrderUnitAndForm) {
    struct {
        const char* what;
        const char* text;
        const char* quantity;
        double first; ///< Hz
        double value; ///< dB or ohms, of the first row
        double phase; ///< degrees; NaN: none
    } const rows[] = {
        {"index and frequency last",
         "No;SPL (dB);Phase (deg);f (Hz)\n1;80;10;100\n2;81;20;200\n",
         "level",
         100.0,
         80.0,
         10.0},
        {"kilohertz in the name", "f (kHz),SPL (dB)\n0.1,80\n0.2,81\n", "level", 100.0, 80.0, NAN},
        {"kilohertz only talked of",
         "# 1 kHz = 0 dB, swept to 5 kHz\nf (Hz),SPL (dB)\n100,80\n200,81\n",
         "level",
         100.0,
         80.0,
         NAN},
        {"radians per second",
         "omega (rad/s),SPL (dB)\n628.31853,80\n1256.6,81\n",
         "level",
         100.0,
         80.0,
         NAN},
        {"logarithm", "log10(f),SPL (dB)\n2,80\n3,81\n", "level", 100.0, 80.0, NAN},
        {"pascals",
         "f (Hz);p (Pa);phase (rad)\n100;1;0.5\n200;2;0\n",
         "level",
         100.0,
         93.979,
         28.648},
        {"real and imaginary pascals",
         "f (Hz);Re(p) (Pa);Im(p) (Pa)\n100;0;2\n200;1;1\n",
         "level",
         100.0,
         100.0,
         90.0},
        {"kiloohms",
         "f (Hz);|Z| (k\u03a9);phase (\u00b0)\n100;0.0063;20\n200;0.007;0\n",
         "impedance",
         100.0,
         6.3,
         20.0},
        {"R and X", "f (Hz);R (Ohm);X (Ohm)\n100;3;4\n200;3;0\n", "impedance", 100.0, 5.0, 53.130},
        {"|Z|, R and X are one curve",
         "f (Hz);|Z| (Ohm);R (Ohm);X (Ohm)\n100;5;3;4\n200;3;3;0\n",
         "impedance",
         100.0,
         5.0,
         53.130},
        {"dB of ohms", "f (Hz);Impedance (dB)\n100;20\n200;21\n", "impedance", 100.0, 10.0, NAN},
        {"a line of units",
         "f;SPL;Phase\nkHz;dB;rad\n0.1;80;1\n0.2;81;0\n",
         "level",
         100.0,
         80.0,
         57.296},
        {"units in the cells",
         "f;|Z|;phase\n100 Hz;6.3 Ohm;-20\u00b0\n1 kHz;7 Ohm;10\u00b0\n",
         "impedance",
         100.0,
         6.3,
         -20.0},
        {"quotes and thousands",
         "\"f (Hz)\",\"SPL (dB)\"\n\"900\",\"80.5\"\n\"1,250.5\",\"81\"\n",
         "level",
         900.0,
         80.5,
         NAN},
        {"thousands with points",
         "f (Hz);SPL (dB)\n800;80,5\n1.250;81,0\n",
         "level",
         800.0,
         80.5,
         NAN},
        {"an apostrophe between thousands",
         "f (Hz);SPL (dB)\n800;80.5\n1'250;81\n",
         "level",
         800.0,
         80.5,
         NAN},
        {"words in a column",
         "f (Hz);SPL (dB);flag\n100;80;ok\n200;81;ok\n",
         "level",
         100.0,
         80.0,
         NAN},
        {"a unit for a name",
         "f ohm phase\n20 6 0\n200 7 5\n20000 8 10\n",
         "impedance",
         20.0,
         6.0,
         0.0},
        {"unwrapped phase",
         "f (Hz);SPL (dB);phase (deg)\n100;80;-370\n200;81;-800\n",
         "level",
         100.0,
         80.0,
         -370.0},
    };

    for (const auto& row : rows) {
        const auto read = curves(row.text);
        ASSERT_EQ(read.size(), 1U) << row.what;
        const ImportedTable& table = read.front();
        EXPECT_EQ(table.quantity, row.quantity) << row.what;
        EXPECT_NEAR(table.frequencies.front(), row.first, 1e-6 * row.first) << row.what;
        const double value = table.levels ? table.levels->front() : table.magnitudes->front();
        EXPECT_NEAR(value, row.value, 1e-3) << row.what;
        ASSERT_EQ(table.hasPhase, !std::isnan(row.phase)) << row.what;
        if (table.hasPhase) {
            EXPECT_NEAR(table.phases->front() * 180.0 / std::numbers::pi, row.phase, 1e-3)
                << row.what;
        }
        EXPECT_GE(table.frequencies.size(), 2U) << row.what;
    }
}

TEST(Columns, severalCurvesAreNeverMixed) {
    struct {
        const char* what;
        const char* text;
        std::vector<std::string> names;
    } const rows[] = {
        {"side by side",
         "f (Hz);SPL A (dB);SPL B (dB)\n100;80;70\n200;81;71\n300;82;72\n",
         {"A", "B"}},
        {"below each other",
         "# left\nf (Hz);SPL (dB)\n100;80\n200;81\n300;82\n# right\nf (Hz);SPL "
         "(dB)\n100;70\n200;71\n300;72\n",
         {"left", "right"}},
        {"begun anew without a word",
         "f (Hz);SPL (dB)\n100;80\n200;81\n300;82\n100;70\n200;71\n300;72\n",
         {"1", "2"}},
        {"woven, with what tells them apart",
         "f (Hz);turn;SPL (dB)\n100;0;80\n100;30;70\n200;0;81\n200;30;71\n300;0;82\n300;30;72\n"
         "400;0;83\n400;30;73\n",
         {"turn 0", "turn 30"}},
    };

    for (const auto& row : rows) {
        const auto read = curves(row.text);
        ASSERT_EQ(read.size(), 2U) << row.what;
        for (std::size_t k = 0; k < 2; ++k) {
            EXPECT_EQ(read[k].name, row.names[k]) << row.what;
            EXPECT_EQ(read[k].levels->front(), k == 0 ? 80.0 : 70.0) << row.what;
            EXPECT_EQ(read[k].levels->at(2), k == 0 ? 82.0 : 72.0) << row.what;
            EXPECT_EQ(read[k].curves, 2) << row.what;
        }
        EXPECT_NE(refusal({.text = row.text}).find("curve: missing; the text holds 2 curves"),
                  std::string::npos)
            << refusal({.text = row.text});
        EXPECT_EQ(measure::importTable({.text = row.text, .curve = 2})->levels->front(), 70.0);
        EXPECT_NE(refusal({.text = row.text, .curve = 3}).find("must be 1 to 2"),
                  std::string::npos);
    }
    EXPECT_EQ(curves("f (Hz);SPL (dB)\n300;82\n100;80\n200;81\n").size(), 1U) << "only unsorted";
}

TEST(Columns, twoPlausibleReadingsAreAQuestionWithBoth) {
    struct {
        const char* what;
        std::string text;
        const char* one;
        const char* other;
    } const rows[] = {
        {"three bare columns of a few rows", "100 80 0\n200 81 5\n", "hz,db,deg", "hz,db,unused"},
        {"a pressure without a unit", "f (Hz);p\n100;20\n200;21\n300;22\n", "hz,pa", "hz,mpa"},
        {"frequencies that may be in kilohertz",
         "f;SPL (dB)\n2;80\n4;81\n8;82\n16;83\n",
         "hz,db",
         "khz,db"},
    };

    for (const auto& row : rows) {
        const std::string said = refusal({.text = row.text});
        EXPECT_NE(said.find(std::string("(meanings: ") + row.one + ")"), std::string::npos)
            << row.what << ": " << said;
        EXPECT_NE(said.find(std::string("(meanings: ") + row.other + ")"), std::string::npos)
            << row.what << ": " << said;
        // What it names is an answer, and leaves no question.
        for (const char* answer : {row.one, row.other}) {
            const auto read = measure::importTable({.text = row.text, .meanings = answer});
            ASSERT_TRUE(read.ok()) << row.what << ": " << text::sentence(read.error());
            EXPECT_EQ(measure::joinMeanings(read->meanings), answer);
        }
        EXPECT_TRUE(take::asks(row.text)) << row.what;
    }
    EXPECT_FALSE(take::asks(circle("f (Hz);R (Ohm);X (Ohm)\n")));
    const auto unknown = measure::check({.text = "f,spl\n1,2\n", .meanings = "hz,furlong"});
    ASSERT_TRUE(unknown.has_value());
    EXPECT_NE(text::sentence(*unknown).english().find("furlong"), std::string::npos);
    EXPECT_NE(refusal({.text = "f,spl\n1,2\n3,4\n", .meanings = "hz,db,deg"}).find("2 columns"),
              std::string::npos);
}

TEST(Columns, realAndImaginaryPartsWithoutAWordAreNotTakenForLevelAndPhase) {
    // The numbers of an impedance speak for themselves; those of a pressure may be pascals or not.
    const auto ohms = measure::previewTable({.text = circle("")});
    ASSERT_TRUE(ohms.ok());
    EXPECT_EQ(ohms->columns[1].meaning, Meaning::realOhm);
    EXPECT_EQ(ohms->columns[2].meaning, Meaning::imaginaryOhm);
    std::string text;
    for (int k = 0; k < 60; ++k) {
        const double f = 20.0 * std::pow(1000.0, k / 59.0);
        const std::complex<double> s(0.0, f / 300.0);
        const std::complex<double> p = s * s / (s * s + 1.2 * s + 1.0) * std::polar(1.0, -f * 0.01);
        text += std::to_string(f) + ";" + std::to_string(p.real()) + ";" +
                std::to_string(p.imag()) + "\n";
    }
    const auto pressure = measure::previewTable({.text = text});
    ASSERT_TRUE(pressure.ok());
    EXPECT_GE(pressure->answers.size(), 2U)
        << measure::infoOf(pressure->columns[1].meaning).word << ", "
        << measure::infoOf(pressure->columns[2].meaning).word;
}

TEST(Columns, aPhaseThatGoesWithNothingIsSaid) {
    // Levels that fall by 24 dB an octave beside a phase that stands still.
    std::string text = "f (Hz),SPL (dB),phase (deg)\n";
    for (int k = 0; k < 40; ++k) {
        const double f = 20.0 * std::pow(1000.0, k / 39.0);
        text += std::to_string(f) + "," +
                std::to_string(f < 600.0 ? 90.0 : 90.0 - 80.0 * std::log10(f / 600.0)) + "," +
                std::to_string(k % 2 == 0 ? 100.0 : -70.0) + "\n";
    }
    const auto read = curves(text);
    ASSERT_EQ(read.size(), 1U);
    EXPECT_NE(std::ranges::find(read.front().warnings, "phase_contradicts"),
              read.front().warnings.end());
}

// Files of microphones have columns without names as a rule (common practice).
TEST(Columns, aMicrophonesFileIsReadWithoutAPhaseWhereItIsOpen) {
    std::string text = "* own microphone\n";
    std::string two = "\"Sens = -12.3 dB, 1 kHz, No 70012\"\n";
    for (int k = 0; k < 60; ++k) {
        const double f = 20.0 * std::pow(1000.0, k / 59.0);
        const std::string row =
            std::to_string(f) + "\t" + std::to_string(std::abs(0.6 * std::sin(3.0 * std::log(f))));
        text += row + "\t" + std::to_string(3.0 * std::cos(std::log(f))) + "\n";
        two += row + "\n";
    }
    const auto open = measure::readMicrophone(text, "mic.txt");
    ASSERT_TRUE(open.ok()) << text::sentence(open.error());
    EXPECT_TRUE(open->phaseOpen);
    EXPECT_EQ(open->deviation.phase(), curve::Phase::none);
    EXPECT_EQ(open->deviation.size(), 60U);
    const auto plain = measure::readMicrophone(two, "mic.txt");
    ASSERT_TRUE(plain.ok()) << text::sentence(plain.error());
    EXPECT_FALSE(plain->phaseOpen);
    EXPECT_EQ(std::abs(plain->deviation.values()[7]), std::abs(open->deviation.values()[7]));
    const auto wrong = measure::readMicrophone("nothing at all", "mic.txt");
    ASSERT_FALSE(wrong.ok());
    EXPECT_EQ(wrong.error().subject, "mic.txt");
}

TEST(Columns, whatIsBeyondTheLimitsIsRefusedByPlace) {
    struct {
        const char* text;
        const char* part;
    } const rows[] = {
        {"f (Hz),|Z| (Ohm)\n100,6\n200,1e155\n", "line 3, column 2: 1e+155 ohms"},
        {"f (Hz),|Z| (Ohm)\n100,6\n200,1e-300\n", "line 3, column 2: 1e-300 ohms"},
        {"f (Hz),SPL (dB)\n100,80\n200,900\n", "line 3, column 2: 900 dB"},
        {"f (Hz),p (Pa)\n100,1\n200,-1\n", "line 3, column 2: -1; a size must be above 0"},
        {R"({"frequencies_hz":[100,200],"impedances_ohm":[6,1e155],"phases_deg":[0,0]})",
         "value 2: 1e+155 ohms"},
        {"# Hz S RI R 50\n100 0.5 0\n200 0.99999 0\n", "value 2"},
    };

    for (const auto& row : rows) {
        const std::string said = refusal({.text = row.text});
        EXPECT_NE(said.find(row.part), std::string::npos) << row.text << "\n" << said;
    }
}

TEST(ImportTrial, nothingIsMisreadInSilenceAndNineOfTenAreRead) {
    const auto trial = sim::importTrial({.seed = 5, .kinds = 96});
    ASSERT_TRUE(trial.ok());
    std::string wrong;
    for (const std::string& kind : trial->wrong) {
        wrong += kind + "\n";
    }
    EXPECT_EQ(trial->kinds, 96);
    EXPECT_EQ(trial->silent, 0) << wrong;
    EXPECT_GE(trial->readable, 60);
    EXPECT_GE(10 * trial->readableRead, 9 * trial->readable) << wrong;
    EXPECT_EQ(trial->right + trial->incomplete + trial->asked + trial->refused + trial->silent, 96);
}

// A grade that could not fail would grade nothing.
TEST(ImportTrial, theGradeSeesWhatIsWrong) {
    const worlds::ForeignTable table = worlds::foreignTable(1, 2, 3);
    const auto read = measure::importCurves({.text = table.bytes});
    ASSERT_TRUE(read.ok());
    ASSERT_EQ(read->size(), 1U);
    const worlds::TrueCurve& truth = table.curves.front();
    EXPECT_EQ(sim::gradeOf(truth, read->front()), sim::TableGrade::right);
    ImportedTable changed = read->front();
    changed.levels->at(7) += 0.1;
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::wrong);
    changed = read->front();
    changed.phases->at(7) += 0.1;
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::wrong);
    changed = read->front();
    changed.frequencies.back() *= 1.001;
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::wrong);
    changed = read->front();
    changed.phases.reset();
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::withoutPhase);
    changed = read->front();
    changed.frequencies.resize(3);
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::wrong);
    changed = read->front();
    changed.quantity = "impedance";
    EXPECT_EQ(sim::gradeOf(truth, changed), sim::TableGrade::wrong);
}

} // namespace yf::test
