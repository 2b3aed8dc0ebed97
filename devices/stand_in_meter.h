// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/sim/bench_session.h"

#include <deque>
#include <string>
#include <string_view>

namespace yf::devices {

enum class MeterKind { ohms, lcr };

/// What a stand-in does wrong, so that the real adapters can be tried.
enum class Mischief { none, closes, garbage, halfLines, silence, wrongUnit, overload };

inline constexpr std::array<std::string_view, 7> mischiefNames{
    "none", "closes", "garbage", "half-lines", "silence", "wrong-unit", "overload"};

/// A simulated meter with its tips on a simulated specimen: SCPI lines in, SCPI lines out, with the
/// lead ohms, resolution and noise of a workshop instrument. It knows no network.
///
/// Beside the usual commands: SIM:TIPS TOGETHER or DRIVER, for what a hand does.
class StandInMeter {
public:
    StandInMeter(MeterKind kind, sim::Specimen specimen, std::uint64_t seed);

    void setSpecimen(sim::Specimen specimen) { specimen_ = std::move(specimen); }

    void setTipsTogether(bool together) { together_ = together; }

    [[nodiscard]] MeterKind kind() const { return kind_; }

    /// The answer to one line, without its end; empty: there is none.
    [[nodiscard]] std::string answer(std::string_view line);

    /// One reading in the simple line protocol.
    [[nodiscard]] std::string streamed();

    Mischief mischief{};

private:
    /// What only one kind understands; nothing where it does not.
    [[nodiscard]] std::optional<std::string> answerOhms(std::string_view line);
    [[nodiscard]] std::optional<std::string> answerPair(std::string_view line);
    [[nodiscard]] std::string nextError();
    [[nodiscard]] std::optional<double> ohms();

    struct Pair {
        std::optional<double> r;
        double l{};
    };

    [[nodiscard]] Pair pair();

    MeterKind kind_;
    sim::Specimen specimen_;
    sim::Random random_;
    sim::Meter meter_;
    double frequency_{1000.0};
    bool together_{};
    std::deque<std::string> errors_;
};

} // namespace yf::devices
