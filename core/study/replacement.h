// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/library.h"
#include "core/edit/parts.h"
#include "core/evaluation/result.h"
#include "core/quantity/kinds.h"

/// Looking for a driver in place of one of the job's.

namespace yf::study {

struct Assembly;
struct Evaluation;

/// Where a figure of the old driver comes from.
enum class FigureSource { none, dataSheet, measured, twin };

/// What is known of the driver to replace and of its place.
struct OldDriver {
    driver::Part part;
    quantity::DriverRole role{};
    FigureSource model{};       ///< of fs and the losses
    FigureSource sensitivity{}; ///< 2.83 V, 1 m
    std::optional<double> fx;   ///< Hz, its crossover; the lower one of two
};

/// Data-sheet figures that the job holds come first. A driver that was found suspect or dead is no
/// measure of what it was: its sound twin's curves stand for it. Else Re, fs, Qms and Qes from the
/// measured impedance (in its cabinet: good against a candidate only where the cabinet's air does
/// not matter) and the mean level over the octaves in which its band works.
[[nodiscard]] OldDriver oldDriver(const job::Job& job,
                                  const evaluation::Assembly& assembly,
                                  const evaluation::Evaluation& evaluation,
                                  const std::string& cabinet,
                                  const std::string& driver);

/// Candidates of the library for the same role, judged.
struct Replacement {
    driver::LibraryEntry entry;
    driver::Candidate judged;
};

/// Best first; those that do not fit come last. Errors: keys of the data sheet by halves.
[[nodiscard]] Result<std::vector<Replacement>>
findReplacements(const OldDriver& old, const job::Place& place, const driver::Library& library);

/// A driver of the job as an entry of somebody's own library.
[[nodiscard]] driver::LibraryEntry asEntry(const job::Job& job, const OldDriver& old);

} // namespace yf::study
