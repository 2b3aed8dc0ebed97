// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/trace.h"
#include "core/edit/apply.h"
#include "core/edit/parts.h"

/// What a hand enters when a speaker comes in.

namespace yf::edit {

[[nodiscard]] Edit changeComplaint(std::string complaint, std::string mergeKey = {});
[[nodiscard]] Edit changeAim(job::Aim aim);

/// What else is printed on a driver.
[[nodiscard]] Edit changePrinted(const std::string& driver, std::string printed);

/// With an id that stands: in its place. Without: a new one, its id made here. A bridge is
/// remembered until the part has a rating and continuity. Fails: a rating outside 0.01 to 100 A, a
/// driver that the cabinet has not.
[[nodiscard]] Edit putProtector(const std::string& cabinet, job::Protector protector);
[[nodiscard]] Edit removeProtector(const std::string& cabinet, const std::string& id);

/// Looked for, and none is fitted; fails while some are listed.
[[nodiscard]] Edit setNoProtectors(const std::string& cabinet, bool none);
[[nodiscard]] Edit setNoControls(const std::string& cabinet, bool none);

[[nodiscard]] Edit putOldPart(const std::string& cabinet, job::OldPart part);
[[nodiscard]] Edit removeOldPart(const std::string& cabinet, const std::string& id);

/// Largest picture that a job takes.
inline constexpr std::size_t largestPhoto = 20'000'000;

/// PNG or JPEG, by its first bytes. Fails: anything else, an empty one, one that is too large, one
/// that the job has already.
[[nodiscard]] Edit addPhoto(const std::string& name, std::string bytes);
[[nodiscard]] Edit captionPhoto(const std::string& id, std::string note);
[[nodiscard]] Edit removePhoto(const std::string& id);

/// How alike drivers share one way.
struct Arrangement {
    int inSeries{1};
    int inParallel{1};

    [[nodiscard]] int units() const { return inSeries * inParallel; }

    bool operator==(const Arrangement&) const = default;
};

/// How a driver shares its way now.
[[nodiscard]] Arrangement arrangementOf(const job::Cabinet& cabinet, const std::string& driver);

/// As many units on the driver's way as the arrangement needs: new ones are put on the front in
/// free places, surplus ones leave it, last ones first. Fails: the driver has no way of its own.
[[nodiscard]] Edit
arrange(const std::string& cabinet, const std::string& driver, const Arrangement& arrangement);

} // namespace yf::edit
