// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"
#include "core/quantity/quantity.h"

#include <numbers>

/// Every quantity that has a key outside. Nobody else knows that Vb_l is in litres.
namespace yf::quantity {

inline constexpr double degree = std::numbers::pi / 180.0;

// Frequencies
inline constexpr Quantity frequency{"f", "frequency_hz", 1.0, "Hz", 0.1, 200000.0, "frequency"};
inline constexpr Quantity frequencies{
    "f", "frequencies_hz", 1.0, "Hz", 0.1, 200000.0, "frequencies, ascending"};
inline constexpr Quantity fx{
    "fx", "fx_hz", 1.0, "Hz", 1.0, 100000.0, YF_WORDS("core", "crossover frequency")};
inline constexpr Quantity fs{"fs", "fs_hz", 1.0, "Hz", 1.0, 20000.0, "resonance"};

inline constexpr Quantity sampleRate{
    "fs", "sample_rate_hz", 1.0, "Hz", 1000.0, 768000.0, "samples in a second"};

// Curves
inline constexpr Quantity levels{"L", "levels_db", 1.0, "dB", -1000.0, 1000.0, "levels"};
inline constexpr Quantity phases{"φ", "phases_deg", degree, "°", -1e7, 1e7, "phases"};
inline constexpr Quantity impedances{
    "|Z|", "impedances_ohm", 1.0, "Ω", 1e-6, 1e9, "impedance moduli"};
inline constexpr Quantity impedancesRe{
    "Re Z", "impedances_ohm_re", 1.0, "Ω", -1e9, 1e9, "real parts of the impedance"};
inline constexpr Quantity impedancesIm{
    "Im Z", "impedances_ohm_im", 1.0, "Ω", -1e9, 1e9, "imaginary parts of the impedance"};

// Electrical
inline constexpr Quantity resistance{"R", "r_ohm", 1.0, "Ω", 1e-9, 1e9, "resistance"};
inline constexpr Quantity inductance{"L", "l_h", 1.0, "H", 1e-12, 1e3, "inductance"};
inline constexpr Quantity capacitance{"C", "c_f", 1.0, "F", 1e-15, 10.0, "capacitance"};
inline constexpr Quantity loadResistance{
    "R", "load_ohm", 1.0, "Ω", 1e-3, 1e6, "resistance that the network works into"};
inline constexpr Quantity sourceResistance{
    "Rs", "resistance_ohm", 1.0, "Ω", 0.0, 1e6, "amplifier's output and cable"};
inline constexpr Quantity voltage{"U", "voltage_v", 1.0, "V", 1e-6, 1e5, "rms voltage"};
inline constexpr Quantity dcr{"DCR", "dcr_ohm", 1.0, "Ω", 0.0, 1e6, "resistance of the winding"};
inline constexpr Quantity rp{
    "Rp", "rp_ohm", 1.0, "Ω", 1e-6, 1e12, "core loss, parallel to the inductance"};
inline constexpr Quantity esr{"ESR", "esr_ohm", 1.0, "Ω", 0.0, 1e6, "series resistance"};
inline constexpr Quantity df{"tan δ", "df", 1.0, "", 0.0, 10.0, "loss factor"};
inline constexpr Quantity dfFrequency{
    "f_δ", "df_hz", 1.0, "Hz", 1.0, 1e7, "frequency at which the loss factor was measured"};
inline constexpr Quantity leak{"R_leak", "leak_ohm", 1.0, "Ω", 1.0, 1e15, "leakage resistance"};
inline constexpr Quantity tolerance{
    "tol", "tolerance_pct", 0.01, "%", 0.0, 100.0, "tolerance of the value"};
inline constexpr Quantity price{"price", "price", 1.0, "", 0.0, 1e6, "price in the job's currency"};
inline constexpr Quantity attenuation{
    "A", "attenuation_db", 1.0, "dB", 1e-6, 200.0, "attenuation wanted"};
inline constexpr Quantity ripple{"r", "ripple_db", 1.0, "dB", 0.01, 3.0, "pass-band ripple"};
inline constexpr Quantity levelAtFx{
    "L(fx)", "fx_level_db", 1.0, "dB", -60.0, -0.01, "level at fx re the pass band"};

// Driver (ranges from the driver chapter of docs/theory)
inline constexpr Quantity Re{"Re", "Re_ohm", 1.0, "Ω", 0.05, 2000.0, "DC resistance"};
inline constexpr Quantity Le{"Le", "Le_h", 1.0, "H", 1e-9, 1.0, "inductance of the coil"};
inline constexpr Quantity L2{"L2", "L2_h", 1.0, "H", 1e-9, 1.0, "second inductance of the coil"};
inline constexpr Quantity R2{"R2", "R2_ohm", 1.0, "Ω", 1e-6, 1e6, "shunt of the second inductance"};
inline constexpr Quantity Leb{"Leb", "Leb_h", 1.0, "H", 0.0, 1.0, "inductance outside the iron"};
inline constexpr Quantity Ke{"Ke", "Ke", 1.0, "", 1e-9, 1e3, "semi-inductance, Ω·s^½"};
inline constexpr Quantity Rss{"Rss", "Rss_ohm", 1.0, "Ω", 1e-6, 1e9, "shorting ring"};
inline constexpr Quantity leachK{"K", "leach_k", 1.0, "", 1e-9, 1e3, "coil factor, Ω·s^n"};
inline constexpr Quantity leachN{"n", "leach_n", 1.0, "", 0.3, 1.0, "coil exponent"};
inline constexpr Quantity Qms{"Qms", "Qms", 1.0, "", 0.01, 1000.0, "mechanical Q"};
inline constexpr Quantity Qes{"Qes", "Qes", 1.0, "", 0.01, 1000.0, "electrical Q"};

inline constexpr Quantity Qts{"Qts", "Qts", 1.0, "", 0.01, 1000.0, "total Q"};
inline constexpr Quantity Vas{"Vas", "Vas_l", 1e-3, "l", 1e-5, 1e5, "equivalent volume"};
inline constexpr Quantity Sd{"Sd", "Sd_m2", 1.0, "m²", 1e-5, 1.0, "effective area of the cone"};
inline constexpr Quantity Bl{"Bl", "Bl_t_m", 1.0, "T·m", 0.05, 100.0, "force factor"};
inline constexpr Quantity Mms{"Mms", "Mms_kg", 1.0, "kg", 1e-6, 5.0, "moving mass with air load"};
inline constexpr Quantity Mmd{"Mmd", "Mmd_kg", 1.0, "kg", 1e-6, 5.0, "moving mass without air"};
inline constexpr Quantity Cms{"Cms", "Cms_m_per_n", 1.0, "m/N", 1e-7, 0.1, "compliance"};
inline constexpr Quantity Rms{
    "Rms", "Rms_n_s_per_m", 1.0, "N·s/m", 1e-4, 500.0, "mechanical resistance"};
inline constexpr Quantity Xmax{"Xmax", "Xmax_m", 1.0, "m", 1e-6, 0.2, "linear travel, one way"};
inline constexpr Quantity eta0{
    "eta0", "eta0_pct", 0.01, "%", 1e-6, 100.0, "reference efficiency, half space"};
inline constexpr Quantity sensitivity2v83{
    "L", "sensitivity_2v83_db", 1.0, "dB", 20.0, 140.0, "level at 2.83 V, 1 m"};
inline constexpr Quantity sensitivity1w{
    "L", "sensitivity_1w_db", 1.0, "dB", 20.0, 140.0, "level at 1 W in Re, 1 m"};

// Box
inline constexpr Quantity Vb{"Vb", "Vb_l", 1e-3, "l", 0.01, 1e5, "net volume of the box"};
inline constexpr Quantity fb{"fb", "fb_hz", 1.0, "Hz", 5.0, 1000.0, "tuning of the box"};
inline constexpr Quantity fc{"fc", "fc_hz", 1.0, "Hz", 1.0, 20000.0, "resonance in the box"};
inline constexpr Quantity f3{"f3", "f3_hz", 1.0, "Hz", 0.1, 200000.0, "half power re far above"};
inline constexpr Quantity Qtc{"Qtc", "Qtc", 1.0, "", 0.01, 1000.0, "total Q in the box"};
inline constexpr Quantity alpha{"α", "alpha", 1.0, "", 0.0, 1e6, "Vas over Vb"};
inline constexpr Quantity tuningRatio{"h", "h", 1.0, "", 0.0, 1e3, "fb over fs"};
inline constexpr Quantity fillGain{
    "g", "fill_gain", 1.0, "", 1.0, 1.4, "apparent volume over net volume, by fill"};
inline constexpr Quantity QL{"QL", "QL", 1.0, "", 0.5, 1e9, "leak loss of the box"};
inline constexpr Quantity QA{"QA", "QA", 1.0, "", 0.5, 1e9, "absorption loss of the box"};
inline constexpr Quantity QP{"QP", "QP", 1.0, "", 0.5, 1e9, "loss of the port"};
inline constexpr Quantity portArea{
    "Sp", "port_area_m2", 1.0, "m²", 1e-6, 10.0, "narrowest area of all ports together"};
inline constexpr Quantity groupDelay{"τ", "group_delay_s", 1.0, "s", -1e3, 1e3, "group delay"};
inline constexpr Quantity flare{"R", "flare_m", 1.0, "m", 0.0, 0.5, "radius of a rounding"};
inline constexpr Quantity portLength{"L", "length_m", 1.0, "m", 0.0, 10.0, "length of a port"};
inline constexpr Quantity panel{"t", "panel_m", 1.0, "m", 0.003, 0.1, "thickness of the panels"};
inline constexpr Quantity peak{
    "peak", "peak_db", 1.0, "dB", -200.0, 200.0, "highest level re far above resonance"};
inline constexpr Quantity peakAt{"f", "peak_hz", 1.0, "Hz", 0.1, 200000.0, "where"};
inline constexpr Quantity sensitivity{"L",
                                      "sensitivity_db",
                                      1.0,
                                      "dB",
                                      -200.0,
                                      200.0,
                                      "far above resonance, 2.83 V, 1 m, half space"};

// At the bench
inline constexpr Quantity reading{"R", "reading_ohm", 1.0, "Ω", 0.0, 1e9, "what the meter shows"};
inline constexpr Quantity leads{
    "R", "lead_ohm", 1.0, "Ω", 0.0, 100.0, "meter's leads, tips together"};
inline constexpr Quantity temperature{"T", "temperature_c", 1.0, "°C", -40.0, 300.0, "temperature"};
inline constexpr Quantity cell{"U", "cell_v", 1.0, "V", 0.1, 48.0, "battery's voltage"};
inline constexpr Quantity cellResistance{
    "R", "cell_ohm", 1.0, "Ω", 0.0, 100.0, "battery's own resistance"};

// Geometry and measuring
inline constexpr Quantity distance{
    "D", "distance_m", 1.0, "m", 0.001, 100.0, YF_WORDS("core", "measuring distance")};
inline constexpr Quantity width{
    "w", "width_m", 1.0, "m", 0.02, 5.0, YF_WORDS("core", "width of the front")};
inline constexpr Quantity height{
    "h", "height_m", 1.0, "m", 0.02, 5.0, YF_WORDS("core", "height of the front")};
inline constexpr Quantity depth{
    "t", "depth_m", 1.0, "m", 0.02, 5.0, YF_WORDS("core", "depth of the cabinet")};
inline constexpr Quantity nominal{
    "Zn", "nominal_ohm", 1.0, "Ω", 0.5, 2000.0, YF_WORDS("core", "nominal impedance, as printed")};
inline constexpr Quantity gate{"T", "gate_s", 1.0, "s", 1e-4, 10.0, "length of the gate"};
inline constexpr Whole smoothing{
    "smoothing_per_octave", 0, 96, "smoothing of the data, 1/n octave"};
inline constexpr Quantity scaleEnd{"", "end", 1.0, "", -1e9, 1e9, "end of a scale"};
inline constexpr Quantity diameter{
    "d", "diameter_m", 1.0, "m", 0.005, 2.0, YF_WORDS("core", "outer diameter")};
inline constexpr Quantity x{
    "x",
    "x_m",
    1.0,
    "m",
    -5.0,
    5.0,
    YF_WORDS("core", "place from the middle of the front, right as the listener sees it")};
inline constexpr Quantity y{
    "y", "y_m", 1.0, "m", -5.0, 5.0, YF_WORDS("core", "place from the middle of the front, up")};
inline constexpr Quantity z{"z", "z_m", 1.0, "m", -5.0, 5.0, "acoustic centre, out of the front"};
inline constexpr Quantity delay{"t", "delay_s", 1.0, "s", -0.1, 0.1, "extra delay"};

} // namespace yf::quantity
