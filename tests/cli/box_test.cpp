// SPDX-License-Identifier: GPL-3.0-or-later
// Topic `box`: one worked example for each verb (docs/theory/box.md), and what is refused.
#include "tests/support/command_line.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

const std::string L = R"("Re_ohm":5.6,"fs_hz":32,"Qms":4.5,"Qes":0.42,"Vas_l":62,"Sd_m2":0.0214)";
const std::string M = R"("Re_ohm":5.2,"fs_hz":38,"Qms":7,"Qes":0.30,"Vas_l":70,"Sd_m2":0.035)";

Value box(const char* verb, const std::string& input) {
    return output({"box", verb}, "{" + input + "}");
}

/// The one line of words for a refusal.
std::string refusal(const char* verb, const std::string& input) {
    const cli::Answer a = answer({"box", verb}, "{" + input + "}");
    EXPECT_EQ(a.status, 2) << input;
    EXPECT_EQ(a.out, "") << input;
    EXPECT_EQ(std::ranges::count(a.err, '\n'), 1) << a.err;
    return a.err;
}

std::vector<double> list(const Value& out, const char* key) {
    std::vector<double> values;
    for (const Value& v : *out.find(key)->list()) {
        values.push_back(*v.number());
    }
    return values;
}

} // namespace

TEST(BoxCommands, closed) {
    expectFigures(box("closed", L + R"(,"Qtc":0.7071)"),
                  {{"Vb_l", 25.961, 1e-3},
                   {"alpha", 2.3882, 1e-4},
                   {"fc_hz", 58.903, 1e-3},
                   {"f3_hz", 58.903, 1e-3},
                   {"eta0_pct", 0.4724, 1e-4},
                   {"sensitivity_db", 90.456, 1e-3}});
    const Value filled = box("closed", L + R"(,"Vb_l":25,"QA":5,"fill_gain":1.15)");
    expectFigures(filled,
                  {{"Vab_l", 28.75, 1e-9},
                   {"fc_hz", 56.853, 1e-3},
                   {"Qtc", 0.62428, 1e-5},
                   {"f3_hz", 65.374, 1e-3}});
    EXPECT_TRUE(filled.find("peak_db")->isNull());
    // A Vas in cubic feet read as litres gives a cone that cannot be.
    const Value wrong = box(
        "closed",
        R"("Re_ohm":5.6,"fs_hz":32,"Qms":4.5,"Qes":0.42,"Vas_l":2.19,"Sd_m2":0.0214,"Vb_l":25)");
    EXPECT_EQ(*wrong.find("vas_plausible")->flag(), false);
}

TEST(BoxCommands, ventedAndRadiator) {
    expectFigures(box("vented", L + R"(,"Vb_l":45,"fb_hz":34)"),
                  {{"f3_hz", 35.881, 1e-3},
                   {"f6_hz", 30.770, 1e-3},
                   {"f10_hz", 26.382, 1e-3},
                   {"peak_db", 0.082, 1e-3},
                   {"group_delay_max_s", 0.016249, 1e-6},
                   {"group_delay_max_hz", 29.088, 2e-3}});
    expectFigures(
        box("passive-radiator",
            L + R"(,"Vb_l":38,"fb_hz":33,"pr_Sd_m2":0.033,"pr_fs_hz":22,"pr_Vas_l":110,"pr_Qms":6)"),
        {{"pr_added_mass_kg", 0.053711, 1e-6},
         {"notch_hz", 16.721, 1e-3},
         {"f3_hz", 42.207, 1e-3}});
    // Half an ohm before 5.6 Ω raises Qes by 8.9 %.
    EXPECT_NEAR(
        number(box("vented", L + R"(,"Vb_l":45,"fb_hz":34,"source_resistance_ohm":0.5)"), "Qts"),
        4.5 * 0.42 * 1.08929 / (4.5 + 0.42 * 1.08929),
        1e-5);
}

