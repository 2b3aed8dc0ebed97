// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace yf::test {

/// How a write goes wrong.
enum class Trouble {
    full,       ///< no room on the disk
    cutShort,   ///< half of it is written, then there is no room
    readOnly,   ///< the medium has become read-only
    permission, ///< a file may not be made, opened or taken away
    broken      ///< the medium reports an error
};

/// Between SQLite and the disk: everything that changes a file is counted, and the one asked for
/// fails. In force for databases opened while one of these lives; only one at a time.
class FailingDisk {
public:
    FailingDisk();
    ~FailingDisk();

    FailingDisk(const FailingDisk&) = delete;
    FailingDisk& operator=(const FailingDisk&) = delete;

    /// From now on the n-th change of a file (from 1) goes wrong, once.
    static void failAt(int n, Trouble trouble);

    /// From now on every change goes wrong.
    static void failAlways(Trouble trouble);

    static void workAgain();

    /// Changes since the last of these orders.
    [[nodiscard]] static int changes();

    /// Whether the trouble has come.
    [[nodiscard]] static bool failed();
};

} // namespace yf::test
