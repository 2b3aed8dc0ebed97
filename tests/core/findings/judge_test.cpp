// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/judge.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::test {

namespace {

using namespace findings;

const FactKind& kind(std::string_view name) {
    const auto use =
        std::ranges::find(factUses(), name, [](const FactUse& u) { return u.kind->name; });
    YF_EXPECT(use != factUses().end());
    return *use->kind;
}

/// "bench.Re_ohm=1001 box.free_standing=true" as facts.
Facts facts(std::string_view words) {
    Facts result;
    while (!words.empty()) {
        const std::string_view word = words.substr(0, words.find(' '));
        words.remove_prefix(std::min(words.size(), word.size() + 1));
        const std::size_t equals = word.find('=');
        const std::string_view value = word.substr(equals + 1);
        const bool flag = value == "true" || value == "false";
        result.put({&kind(word.substr(0, equals)),
                    flag ? Fact{value == "true"} : Fact{text::parseNumber(value).value()}});
    }
    return result;
}

std::set<std::string> idsOf(const Judgement& judgement) {
    std::set<std::string> ids;
    for (const Finding& finding : judgement.findings) {
        ids.emplace(rules()[finding.rule].id);
    }
    return ids;
}

Judgement judged(std::string_view words, const Limits& limits = {}) {
    return judge({Scope{.facts = facts(words)}}, limits);
}

bool isNotChecked(const Judgement& judgement, std::string_view id) {
    return std::ranges::count(judgement.notChecked, findRule(id).value()) == 1;
}

struct Row {
    const char* id;
    const char* fires;
    const char* doesNot;
};

// Both sides of every threshold of docs/theory/speaker.md, "Findings"; "strict as written" means
// that the threshold itself lies on the side that does not fire, but for align.reversed.
constexpr Row sides[] = {
    {"bench.open", "bench.Re_ohm=1000.01", "bench.Re_ohm=1000"},
    {"bench.short",
     "bench.Re_ohm=3.19 bench.nominal_ohm=8",
     "bench.Re_ohm=3.2 bench.nominal_ohm=8"},
    {"bench.re_nominal",
     "bench.Re_ohm=4.87 bench.nominal_ohm=8",
     "bench.Re_ohm=4.89 bench.nominal_ohm=8"},
    {"bench.re_drift",
     "bench.Re_ohm=5.4 bench.Re_expected_ohm=5.9",
     "bench.Re_ohm=5.45 bench.Re_expected_ohm=5.9"},
    {"bench.shorted_turns",
     "bench.Qms=2.4 bench.Qms_expected=5 bench.Le_h=0.00055 bench.Le_expected_h=0.0007",
     "bench.Qms=2.4 bench.Qms_expected=5 bench.Le_h=0.00057 bench.Le_expected_h=0.0007"},
    {"bench.shorted_likely", "bench.p_shorted_turns=0.9", "bench.p_shorted_turns=0.899"},
    {"intake.bridge", "intake.bridged=true", "intake.bridged=false"},
    {"intake.protector", "intake.protector_open=true", "intake.protector_open=false"},
    {"intake.part", "intake.part_bad=true", "intake.part_bad=false"},
    {"bench.rub", "bench.high_harmonics_db=-49.9", "bench.high_harmonics_db=-50"},
    {"bench.suspension",
     "bench.fs_hz=62 bench.fs_expected_hz=50",
     "bench.fs_hz=61 bench.fs_expected_hz=50"},
    {"bench.no_peak",
     "bench.Zpeak_ohm=7.4 bench.Re_ohm=5.7",
     "bench.Zpeak_ohm=7.42 bench.Re_ohm=5.7"},
    {"bench.battery_stroke",
     "bench.battery_v=9 bench.Bl_t_m=7 bench.Cms_m_per_n=0.001 bench.Re_ohm=6.4 "
     "bench.Xmax_m=0.0045",
     "bench.battery_v=1.5 bench.Bl_t_m=7 bench.Cms_m_per_n=0.001 bench.Re_ohm=6.4 "
     "bench.Xmax_m=0.0045"},
    {"bench.battery_power",
     "bench.battery_v=9 bench.Re_ohm=6 bench.rated_w=26",
     "bench.battery_v=9 bench.Re_ohm=6 bench.rated_w=27"},
    {"meas.snr", "meas.snr_db=19.9", "meas.snr_db=20"},
    {"meas.clipped", "meas.clipped_samples=1", "meas.clipped_samples=0"},
    {"meas.gate_low",
     "meas.lowest_hz=249 meas.gate_s=0.004",
     "meas.lowest_hz=250 meas.gate_s=0.004"},
    {"meas.gate_fx", "align.fx_hz=749 meas.gate_s=0.004", "align.fx_hz=750 meas.gate_s=0.004"},
    {"meas.distance",
     "meas.distance_m=1 box.largest_m=0.34",
     "meas.distance_m=1.02 box.largest_m=0.34"},
    {"meas.repeat", "meas.repeat_db=0.51", "meas.repeat_db=0.5"},
    {"meas.timing",
     "meas.timing_common=false meas.phase_used=true",
     "meas.timing_common=true meas.phase_used=true"},
    {"meas.triangle", "meas.triangle_violation_db=0.6", "meas.triangle_violation_db=0.5"},
    {"meas.loop_polarity",
     "meas.loopback_polarity_known=false",
     "meas.loopback_polarity_known=true"},
    {"driver.fit", "driver.fit_rms_pct=5.1", "driver.fit_rms_pct=5"},
    {"driver.added_mass", "driver.mass_shift_pct=19", "driver.mass_shift_pct=20"},
    {"driver.eta0",
     "driver.sensitivity_db=86 driver.sensitivity_from_parameters_db=88.1",
     "driver.sensitivity_db=86 driver.sensitivity_from_parameters_db=88"},
    {"driver.breakup",
     "driver.breakup_hz=6200 align.fx_hz=2500 driver.breakup_after_filter_db=-19",
     "driver.breakup_hz=6200 align.fx_hz=2500 driver.breakup_after_filter_db=-20"},
    {"driver.tweeter_low",
     "align.fx_hz=1670 driver.tweeter_fs_hz=840",
     "align.fx_hz=1680 driver.tweeter_fs_hz=840"},
    {"driver.schools",
     "driver.Qts=0.51 driver.fs_hz=51 driver.Qes=0.5",
     "driver.Qts=0.51 driver.fs_hz=50 driver.Qes=0.5"},
    {"box.qtc_high", "box.Qtc=1.01", "box.Qtc=1"},
    {"box.leak", "box.QL=4.9", "box.QL=5"},
    {"box.fb", "box.fb_hz=36 box.fb_design_hz=32", "box.fb_hz=35 box.fb_design_hz=32"},
    {"box.volume", "box.Vb_l=17.9 box.Vb_design_l=20", "box.Vb_l=18.1 box.Vb_design_l=20"},
    {"box.standing",
     "box.inner_longest_m=0.9 align.fx_hz=191",
     "box.inner_longest_m=0.9 align.fx_hz=190"},
    {"box.step",
     "net.baffle_step_db=2.9 box.free_standing=true",
     "net.baffle_step_db=2.9 box.free_standing=false"},
    {"port.speed", "port.speed_m_per_s=17.1", "port.speed_m_per_s=17"},
    {"port.pipe",
     "port.effective_length_m=0.2 align.fx_hz=859",
     "port.effective_length_m=0.2 align.fx_hz=857"},
    {"port.fit",
     "port.length_m=0.23 box.inner_depth_m=0.3 port.diameter_m=0.07",
     "port.length_m=0.22 box.inner_depth_m=0.3 port.diameter_m=0.07"},
    {"port.unload",
     "port.excursion_below_fb_m=0.0046 driver.Xmax_m=0.0045",
     "port.excursion_below_fb_m=0.0045 driver.Xmax_m=0.0045"},
    {"box.blocked", "box.port_acts=false", "box.port_acts=true"},
    {"box.untight", "box.leak_suspected=true", "box.leak_suspected=false"},
    {"box.cube", "box.inner_ratio=1.04", "box.inner_ratio=1.06"},
    {"box.bracing", "box.bracing_pct=5.1", "box.bracing_pct=5"},
    {"port.behind", "port.behind_driver=true", "port.behind_driver=false"},
    {"net.zmin", "net.Zmin_ohm=3.19 net.nominal_ohm=4", "net.Zmin_ohm=3.21 net.nominal_ohm=4"},
    {"net.epdr", "net.epdr_min_ohm=1.99", "net.epdr_min_ohm=2"},
    {"net.cap_value",
     "net.C_f=6.1e-06 net.C_nominal_f=6.8e-06",
     "net.C_f=6.2e-06 net.C_nominal_f=6.8e-06"},
    {"net.cap_esr", "net.cap_esr_ohm=0.51", "net.cap_esr_ohm=0.5"},
    {"net.coil_loss",
     "net.coil_dcr_ohm=0.58 driver.Re_ohm=5.7",
     "net.coil_dcr_ohm=0.57 driver.Re_ohm=5.7"},
    {"net.saturation",
     "net.coil_peak_a=5.1 net.coil_saturation_a=5",
     "net.coil_peak_a=5 net.coil_saturation_a=5"},
    {"net.cap_voltage",
     "net.cap_peak_v=71 net.cap_rated_v=100",
     "net.cap_peak_v=69 net.cap_rated_v=100"},
    {"net.resistor",
     "net.resistor_w=5.1 net.resistor_rated_w=10",
     "net.resistor_w=5 net.resistor_rated_w=10"},
    {"net.unloaded", "net.Zmin_unloaded_ohm=1.9", "net.Zmin_unloaded_ohm=2"},
    {"net.spread", "net.spread_db=1.1", "net.spread_db=1"},
    {"align.reversed", "align.flip_gain_db=3", "align.flip_gain_db=2.99"},
    {"align.wiring",
     "align.wired_otherwise=true align.wiring_change_db=2.1",
     "align.wired_otherwise=true align.wiring_change_db=2"},
    {"align.hole", "align.hole_db=6 align.hole_hz=3100", "align.hole_db=14 align.hole_hz=90"},
    {"align.null",
     "align.in_phase_design=true align.null_depth_db=19",
     "align.in_phase_design=false align.null_depth_db=19"},
    {"align.tracking",
     "align.in_phase_design=true align.phase_spread_deg=46",
     "align.in_phase_design=true align.phase_spread_deg=45"},
    {"align.ambiguous", "align.ambiguous=true", "align.ambiguous=false"},
    {"align.sigma",
     "align.fx_hz=2600 align.delay_sigma_s=1.7e-05",
     "align.fx_hz=2600 align.delay_sigma_s=1.6e-05"},
    {"align.level", "align.tweeter_excess_db=-1.1", "align.tweeter_excess_db=-1"},
    {"align.notch_off",
     "align.notch_hz=3100 align.fx_hz=2600",
     "align.notch_hz=3090 align.fx_hz=2600"},
    {"align.gd", "align.group_delay_ratio=1.1", "align.group_delay_ratio=1"},
    {"polar.spacing", "polar.spacing_wavelengths=1.21", "polar.spacing_wavelengths=1.2"},
    {"polar.null_near", "polar.nearest_null_deg=-14.9", "polar.nearest_null_deg=-15"},
    {"polar.beaming", "polar.ka_at_fx=2.3", "polar.ka_at_fx=2.2"},
    {"polar.di_step", "polar.di_step_db=2.1", "polar.di_step_db=2"},
    {"polar.asymmetry",
     "polar.asymmetry_db=3.1 polar.mirrored=false",
     "polar.asymmetry_db=3.1 polar.mirrored=true"},
    {"decay.ridge", "decay.cycles_to_20db=15.1", "decay.cycles_to_20db=15"},
    {"decay.notch",
     "decay.notch_q=5.1 decay.notch_moves=false",
     "decay.notch_q=5.1 decay.notch_moves=true"},
    {"pair.level", "pair.level_difference_db=-0.51", "pair.level_difference_db=-0.5"},
    {"pair.shape", "pair.shape_max_db=-1.1", "pair.shape_max_db=-1"},
    {"pair.polarity", "pair.polarity_equal=false", "pair.polarity_equal=true"},
    {"pair.fs",
     "pair.fs_left_hz=33.1 pair.fs_right_hz=30",
     "pair.fs_left_hz=32.9 pair.fs_right_hz=30"},
    {"cost.value",
     "cost.expected=301 cost.market_value=300",
     "cost.expected=300 cost.market_value=300"},
    {"cost.foam",
     "cost.foam_rotten=true bench.coil_good=true",
     "cost.foam_rotten=true bench.coil_good=false"},
    {"cost.odd_driver", "cost.sensitivity_difference_db=1.1", "cost.sensitivity_difference_db=-1"},
    {"safe.dc", "safe.amplifier_dc_v=-0.11", "safe.amplifier_dc_v=-0.1"},
    {"safe.ground",
     "safe.amplifier_bridged=true safe.probe_grounded=true",
     "safe.amplifier_bridged=true safe.probe_grounded=false"},
    // NIOSH 98-126: 85 dB(A) for 8 h, 3 dB exchange, so 94 dB(A) for one hour is the whole dose.
    {"safe.exposure", "safe.hours=1.01 safe.level_dba=94", "safe.hours=1 safe.level_dba=94"},
    {"safe.sweep",
     "safe.tweeter_direct=true safe.drive_v=1.1 safe.sweep_low_hz=400 driver.tweeter_fs_hz=840",
     "safe.tweeter_direct=true safe.drive_v=1 safe.sweep_low_hz=400 driver.tweeter_fs_hz=840"},
    {"safe.beryllium",
     "safe.diaphragm_beryllium=true safe.diaphragm_broken=true",
     "safe.diaphragm_beryllium=true safe.diaphragm_broken=false"},
    {"safe.clip",
     "safe.amplifier_needed_w=51 safe.amplifier_w=50",
     "safe.amplifier_needed_w=50 safe.amplifier_w=50"},
};

} // namespace

