// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

/// Verbs of topic `job` about what was done: snapshots, differences, the log.
namespace yf::report {

/// Input of `job snapshot`. Without a name the snapshots are listed; with one the present state
/// gets it, or with `forget` the snapshot of that name goes.
struct SnapshotRequest {
    std::string file;
    std::optional<std::string> name;
    bool forget{};
    std::string at; ///< local time; the edge fills it in where it is not given

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.file, Word{"job_file", "the job file"});
        field(self.name, Word{"name", "of the snapshot to be taken"});
        field(self.forget, Flag{"forget", "drop the snapshot of that name instead", false});
        field(self.at,
              Word{"at", "local time for the log, 2026-03-14T10:32:05; now unless given", ""});
    }
};

struct SnapshotList {
    std::vector<job::Snapshot> snapshots;

    [[nodiscard]] text::Value write() const;
};

/// Fails as the store does, or where the name is taken or not there.
[[nodiscard]] Result<SnapshotList> snapshot(const SnapshotRequest& request);

/// Input of `job diff`: names of snapshots; the present where none is given.
struct DiffRequest {
    std::string file;
    std::optional<std::string> before;
    std::optional<std::string> after;

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.file, Word{"job_file", "the job file"});
        field(self.before, Word{"before", "a snapshot; the first one unless given"});
        field(self.after, Word{"after", "a snapshot; the present unless given"});
    }
};

struct Diff {
    std::vector<Words> differences;

    static void fields(auto& self, auto&& field) {
        field(self.differences, quantity::Word{"differences", "one sentence each"});
    }
};

[[nodiscard]] Result<Diff> diff(const DiffRequest& request);

/// Input of `job log`. With a note the note is added first.
struct LogRequest {
    std::string file;
    std::optional<std::string> note;
    std::string at;

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.file, Word{"job_file", "the job file"});
        field(self.note, Word{"note", "a note to be added"});
        field(self.at,
              Word{"at", "local time for the log, 2026-03-14T10:32:05; now unless given", ""});
    }
};

struct Log {
    std::vector<job::LogEntry> entries;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<Log> log(const LogRequest& request);

} // namespace yf::report
