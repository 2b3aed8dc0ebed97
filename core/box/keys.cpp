// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/keys.h"

#include <array>
#include <string>
#include <vector>

namespace yf::box {

namespace {

using Needed = std::vector<std::pair<const char*, const std::optional<double>*>>;

std::optional<Error> firstMissing(const Needed& needed, std::string_view kind) {
    for (const auto& [key, value] : needed) {
        if (!*value) {
            return Error{key, "missing", say(YF_WORDS("core", "a %1 box needs it"), kind)};
        }
    }
    return std::nullopt;
}

PassiveRadiator radiatorOf(const BoxKeys& k) {
    return {.Vb = *k.Vb,
            .gain = k.gain,
            .QL = k.QL.value_or(usualQL),
            .QA = k.QA.value_or(lossless),
            .Sp = *k.prSd,
            .fp = *k.prfs,
            .Vap = *k.prVas,
            .Qmp = *k.prQms,
            .count = k.prCount,
            .addedMass = k.prAddedMass.value_or(0.0),
            .Xmax = k.prXmax};
}

Result<Box> sixth(const BoxKeys& k, Chaining chaining) {
    if (auto error = firstMissing({{"Vr_l", &k.Vr},
                                   {"Vf_l", &k.Vf},
                                   {"fb_rear_hz", &k.fbRear},
                                   {"fb_front_hz", &k.fbFront}},
                                  "sixth-order band-pass")) {
        return *error;
    }
    if (k.gain != 1.0 || k.QA) {
        return Error{k.gain != 1.0 ? "fill_gain" : "QA",
                     "given",
                     "both chambers of a sixth-order band-pass are ported and not filled"};
    }
    return Box{BandPass6{.chaining = chaining,
                         .Vr = *k.Vr,
                         .Vf = *k.Vf,
                         .fbRear = *k.fbRear,
                         .fbFront = *k.fbFront,
                         .QL = k.QL.value_or(usualQL),
                         .QP = k.QP.value_or(lossless),
                         .portArea = k.portArea}};
}

} // namespace

Result<Box> boxOf(const BoxKeys& k) {
    switch (k.kind) {
    case Kind::infiniteBaffle:
        return Box{InfiniteBaffle{}};
    case Kind::closed:
        if (auto error = firstMissing({{"Vb_l", &k.Vb}}, "closed")) {
            return *error;
        }
        return Box{Closed{.Vb = *k.Vb,
                          .gain = k.gain,
                          .QA = k.QA.value_or(lossless),
                          .QL = k.QL.value_or(lossless)}};
    case Kind::vented:
        if (auto error = firstMissing({{"Vb_l", &k.Vb}, {"fb_hz", &k.fb}}, "vented")) {
            return *error;
        }
        return Box{Vented{.Vb = *k.Vb,
                          .fb = *k.fb,
                          .gain = k.gain,
                          .QL = k.QL.value_or(usualQL),
                          .QA = k.QA.value_or(lossless),
                          .QP = k.QP.value_or(lossless),
                          .portArea = k.portArea}};
    case Kind::passiveRadiator:
        if (auto error = firstMissing({{"Vb_l", &k.Vb},
                                       {"pr_Sd_m2", &k.prSd},
                                       {"pr_fs_hz", &k.prfs},
                                       {"pr_Vas_l", &k.prVas},
                                       {"pr_Qms", &k.prQms}},
                                      "passive-radiator")) {
            return *error;
        }
        return Box{radiatorOf(k)};
    case Kind::bandPass4:
        if (auto error =
                firstMissing({{"Vr_l", &k.Vr}, {"Vf_l", &k.Vf}, {"fb_front_hz", &k.fbFront}},
                             "fourth-order band-pass")) {
            return *error;
        }
        return Box{BandPass4{.Vr = *k.Vr,
                             .Vf = *k.Vf,
                             .fbFront = *k.fbFront,
                             .gain = k.gain,
                             .QA = k.QA.value_or(lossless),
                             .QL = k.QL.value_or(usualQL),
                             .QP = k.QP.value_or(lossless),
                             .portArea = k.portArea}};
    case Kind::bandPass6Parallel:
        return sixth(k, Chaining::parallel);
    case Kind::bandPass6Series:
        return sixth(k, Chaining::series);
    case Kind::openBaffle:
        if (!k.path) {
            return Error{"path_m", "missing", "an open baffle needs it"};
        }
        return Box{OpenBaffle{.path = *k.path}};
    }
    return Box{InfiniteBaffle{}};
}

} // namespace yf::box