TEST(Rules, eachFiresOnOneSideOfItsThresholdOnly) {
    std::set<std::string> seen;
    for (const Row& row : sides) {
        EXPECT_TRUE(idsOf(judged(row.fires)).contains(row.id)) << row.id;
        const Judgement quiet = judged(row.doesNot);
        EXPECT_FALSE(idsOf(quiet).contains(row.id)) << row.id;
        EXPECT_FALSE(isNotChecked(quiet, row.id)) << row.id << " must have been looked at";
        seen.insert(row.id);
    }
    EXPECT_EQ(seen.size(), rules().size()) << "a row for every rule";
}

TEST(Rules, withoutOneOfItsFactsARuleIsNotChecked) {
    for (const Row& row : sides) {
        const Facts all = facts(row.fires);
        for (const auto& [name, fact] : all) {
            Facts less = all;
            less.leaveOut(*fact.kind);
            const Judgement judgement = judge({Scope{.facts = less}});
            EXPECT_FALSE(idsOf(judgement).contains(row.id)) << row.id << " without " << name;
            EXPECT_TRUE(isNotChecked(judgement, row.id)) << row.id << " without " << name;
            EXPECT_EQ(missingFacts(findRule(row.id).value(), {Scope{.facts = less}}),
                      std::vector<const FactKind*>{fact.kind});
        }
    }
}

