// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/network/e_series.h"
#include "core/network/ladder_edit.h"

#include <functional>

namespace yf::job {

/// A change with its name for people, and a pure function from the job before to the job after.
/// Edits with the same non-empty mergeKey in a row are one step of the history (a drag).
struct Edit {
    std::string name;
    std::function<Result<Job>(const Job&)> apply;
    std::string mergeKey;

    /// The name where it depends on what comes out ("Change C2 to 6.8 µF" after a step); else
    /// empty.
    std::function<std::string(const Job&)> nameAfter;
};

/// "6.8 µF", "0.35 mH", "3.3 Ω": a part's value as the trade writes it, so many significant digits.
[[nodiscard]] std::string valueText(network::PartKind kind, double value, int digits = 4);

/// A value that is possible but far outside what networks use, as a question for the person who
/// typed it; nothing for a usual one.
[[nodiscard]] std::optional<std::string> questionAbout(const network::Part& part);

[[nodiscard]] Edit changeTitle(std::string title);

/// A measured curve joins the job and, unless it is one from an angle or near the cone, becomes the
/// one in use; older takes stay.
/// The take's id and curve key are made here.
[[nodiscard]] Edit addTake(const std::string& driver, Take take);

/// A take is believed only within a range.
[[nodiscard]] Edit trustTake(const std::string& take, curve::Range range);

/// A driver's take without phase gets the minimum phase of its levels, as a new take.
[[nodiscard]] Edit useMinimumPhase(const std::string& driver, TakeKind kind);

[[nodiscard]] Edit
changePart(const std::string& cabinet, const network::Part& part, std::string mergeKey = {});

/// So many values of a series up or down from what the part is by then; losses follow.
[[nodiscard]] Edit stepPart(const std::string& cabinet,
                            const std::string& id,
                            network::ESeries series,
                            int steps,
                            std::string mergeKey);

/// The next part of its kind that lies in the drawer. Fails where there is none further on.
[[nodiscard]] Edit
stepPartInStock(const std::string& cabinet, const std::string& id, int steps, std::string mergeKey);

/// A new part with the smallest value that is noticed (firstValue).
[[nodiscard]] Edit
insertNewPart(const std::string& cabinet, const network::SlotPlace& place, network::PartKind kind);

[[nodiscard]] Edit
insertPart(const std::string& cabinet, const network::SlotPlace& place, const network::Part& part);

[[nodiscard]] Edit removePart(const std::string& cabinet, const std::string& id);

/// Without the slot that holds the part: a wire in the line, nothing across the way. For a look.
[[nodiscard]] Edit bypassPart(const std::string& cabinet, const std::string& id);

/// Reverses the driver at the end of a way; `driverName` is for the name of the edit.
[[nodiscard]] Edit
reverseDriver(const std::string& cabinet, std::size_t way, const std::string& driverName);

[[nodiscard]] Edit changeTarget(const std::string& cabinet, const Target& target);

} // namespace yf::job
