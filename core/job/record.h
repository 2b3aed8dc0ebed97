// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/history.h"

#include <vector>

namespace yf::job {

/// What was done and when. Written by itself for every change, by hand for a note; never undone.
struct LogEntry {
    enum class Kind { changed, undone, redone, note, snapshot };
    Kind kind{};
    std::string at; ///< local time, "2026-03-14T10:32:05"
    Words text;

    bool operator==(const LogEntry&) const = default;
};

/// "changed", "undone", "redone", "note", "snapshot".
[[nodiscard]] std::string_view kindName(LogEntry::Kind kind);

/// A job with a name.
struct Snapshot {
    std::string name;
    std::string at;
    Job job;

    bool operator==(const Snapshot&) const = default;
};

/// Everything that a job file holds.
struct Record {
    History history;
    std::vector<Snapshot> snapshots; ///< in the order in which they were taken
    std::vector<LogEntry> log;

    Record(History first) : history(std::move(first)) {}

    Record(History first, std::vector<Snapshot> named, std::vector<LogEntry> done)
        : history(std::move(first)), snapshots(std::move(named)), log(std::move(done)) {}

    [[nodiscard]] const Job& job() const { return history.job(); }

    [[nodiscard]] const Snapshot* findSnapshot(const std::string& name) const;
};

/// One thing that happened to a record, as the store writes it; what is absent did not happen.
struct Change {
    struct Stepped {
        Step step;
        Moved moved{};

        bool operator==(const Stepped&) const = default;
    };

    std::optional<Stepped> step;
    std::optional<Snapshot> taken;
    std::optional<std::string> dropped; ///< name of a snapshot
    std::optional<LogEntry> log;
    bool replacesLog{}; ///< the entry takes the place of the last one: a gesture goes on
};

/// The next state joins, and its name the log. A merged step takes the place of the entry of its
/// gesture.
[[nodiscard]] Change push(Record& record, Step next, const std::string& at);

/// Nothing where there is nothing to undo.
[[nodiscard]] std::optional<Change> undo(Record& record, const std::string& at);
[[nodiscard]] std::optional<Change> redo(Record& record, const std::string& at);

/// Names the present state. Fails: no name, a name that stands already.
[[nodiscard]] Result<Change>
takeSnapshot(Record& record, const std::string& name, const std::string& at);

/// Names a state that is not the present one, which is not touched. Fails likewise.
[[nodiscard]] Result<Change>
takeSnapshotOf(Record& record, const std::string& name, const Job& state, const std::string& at);

/// Fails naming the nearest snapshot.
[[nodiscard]] Result<Change>
dropSnapshot(Record& record, const std::string& name, const std::string& at);

/// Fails: nothing written.
[[nodiscard]] Result<Change>
addNote(Record& record, const std::string& text, const std::string& at);

} // namespace yf::job
