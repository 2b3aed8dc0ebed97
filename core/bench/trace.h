// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/diagnose.h"

#include <array>

namespace yf::bench {

/// The way of the signal, outside before inside.
enum class Segment { source, amplifier, cable, terminals, protectors, network, driver };

inline constexpr std::array<std::string_view, 7> segmentNames{
    "source", "amplifier", "cable", "terminals", "protectors", "network", "driver"};

enum class Standing {
    possible,
    ruledOut,
    found,    ///< the fault lies here
    notFitted ///< there is none
};

/// What the answers so far leave.
struct Trace {
    std::array<Standing, segmentNames.size()> standings{};
    std::optional<std::string> next;    ///< check to make now; nothing: the end is reached
    std::vector<std::string> skipped;   ///< checks that must wait: they need an amplifier
    std::vector<std::string> lastRules; ///< segments that the last answer ruled out

    [[nodiscard]] Standing of(Segment segment) const {
        return standings.at(static_cast<std::size_t>(segment));
    }
};

struct TraceRequest {
    std::vector<Evidence> evidence; ///< in the order in which it came; of the drivers too
    bool noProtectors{};
    std::vector<std::string> barred;
};

/// Guided search from the source to the driver by elimination. Swapping left and right tells the
/// amplifier's channel from the speaker, a beeper the cable and terminals, continuity the
/// protectors, ohms on the lugs the coil, parts with a leg lifted the network (common practice:
/// outside before inside). A normal resistance leaves the driver possible, since shorted turns hide
/// in it; an LCR reading like its twin's rules it out. Answers may come in any order.
[[nodiscard]] Trace trace(const TraceRequest& request);

} // namespace yf::bench
