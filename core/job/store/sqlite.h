// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <sqlite3.h>

#include <cstring>
#include <optional>
#include <string>
#include <vector>

namespace yf::job::store {

/// A prepared statement that finalizes itself.
class Statement {
public:
    Statement(sqlite3* database, const char* sql) {
        sqlite3_prepare_v2(database, sql, -1, &statement_, nullptr);
    }

    Statement(const Statement&) = delete;
    Statement& operator=(const Statement&) = delete;

    ~Statement() { sqlite3_finalize(statement_); }

    Statement& bind(int index, const std::string& text) {
        sqlite3_bind_text(
            statement_, index, text.data(), static_cast<int>(text.size()), SQLITE_TRANSIENT);
        return *this;
    }

    Statement& bind(int index, double number) {
        sqlite3_bind_double(statement_, index, number);
        return *this;
    }

    Statement& bind(int index, sqlite3_int64 number) {
        sqlite3_bind_int64(statement_, index, number);
        return *this;
    }

    Statement& bind(int index, const std::vector<double>& numbers) {
        sqlite3_bind_blob(statement_,
                          index,
                          numbers.data(),
                          static_cast<int>(numbers.size() * sizeof(double)),
                          SQLITE_TRANSIENT);
        return *this;
    }

    Statement& bindBytes(int index, const std::string& bytes) {
        sqlite3_bind_blob(
            statement_, index, bytes.data(), static_cast<int>(bytes.size()), SQLITE_TRANSIENT);
        return *this;
    }

    /// True while there is a row.
    bool step() {
        code_ = statement_ == nullptr ? SQLITE_ERROR : sqlite3_step(statement_);
        return code_ == SQLITE_ROW;
    }

    [[nodiscard]] bool finished() const { return code_ == SQLITE_DONE; }

    [[nodiscard]] std::string text(int column) const {
        const auto* data = sqlite3_column_text(statement_, column);
        const auto size = static_cast<std::size_t>(sqlite3_column_bytes(statement_, column));
        return data == nullptr ? std::string{}
                               : std::string(reinterpret_cast<const char*>(data), size);
    }

    [[nodiscard]] std::string bytes(int column) const {
        const void* data = sqlite3_column_blob(statement_, column);
        const auto size = static_cast<std::size_t>(sqlite3_column_bytes(statement_, column));
        return data == nullptr ? std::string{} : std::string(static_cast<const char*>(data), size);
    }

    [[nodiscard]] sqlite3_int64 whole(int column) const {
        return sqlite3_column_int64(statement_, column);
    }

    [[nodiscard]] double number(int column) const {
        return sqlite3_column_double(statement_, column);
    }

    [[nodiscard]] std::vector<double> numbers(int column) const {
        const void* data = sqlite3_column_blob(statement_, column);
        const auto bytes = static_cast<std::size_t>(sqlite3_column_bytes(statement_, column));
        std::vector<double> values(bytes / sizeof(double));
        if (data != nullptr && !values.empty()) {
            std::memcpy(values.data(), data, values.size() * sizeof(double));
        }
        return values;
    }

private:
    sqlite3_stmt* statement_{};
    int code_{SQLITE_OK};
};

/// SQLite's last error in words that say what to do; the file is as it was.
[[nodiscard]] Error failure(const std::string& path, sqlite3* database);

[[nodiscard]] Done execute(const std::string& path, sqlite3* database, const std::string& sql);

/// Runs a statement that gives no rows.
[[nodiscard]] Done finish(const std::string& path, sqlite3* database, Statement& statement);

/// A whole number, or −1 where there is none.
[[nodiscard]] sqlite3_int64 pragma(sqlite3* database, const char* name);

/// With SQLite's flags; waits 3 s for another program that is writing.
[[nodiscard]] Result<sqlite3*> connect(const std::string& path, int flags);

} // namespace yf::job::store
