// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/edit/parts.h"

/// What a hand does to a front: outline, drivers and their places. The twin of a mirrored pair
/// follows, turned over.

namespace yf::edit {

/// Outline of a cabinet and what is printed on it.
struct Outline {
    std::string name;
    double width{};
    double height{};
    std::optional<double> depth;
    std::optional<double> nominal;

    bool operator==(const Outline&) const = default;
};

[[nodiscard]] Outline outlineOf(const job::Cabinet& cabinet);

/// Fails: no name, a size out of its range, a driver that would no longer be on the front.
[[nodiscard]] Edit
changeOutline(const std::string& cabinet, const Outline& outline, std::string mergeKey = {});

/// To where it sits, from the middle of the front; what would leave the front stops at its edge.
[[nodiscard]] Edit
moveDriver(const std::string& cabinet, const job::Mount& to, std::string mergeKey);

/// The same with the saw: its measured curve is carried on from where it was when it was taken.
[[nodiscard]] Edit
shiftDriver(const std::string& cabinet, const job::Mount& to, std::string mergeKey);

/// Where one listens; the twin's listener is the same one.
[[nodiscard]] Edit
changeSeat(const std::string& cabinet, const job::Seat& seat, std::string mergeKey);

/// Fails: more than half the shorter side.
[[nodiscard]] Edit changeEdge(const std::string& cabinet, job::FrontEdge edge, double size);

/// What is printed on a driver and what was found of it.
struct DriverData {
    std::string name;
    job::Band band{};
    job::Condition condition{};
    double diameter{};
    std::optional<double> nominal;

    bool operator==(const DriverData&) const = default;
};

[[nodiscard]] DriverData dataOf(const job::Driver& driver);

/// Fails: no name, a size out of its range.
[[nodiscard]] Edit
changeDriver(const std::string& driver, const DriverData& data, std::string mergeKey = {});

/// The highest place on the middle line that no driver covers; the middle where there is none.
[[nodiscard]] job::Mount
freePlace(const job::Job& job, const job::Cabinet& cabinet, double diameter);

/// Another driver on the front, in a free place if there is one, with a way of its own that has no
/// parts yet. Only where the network is of ways in parallel or series.
[[nodiscard]] Edit addDriver(const std::string& cabinet, const DriverData& data);

/// Off the front, and its way out of the network with all its parts. Its takes stay in the job.
/// The last driver stays.
[[nodiscard]] Edit removeDriver(const std::string& cabinet, const std::string& driver);

/// A mirror image of a cabinet with drivers of its own, not measured yet; the two are a pair.
[[nodiscard]] Edit addTwin(const std::string& cabinet);

/// Fails: the last one.
[[nodiscard]] Edit removeCabinet(const std::string& cabinet);

[[nodiscard]] Edit changeUnits(job::LengthUnits units);

/// The scale that plots of its kind keep from now on.
[[nodiscard]] Edit sealScale(const job::HouseScale& scale);

/// Back to the built-in one.
[[nodiscard]] Edit unsealScale(job::ScaleKind kind);

/// A limit of a rule; nothing: its default.
[[nodiscard]] Edit changeLimit(const std::string& rule, std::optional<double> limit);

/// Findings of one rule set aside for one reason. Fails without a note.
[[nodiscard]] Edit dismiss(const std::vector<job::Dismissal>& dismissals);

/// A finding taken up again.
[[nodiscard]] Edit takeUp(const job::Dismissal& dismissal);

/// Data-sheet figures of a driver, and its place in the cabinet, as the job keeps them.
[[nodiscard]] Edit changeSheet(const std::string& driver, driver::Part sheet, job::Place place);

} // namespace yf::edit
