// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/directions.h"
#include "core/evaluation/result.h"
#include "core/evaluation/tables.h"
#include "core/take/box.h"

/// What each part of an evaluation is computed from, and nothing else. Every part is a function of
/// one of these, and is kept beside it (Memo).
namespace yf::evaluation {

using CurvePtr = std::shared_ptr<const curve::Curve>;

/// A driver of a cabinet's network with its curves in use; null where there is none.
struct DriverCurves {
    std::string id;
    std::string name;
    job::Band band{};
    CurvePtr impedance;
    CurvePtr response;

    bool operator==(const DriverCurves&) const = default;
};

/// What a driver's directivity is computed from: a job that holds nothing but its measurements at
/// angles and its size.
struct DirectivityInputs {
    job::Job view;
    std::string driver;
    std::shared_ptr<const curve::Axis> axis;

    bool operator==(const DirectivityInputs&) const = default;
};

/// What a driver that was moved is carried on by.
struct CarryInputs {
    std::shared_ptr<const DriverDirectivity> directivity;
    job::Mount mount;
    speaker::Point microphone;
    std::shared_ptr<const curve::Axis> axis;

    bool operator==(const CarryInputs&) const = default;
};

/// Loads as measured, and for each driver what carries it on to where it sits now.
struct PlacedInputs {
    std::shared_ptr<const AssembledCabinet> measured;
    std::vector<std::shared_ptr<const std::vector<curve::Complex>>> carries; ///< null: not moved

    bool operator==(const PlacedInputs&) const = default;
};

struct CabinetInputs {
    std::string cabinet;
    network::Circuit circuit;
    job::Target target;
    std::shared_ptr<const AssembledCabinet> assembled;

    bool operator==(const CabinetInputs&) const = default;
};

/// A measurement made in a box, as the read-back sees it.
struct BoxReadInputs {
    CurvePtr impedance;
    box::ReadKind kind{};

    bool operator==(const BoxReadInputs&) const = default;
};

/// The parameters of a driver: a job that holds nothing but its sheet and its impedances.
struct BoxDriverInputs {
    job::Job view;
    std::string driver;

    bool operator==(const BoxDriverInputs&) const = default;
};

/// The bench: a job that holds readings, fronts and drivers as far as the bench knows them.
struct BenchInputs {
    job::Job view;
    Readings readings;
    std::shared_ptr<const bench::EvidenceTable> table;

    bool operator==(const BenchInputs&) const = default;
};

/// Drivers of a cabinet's network, each once, in writing order.
[[nodiscard]] std::vector<DriverCurves> driverCurves(const job::Job& job,
                                                     const job::Cabinet& cabinet);

[[nodiscard]] job::Job directivityView(const job::Job& job, const std::string& driver);
[[nodiscard]] BoxDriverInputs boxDriverInputs(const job::Job& job, const std::string& driver);
[[nodiscard]] BenchInputs
benchInputs(const job::Job& job, const Readings& readings, const Tables& tables);

} // namespace yf::evaluation
