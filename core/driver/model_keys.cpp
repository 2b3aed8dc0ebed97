// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/model_keys.h"

namespace yf::driver {

Result<std::optional<ImpedanceModel>> modelOf(const ModelKeys& k) {
    if (!k.Re && !k.Qms && !k.Qes) {
        return std::optional<ImpedanceModel>();
    }
    const std::pair<const std::optional<double>*, const char*> needed[] = {
        {&k.Re, "Re_ohm"}, {&k.fs, "fs_hz"}, {&k.Qms, "Qms"}, {&k.Qes, "Qes"}};
    for (const auto& [value, key] : needed) {
        if (!*value) {
            return Error{key, "missing", "a driver's model needs Re_ohm, fs_hz, Qms and Qes"};
        }
    }
    ImpedanceModel model{.Re = *k.Re,
                         .fs = *k.fs,
                         .Qms = *k.Qms,
                         .Qes = *k.Qes,
                         .inductance = k.inductance,
                         .Le = k.Le,
                         .leachK = k.leachK,
                         .leachN = k.leachN,
                         .L2 = k.L2,
                         .R2 = k.R2,
                         .Leb = k.Leb,
                         .Ke = k.Ke,
                         .Rss = k.Rss};
    if (auto error = check(model)) {
        return *error;
    }
    return std::optional(model);
}

} // namespace yf::driver