TEST(BoxCommands, bandPass) {
    expectFigures(box("bandpass", M + R"(,"order":"4","Qbp":0.8,"S":0.7071)"),
                  {{"Vr_l", 10.395, 1e-3},
                   {"Vf_l", 11.585, 1e-3},
                   {"fb_front_hz", 105.68, 5e-3},
                   {"gain_db", 0.453, 1e-3},
                   {"f_low_hz", 66.27, 5e-3},
                   {"f_high_hz", 170.13, 5e-3}});
    EXPECT_NEAR(
        number(box("bandpass", M + R"(,"order":"4","Qbp":0.8,"S":0.7071,"QL":1e9)"), "gain_db"),
        2.144,
        1e-3);
    const Value six = box(
        "bandpass",
        M + R"(,"order":"6-parallel","Vr_l":96,"Vf_l":17.3,"fb_rear_hz":40.7,"fb_front_hz":90)");
    EXPECT_LT(number(six, "f_low_hz"), 40.0);
    EXPECT_GT(number(six, "f_high_hz"), 110.0);
}

TEST(BoxCommands, carpentry) {
    expectFigures(box("port", R"("Vb_l":45,"fb_hz":34,"diameter_m":0.068)"),
                  {{"length_m", 0.15952, 1e-5},
                   {"effective_length_m", 0.20829, 1e-5},
                   {"pipe_resonance_hz", 823.8, 0.1}});
    expectFigures(
        box("port-swap", R"("old_diameter_m":0.067,"old_length_m":0.12,"new_diameter_m":0.085)"),
        {{"new_length_m", 0.20952, 1e-5},
         {"new_length_workshop_m", 0.20985, 1e-5},
         {"new_length_simple_m", 0.19314, 1e-5}});
    const Value volume = box(
        "volume",
        R"("shape":"rectangular","height_m":1.05,"width_m":0.22,"depth_m":0.30,"panel_m":0.018,)"
        R"("dead_height_m":0.24,"driver_l":1.8,"port_l":0.7,"bracing_l":1.5,"crossover_l":0.3)");
    expectFigures(volume,
                  {{"inside_height_m", 0.756, 1e-9},
                   {"gross_l", 36.723, 1e-3},
                   {"net_l", 32.423, 1e-3},
                   {"bracing_loss_pct", 4.08, 5e-3}});
    const auto modes = list(volume, "modes_hz");
    EXPECT_NEAR(modes.at(0), 227.0, 0.05);
    EXPECT_NEAR(modes.at(1), 454.0, 0.05);
    EXPECT_NEAR(modes.at(2), 650.0, 0.05);
    expectFigures(
        box("panel", R"("material":"mdf","thickness_m":0.018,"width_m":0.3,"height_m":0.5)"),
        {{"simply_supported_hz", 279.0, 0.5}, {"clamped_hz", 540.0, 0.5}});
    expectFigures(
        box("panel",
            R"("material":"mdf","thickness_m":0.018,"width_m":0.3,"height_m":0.5,"braces_across_height":1)"),
        {{"simply_supported_hz", 501.0, 0.5}, {"clamped_hz", 925.0, 0.5}});
}

TEST(BoxCommands, adviceAndShapes) {
    const Value advice = box("advise", R"("fs_hz":20,"Qms":3,"Qes":0.45)");
    expectFigures(advice, {{"Qts", 0.3913, 1e-4}, {"ebp_hz", 44.4, 0.05}});
    EXPECT_EQ(*advice.find("by_Qts")->word(), "vented");
    EXPECT_EQ(*advice.find("by_ebp")->word(), "closed");
    EXPECT_EQ(*advice.find("agree")->flag(), false);
    EXPECT_EQ(*advice.find("advice")->word(), "vented");
    const Value automatic = box("align", M + R"(,"alignment":"auto")");
    EXPECT_EQ(*automatic.find("alignment")->word(), "QB3");
    expectFigures(automatic,
                  {{"Vb_l", 21.937, 1e-3}, {"fb_hz", 51.965, 1e-3}, {"f3_hz", 63.067, 1e-3}});
    expectFigures(box("align", M + R"(,"alignment":"SC4")"),
                  {{"Vb_l", 22.805, 1e-3}, {"fb_hz", 41.527, 1e-3}, {"f3_hz", 70.298, 1e-3}});
    expectFigures(box("align", M + R"(,"alignment":"SBB4")"),
                  {{"Vb_l", 25.200, 1e-3}, {"fb_hz", 38.0, 1e-9}, {"f3_hz", 73.339, 1e-3}});
    expectFigures(box("align", M + R"(,"alignment":"extended","Vb_l":80)"),
                  {{"fb_hz", 37.45, 0.01}, {"f_shelf_hz", 37.35, 0.01}});
}

