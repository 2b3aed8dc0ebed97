// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <string_view>
#include <vector>

/// What belongs to what in a job: no computing.
namespace yf::job {

/// The driver or cabinet that a take is about: what was recorded says it, else who uses it.
struct TakeAbout {
    std::string cabinet;
    std::string driver;
};

[[nodiscard]] TakeAbout aboutOf(const Job& job, const Take& take);

/// Takes a measurement out of a job, with what refers to it.
void leaveOut(Job& job, const std::string& take);

/// The last take of the whole cabinet on its axis.
[[nodiscard]] const Take* wholeTake(const Job& job, const Cabinet& cabinet);

/// Whether a check is about the cabinet and counts for all of its drivers.
[[nodiscard]] bool isAboutCabinet(std::string_view check);

/// The driver at the same place of the other cabinet of a pair.
[[nodiscard]] const Driver*
twinOf(const Job& job, const std::string& cabinet, const std::string& driver);

/// Readings of one check that count, oldest first: the driver's, and for a check of the cabinet the
/// cabinet's.
[[nodiscard]] std::vector<const BenchReading*> readingsOf(const Job& job,
                                                          const std::string& cabinet,
                                                          const std::string& driver,
                                                          std::string_view check);

} // namespace yf::job
