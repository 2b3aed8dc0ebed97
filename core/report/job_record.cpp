// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/report/job_record.h"

#include "core/job/difference.h"
#include "core/job/store/store.h"
#include "core/report/job_file.h"
#include "core/text/given.h"
#include "core/text/nearest.h"

#include <algorithm>

namespace yf::report {

namespace {

using job::Change;
using job::Record;
using text::Value;

/// Opens for writing, makes one change and writes it.
Result<Record> changed(const std::string& file,
                       const std::function<Result<Change>(Record&)>& make) {
    auto store = job::store::Store::open(file);
    if (!store) {
        return Error{"job_file", text::sentence(store.error()), ""};
    }
    YF_TRY(record, store->load());
    YF_TRY(change, make(record));
    auto written = store->write(change);
    if (!written) {
        return Error{"job_file", text::sentence(written.error()), ""};
    }
    return std::move(record);
}

Result<job::Job> stateOf(const Record& record,
                         const char* key,
                         const std::optional<std::string>& name,
                         const job::Job& otherwise) {
    if (!name) {
        return otherwise;
    }
    if (const job::Snapshot* found = record.findSnapshot(*name)) {
        return found->job;
    }
    std::vector<std::string> names;
    std::ranges::transform(record.snapshots, std::back_inserter(names), &job::Snapshot::name);
    return Error{key,
                 text::givenWord(*name),
                 names.empty()
                     ? "the job has no snapshot"
                     : say(YF_WORDS("core", "the nearest one is %1"), text::nearest(*name, names))};
}

} // namespace

Result<SnapshotList> snapshot(const SnapshotRequest& request) {
    if (!request.name) {
        if (request.forget) {
            return Error{"name", "missing", "must be given: which snapshot is to go"};
        }
        YF_TRY(record, loadJobFile(request.file));
        return SnapshotList{record.snapshots};
    }
    YF_TRY(record, changed(request.file, [&](Record& r) {
               return request.forget ? job::dropSnapshot(r, *request.name, request.at)
                                     : job::takeSnapshot(r, *request.name, request.at);
           }));
    return SnapshotList{record.snapshots};
}

Value SnapshotList::write() const {
    Value::List list;
    for (const job::Snapshot& snapshot : snapshots) {
        list.emplace_back(Value::Object{{"name", snapshot.name}, {"at", snapshot.at}});
    }
    return Value::Object{{"snapshots", std::move(list)}};
}

Result<Diff> diff(const DiffRequest& request) {
    YF_TRY(record, loadJobFile(request.file));
    if (!request.before && record.snapshots.empty()) {
        return Error{"before", "missing", "the job has no snapshot to compare with"};
    }
    YF_TRY(before,
           stateOf(record,
                   "before",
                   request.before,
                   record.snapshots.empty() ? record.job() : record.snapshots.front().job));
    YF_TRY(after, stateOf(record, "after", request.after, record.job()));
    return Diff{job::differences(before, after)};
}

Result<Log> log(const LogRequest& request) {
    if (!request.note) {
        YF_TRY(record, loadJobFile(request.file));
        return Log{record.log};
    }
    YF_TRY(record, changed(request.file, [&](Record& r) {
               return job::addNote(r, *request.note, request.at);
           }));
    return Log{record.log};
}

Value Log::write() const {
    Value::List list;
    for (const job::LogEntry& entry : entries) {
        list.emplace_back(
            Value::Object{{"at", entry.at}, {"kind", kindName(entry.kind)}, {"text", entry.text}});
    }
    return Value::Object{{"entries", std::move(list)}};
}

} // namespace yf::report
