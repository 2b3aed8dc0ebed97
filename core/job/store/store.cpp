// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/store/store.h"

#include "core/base/plain_file.h"
#include "core/job/store/read.h"
#include "core/job/store/schema.h"
#include "core/job/store/sqlite.h"

#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <cmath>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <map>

namespace yf::job::store {

namespace {

/// The version since which texts of the program are kept as words.
constexpr sqlite3_int64 wordsSince = 9;

/// Not there, a folder, or no bytes of ours: said before SQLite speaks of "not a database".
std::optional<Error> checkFile(const std::string& path) {
    if (auto wrong = notPlainFile(path.substr(0, path.find('\0')), path)) {
        return Error{wrong->subject, wrong->given, YF_WORDS("core", "must be a job file")};
    }
    if (::access(path.c_str(), F_OK) != 0) {
        return Error{path, std::strerror(errno), YF_WORDS("core", "must be a job file")};
    }
    return std::nullopt;
}

Done checkContent(const std::string& path, sqlite3* database) {
    if (pragma(database, "application_id") != applicationId) {
        return Error{path,
                     YF_WORDS("core", "is not a Yellowfront job"),
                     YF_WORDS("core", "must be a file that this program has made")};
    }
    Statement check(database, "PRAGMA quick_check(1)");
    const bool answered = check.step();
    if (!answered || check.text(0) != "ok") {
        return Error{path,
                     say(YF_WORDS("core", "is damaged: %1"),
                         (answered ? check.text(0) : std::string(sqlite3_errmsg(database)))),
                     YF_WORDS("core", "open a copy of it; this file was left untouched")};
    }
    return done();
}

std::string asFloats(const std::vector<double>& samples) {
    std::string bytes(samples.size() * sizeof(float), '\0');
    for (std::size_t n = 0; n < samples.size(); ++n) {
        const auto v = static_cast<float>(samples[n]);
        std::memcpy(bytes.data() + n * sizeof v, &v, sizeof v);
    }
    return bytes;
}

std::optional<LogEntry::Kind> logKind(const std::string& name) {
    using Kind = LogEntry::Kind;
    for (const Kind kind :
         {Kind::changed, Kind::undone, Kind::redone, Kind::note, Kind::snapshot}) {
        if (kindName(kind) == name) {
            return kind;
        }
    }
    return std::nullopt;
}

void tellLeftOut(const Shared& shared, std::vector<std::string>* leftOut) {
    if (leftOut != nullptr) {
        *leftOut = shared.leftOut;
    }
}

/// Whether a write was interrupted: its journal still stands there, and nobody is writing.
bool wasInterrupted(const std::string& path, sqlite3* database) {
    struct stat info {};

    if (::stat((path + "-journal").c_str(), &info) != 0 || info.st_size == 0) {
        return false;
    }
    Statement ask(database, "SELECT count(*) FROM sqlite_master");
    static_cast<void>(ask.step());
    const int code = sqlite3_errcode(database);
    return code != SQLITE_OK && code != SQLITE_ROW && code != SQLITE_DONE && code != SQLITE_BUSY;
}

/// Copies file and journal to where one may write, lets SQLite bring back the state before the
/// interrupted write there, and opens that; the copy has no name any more once it is open.
Result<sqlite3*> openRolledBack(const std::string& path) {
    namespace fs = std::filesystem;
    std::error_code failed;
    std::string folder = (fs::temp_directory_path(failed) / "yellowfront-XXXXXX").string();
    const auto refused = [&](const std::string& why) {
        return Error{
            path,
            say(YF_WORDS("core", "a write to it was interrupted, and it could not be read: %1"),
                why),
            YF_WORDS("core", "open it in the window once, where it can be written")};
    };
    if (failed || ::mkdtemp(folder.data()) == nullptr) {
        return refused(failed ? failed.message() : std::strerror(errno));
    }
    const std::string copy = folder + "/copy.yfjob";
    fs::copy_file(path, copy, failed);
    if (!failed) {
        fs::copy_file(path + "-journal", copy + "-journal", failed);
    }
    if (!failed) {
        // A file that may not be written has a copy that may not be written.
        fs::permissions(copy, fs::perms::owner_read | fs::perms::owner_write, failed);
        fs::permissions(copy + "-journal", fs::perms::owner_read | fs::perms::owner_write, failed);
    }
    auto database =
        failed ? Result<sqlite3*>(refused(failed.message())) : connect(copy, SQLITE_OPEN_READWRITE);
    if (database) {
        Statement ask(*database, "SELECT count(*) FROM sqlite_master");
        static_cast<void>(ask.step());
    }
    fs::remove_all(folder, failed);
    return database;
}

} // namespace

std::string toDocument(const Job& job) {
    return text::writeJson(text::write(job));
}

Store::Store(std::string path, sqlite3* database, bool readOnly)
    : path_(std::move(path)), database_(database), readOnly_(readOnly) {}

Store::Store(Store&& other) noexcept
    : path_(std::move(other.path_)), database_(std::exchange(other.database_, nullptr)),
      readOnly_(other.readOnly_) {}

Store& Store::operator=(Store&& other) noexcept {
    std::swap(path_, other.path_);
    std::swap(database_, other.database_);
    std::swap(readOnly_, other.readOnly_);
    return *this;
}

Store::~Store() {
    sqlite3_close(database_);
}

Result<Store> Store::create(const std::string& path, const Record& record) {
    struct stat info {};

    if (::stat(path.c_str(), &info) == 0) {
        return Error{path,
                     YF_WORDS("core", "exists already"),
                     YF_WORDS("core", "choose another name; nothing was overwritten")};
    }
    YF_TRY(database, connect(path, SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE));
    Store store(path, database, false);
    auto filled = store.fill(record);
    if (!filled) {
        ::remove(path.c_str());
        return filled.error();
    }
    return store;
}

Done Store::fill(const Record& record) {
    const History& history = record.history;
    YF_TRY(prepared,
           execute(path_,
                   database_,
                   "PRAGMA page_size=16384; PRAGMA journal_mode=DELETE; PRAGMA synchronous=FULL; "
                   "PRAGMA foreign_keys=ON; BEGIN IMMEDIATE; PRAGMA application_id=" +
                       std::to_string(applicationId) +
                       "; PRAGMA user_version=" + std::to_string(formatVersion) + ";" + schema +
                       schemaOfVersion2 + schemaOfVersion3 + schemaOfVersion4));
    static_cast<void>(prepared);
    for (const Step& step : history.steps()) {
        YF_TRY(written, writeStep(step, Moved::appended));
        static_cast<void>(written);
    }
    for (std::size_t k = history.steps().size() - 1; k > history.position(); --k) {
        YF_TRY(moved, writeStep(history.steps()[k - 1], Moved::back));
        static_cast<void>(moved);
    }
    for (const Snapshot& snapshot : record.snapshots) {
        YF_TRY(written, writeSnapshot(snapshot));
        static_cast<void>(written);
    }
    for (const LogEntry& entry : record.log) {
        YF_TRY(written, writeLog(entry, false));
        static_cast<void>(written);
    }
    YF_TRY(committed, execute(path_, database_, "COMMIT"));
    static_cast<void>(committed);
    return done();
}

Result<Store> Store::open(const std::string& path) {
    if (auto error = checkFile(path)) {
        return *error;
    }
    auto database = connect(path, SQLITE_OPEN_READWRITE);
    if (!database) {
        return database.error();
    }
    // Without the right to write SQLite opens for reading by itself.
    if (wasInterrupted(path, *database)) {
        sqlite3_close(*database);
        return openForReading(path);
    }
    Store store(path, *database, sqlite3_db_readonly(*database, "main") == 1);
    YF_TRY(checked, checkContent(path, *database));
    static_cast<void>(checked);
    if (pragma(*database, "user_version") > formatVersion) {
        store.readOnly_ = true;
    } else {
        YF_TRY(prepared,
               execute(path, *database, "PRAGMA synchronous=FULL; PRAGMA foreign_keys=ON"));
        static_cast<void>(prepared);
    }
    return store;
}

Result<Store> Store::openForReading(const std::string& path) {
    if (auto error = checkFile(path)) {
        return *error;
    }
    YF_TRY(database, connect(path, SQLITE_OPEN_READONLY));
    if (wasInterrupted(path, database)) {
        sqlite3_close(database);
        YF_TRY(before, openRolledBack(path));
        database = before;
    }
    Store store(path, database, true);
    YF_TRY(checked, checkContent(path, database));
    static_cast<void>(checked);
    return store;
}

bool Store::newer() const {
    return pragma(database_, "user_version") > formatVersion;
}

Result<Record> Store::load(std::vector<std::string>* leftOut) const {
    Statement state(database_, "SELECT current FROM state");
    if (!state.step()) {
        return Error{path_,
                     YF_WORDS("core", "has no current state"),
                     YF_WORDS("core", "the file is damaged")};
    }
    const sqlite3_int64 current = state.whole(0);
    Statement rows(database_,
                   "SELECT id, name, merge_key, document FROM step WHERE id > ? ORDER BY id");
    rows.bind(1, current - static_cast<sqlite3_int64>(keptSteps));
    const bool inWords = pragma(database_, "user_version") >= wordsSince;
    const auto told = [&](const std::string& text) {
        return inWords ? text::unpacked(text) : Words(text);
    };
    std::vector<Step> steps;
    std::optional<std::size_t> position;
    Shared shared;
    while (rows.step()) {
        YF_TRY(job, readJob(database_, path_, rows.text(3), shared));
        if (rows.whole(0) == current) {
            position = steps.size();
        }
        steps.push_back({told(rows.text(1)), rows.text(2), std::move(job)});
    }
    if (!position) {
        return Error{path_,
                     YF_WORDS("core", "has no current state"),
                     YF_WORDS("core", "the file is damaged")};
    }
    Record record(History(std::move(steps), *position));
    if (pragma(database_, "user_version") < 2) {
        tellLeftOut(shared, leftOut);
        return record;
    }
    Statement named(database_, "SELECT name, at, document FROM snapshot ORDER BY id");
    while (named.step()) {
        YF_TRY(job, readJob(database_, path_, named.text(2), shared));
        record.snapshots.push_back({named.text(0), named.text(1), std::move(job)});
    }
    Statement entries(database_, "SELECT at, kind, entry FROM log ORDER BY id");
    while (entries.step()) {
        const auto kind = logKind(entries.text(1));
        if (!kind) {
            return Error{path_,
                         say(YF_WORDS("core", "log entry of kind '%1'"), entries.text(1)),
                         YF_WORDS("core", "the file is damaged")};
        }
        // A note is what a person wrote, letter by letter.
        record.log.push_back(
            {*kind,
             entries.text(0),
             *kind == LogEntry::Kind::note ? Words(entries.text(2)) : told(entries.text(2))});
    }
    tellLeftOut(shared, leftOut);
    return record;
}

Done Store::writeRecording(const Take& take) {
    if (!take.recording) {
        return done();
    }
    Statement present(database_, "SELECT 1 FROM recording WHERE key = ?");
    present.bind(1, take.recorded.samples);
    if (present.step()) {
        return done();
    }
    Statement insert(database_, "INSERT INTO recording VALUES(?,?,?,?)");
    insert.bind(1, take.recorded.samples)
        .bind(2, take.recording->rate)
        .bindBytes(3, asFloats(take.recording->measured))
        .bindBytes(4, asFloats(take.recording->reference));
    return finish(path_, database_, insert);
}

Done Store::writeShared(const Job& job) {
    for (const Take& take : job.takes) {
        YF_TRY(recorded, writeRecording(take));
        static_cast<void>(recorded);
        Statement present(database_, "SELECT 1 FROM curve WHERE key = ?");
        present.bind(1, take.curveKey);
        if (present.step()) {
            continue;
        }
        std::vector<double> re;
        std::vector<double> im;
        for (const curve::Complex& v : take.curve->values()) {
            re.push_back(v.real());
            im.push_back(v.imag());
        }
        Statement insert(database_, "INSERT INTO curve VALUES(?,?,?,?,?,?,?)");
        insert.bind(1, take.curveKey)
            .bind(2, std::string(phaseNames[static_cast<std::size_t>(take.curve->phase())]))
            .bind(3, take.curve->trusted().from)
            .bind(4, take.curve->trusted().to)
            .bind(5, take.curve->frequencies())
            .bind(6, re)
            .bind(7, im);
        YF_TRY(inserted, finish(path_, database_, insert));
        static_cast<void>(inserted);
    }
    for (const Photo& photo : job.photos) {
        Statement present(database_, "SELECT 1 FROM photo WHERE key = ?");
        present.bind(1, photo.key);
        if (present.step()) {
            continue;
        }
        Statement insert(database_, "INSERT INTO photo VALUES(?,?)");
        insert.bind(1, photo.key).bindBytes(2, *photo.bytes);
        YF_TRY(inserted, finish(path_, database_, insert));
        static_cast<void>(inserted);
    }
    return done();
}

Done Store::writeStep(const Step& step, Moved moved) {
    if (moved == Moved::back || moved == Moved::forward) {
        Statement move(
            database_,
            moved == Moved::back
                ? "UPDATE state SET current = (SELECT max(id) FROM step WHERE id < current)"
                : "UPDATE state SET current = (SELECT min(id) FROM step WHERE id > current)");
        return finish(path_, database_, move);
    }
    YF_TRY(curves, writeShared(step.job));
    static_cast<void>(curves);
    if (moved == Moved::merged) {
        Statement update(database_,
                         "UPDATE step SET name = ?, merge_key = ?, document = ? WHERE id = (SELECT "
                         "current FROM state)");
        update.bind(1, text::packed(step.name))
            .bind(2, step.mergeKey)
            .bind(3, toDocument(step.job));
        YF_TRY(updated, finish(path_, database_, update));
        static_cast<void>(updated);
        Statement drop(database_, "DELETE FROM step WHERE id > (SELECT current FROM state)");
        return finish(path_, database_, drop);
    }
    Statement drop(database_,
                   "DELETE FROM step WHERE id > (SELECT current FROM state) OR id <= (SELECT "
                   "current FROM state) - ?");
    drop.bind(1, static_cast<sqlite3_int64>(keptSteps));
    YF_TRY(dropped, finish(path_, database_, drop));
    static_cast<void>(dropped);
    Statement insert(database_, "INSERT INTO step(name, merge_key, document) VALUES(?,?,?)");
    insert.bind(1, text::packed(step.name)).bind(2, step.mergeKey).bind(3, toDocument(step.job));
    YF_TRY(inserted, finish(path_, database_, insert));
    static_cast<void>(inserted);
    Statement point(
        database_,
        "INSERT INTO state VALUES(1, ?) ON CONFLICT(one) DO UPDATE SET current = excluded.current");
    point.bind(1, sqlite3_last_insert_rowid(database_));
    return finish(path_, database_, point);
}

Done Store::writeLog(const LogEntry& entry, bool replacesLast) {
    Statement write(
        database_,
        replacesLast
            ? "UPDATE log SET at = ?, kind = ?, entry = ? WHERE id = (SELECT max(id) FROM log)"
            : "INSERT INTO log(at, kind, entry) VALUES(?,?,?)");
    write.bind(1, entry.at)
        .bind(2, std::string(kindName(entry.kind)))
        .bind(3,
              entry.kind == LogEntry::Kind::note ? entry.text.english() : text::packed(entry.text));
    return finish(path_, database_, write);
}

Done Store::writeSnapshot(const Snapshot& snapshot) {
    YF_TRY(curves, writeShared(snapshot.job));
    static_cast<void>(curves);
    Statement insert(database_, "INSERT INTO snapshot(name, at, document) VALUES(?,?,?)");
    insert.bind(1, snapshot.name).bind(2, snapshot.at).bind(3, toDocument(snapshot.job));
    return finish(path_, database_, insert);
}

Done Store::bringUpToDate() {
    if (pragma(database_, "user_version") >= formatVersion) {
        return done();
    }
    const sqlite3_int64 version = pragma(database_, "user_version");
    return execute(path_,
                   database_,
                   std::string(version < 2 ? schemaOfVersion2 : "") +
                       (version < 3 ? schemaOfVersion3 : "") +
                       (version < 4 ? schemaOfVersion4 : "") + changesOfVersion9 +
                       "PRAGMA user_version=" + std::to_string(formatVersion));
}

Done Store::writeChange(const Change& change) {
    YF_TRY(ready, bringUpToDate());
    static_cast<void>(ready);
    if (change.step) {
        YF_TRY(written, writeStep(change.step->step, change.step->moved));
        static_cast<void>(written);
    }
    if (change.taken) {
        YF_TRY(written, writeSnapshot(*change.taken));
        static_cast<void>(written);
    }
    if (change.dropped) {
        Statement drop(database_, "DELETE FROM snapshot WHERE name = ?");
        drop.bind(1, *change.dropped);
        YF_TRY(dropped, finish(path_, database_, drop));
        static_cast<void>(dropped);
    }
    if (change.log) {
        return writeLog(*change.log, change.replacesLog);
    }
    return done();
}

Done Store::write(const Change& change) {
    if (readOnly_) {
        return Error{path_,
                     YF_WORDS("core", "is open for reading only"),
                     YF_WORDS("core", "save a copy and go on there")};
    }
    YF_TRY(begun, execute(path_, database_, "BEGIN IMMEDIATE"));
    static_cast<void>(begun);
    auto written = writeChange(change);
    if (written) {
        written = execute(path_, database_, "COMMIT");
    }
    if (!written) {
        sqlite3_exec(database_, "ROLLBACK", nullptr, nullptr, nullptr);
    }
    return written;
}

Done Store::copyTo(const std::string& path) const {
    struct stat info {};

    if (::stat(path.c_str(), &info) == 0) {
        return Error{path,
                     YF_WORDS("core", "exists already"),
                     YF_WORDS("core", "choose another name; nothing was overwritten")};
    }
    Statement copy(database_, "VACUUM INTO ?");
    copy.bind(1, path);
    auto copied = finish(path, database_, copy);
    if (!copied) {
        ::remove(path.c_str());
    }
    return copied;
}

Done Store::integrityCheck() const {
    Statement check(database_, "PRAGMA integrity_check");
    if (!check.step() || check.text(0) != "ok") {
        return Error{path_, say(YF_WORDS("core", "integrity check: %1"), check.text(0)), ""};
    }
    return done();
}

} // namespace yf::job::store
