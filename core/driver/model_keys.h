// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/impedance.h"

namespace yf::driver {

/// The keys of an impedance model where a verb can do without one.
struct ModelKeys {
    std::optional<double> Re;
    std::optional<double> fs;
    std::optional<double> Qms;
    std::optional<double> Qes;
    std::optional<InductanceModel> inductance;
    std::optional<double> Le;
    std::optional<double> leachK;
    std::optional<double> leachN;
    std::optional<double> L2;
    std::optional<double> R2;
    std::optional<double> Leb;
    std::optional<double> Ke;
    std::optional<double> Rss;

    /// The same list as that of the model itself.
    static void fields(auto& self, auto&& field) { ImpedanceModel::fields(self, field); }

    bool operator==(const ModelKeys&) const = default;
};

/// The model, or nothing where none of Re, Qms and Qes is given (fs alone is good for other
/// things). Errors: one of Re, fs, Qms, Qes missing beside others; what the coil's model lacks.
[[nodiscard]] Result<std::optional<ImpedanceModel>> modelOf(const ModelKeys& keys);

} // namespace yf::driver
