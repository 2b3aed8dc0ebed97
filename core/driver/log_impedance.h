// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/driver/impedance.h"

#include <vector>

namespace yf::driver {

/// A driver's impedance and how it turns with each of its parameters: what a fit needs.
///
/// Parameters: ln Re, ln fs, ln Qms, ln Qes; then the coil's values as logarithms (the exponent n
/// plain), in the order in which they stand in ImpedanceModel; then, in a vented box, ln alpha,
/// ln fb, ln QL.
struct ImpedanceForm {
    InductanceModel coil{};
    bool vented{};

    [[nodiscard]] std::size_t size() const;
    [[nodiscard]] std::size_t coilSize() const;
};

inline constexpr std::size_t motionalParameters = 4;

/// Z at each frequency; with `slopes`, ∂ ln Z/∂p as [frequency·size + parameter].
void evaluate(const ImpedanceForm& form,
              const double* p,
              const curve::Axis& frequencies,
              std::vector<curve::Complex>& Z,
              std::vector<curve::Complex>* slopes);

} // namespace yf::driver
