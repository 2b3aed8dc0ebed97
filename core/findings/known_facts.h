// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"
#include "core/findings/fact.h"

/// Every fact that a rule may name: `fact::bench::Re_ohm` is "bench.Re_ohm" of `speaker findings`.
/// What they mean and where they come from: docs/theory/speaker.md, "Where facts come from".
namespace yf::findings::fact {

/// How figures are written.
namespace unit {
inline constexpr FigureUnit none{};
inline constexpr FigureUnit octaves{YF_WORDS("core", "octaves"), FigureUnit::Style::twoDigits};
inline constexpr FigureUnit shareLessOne{"%", FigureUnit::Style::share};
inline constexpr FigureUnit metresPerSecond{"m/s", FigureUnit::Style::plain};
inline constexpr FigureUnit metresPerNewton{"m/N", FigureUnit::Style::engineering};
inline constexpr FigureUnit teslaMetres{"T·m", FigureUnit::Style::plain};
inline constexpr FigureUnit ohms{"Ω", FigureUnit::Style::engineering};
inline constexpr FigureUnit hertz{"Hz", FigureUnit::Style::engineering};
inline constexpr FigureUnit degrees{"°", FigureUnit::Style::plain};
inline constexpr FigureUnit percent{"%", FigureUnit::Style::plain};
inline constexpr FigureUnit decibelsA{"dB(A)", FigureUnit::Style::plain};
inline constexpr FigureUnit decibels{"dB", FigureUnit::Style::plain};
inline constexpr FigureUnit metres{"m", FigureUnit::Style::engineering};
inline constexpr FigureUnit seconds{"s", FigureUnit::Style::engineering};
inline constexpr FigureUnit farads{"F", FigureUnit::Style::engineering};
inline constexpr FigureUnit henries{"H", FigureUnit::Style::engineering};
inline constexpr FigureUnit volts{"V", FigureUnit::Style::engineering};
inline constexpr FigureUnit watts{"W", FigureUnit::Style::engineering};
inline constexpr FigureUnit amperes{"A", FigureUnit::Style::engineering};
inline constexpr FigureUnit litres{"l", FigureUnit::Style::plain};
} // namespace unit

using namespace unit;

namespace intake {
inline constexpr Flag bridged{"intake.bridged"};
inline constexpr Flag part_bad{"intake.part_bad"};
inline constexpr Flag protector_open{"intake.protector_open"};
} // namespace intake

namespace bench {
inline constexpr Figure battery_v{"bench.battery_v", volts, Range::any};
inline constexpr Figure Bl_t_m{"bench.Bl_t_m", teslaMetres, Range::any};
inline constexpr Figure Cms_m_per_n{"bench.Cms_m_per_n", metresPerNewton, Range::any};
inline constexpr Flag coil_good{"bench.coil_good", Origin::given};
inline constexpr Figure fs_expected_hz{"bench.fs_expected_hz", hertz, Range::notNegative};
inline constexpr Figure fs_hz{"bench.fs_hz", hertz, Range::notNegative};
inline constexpr Figure high_harmonics_db{
    "bench.high_harmonics_db", decibels, Range::any, Origin::given};
inline constexpr Figure Le_expected_h{"bench.Le_expected_h", henries, Range::notNegative};
inline constexpr Figure Le_h{"bench.Le_h", henries, Range::notNegative};
inline constexpr Figure nominal_ohm{"bench.nominal_ohm", ohms, Range::notNegative};
inline constexpr Figure p_shorted_turns{"bench.p_shorted_turns", none, Range::any};
inline constexpr Figure Qms{"bench.Qms", none, Range::any};
inline constexpr Figure Qms_expected{"bench.Qms_expected", none, Range::any};
inline constexpr Figure rated_w{"bench.rated_w", watts, Range::notNegative};
inline constexpr Figure Re_expected_ohm{"bench.Re_expected_ohm", ohms, Range::notNegative};
inline constexpr Figure Re_ohm{"bench.Re_ohm", ohms, Range::notNegative};
inline constexpr Figure Xmax_m{"bench.Xmax_m", metres, Range::notNegative};
inline constexpr Figure Zpeak_ohm{"bench.Zpeak_ohm", ohms, Range::notNegative};
} // namespace bench

namespace meas {
inline constexpr Figure clipped_samples{"meas.clipped_samples", none, Range::any, Origin::given};
inline constexpr Figure distance_m{"meas.distance_m", metres, Range::notNegative};
inline constexpr Figure gate_s{"meas.gate_s", seconds, Range::notNegative};
inline constexpr Flag loopback_polarity_known{"meas.loopback_polarity_known", Origin::given};
inline constexpr Figure lowest_hz{"meas.lowest_hz", hertz, Range::notNegative};
inline constexpr Flag phase_used{"meas.phase_used"};
inline constexpr Figure repeat_db{"meas.repeat_db", decibels, Range::any, Origin::given};
inline constexpr Figure snr_db{"meas.snr_db", decibels, Range::any, Origin::given};
inline constexpr Flag timing_common{"meas.timing_common"};
inline constexpr Figure triangle_violation_db{
    "meas.triangle_violation_db", decibels, Range::any, Origin::given};
} // namespace meas

namespace driver {
inline constexpr Figure breakup_after_filter_db{
    "driver.breakup_after_filter_db", decibels, Range::any, Origin::given};
inline constexpr Figure breakup_hz{"driver.breakup_hz", hertz, Range::notNegative, Origin::given};
inline constexpr Figure fit_rms_pct{"driver.fit_rms_pct", percent, Range::any, Origin::given};
inline constexpr Figure fs_hz{"driver.fs_hz", hertz, Range::notNegative};
inline constexpr Figure mass_shift_pct{"driver.mass_shift_pct", percent, Range::any, Origin::given};
inline constexpr Figure Qes{"driver.Qes", none, Range::any};
inline constexpr Figure Qts{"driver.Qts", none, Range::any};
inline constexpr Figure Re_ohm{"driver.Re_ohm", ohms, Range::notNegative};
inline constexpr Figure sensitivity_db{
    "driver.sensitivity_db", decibels, Range::any, Origin::given};
inline constexpr Figure sensitivity_from_parameters_db{
    "driver.sensitivity_from_parameters_db", decibels, Range::any, Origin::given};
inline constexpr Figure tweeter_fs_hz{"driver.tweeter_fs_hz", hertz, Range::notNegative};
inline constexpr Figure Xmax_m{"driver.Xmax_m", metres, Range::notNegative};
} // namespace driver

namespace box {
inline constexpr Figure bracing_pct{"box.bracing_pct", percent, Range::any};
inline constexpr Figure fb_design_hz{"box.fb_design_hz", hertz, Range::notNegative};
inline constexpr Figure fb_hz{"box.fb_hz", hertz, Range::notNegative};
inline constexpr Flag free_standing{"box.free_standing", Origin::given};
inline constexpr Figure inner_depth_m{"box.inner_depth_m", metres, Range::notNegative};
inline constexpr Figure inner_longest_m{"box.inner_longest_m", metres, Range::notNegative};
inline constexpr Figure inner_ratio{"box.inner_ratio", none, Range::any};
inline constexpr Figure largest_m{"box.largest_m", metres, Range::notNegative};
inline constexpr Flag leak_suspected{"box.leak_suspected"};
inline constexpr Flag port_acts{"box.port_acts"};
inline constexpr Figure QL{"box.QL", none, Range::any};
inline constexpr Figure Qtc{"box.Qtc", none, Range::any};
inline constexpr Figure Vb_design_l{"box.Vb_design_l", litres, Range::notNegative};
inline constexpr Figure Vb_l{"box.Vb_l", litres, Range::notNegative};
} // namespace box

namespace port {
inline constexpr Flag behind_driver{"port.behind_driver"};
inline constexpr Figure diameter_m{"port.diameter_m", metres, Range::notNegative};
inline constexpr Figure effective_length_m{"port.effective_length_m", metres, Range::notNegative};
inline constexpr Figure excursion_below_fb_m{
    "port.excursion_below_fb_m", metres, Range::notNegative};
inline constexpr Figure length_m{"port.length_m", metres, Range::notNegative};
inline constexpr Figure speed_m_per_s{"port.speed_m_per_s", metresPerSecond, Range::notNegative};
} // namespace port

namespace net {
inline constexpr Figure baffle_step_db{"net.baffle_step_db", decibels, Range::any, Origin::given};
inline constexpr Figure C_f{"net.C_f", farads, Range::notNegative};
inline constexpr Figure C_nominal_f{"net.C_nominal_f", farads, Range::notNegative};
inline constexpr Figure cap_esr_ohm{"net.cap_esr_ohm", ohms, Range::notNegative};
inline constexpr Figure cap_peak_v{"net.cap_peak_v", volts, Range::any, Origin::given};
inline constexpr Figure cap_rated_v{"net.cap_rated_v", volts, Range::any, Origin::given};
inline constexpr Figure coil_dcr_ohm{"net.coil_dcr_ohm", ohms, Range::notNegative};
inline constexpr Figure coil_peak_a{"net.coil_peak_a", amperes, Range::notNegative, Origin::given};
inline constexpr Figure coil_saturation_a{
    "net.coil_saturation_a", amperes, Range::notNegative, Origin::given};
inline constexpr Figure epdr_min_ohm{"net.epdr_min_ohm", ohms, Range::notNegative};
inline constexpr Figure nominal_ohm{"net.nominal_ohm", ohms, Range::notNegative};
inline constexpr Figure resistor_rated_w{
    "net.resistor_rated_w", watts, Range::notNegative, Origin::given};
inline constexpr Figure resistor_w{"net.resistor_w", watts, Range::notNegative, Origin::given};
inline constexpr Figure spread_db{"net.spread_db", decibels, Range::any, Origin::given};
inline constexpr Figure Zmin_ohm{"net.Zmin_ohm", ohms, Range::notNegative};
inline constexpr Figure Zmin_unloaded_ohm{"net.Zmin_unloaded_ohm", ohms, Range::notNegative};
} // namespace net

namespace align {
inline constexpr Flag ambiguous{"align.ambiguous", Origin::given};
inline constexpr Figure delay_sigma_s{
    "align.delay_sigma_s", seconds, Range::notNegative, Origin::given};
inline constexpr Figure flip_gain_db{"align.flip_gain_db", decibels, Range::any};
inline constexpr Figure fx_hz{"align.fx_hz", hertz, Range::notNegative};
inline constexpr Figure group_delay_ratio{
    "align.group_delay_ratio", none, Range::any, Origin::given};
inline constexpr Figure hole_db{"align.hole_db", decibels, Range::any};
inline constexpr Figure hole_hz{"align.hole_hz", hertz, Range::notNegative};
inline constexpr Flag in_phase_design{"align.in_phase_design"};
inline constexpr Figure notch_hz{"align.notch_hz", hertz, Range::notNegative};
inline constexpr Figure null_depth_db{"align.null_depth_db", decibels, Range::any};
inline constexpr Figure phase_spread_deg{"align.phase_spread_deg", degrees, Range::any};
inline constexpr Figure tweeter_excess_db{"align.tweeter_excess_db", decibels, Range::any};
inline constexpr Flag wired_otherwise{"align.wired_otherwise"};
inline constexpr Figure wiring_change_db{"align.wiring_change_db", decibels, Range::any};
} // namespace align

namespace polar {
inline constexpr Figure asymmetry_db{"polar.asymmetry_db", decibels, Range::any, Origin::given};
inline constexpr Figure di_step_db{"polar.di_step_db", decibels, Range::any, Origin::given};
inline constexpr Figure ka_at_fx{"polar.ka_at_fx", none, Range::any};
inline constexpr Flag mirrored{"polar.mirrored"};
inline constexpr Figure nearest_null_deg{"polar.nearest_null_deg", degrees, Range::any};
inline constexpr Figure spacing_wavelengths{"polar.spacing_wavelengths", none, Range::any};
} // namespace polar

namespace decay {
inline constexpr Figure cycles_to_20db{"decay.cycles_to_20db", none, Range::any, Origin::given};
inline constexpr Flag notch_moves{"decay.notch_moves", Origin::given};
inline constexpr Figure notch_q{"decay.notch_q", none, Range::any, Origin::given};
} // namespace decay

namespace pair {
inline constexpr Figure fs_left_hz{"pair.fs_left_hz", hertz, Range::notNegative};
inline constexpr Figure fs_right_hz{"pair.fs_right_hz", hertz, Range::notNegative};
inline constexpr Figure level_difference_db{"pair.level_difference_db", decibels, Range::any};
inline constexpr Flag polarity_equal{"pair.polarity_equal"};
inline constexpr Figure shape_max_db{"pair.shape_max_db", decibels, Range::any};
} // namespace pair

namespace cost {
inline constexpr Figure expected{"cost.expected", none, Range::any, Origin::given};
inline constexpr Flag foam_rotten{"cost.foam_rotten", Origin::given};
inline constexpr Figure market_value{"cost.market_value", none, Range::any, Origin::given};
inline constexpr Figure sensitivity_difference_db{
    "cost.sensitivity_difference_db", decibels, Range::any, Origin::given};
} // namespace cost

namespace safe {
inline constexpr Flag amplifier_bridged{"safe.amplifier_bridged", Origin::given};
inline constexpr Figure amplifier_dc_v{"safe.amplifier_dc_v", volts, Range::any, Origin::given};
inline constexpr Figure amplifier_needed_w{
    "safe.amplifier_needed_w", watts, Range::notNegative, Origin::given};
inline constexpr Figure amplifier_w{"safe.amplifier_w", watts, Range::notNegative, Origin::given};
inline constexpr Flag diaphragm_beryllium{"safe.diaphragm_beryllium", Origin::given};
inline constexpr Flag diaphragm_broken{"safe.diaphragm_broken", Origin::given};
inline constexpr Figure drive_v{"safe.drive_v", volts, Range::any, Origin::given};
inline constexpr Figure hours{"safe.hours", none, Range::notNegative, Origin::given};
inline constexpr Figure level_dba{"safe.level_dba", decibelsA, Range::any, Origin::given};
inline constexpr Flag probe_grounded{"safe.probe_grounded", Origin::given};
inline constexpr Figure sweep_low_hz{"safe.sweep_low_hz", hertz, Range::notNegative, Origin::given};
inline constexpr Flag tweeter_direct{"safe.tweeter_direct", Origin::given};
} // namespace safe

} // namespace yf::findings::fact
