// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/bench/lcr.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// What outside instruments say, from their bytes alone. SCPI: IEEE 488.2 number formats and the
/// SCPI-1999 values for overload and not-a-number. Wire formats: docs/devices.md.
namespace yf::devices {

/// A resistance as a meter shows it.
struct OhmsShown {
    std::optional<double> ohms; ///< absent: over range
    double resolution{};        ///< Ω, value of the last digit sent

    bool operator==(const OhmsShown&) const = default;
};

/// A pair as an LCR meter shows it.
struct PairShown {
    double frequency{};
    std::optional<double> r; ///< absent: over range
    double l{};
    bench::LcrMode mode{};

    bool operator==(const PairShown&) const = default;
};

/// Bytes into lines, however they arrive: half a line waits for its other half. CR, LF and both
/// end one; empty ones are left out.
class LineSplitter {
public:
    /// A line that grows beyond this is no answer of a meter.
    static constexpr std::size_t longest = 512;

    /// Lines that are complete now. Fails once a line is too long, and forgets what came.
    [[nodiscard]] Result<std::vector<std::string>> add(std::string_view bytes);

    [[nodiscard]] bool hasHalf() const { return !half_.empty(); }

    void clear() { half_.clear(); }

private:
    std::string half_;
};

/// "maker, model" from an answer to *IDN?, which has four fields parted by commas (IEEE 488.2).
[[nodiscard]] Result<std::string> readIdentity(std::string_view line);

/// Whether the answer to FUNC? says resistance, two or four wires. Fails naming what it is set to.
[[nodiscard]] Done readFunction(std::string_view line);

/// "+5.4120E+00", "9.9E37" (over range), "5.412 OHM". Fails: no number, another unit than ohms,
/// not-a-number (9.91E37).
[[nodiscard]] Result<OhmsShown> readOhms(std::string_view line);

/// "LSRS" series, "LPRP" parallel; with or without quotes.
[[nodiscard]] Result<bench::LcrMode> readPairMode(std::string_view line);

/// Hz: "+1.000E+03".
[[nodiscard]] Result<double> readFrequency(std::string_view line);

/// "L, R, status": status 0 is a measurement, anything else or 9.9E37 is over range.
[[nodiscard]] Result<PairShown>
readPair(std::string_view line, double frequency, bench::LcrMode mode);

/// The simple line protocol of serial meters, one reading a line, sent unasked:
///   R 5.41 ohm          R OL ohm
///   LCR 1000 Hz 5.42 ohm 0.00031 H series
struct LineShown {
    std::optional<OhmsShown> ohms;
    std::optional<PairShown> pair;
};

[[nodiscard]] Result<LineShown> readLine(std::string_view line);

} // namespace yf::devices