TEST(Rules, wordsAreSentences) {
    std::set<std::string_view> ids;
    for (const Rule& rule : rules()) {
        EXPECT_TRUE(ids.insert(rule.id).second) << rule.id;
        for (const std::string_view words : {rule.reason, rule.next}) {
            EXPECT_TRUE(words.ends_with('.')) << rule.id;
            EXPECT_TRUE(std::isupper(static_cast<unsigned char>(words.front())) != 0 ||
                        words.front() == 'Q')
                << rule.id;
        }
    }
}

// Eight speakers as they come in, each with everything that is to be found in it.
TEST(Findings, eightSpeakersAsTheyComeIn) {
    struct Case {
        const char* name;
        const char* facts;
        std::set<std::string> found;
    } const cases[] = {
        {"a sound woofer",
         "bench.Re_ohm=6.2 bench.nominal_ohm=8 bench.Re_expected_ohm=6.1 bench.Zpeak_ohm=34 "
         "bench.fs_hz=31 bench.fs_expected_hz=30 bench.Qms=4.8 bench.Qms_expected=5 "
         "bench.Le_h=0.0011 bench.Le_expected_h=0.0011 bench.high_harmonics_db=-62",
         {}},
        {"a midrange with shorted turns",
         "bench.Re_ohm=5.7 bench.nominal_ohm=8 bench.Re_expected_ohm=6.2 bench.Zpeak_ohm=11 "
         "bench.Qms=1.7 bench.Qms_expected=4.1 bench.Le_h=0.0002 bench.Le_expected_h=0.00035",
         {"bench.shorted_turns", "bench.re_drift"}},
        {"a burnt coil, shorted",
         "bench.Re_ohm=0.9 bench.nominal_ohm=4 bench.Zpeak_ohm=1.1",
         {"bench.short", "bench.re_nominal", "bench.no_peak"}},
        {"a tweeter wired the wrong way round",
         "align.fx_hz=3100 align.flip_gain_db=7.7 driver.tweeter_fs_hz=840 "
         "align.tweeter_excess_db=0.4 align.in_phase_design=true align.null_depth_db=24 "
         "align.phase_spread_deg=20 net.Zmin_ohm=6.4 net.nominal_ohm=8",
         {"align.reversed"}},
        {"an old network",
         "net.C_f=8.1e-06 net.C_nominal_f=6.8e-06 net.cap_esr_ohm=1.4 net.coil_dcr_ohm=0.7 "
         "driver.Re_ohm=5.7 net.Zmin_ohm=2.9 net.nominal_ohm=4 net.epdr_min_ohm=1.4 "
         "net.Zmin_unloaded_ohm=3.5",
         {"net.cap_value", "net.cap_esr", "net.coil_loss", "net.zmin", "net.epdr"}},
        {"a leaking box with a narrow port",
         "box.QL=3.4 box.fb_hz=31 box.fb_design_hz=32 port.speed_m_per_s=24 port.length_m=0.21 "
         "box.inner_depth_m=0.3 port.diameter_m=0.068",
         {"box.leak", "port.speed"}},
        {"a pair that does not match",
         "pair.level_difference_db=0.8 pair.shape_max_db=2.6 pair.polarity_equal=false "
         "pair.fs_left_hz=31 pair.fs_right_hz=30",
         {"pair.level", "pair.shape", "pair.polarity"}},
        {"a take in a small room",
         "meas.gate_s=0.0031 meas.lowest_hz=100 align.fx_hz=900 meas.distance_m=0.8 "
         "box.largest_m=1.05 meas.snr_db=41 meas.clipped_samples=0 meas.timing_common=false "
         "meas.phase_used=true",
         {"meas.gate_low", "meas.gate_fx", "meas.distance", "meas.timing"}},
    };

    for (const Case& c : cases) {
        EXPECT_EQ(idsOf(judged(c.facts)), c.found) << c.name;
    }
}

