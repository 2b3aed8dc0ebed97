// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/part.h"
#include "core/quantity/quantities.h"

#include <vector>

namespace yf::network {

/// What a part costs that does not say it itself: a base and a slope, in the user's own money.
/// What is set here is a rule of thumb (from memory); every workshop has its own list.
struct Prices {
    double resistor{1.0};
    double coil{2.0};
    double coilPerMillihenry{3.0};
    double film{0.8};
    double filmPerMicrofarad{0.4};
    double electrolytic{0.8};
    double electrolyticPerMicrofarad{0.03};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity price{"", "price", 1.0, "", 0.0, 1e6, ""};
        const Prices usual;
        field(self.resistor, price.as("resistor", "any resistor").orElse(usual.resistor));
        field(self.coil, price.as("coil", "any coil").orElse(usual.coil));
        field(self.coilPerMillihenry,
              price.as("coil_per_mh", "and for each mH").orElse(usual.coilPerMillihenry));
        field(self.film, price.as("film", "any film capacitor").orElse(usual.film));
        field(self.filmPerMicrofarad,
              price.as("film_per_uf", "and for each µF").orElse(usual.filmPerMicrofarad));
        field(self.electrolytic,
              price.as("electrolytic", "any electrolytic").orElse(usual.electrolytic));
        field(self.electrolyticPerMicrofarad,
              price.as("electrolytic_per_uf", "and for each µF")
                  .orElse(usual.electrolyticPerMicrofarad));
    }

    bool operator==(const Prices&) const = default;

    /// Its own price, else by the list.
    [[nodiscard]] double of(const Part& part) const;

    /// What they cost together.
    [[nodiscard]] double of(const std::vector<Part>& parts) const;
};

/// Whether a capacitor is an electrolytic, told by its loss (1 % and more at 1 kHz).
[[nodiscard]] bool isElectrolytic(const Part& part);

/// What is bought for a value where nothing else is known: film with tanδ 0.001 up to 33 µF, above
/// a non-polar electrolytic with 0.03 (typical, from memory).
[[nodiscard]] Part usualCapacitor(double farad);

/// An air coil of least wire from wire of that bare thickness, insulation 7 %: its DCR is known.
[[nodiscard]] Part usualCoil(double henry, double wire);

} // namespace yf::network
