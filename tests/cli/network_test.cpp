// SPDX-License-Identifier: GPL-3.0-or-later
// Corrections, parts, heat and tolerances of topic `network`: one worked example for each verb
// (docs/theory/network.md), and what is refused.
#include "tests/support/command_line.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

Value network(const char* verb, const std::string& input) {
    return output({"network", verb}, "{" + input + "}");
}

const std::string pair = R"("network":{"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":[)"
                         R"({"ladder":[{"series":"L1 1mH dcr=0.3"}],"driver":"a"},)"
                         R"({"ladder":[{"series":"C1 10uF"},{"series":"R1 2"}],"driver":"b"}]})";

} // namespace

TEST(NetworkCommands, traps) {
    expectFigures(
        network("notch", R"("f0_hz":900,"height_db":6,"q":1.2,"load_ohm":8,"dcr_ohm":0.35)"),
        {{"r_ohm", 8.499, 0.001}, {"l_h", 1.17334e-3, 1e-8}, {"c_f", 26.578e-6, 1e-9}});
    expectFigures(
        network(
            "notch",
            R"("kind":"shunt-trap","f0_hz":3400,"height_db":4,"q":2,"load_ohm":8,"upstream_ohm":3.3,"dcr_ohm":0.4)"),
        {{"r_ohm", 3.594, 0.001}, {"l_h", 0.37396e-3, 1e-8}, {"c_f", 5.8595e-6, 1e-10}});
}

TEST(NetworkCommands, shelf) {
    expectFigures(network("baffle-step", R"("centre_hz":480,"step_db":4,"load_ohm":6.3)"),
                  {{"r_ohm", 3.685, 0.001}, {"l_h", 0.97050e-3, 1e-8}});
    expectFigures(network("baffle-step", R"("width_m":0.21)"),
                  {{"centre_hz", 548.0, 0.5}, {"r_ohm", 8.0, 1e-4}, {"l_h", 1.64e-3, 5e-6}});
}

TEST(NetworkCommands, coils) {
    expectFigures(network("coil", R"("l_h":0.0015,"wire_m":0.001,"insulated_m":0.00107)"),
                  {{"turns", 198.0, 0.5},
                   {"inner_diameter_m", 0.0301, 5e-5},
                   {"outer_diameter_m", 0.0602, 5e-5},
                   {"length_m", 0.0150, 6e-5},
                   {"wire_length_m", 28.0, 0.05},
                   {"dcr_ohm", 0.616, 0.001}});
}

TEST(NetworkCommands, heatAndTolerance) {
    const Value heat = network("power", pair + R"(,"voltage_v":20)");
    EXPECT_EQ(heat.find("part_ids")->list()->size(), 3U);
    EXPECT_NEAR(*heat.find("source_w")->number(), 44.6, 0.1);
    const Value loose =
        network("tolerance", pair + R"(,"frequencies_hz":[1000],"runs":200,"limit_db":1)");
    // Worst case: Σ|S|·tolerance with 5 % of coils and resistors, 10 % of capacitors.
    const auto& rows = *loose.find("sensitivities_db")->list();
    double sum = 0.0;
    const double allowed[] = {5.0, 10.0, 5.0};
    for (std::size_t p = 0; p < 3; ++p) {
        sum += allowed[p] * std::abs(*(*rows[p].list())[0].number());
    }
    EXPECT_NEAR(*(*loose.find("worst_cases_db")->list())[0].number(), sum, 1e-9);
    EXPECT_EQ(*loose.find("yield_pct")->number(), 100.0);
}

TEST(NetworkCommands, lineLevel) {
    const Value four = network(
        "biquad",
        R"("kind":"low-pass","alignment":"linkwitz-riley","order":4,"fx_hz":2500,"sample_rate_hz":48000,"frequencies_hz":[2500])");
    EXPECT_EQ(four.find("sections")->list()->size(), 2U);
    EXPECT_NEAR(*(*four.find("levels_db")->list())[0].number(), -6.0206, 1e-4);
    const Value one = network(
        "biquad", R"("kind":"peaking","f0_hz":1000,"q":2,"gain_db":6,"sample_rate_hz":48000)");
    EXPECT_EQ(*(*one.find("a")->list())[0].number(), 1.0);
}

