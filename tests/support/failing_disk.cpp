// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/failing_disk.h"

#include <gtest/gtest.h>
#include <sqlite3.h>

#include <atomic>
#include <cstddef>
#include <cstring>

namespace yf::test {

namespace {

struct Orders {
    std::atomic<int> at{};
    std::atomic<bool> always{};
    std::atomic<Trouble> trouble{};
    std::atomic<int> count{};
    std::atomic<bool> failed{};
};

Orders& orders() {
    static Orders all;
    return all;
}

/// Counts a change; true when it is to go wrong.
bool goesWrong() {
    Orders& o = orders();
    const int number = ++o.count;
    const bool wrong = o.always || number == o.at;
    o.failed = o.failed || wrong;
    return wrong;
}

int codeFor(int ioCode) {
    switch (orders().trouble.load()) {
    case Trouble::full:
    case Trouble::cutShort:
        return SQLITE_FULL;
    case Trouble::readOnly:
        return SQLITE_READONLY;
    case Trouble::permission:
        return SQLITE_PERM;
    case Trouble::broken:
        return ioCode;
    }
    return ioCode;
}

struct File {
    sqlite3_file base;
    sqlite3_file* real;
};

sqlite3_file* realOf(sqlite3_file* file) {
    return reinterpret_cast<File*>(file)->real;
}

sqlite3_vfs* disk() {
    return static_cast<sqlite3_vfs*>(sqlite3_vfs_find("unix"));
}

int closeFile(sqlite3_file* file) {
    const int code = realOf(file)->pMethods->xClose(realOf(file));
    sqlite3_free(realOf(file));
    return code;
}

int writeFile(sqlite3_file* file, const void* data, int amount, sqlite3_int64 offset) {
    if (goesWrong()) {
        if (orders().trouble == Trouble::cutShort) {
            realOf(file)->pMethods->xWrite(realOf(file), data, amount / 2, offset);
        }
        return codeFor(SQLITE_IOERR_WRITE);
    }
    return realOf(file)->pMethods->xWrite(realOf(file), data, amount, offset);
}

int truncateFile(sqlite3_file* file, sqlite3_int64 size) {
    return goesWrong() ? codeFor(SQLITE_IOERR_TRUNCATE)
                       : realOf(file)->pMethods->xTruncate(realOf(file), size);
}

int syncFile(sqlite3_file* file, int flags) {
    return goesWrong() ? codeFor(SQLITE_IOERR_FSYNC)
                       : realOf(file)->pMethods->xSync(realOf(file), flags);
}

// What only reads or locks goes straight through.
const sqlite3_io_methods methods{
    2,
    closeFile,
    [](sqlite3_file* f, void* d, int n, sqlite3_int64 o) {
        return realOf(f)->pMethods->xRead(realOf(f), d, n, o);
    },
    writeFile,
    truncateFile,
    syncFile,
    [](sqlite3_file* f, sqlite3_int64* s) { return realOf(f)->pMethods->xFileSize(realOf(f), s); },
    [](sqlite3_file* f, int l) { return realOf(f)->pMethods->xLock(realOf(f), l); },
    [](sqlite3_file* f, int l) { return realOf(f)->pMethods->xUnlock(realOf(f), l); },
    [](sqlite3_file* f, int* r) { return realOf(f)->pMethods->xCheckReservedLock(realOf(f), r); },
    [](sqlite3_file* f, int op, void* a) {
        return realOf(f)->pMethods->xFileControl(realOf(f), op, a);
    },
    [](sqlite3_file* f) { return realOf(f)->pMethods->xSectorSize(realOf(f)); },
    [](sqlite3_file* f) { return realOf(f)->pMethods->xDeviceCharacteristics(realOf(f)); },
    nullptr,
    nullptr,
    nullptr,
    nullptr,
    nullptr,
    nullptr};

int openFile(sqlite3_vfs* /*vfs*/, const char* name, sqlite3_file* file, int flags, int* out) {
    auto* own = reinterpret_cast<File*>(file);
    own->base.pMethods = nullptr;
    const bool journal = (flags & SQLITE_OPEN_MAIN_JOURNAL) != 0;
    if (journal && goesWrong()) {
        return orders().trouble == Trouble::full || orders().trouble == Trouble::cutShort
                   ? SQLITE_FULL
                   : SQLITE_CANTOPEN;
    }
    own->real = static_cast<sqlite3_file*>(sqlite3_malloc(disk()->szOsFile));
    std::memset(own->real, 0, static_cast<std::size_t>(disk()->szOsFile));
    const int code = disk()->xOpen(disk(), name, own->real, flags, out);
    if (code == SQLITE_OK) {
        own->base.pMethods = &methods;
    } else {
        sqlite3_free(own->real);
    }
    return code;
}

int deleteFile(sqlite3_vfs* /*vfs*/, const char* name, int syncFolder) {
    return goesWrong() ? codeFor(SQLITE_IOERR_DELETE) : disk()->xDelete(disk(), name, syncFolder);
}

sqlite3_vfs& shim() {
    static sqlite3_vfs vfs = [] {
        sqlite3_vfs made = *disk();
        made.szOsFile = static_cast<int>(sizeof(File));
        made.zName = "failing";
        made.pNext = nullptr;
        made.xOpen = openFile;
        made.xDelete = deleteFile;
        return made;
    }();
    return vfs;
}

} // namespace

FailingDisk::FailingDisk() {
    workAgain();
    EXPECT_EQ(sqlite3_initialize(), SQLITE_OK);
    EXPECT_EQ(sqlite3_vfs_register(&shim(), 1), SQLITE_OK);
}

FailingDisk::~FailingDisk() {
    workAgain();
    sqlite3_vfs_unregister(&shim());
    sqlite3_vfs_register(disk(), 1);
}

void FailingDisk::failAt(int n, Trouble trouble) {
    workAgain();
    orders().trouble = trouble;
    orders().at = n;
}

void FailingDisk::failAlways(Trouble trouble) {
    workAgain();
    orders().trouble = trouble;
    orders().always = true;
}

void FailingDisk::workAgain() {
    orders().always = false;
    orders().at = 0;
    orders().count = 0;
    orders().failed = false;
}

int FailingDisk::changes() {
    return orders().count;
}

bool FailingDisk::failed() {
    return orders().failed;
}

} // namespace yf::test
