// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <functional>
#include <span>
#include <string>
#include <vector>

/// What an evaluation is busy with at a moment, and what one can do without: a program that ended
/// in the middle of a part can be told, when it starts again, to leave that part out.
namespace yf::evaluation {

enum class Piece {
    measurements, ///< what a driver's curves say by themselves: resonance, parameters, box
    network,      ///< a cabinet's curves on one axis, its network, how its ways meet
    box,          ///< a cabinet's boxes
    bench,        ///< readings of the checks
    whole         ///< everything together: what is said of the job, and its picture
};

struct Work {
    Piece part{};
    std::vector<std::string> of; ///< drivers for measurements, cabinets for network and box

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.part,
              q::Choice<5>{"part",
                           {"measurements", "network", "box", "bench", "whole"},
                           "what is computed"});
        field(self.of, q::Word{"of", "whose", ""});
    }

    bool operator==(const Work&) const = default;
};

/// Told before a part is begun, on the thread that computes.
using Watch = std::function<void(const Work&)>;

/// One line of text and back; nothing where the text is no such line.
[[nodiscard]] std::string toLine(const Work& work);
[[nodiscard]] std::optional<Work> workOf(const std::string& line);

/// The job without what these are computed from: takes with what refers to them, boxes, readings.
/// Networks stay, since without takes nothing is computed of them. The job stays a sound one.
[[nodiscard]] job::Job without(job::Job job, std::span<const Work> left);

/// "the box of Left": for people.
[[nodiscard]] Words named(const Work& work, const job::Job& job);

} // namespace yf::evaluation
