// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/take/import.h"

#include <QString>

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace yf::app {

/// One measurement of a file before it is taken; several of one file are its curves.
struct ImportEntry {
    take::ImportOrder order;
    int file{};
    bool wanted{true};
    bool asks{};       ///< its columns have to be told first
    bool remembered{}; ///< its columns are as they were decided for files of its shape
    std::string driver;
    std::optional<Error> unreadable; ///< the file itself
    std::optional<take::ImportedTake> imported;
    std::shared_ptr<const measure::TablePreview> preview; ///< of a table; its curves share it
    QString problem;
    bool nameless{};      ///< its name tells no angle where others do
    QString angleProblem; ///< in a polar set
};

/// Reads it again as ordered; the preview stays.
void readEntry(ImportEntry& entry);

/// All measurements of its file, as its columns are ordered, with a preview of them.
[[nodiscard]] std::vector<ImportEntry> curvesOf(ImportEntry entry);

/// Orders the columns as they were decided for files of this shape, if they were.
void recallColumns(ImportEntry& entry);

/// Orders the columns so, and remembers it for files of this shape.
void orderColumns(ImportEntry& entry, const std::vector<std::string>& meanings);

} // namespace yf::app
