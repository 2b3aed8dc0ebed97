// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"
#include "core/curve/curve.h"
#include "core/driver/impedance.h"
#include "core/sim/specimen.h"

#include <string>
#include <vector>

/// The invented drivers of the demo, computed from their own physics.
namespace yf::demo {

/// A resonance of the cone or the panel: (s² + s·g/q + 1)/(s² + s/q + 1), s = jf/f0.
struct Peak {
    double f0{};
    double q{};
    double height{}; ///< dB
};

/// A reflection: an edge of the cabinet, the microphone's stand.
struct Echo {
    double delay{}; ///< s after the direct sound
    double share{}; ///< of its pressure
};

struct InventedDriver {
    std::string name;
    driver::ImpedanceModel impedance;
    double level{};     ///< dB re 20 µPa in the pass band, 2.83 V, 1 m
    double lowCorner{}; ///< Hz, second-order high-pass of driver and box
    double lowQ{};
    double highCorner{}; ///< Hz, where the cone gives up
    int highOrder{};
    double step{};       ///< dB that the baffle adds from low to high frequencies
    double stepCentre{}; ///< Hz
    std::vector<Peak> peaks;
    std::vector<Echo> echoes;
    double delay{};      ///< s behind the front's plane: the acoustic centre
    double noiseFloor{}; ///< dB re 20 µPa, of each point
    unsigned seed{};
    double Mms{};          ///< kg; with the impedance it gives the motor
    double shortedTurns{}; ///< share of the coil
};

/// The same driver as something on the bench that meters can be put to.
[[nodiscard]] sim::Specimen specimenOf(const InventedDriver& driver);

/// Its parameters as a box needs them: Vas from the moving mass and the area of the cone.
[[nodiscard]] box::Driver boxDriverOf(const InventedDriver& driver, double Sd);

/// Impedance in a box, 10 Hz to 2 kHz, with what a good jig leaves of noise.
[[nodiscard]] curve::Curve
impedanceInBox(const box::Driver& driver, const box::Box& box, unsigned seed);

[[nodiscard]] InventedDriver campion165();
[[nodiscard]] InventedDriver teasel26();
[[nodiscard]] InventedDriver brome210();
[[nodiscard]] InventedDriver sorrel130();

/// Pressure without noise, Pa for 2.83 V at 1 m, flight from the front's plane removed.
[[nodiscard]] std::vector<curve::Complex> response(const InventedDriver& driver,
                                                   const curve::Axis& axis);

/// The same with noise floor, ripple of a few reflections and two digits after the point, as a
/// text table with a header. `decimalComma` writes it as a German program would.
[[nodiscard]] std::string responseTable(const InventedDriver& driver, bool decimalComma);

[[nodiscard]] std::string impedanceTable(const InventedDriver& driver, bool decimalComma);

/// The driver's impulse response as a microphone in a room picks it up, 48 kHz, 0.2 s, a sample of
/// 1 for 94 dB: arriving after 1 m of flight, with the floor 4.2 ms and the ceiling 8.1 ms later.
[[nodiscard]] std::vector<double> impulseInRoom(const InventedDriver& driver);

} // namespace yf::demo