TEST(NetworkCommands, tuneEndsInShopValues) {
    const std::string tuned =
        pair + R"(,"from_hz":200,"to_hz":12000,"min_ohm":3.2,"e_series":"E12","starts":2)";
    const Value out = network("tune", tuned);
    EXPECT_EQ(*out.find("stop_reason")->word(), "settled");
    EXPECT_GE(*out.find("impedance_min_ohm")->number(), 3.2 * 0.999);
    EXPECT_LE(*out.find("rms_error_db")->number(), *out.find("max_error_db")->number());
    // The network that it gives can be handed on as it is.
    const Value solved = output({"network", "solve"},
                                R"({"frequencies_hz":[1000],"network":)" +
                                    text::writeJson(*out.find("network")) + "}");
    EXPECT_EQ(solved.find("drives_db")->list()->size(), 2U);
    const Value few = network("tune", pair + R"(,"from_hz":200,"to_hz":12000,"max_changes":2)");
    const auto& changes = *few.find("changes")->list();
    ASSERT_EQ(changes.size(), 3U);
    EXPECT_LE(*changes[2].find("rms_error_db")->number(),
              *changes[1].find("rms_error_db")->number() + 1e-9);
}

TEST(NetworkCommands, tuneLeavesPartsOutAndTurnsFilters) {
    const std::string band = R"(,"from_hz":200,"to_hz":12000,"starts":2)";
    const Value all = network("tune", pair + band);
    EXPECT_EQ(all.find("left_out"), nullptr);
    const Value less = network(
        "tune", pair + band + R"(,"may_cost_db":20,"sparing":"price","prices":{"resistor":9})");
    ASSERT_NE(less.find("left_out"), nullptr);
    EXPECT_FALSE(less.find("left_out")->list()->empty());
    EXPECT_LT(less.find("part_ids")->list()->size(), all.find("part_ids")->list()->size());
    EXPECT_GT(*less.find("left_out")->list()->front().find("saved")->number(), 0.0);
    // Filters alone, no part in the network at all.
    const std::string active =
        R"("network":{"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":[)"
        R"({"driver":"a","line":{"filters":[{"kind":"low-pass","f0_hz":900,"q":0.5}]}},)"
        R"({"driver":"b","line":{"filters":[{"kind":"high-pass","f0_hz":4000,"q":0.5}],"gain_db":-4},"polarity":-1}]})";
    const Value turned = network("tune", active + band + R"(,"tune_lines":true)");
    EXPECT_LT(*turned.find("rms_error_db")->number(), 0.1); // two halves of LR2 sum flat
    const cli::Answer none =
        answer({"network", "tune"}, "{" + pair + band + R"(,"tune_lines":true})");
    EXPECT_EQ(none.status, 2);
    EXPECT_NE(none.err.find("tune_lines"), std::string::npos) << none.err;
    const cli::Answer both =
        answer({"network", "tune"}, "{" + pair + band + R"(,"may_cost_db":1,"max_changes":1})");
    EXPECT_EQ(both.status, 2);
    EXPECT_NE(both.err.find("may_cost_db"), std::string::npos) << both.err;
}

TEST(NetworkCommands, findTriesSeriesOnWish) {
    const std::string two = R"("drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":["a","b"],)"
                            R"("from_hz":100,"to_hz":16000,"fx_bands_hz":[[1000,3000]])";
    const Value out = network("find", two + R"(,"orders":[1],"max_parts":2,"series_too":true)");
    EXPECT_EQ(*out.find("candidates")->number(), 4.0);
    // Either way of first order sums flat on resistors.
    EXPECT_LT(*out.find("best_rms_error_db")->number(), 0.1);
}