TEST(Findings, mostUrgentFirst) {
    const Judgement judgement = judged("net.cap_esr_ohm=0.6 net.Zmin_unloaded_ohm=1 box.QL=2 "
                                       "align.notch_hz=4000 align.fx_hz=2000");
    std::vector<Severity> order;
    for (const Finding& finding : judgement.findings) {
        order.push_back(rules()[finding.rule].severity);
    }
    EXPECT_EQ(order,
              (std::vector{Severity::stop, Severity::fault, Severity::caution, Severity::hint}));
}

TEST(Findings, aFindingCarriesItsFiguresAndFacts) {
    const Judgement judgement = judged("bench.Re_ohm=2.4 bench.nominal_ohm=8");
    const Finding& finding = judgement.findings.front();
    EXPECT_EQ(rules()[finding.rule].id, "bench.short");
    EXPECT_DOUBLE_EQ(finding.figure.value(), 2.4);
    EXPECT_DOUBLE_EQ(finding.threshold.value(), 3.2);
    EXPECT_EQ(finding.facts, facts("bench.Re_ohm=2.4 bench.nominal_ohm=8"));
    EXPECT_FALSE(judged("align.ambiguous=true").findings.front().figure.has_value());
}

// A cabinet, its woofer's lane with a coil, its tweeter: each rule is told once, where it belongs.
TEST(Findings, eachScopeSpeaksForItself) {
    const std::vector<Scope> scopes{
        {.subject = {.cabinet = "left"}, .facts = facts("net.Zmin_ohm=3 net.nominal_ohm=4")},
        {.subject = {.cabinet = "left", .driver = "brome"},
         .facts = facts("driver.Re_ohm=5"),
         .around = 0},
        {.subject = {.cabinet = "left", .driver = "brome", .part = "L1"},
         .facts = facts("net.coil_dcr_ohm=0.6"),
         .around = 1},
        {.subject = {.cabinet = "left", .driver = "teasel"},
         .facts = facts("driver.Re_ohm=20"),
         .around = 0},
    };
    const Judgement judgement = judge(scopes);
    ASSERT_EQ(judgement.findings.size(), 2U);
    EXPECT_EQ(judgement.findings[0].subject, (Subject{.cabinet = "left"}));
    EXPECT_EQ(rules()[judgement.findings[1].rule].id, "net.coil_loss");
    EXPECT_EQ(judgement.findings[1].subject.part, "L1");
    EXPECT_DOUBLE_EQ(judgement.findings[1].figure.value(), 0.12);
}