TEST(BoxCommands, curve) {
    const Value out =
        box("curve",
            L + R"(,"kind":"vented","Vb_l":45,"fb_hz":34,"frequencies_hz":[17,34,68],)"
                R"("port_area_m2":0.003632,"Xmax_m":0.005,"power_w":60)");
    const std::vector<std::pair<const char*, std::vector<double>>> expected{
        {"levels_db", {66.66, 86.54, 90.52}},
        {"port_speeds_peak_m_per_s", {3.28, 4.04, 0.80}},
        {"max_levels_db", {68.77, 99.02, 104.89}}};
    for (const auto& [key, values] : expected) {
        const auto found = list(out, key);
        for (std::size_t i = 0; i < 3; ++i) {
            EXPECT_NEAR(found[i], values[i], 0.006) << key;
        }
    }
    EXPECT_EQ(*(*out.find("limiters")->list())[0].word(), "displacement");
    EXPECT_EQ(*(*out.find("limiters")->list())[1].word(), "port-speed");
    EXPECT_NEAR(list(out, "displacements_peak_m")[0], 0.00392, 5e-6);
    // Without a limit the two arrays are absent; every kind answers finite numbers.
    const Value plain = box("curve", L + R"(,"kind":"closed","Vb_l":25)");
    EXPECT_EQ(plain.find("max_levels_db"), nullptr);
    EXPECT_EQ(plain.find("frequencies_hz")->list()->size(), 577U);
    for (const std::string kind :
         {R"("kind":"infinite-baffle")",
          R"("kind":"open-baffle","path_m":0.35)",
          R"("kind":"bandpass-4","Vr_l":10,"Vf_l":12,"fb_front_hz":100,"QL":1e9)",
          R"("kind":"bandpass-6-series","Vr_l":50,"Vf_l":30,"fb_rear_hz":35,"fb_front_hz":70)"}) {
        expectFinite(box("curve", L + "," + kind));
    }
}

TEST(BoxCommands, readBackOfItsOwnCurve) {
    const Value made = box(
        "curve",
        L + R"(,"inductance_model":"leach","leach_k":0.018,"leach_n":0.68,"kind":"vented","Vb_l":45,)"
            R"("fb_hz":34,"frequencies_hz":[10,12,14,16,18,20,21,22,23,24,25,26,27,28,29,30,31,32,33,34,)"
            R"(35,36,38,40,42,44,46,48,50,52,54,56,58,60,62,64,66,68,70,75,80,90,100,120,150,200,300,400,500])");
    const std::string input =
        R"("kind":"vented","Vb_l":45,"fb_expected_hz":36,"frequencies_hz":)" +
        text::writeJson(*made.find("frequencies_hz")) + R"(,"impedances_ohm_re":)" +
        text::writeJson(*made.find("impedances_ohm_re")) + R"(,"impedances_ohm_im":)" +
        text::writeJson(*made.find("impedances_ohm_im"));
    const Value read = box("from-impedance", input);
    expectFigures(read,
                  {{"fb_hz", 34.0, 0.01},
                   {"alpha", 1.378, 0.002},
                   {"QL", 7.0, 0.02},
                   {"fs_hz", 32.0, 0.01},
                   {"Qes", 0.42, 0.001},
                   {"Qms", 4.5, 0.02},
                   {"Vas_l", 62.0, 0.1},
                   {"tuning_error_pct", 100.0 * (34.0 / 36.0 - 1.0), 0.05}});
    EXPECT_EQ(*read.find("port_acts")->flag(), true);
    EXPECT_EQ(*read.find("leak_suspected")->flag(), false);
}