TEST(NetworkCommands, find) {
    const std::string two = R"("drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":["a","b"],)"
                            R"("from_hz":100,"to_hz":16000,"fx_bands_hz":[[1000,3000]])";
    const Value out = network("find", two + R"(,"orders":[1,2],"extras":["pad"],"max_parts":4)");
    // Orders 2 for the low way, 2 · 2 (pad) for the high one, 2 polarities.
    EXPECT_EQ(*out.find("candidates")->number(), 16.0);
    EXPECT_EQ(*out.find("fewest_parts")->number(), 2.0);
    EXPECT_EQ(*out.find("fx_bands_hz")->list()->front().list()->back().number(), 3000.0);
    EXPECT_TRUE(out.find("min_level_db")->number() != nullptr);
    const Value& first = out.find("front")->list()->front();
    EXPECT_LT(*first.find("rms_error_db")->number(), 0.1);
    EXPECT_GT(*first.find("price")->number(), 0.0);
    // The network comes back in the notation that it is solved in.
    const Value solved = network("solve", "\"network\":" + text::writeJson(*first.find("network")));
    EXPECT_EQ(solved.find("drives_db")->list()->size(), 2U);

    const struct {
        std::string input;
        const char* words;
    } refused[] = {
        {two + R"(,"orders":[1.5])", "orders[0]"},
        {two + R"(,"orders":[5])", "orders[0]"},
        {two + R"(,"extras":["zoble"])", "zobel"},
        {two + R"(,"min_ohm":500)", "min_ohm"},
        {R"("drivers":{"a":{"r_ohm":8}},"ways":["a"],"from_hz":100,"to_hz":900)", "ways"},
        {R"("drivers":{"a":{"r_ohm":8}},"ways":["a","c"],"from_hz":100,"to_hz":900)", "ways[1]"},
        {R"("drivers":{"a":{"r_ohm":8}},"ways":["a","a"],"from_hz":100,"to_hz":900)", "twice"},
        {R"("drivers":{"a":{}},"ways":["a","a"],"from_hz":100,"to_hz":900)", "drivers.a"},
        {R"("drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":["a","b"],"from_hz":100,"to_hz":900,)"
         R"("fx_bands_hz":[[900,300]])",
         "fx_bands_hz[0][1]"},
        // A measured driver whose resonance nobody can see is not taken for a resistor.
        {R"("drivers":{"a":{"r_ohm":8},"b":{"frequencies_hz":[50,2000],"impedances_ohm":[8,8],)"
         R"("phases_deg":[0,0]}},"ways":["a","b"],"from_hz":100,"to_hz":900)",
         "resonance of b is not known"},
        {R"("drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},"ways":["a","b"],"from_hz":100,"to_hz":900,)"
         R"("fx_bands_hz":[])",
         "fx_bands_hz"},
    };

    for (const auto& row : refused) {
        const cli::Answer a = answer({"network", "find"}, "{" + row.input + "}");
        EXPECT_EQ(a.status, 2) << row.input;
        EXPECT_NE(a.err.find(row.words), std::string::npos) << row.input << a.err;
    }
}

// Out by one verb, in by another, and solved: the same load.
TEST(NetworkCommands, exportAndImport) {
    const Value out = network("export", pair + R"(,"format":"spice")");
    const std::string netlist = *out.find("text")->word();
    EXPECT_NE(netlist.find(".subckt driver_a a b"), std::string::npos);
    const Value in =
        output({"network", "import"}, text::writeJson(Value::Object{{"text", netlist}}));
    const Value before = network("solve", pair + R"(,"frequencies_hz":[100,1000,10000])");
    const Value after = network("solve",
                                "\"network\":" + text::writeJson(*in.find("network")) +
                                    R"(,"frequencies_hz":[100,1000,10000])");
    for (std::size_t k = 0; k < 3; ++k) {
        const double mine = *(*before.find("impedances_ohm")->list())[k].number();
        EXPECT_NEAR(*(*after.find("impedances_ohm")->list())[k].number(), mine, 1e-9 * mine);
    }
    const std::string csv =
        *network("export", pair + R"(,"format":"csv-parts","voltage_v":20,"prices":{"coil":7})")
             .find("text")
             ->word();
    EXPECT_NE(csv.find("L1,a,coil,1,mH,0.300"), std::string::npos) << csv;
    EXPECT_NE(csv.find(",10.00\n"), std::string::npos) << csv; // 7 and 3 for 1 mH
    const Value trial = output({"network", "trial"}, R"({"seed":4,"sets":1,"ways":2})");
    const Value& set = trial.find("sets")->list()->front();
    EXPECT_EQ(*set.find("by_hand")->find("parts")->number() >= 8.0, true);
    EXPECT_FALSE(set.find("front")->list()->empty());
    const Value& aged = *set.find("aged");
    const auto rmsOf = [&](const char* which) {
        return *aged.find(which)->find("rms_error_db")->number();
    };
    EXPECT_LT(rmsOf("tuned"), rmsOf("received"));
    const auto& steps = *aged.find("changes_rms_db")->list();
    ASSERT_EQ(steps.size(), 4U);
    EXPECT_NEAR(*steps[0].number(), rmsOf("received"), 1e-9);
    EXPECT_LT(*steps[1].number(), *steps[0].number());
    EXPECT_LE(*steps[3].number(), *steps[1].number());

    const struct {
        const char* verb;
        std::string input;
        const char* words;
    } refused[] = {
        {"export", pair + R"(,"format":"dxf")", "format"},
        {"export", pair, "format"},
        {"import", R"("text":"R1 a 0 8\n")", "no source"},
        {"import", R"("text":"title\nV1 a 0 1\nQ1 a b c d\n")", "line 3"},
        {"trial", R"("ways":7)", "ways"},
        {"tune", pair + R"(,"from_hz":200,"to_hz":900,"robust_draws":100)", "robust_draws"}};

    for (const auto& row : refused) {
        const cli::Answer a = answer({"network", row.verb}, "{" + row.input + "}");
        EXPECT_EQ(a.status, 2) << row.input;
        EXPECT_NE(a.err.find(row.words), std::string::npos) << row.input << a.err;
    }
}