TEST(Findings, aChangedLimitMovesTheThreshold) {
    EXPECT_EQ(rules()[findRule("net.zmin").value()].when.limit(), 0.8);
    EXPECT_EQ(rules()[findRule("net.saturation").value()].when.limit(), std::nullopt);
    EXPECT_TRUE(idsOf(judged("pair.level_difference_db=0.8")).contains("pair.level"));
    const Judgement looser = judged("pair.level_difference_db=0.8", {{"pair.level", 1.0}});
    EXPECT_FALSE(idsOf(looser).contains("pair.level"));
    EXPECT_TRUE(idsOf(judged("net.Zmin_ohm=3.5 net.nominal_ohm=4", {{"net.zmin", 0.9}}))
                    .contains("net.zmin"));
}

namespace {

constexpr Figure x{"a.x", {}, Range::any};
constexpr Figure y{"a.y", {}, Range::any};
constexpr Figure z{"a.z", {}, Range::any};
constexpr Flag yes{"a.yes"};

std::vector<std::string> namesOf(const Condition& condition) {
    std::vector<std::string> names;
    for (const FactUse& use : condition.facts()) {
        names.push_back(std::string(use.kind->name) + (use.mustBePositive ? "+" : ""));
    }
    return names;
}

} // namespace

TEST(Condition, computesAsWritten) {
    struct {
        Condition condition;
        double figure;
        double threshold;
    } const rows[] = {{1 + 2 * x > pow(2, pow(x, 2)) / 4, 7.0, 128.0},
                      {pow(2, 2) * -1 > abs(-1 * x) - -1, -4.0, 4.0},
                      {8 / (x + 1) / 2 > log2(x + 5), 1.0, 3.0},
                      {(1 + x) * 3 >= 9 - x - 2, 12.0, 4.0}};

    for (const auto& row : rows) {
        const Outcome outcome = row.condition.judge({3.0});
        EXPECT_DOUBLE_EQ(outcome.figure.value(), row.figure);
        EXPECT_DOUBLE_EQ(outcome.threshold.value(), row.threshold);
        EXPECT_EQ(outcome.holds, row.figure > row.threshold);
    }
}

