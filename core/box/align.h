// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/summary.h"
#include "core/box/vented.h"

#include <optional>
#include <string_view>
#include <vector>

namespace yf::box {

/// Named shapes of a vented response.
enum class Alignment {
    automatic, ///< B4 within 0.1 % of its Qt, else QB3 below and C4 above
    B4,        ///< Butterworth: a1 = a3 = 2.6131, a2 = 3.4142; one Qt only
    QB3,       ///< quasi third order: a2 = a1²/2, a3 = (a2²+2)/(2·a1)
    C4,        ///< equal ripple: Butterworth's poles with their real parts times k < 1
    SC4,       ///< the same with k > 1
    SBB4,      ///< h = 1, a double pair of poles
    extended   ///< volume given and large: the tuning that reaches −shelf dB lowest
};

[[nodiscard]] std::string_view alignmentName(Alignment alignment);

/// Equal ripple (or its counterpart below B4) by the factor k on the poles' real parts.
[[nodiscard]] FourthOrder chebyshevShape(double k);

/// B4's Qt and α at a leak loss.
[[nodiscard]] VentedShape butterworthShape(double QL);

/// A shape that suits a Qt, and its ripple in dB (0 but for C4).
struct Aligned {
    Alignment alignment{};
    VentedShape shape;
    double ripple{};
};

/// The box of an alignment for a driver of Qt (source included). Fails, naming `alignment`: B4 off
/// by more than 1 %; QB3 or SC4 above B4's Qt; C4 below; nothing of that name for this Qt.
/// Not for `extended`. Sources: Thiel 1971, Small 1973, Hoge 1978.
[[nodiscard]] Result<Aligned> align(Alignment alignment, double Qt, double QL);

/// Tuning of a given volume for which the last crossing of −shelf dB lies lowest, and where. The
/// crossing jumps where the dip touches −shelf dB, so tunings are scanned, not descended.
struct Extended {
    double fb{};
    double fShelf{};
};

struct ExtendedWish {
    double Vb{};
    double shelf{3.0}; ///< dB
};

[[nodiscard]] Extended
extend(const Motor& motor, const Source& source, const ExtendedWish& wish, double QL);

/// Input of `box align`.
struct AlignRequest {
    Driver driver;
    Source source;
    Alignment alignment{};
    double QL{usualQL};
    std::optional<double> Vb;
    double shelf{3.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.alignment,
              q::Choice<7>{"alignment",
                           {"auto", "B4", "QB3", "C4", "SC4", "SBB4", "extended"},
                           "shape wanted",
                           {}});
        field(self.QL, q::QL.orElse(usualQL));
        field(self.Vb, q::Vb);
        field(self.shelf,
              q::Quantity{"", "shelf_db", 1.0, "dB", 0.5, 12.0, "how far below"}.orElse(3.0));
    }
};

[[nodiscard]] std::optional<Error> check(const AlignRequest& request);

struct AlignAnswer {
    Alignment alignment{};
    double Vb{};
    double fb{};
    double alpha{};
    double h{};
    double f3{};
    double ripple{};
    std::optional<double> fShelf;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.alignment,
              q::Choice<7>{"alignment",
                           {"auto", "B4", "QB3", "C4", "SC4", "SBB4", "extended"},
                           "the one used",
                           {}});
        field(self.Vb, q::Vb);
        field(self.fb, q::fb);
        field(self.alpha, q::alpha);
        field(self.h, q::tuningRatio);
        field(self.f3, q::f3);
        field(self.ripple, q::Quantity{"", "ripple_db", 1.0, "dB", 0.0, 100.0, "of its peaks"});
        field(self.fShelf, q::f3.as("f_shelf_hz", "where −shelf_db is passed last"));
    }
};

[[nodiscard]] Result<AlignAnswer> alignVerb(const AlignRequest& request);

} // namespace yf::box
