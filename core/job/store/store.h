// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

#include <memory>
#include <string>

struct sqlite3;

namespace yf::job::store {

/// Marks a SQLite file as one of ours: "YFJB" at offset 68.
inline constexpr int applicationId = 0x59464A42;

/// Version of the schema, in user_version. docs/job-format.md describes it.
inline constexpr int formatVersion = 9;

/// Steps kept for undo after reopening.
inline constexpr std::size_t keptSteps = 200;

/// A job file: one SQLite database, one commit for each change, whole or not at all.
///
/// journal_mode=DELETE and synchronous=FULL: a killed process leaves the last confirmed change,
/// and a copy of the file alone is never torn. Not for use from two threads at once.
class Store {
public:
    /// A new file; one that exists is refused, never overwritten.
    static Result<Store> create(const std::string& path, const Record& record);

    /// An existing file. Refused with words: not there, not a job file, damaged (quick_check),
    /// locked by another program. A file of a newer version opens for reading only. One of an
    /// older version stays as it is until the first change is written.
    static Result<Store> open(const std::string& path);

    /// Reading only, for the command line: nothing is written, not even a journal. Where a write
    /// was interrupted, the state before it is read from a copy in the folder for temporary files,
    /// and the file with its journal stays as it is until it is opened for writing.
    static Result<Store> openForReading(const std::string& path);

    Store(Store&&) noexcept;
    Store& operator=(Store&&) noexcept;
    ~Store();

    [[nodiscard]] bool readOnly() const { return readOnly_; }

    /// Whether a newer version of the program has made the file.
    [[nodiscard]] bool newer() const;

    [[nodiscard]] const std::string& path() const { return path_; }

    /// The kept steps and the position among them, snapshots and log.
    /// leftOut: names of measurements that are damaged and were left out.
    [[nodiscard]] Result<Record> load(std::vector<std::string>* leftOut = nullptr) const;

    /// Writes what one change did, in one transaction. When it returns without an error the
    /// change is on the disk; with an error the file is as before.
    [[nodiscard]] Done write(const Change& change);

    /// The whole file as it is on the disk, into a new one that nobody else has open.
    [[nodiscard]] Done copyTo(const std::string& path) const;

    /// SQLite's own full check; for tests and for a suspicious owner.
    [[nodiscard]] Done integrityCheck() const;

private:
    Store(std::string path, sqlite3* database, bool readOnly);

    [[nodiscard]] Done fill(const Record& record);
    [[nodiscard]] Done bringUpToDate();
    [[nodiscard]] Done writeChange(const Change& change);
    [[nodiscard]] Done writeStep(const Step& step, Moved moved);
    [[nodiscard]] Done writeLog(const LogEntry& entry, bool replacesLast);
    [[nodiscard]] Done writeSnapshot(const Snapshot& snapshot);
    [[nodiscard]] Done writeRecording(const Take& take);
    [[nodiscard]] Done writeShared(const Job& job);

    std::string path_;
    sqlite3* database_{};
    bool readOnly_{};
};

/// A job as JSON text for the document column: the field list of Job.
[[nodiscard]] std::string toDocument(const Job& job);

} // namespace yf::job::store