TEST(Condition, comparesOnTheRightSideOfItsLimit) {
    struct {
        Condition condition;
        bool below;
        bool at;
        bool above;
    } const rows[] = {{x > 2, false, false, true},
                      {x >= 2, false, true, true},
                      {x < 2, true, false, false},
                      {x <= 2, true, true, false}};

    for (const auto& row : rows) {
        EXPECT_EQ(row.condition.judge({1.9}).holds, row.below);
        EXPECT_EQ(row.condition.judge({2.0}).holds, row.at);
        EXPECT_EQ(row.condition.judge({2.1}).holds, row.above);
    }
}

TEST(Condition, knowsWhatItUsesAndWhatMustBePositive) {
    EXPECT_EQ(namesOf(y / x > 3 && z < x), (std::vector<std::string>{"a.y", "a.x+", "a.z"}));
    EXPECT_EQ(namesOf(log2(x * y) > 3 / (z - 1)),
              (std::vector<std::string>{"a.x+", "a.y+", "a.z+"}));
    EXPECT_EQ(namesOf(x < y && yes == true), (std::vector<std::string>{"a.x", "a.y", "a.yes"}));
}

TEST(Condition, itsLimitIsTheFirstNumberOnTheRight) {
    EXPECT_EQ((2 * x > 0.5 * y).limit(), 0.5);
    EXPECT_EQ((x > y).limit(), std::nullopt);
    EXPECT_EQ((yes == true && x > 4 && y > 5).limit(), 4.0);
    EXPECT_EQ((x > y && y > 5).limit(), std::nullopt) << "only of the first comparison";
    const Condition tighter = (yes == true && x > 4 && y > 5).withLimit(6.0);
    EXPECT_EQ(tighter.limit(), 6.0);
    EXPECT_FALSE(tighter.judge({true, 5.5, 7.0}).holds);
    EXPECT_TRUE(tighter.judge({true, 6.5, 7.0}).holds);
    EXPECT_FALSE(tighter.judge({true, 6.5, 4.5}).holds) << "the other one stays";
    EXPECT_TRUE((x > y).withLimit(100.0).judge({2.0, 1.0}).holds);
}

