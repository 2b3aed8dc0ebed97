// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/record.h"

#include "core/text/nearest.h"

#include <algorithm>

namespace yf::job {

namespace {

LogEntry& log(Record& record, LogEntry::Kind kind, const std::string& at, Words text) {
    record.log.push_back({kind, at, std::move(text)});
    return record.log.back();
}

Change stepped(Record& record, Moved moved, const LogEntry& entry) {
    return {.step = Change::Stepped{record.history.step(), moved}, .log = entry};
}

} // namespace

std::string_view kindName(LogEntry::Kind kind) {
    static constexpr std::string_view names[] = {"changed", "undone", "redone", "note", "snapshot"};
    return names[static_cast<std::size_t>(kind)];
}

const Snapshot* Record::findSnapshot(const std::string& name) const {
    const auto found = std::ranges::find(snapshots, name, &Snapshot::name);
    return found == snapshots.end() ? nullptr : &*found;
}

Change push(Record& record, Step next, const std::string& at) {
    const Moved moved = record.history.push(std::move(next));
    const Words& name = record.history.step().name;
    const bool again = moved == Moved::merged && !record.log.empty() &&
                       record.log.back().kind == LogEntry::Kind::changed;
    if (again) {
        record.log.back() = {LogEntry::Kind::changed, at, name};
    } else {
        log(record, LogEntry::Kind::changed, at, name);
    }
    Change change = stepped(record, moved, record.log.back());
    change.replacesLog = again;
    return change;
}

std::optional<Change> undo(Record& record, const std::string& at) {
    if (!record.history.canUndo()) {
        return std::nullopt;
    }
    const Words name = record.history.undoName();
    record.history.undo();
    return stepped(record, Moved::back, log(record, LogEntry::Kind::undone, at, name));
}

std::optional<Change> redo(Record& record, const std::string& at) {
    if (!record.history.canRedo()) {
        return std::nullopt;
    }
    record.history.redo();
    return stepped(record,
                   Moved::forward,
                   log(record, LogEntry::Kind::redone, at, record.history.step().name));
}

namespace {

Result<Change>
named(Record& record, const std::string& name, const Job& job, const std::string& at) {
    if (name.empty()) {
        return Error{"name",
                     YF_WORDS("core", "nothing is written"),
                     YF_WORDS("core", "must have at least one letter")};
    }
    if (record.findSnapshot(name) != nullptr) {
        return Error{"name",
                     say(YF_WORDS("core", "'%1' stands already"), name),
                     YF_WORDS("core", "choose another name")};
    }
    record.snapshots.push_back({name, at, job});
    return Change{.taken = record.snapshots.back(),
                  .log = log(record, LogEntry::Kind::snapshot, at, name)};
}

} // namespace

Result<Change> takeSnapshot(Record& record, const std::string& name, const std::string& at) {
    record.history.endGesture();
    const Job present = record.job();
    return named(record, name, present, at);
}

Result<Change>
takeSnapshotOf(Record& record, const std::string& name, const Job& state, const std::string& at) {
    return named(record, name, state, at);
}

Result<Change> dropSnapshot(Record& record, const std::string& name, const std::string& at) {
    const auto found = std::ranges::find(record.snapshots, name, &Snapshot::name);
    if (found == record.snapshots.end()) {
        std::vector<std::string> names;
        std::ranges::transform(record.snapshots, std::back_inserter(names), &Snapshot::name);
        return Error{"name",
                     say(YF_WORDS("core", "there is no snapshot '%1'"), name),
                     names.empty() ? ""
                                   : say(YF_WORDS("core", "the nearest one is %1"),
                                         text::nearest(name, names))};
    }
    record.snapshots.erase(found);
    record.history.endGesture();
    return Change{.dropped = name,
                  .log = log(record,
                             LogEntry::Kind::snapshot,
                             at,
                             say(YF_WORDS("core", "Forget the snapshot %1"), name))};
}

Result<Change> addNote(Record& record, const std::string& text, const std::string& at) {
    if (text.empty()) {
        return Error{"note",
                     YF_WORDS("core", "nothing is written"),
                     YF_WORDS("core", "must have at least one letter")};
    }
    // What is done next is another thing than what the note is about.
    record.history.endGesture();
    return Change{.log = log(record, LogEntry::Kind::note, at, text)};
}

} // namespace yf::job