TEST(BoxCommands, findAndCheck) {
    expectFigures(
        box("find",
            M + R"(,"kinds":["vented"],"Vb_max_l":60,"peak_max_db":1,"group_delay_max_s":0.030)"),
        {{"best_Vb_l", 60.0, 0.01}, {"best_fb_hz", 40.7, 0.1}, {"best_f3_hz", 41.68, 0.02}});
    // More volume buys a lower f3: along the front each box is bettered in something.
    const Value found = box("find", M + R"(,"kinds":["vented"],"Vb_max_l":60,"peak_max_db":1)");
    const auto& front = *found.find("front")->list();
    ASSERT_GT(front.size(), 3U);
    EXPECT_LT(*front.back().find("f3_hz")->number(), *front.front().find("f3_hz")->number());
    EXPECT_GT(*front.back().find("Vb_l")->number(), *front.front().find("Vb_l")->number());
    const Value none = box("find", M + R"(,"kinds":["closed"],"Vb_max_l":60,"f3_max_hz":15)");
    EXPECT_TRUE(none.find("best_kind")->isNull());
    EXPECT_EQ(*none.find("blocking")->word(), "f3_max_hz");
    const Value check =
        box("driver-check", L + R"(,"kind":"vented","Vb_l":45,"fb_hz":34,"f3_wanted_hz":36)");
    EXPECT_EQ(*check.find("verdict")->word(), "fits");
}

TEST(BoxCommands, refusalsNameKeyValueAndRange) {
    const struct {
        const char* verb;
        std::string input;
        std::vector<const char*> words;
    } rows[] = {
        {"closed", L + R"(,"Qtc":0.3)", {"Qtc", "0.3 given", "0.3841"}},
        {"closed", L + R"(,"Qtc":0.7,"Vb_l":20)", {"Vb_l", "Qtc"}},
        {"closed", L, {"Vb_l", "Qtc"}},
        {"closed", L + R"(,"Qtc":3,"QA":2)", {"Qtc", "3 given", "raise QA"}},
        {"port",
         R"("Vb_l":10,"fb_hz":200,"diameter_m":0.05)",
         {"fb_hz", "200 given", "must be below"}},
        {"port", R"("Vb_l":10,"fb_hz":40,"shape":"slot","width_m":0.2)", {"height_m", "missing"}},
        {"passive-radiator",
         L + R"(,"Vb_l":38,"fb_hz":60,"pr_Sd_m2":0.033,"pr_fs_hz":22,"pr_Vas_l":110,"pr_Qms":6)",
         {"fb_hz", "at most"}},
        {"volume",
         R"("shape":"rectangular","height_m":0.3,"width_m":0.2,"depth_m":0.2,"panel_m":0.018,"driver_l":1,"bracing_l":20)",
         {"bracing_l", "20 given"}},
        {"volume",
         R"("shape":"rectangular","height_m":0.3,"width_m":0.03,"depth_m":0.2,"panel_m":0.018)",
         {"width_m"}},
        {"align", M + R"(,"alignment":"B4")", {"alignment", "0.4048", "source resistance"}},
        {"align", M + R"(,"alignment":"C4")", {"alignment"}},
        {"closed", L + R"(,"isobaric":true,"Vb_l":20)", {"isobaric"}},
        {"curve", L + R"(,"kind":"horn")", {"kind", "horn"}},
        {"curve", L + R"(,"kind":"closed","Vb_l":20,"frequencies_hz":[30,20])", {"frequencies_hz"}},
        {"curve", L + R"(,"kind":"vented","Vb_l":20)", {"fb_hz", "missing"}},
        {"curve",
         L + R"(,"kind":"bandpass-6-series","Vr_l":50,"Vf_l":30,"fb_rear_hz":35,"fb_front_hz":70,"QA":5)",
         {"QA"}},
        {"from-impedance",
         R"("kind":"vented","frequencies_hz":[10,20,30,40,50,60,70,80,90,100,110,120],"impedances_ohm_re":[1,2],"impedances_ohm_im":[1])",
         {"impedances_ohm_re"}},
        {"find", M + R"(,"kinds":["horn"],"Vb_max_l":60)", {"kinds", "horn"}},
        {"panel",
         R"("material":"marble","thickness_m":0.018,"width_m":0.3,"height_m":0.5)",
         {"material", "mdf"}},
        {"closed", L + R"(,"Vb_l":20,"fill_gian":1.1)", {"fill_gian", "fill_gain"}},
    };

    for (const auto& row : rows) {
        const std::string said = refusal(row.verb, row.input);
        for (const char* word : row.words) {
            EXPECT_NE(said.find(word), std::string::npos) << said << " lacks " << word;
        }
    }
}

} // namespace yf::test