TEST(Facts, aFigureThatIsNotFiniteIsNotKnown) {
    Facts known;
    known.put(x, std::nan(""));
    known.put(y, HUGE_VAL);
    EXPECT_EQ(known.size(), 0U);
    known.put(x, 2.0);
    known.put(x, std::nan(""));
    EXPECT_EQ(known[x], 2.0);
    EXPECT_EQ(known[y], std::nullopt);
    EXPECT_EQ(known[yes], std::nullopt);
    known.put(yes, false);
    EXPECT_EQ(known[yes], false);
}

// The key says its unit to whoever writes JSON, the declaration to whoever reads the screen.
TEST(Rules, aFactIsShownInTheUnitOfItsKey) {
    constexpr std::pair<std::string_view, std::string_view> units[] = {{"_m_per_s", "m/s"},
                                                                       {"_m_per_n", "m/N"},
                                                                       {"_t_m", "T·m"},
                                                                       {"_ohm", "Ω"},
                                                                       {"_hz", "Hz"},
                                                                       {"_deg", "°"},
                                                                       {"_pct", "%"},
                                                                       {"_dba", "dB(A)"},
                                                                       {"_db", "dB"},
                                                                       {"_kg", "kg"},
                                                                       {"_m", "m"},
                                                                       {"_s", "s"},
                                                                       {"_f", "F"},
                                                                       {"_h", "H"},
                                                                       {"_v", "V"},
                                                                       {"_w", "W"},
                                                                       {"_a", "A"},
                                                                       {"_l", "l"}};
    for (const FactUse& use : factUses()) {
        if (use.figure != nullptr) {
            const auto* named = std::ranges::find_if(
                units, [&](const auto& u) { return use.kind->name.ends_with(u.first); });
            EXPECT_EQ(use.figure->unit.name,
                      named == std::end(units) ? std::string_view{} : named->second)
                << use.kind->name;
        }
    }
    for (const Rule& rule : rules()) {
        if (const Figure* compared = rule.when.compared()) {
            EXPECT_EQ(rule.unit, compared->unit) << rule.id;
        }
    }
}

TEST(FindingsVerb, refusesWrongFactsWithTheirPath) {
    struct {
        const char* input;
        const char* says;
    } const rows[] = {
        {R"({"facts":{"bench":{"Re_ohm":-1}}})", "facts.bench.Re_ohm: -1 given"},
        {R"({"facts":{"bench":{"Re_ohm":0}}})", "facts.bench.Re_ohm: 0 given, must be above 0"},
        {R"({"facts":{"bench":{"re_ohm":5}}})", "nearest known key is Re_ohm"},
        {R"({"facts":{"bensh":{"Re_ohm":5}}})", "facts.bensh: unknown key"},
        {R"({"facts":{"align":{"ambiguous":1}}})", "must be true or false"},
        {R"({"facts":{"align":{"fx_hz":true}}})", "facts.align.fx_hz"},
        {R"({"facts":{"meas":{"distance_m":-0.1}}})", "must not be negative"},
        {R"({"facts":[]})", "facts: a list given"},
        {R"({"fact":{}})", "the only key is facts"},
        {R"({})", "facts: missing"},
    };

    for (const auto& row : rows) {
        const auto read = FindingsRequest::read(text::parseJson(row.input).value(), std::string{});
        ASSERT_FALSE(read.ok()) << row.input;
        EXPECT_NE(text::sentence(read.error()).english().find(row.says), std::string::npos)
            << text::sentence(read.error());
    }
    // Signed quantities stay signed.
    for (const char* const fine :
         {R"({"facts":{"safe":{"amplifier_dc_v":-3}}})", R"({"facts":{"bench":{"Bl_t_m":-3}}})"}) {
        EXPECT_TRUE(FindingsRequest::read(text::parseJson(fine).value(), {}).ok()) << fine;
    }
}

TEST(FindingsVerb, neverPrintsWhatIsNotFinite) {
    const auto request = FindingsRequest::read(
        text::parseJson(R"({"facts":{"bench":{"Zpeak_ohm":1e308,"Re_ohm":1e-308}}})").value(), {});
    ASSERT_TRUE(request.ok());
    const text::Value out = findings::findings(*request)->write();
    EXPECT_EQ(text::writeJson(out).find("inf"), std::string::npos);
    const text::Value small = FindingsAnswer{judged("safe.level_dba=1e300 safe.hours=1")}.write();
    EXPECT_TRUE(small.find("findings")->list()->front().find("figure")->isNull());
}

} // namespace yf::test
