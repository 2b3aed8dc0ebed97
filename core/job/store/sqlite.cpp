// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/store/sqlite.h"

namespace yf::job::store {

Error failure(const std::string& path, sqlite3* database) {
    const int code = sqlite3_errcode(database) & 0xFF;
    Words allowed = YF_WORDS("core", "the file is as it was before");
    if (code == SQLITE_FULL) {
        allowed = YF_WORDS("core", "make room on the disk; the file is as it was before");
    } else if (code == SQLITE_READONLY || code == SQLITE_PERM || code == SQLITE_CANTOPEN) {
        allowed = YF_WORDS(
            "core",
            "check the permissions of the file and its folder; the file is as it was before");
    } else if (code == SQLITE_BUSY || code == SQLITE_LOCKED) {
        allowed = YF_WORDS("core", "another program has it open; the file is as it was before");
    }
    return {path, say(YF_WORDS("core", "not written: %1"), sqlite3_errmsg(database)), allowed};
}

Done execute(const std::string& path, sqlite3* database, const std::string& sql) {
    if (sqlite3_exec(database, sql.c_str(), nullptr, nullptr, nullptr) != SQLITE_OK) {
        return failure(path, database);
    }
    return done();
}

Done finish(const std::string& path, sqlite3* database, Statement& statement) {
    statement.step();
    if (!statement.finished()) {
        return failure(path, database);
    }
    return done();
}

sqlite3_int64 pragma(sqlite3* database, const char* name) {
    Statement statement(database, (std::string("PRAGMA ") + name).c_str());
    return statement.step() ? statement.whole(0) : -1;
}

Result<sqlite3*> connect(const std::string& path, int flags) {
    sqlite3* database = nullptr;
    const int code = sqlite3_open_v2(path.c_str(), &database, flags, nullptr);
    if (code != SQLITE_OK) {
        const Error error{path,
                          say(YF_WORDS("core", "cannot be opened: %1"), sqlite3_errstr(code)),
                          YF_WORDS("core", "must be a job file that you may read")};
        sqlite3_close(database);
        return error;
    }
    sqlite3_extended_result_codes(database, 1);
    constexpr int patience = 3000; // ms, another window of ours may be writing
    sqlite3_busy_timeout(database, patience);
    return database;
}

} // namespace yf::job::store