TEST(NetworkCommands, refusalsNameKeyValueAndRange) {
    const struct {
        const char* verb;
        std::string input;
        const char* words;
    } table[] = {
        {"notch", R"("f0_hz":900,"height_db":0,"q":1,"load_ohm":8)", "height_db"},
        {"notch",
         R"("f0_hz":900,"height_db":3,"f_low_hz":900,"f_high_hz":1200,"load_ohm":8)",
         "f_low_hz"},
        {"notch",
         R"("f0_hz":900,"height_db":3,"f_low_hz":700,"f_high_hz":800,"load_ohm":8)",
         "f_high_hz"},
        {"notch",
         R"("kind":"shunt-trap","f0_hz":900,"height_db":3,"q":1,"load_ohm":8,"upstream_ohm":0)",
         "upstream_ohm"},
        {"notch", R"("f0_hz":900,"height_db":6,"q":1.2,"load_ohm":8,"dcr_ohm":9)", "dcr_ohm"},
        {"baffle-step", R"("load_ohm":8)", "width_m"},
        {"coil", R"("l_h":0.001,"wire_m":0.001,"insulated_m":0.0009)", "insulated_m"},
        {"coil",
         R"("l_h":0.001,"wire_m":0.001,"insulated_m":0.0011,"shape":"former")",
         "inner_diameter_m"},
        {"power", pair + R"(,"voltage_v":20,"spectrum":"sine")", "f_hz"},
        {"power", pair + R"(,"voltage_v":20,"from_hz":900,"to_hz":800)", "to_hz"},
        {"tune", pair + R"(,"from_hz":900,"to_hz":800)", "to_hz"},
        {"tune", pair + R"(,"from_hz":200,"to_hz":900,"fixed_ids":["L7"])", "fixed_ids[0]"},
        {"tune", pair + R"(,"from_hz":200,"to_hz":900,"fixed_ids":["L1","C1","R1"])", "network"},
        {"tune",
         pair +
             R"(,"from_hz":200,"to_hz":900,"drive_limits":[{"driver":"q","frequencies_hz":[200],"max_db":[-10]}])",
         "drive_limits[0].driver"},
        {"tune",
         pair +
             R"(,"from_hz":200,"to_hz":900,"way_targets":[{"way":"a","kind":"low-pass","order":3,"fx_hz":900}])",
         "way_targets[0].order"},
        {"tune", pair + R"(,"from_hz":200,"to_hz":900,"bound_ratios":[2,0.5])", "bound_ratios"},
        {"tolerance", pair + R"(,"frequencies_hz":[])", "frequencies_hz"},
        {"biquad", R"("kind":"low-pass","f0_hz":24000,"q":1,"sample_rate_hz":48000)", "f0_hz"},
        {"biquad",
         R"("kind":"low-pass","alignment":"linkwitz-riley","order":3,"fx_hz":1000,"sample_rate_hz":48000)",
         "order"},
    };

    for (const auto& row : table) {
        const cli::Answer a = answer({"network", row.verb}, "{" + row.input + "}");
        EXPECT_EQ(a.status, 2) << row.input;
        EXPECT_NE(a.err.find(row.words), std::string::npos) << row.input << a.err;
    }
}

} // namespace yf::test
