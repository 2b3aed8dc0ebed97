// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/store/store.h"

/// Earlier good states of a job file, kept aside in a folder of their own.
namespace yf::job::store {

inline constexpr std::size_t keptStates = 10;

/// One of them: the file, and when it was put aside (its name: "2026-03-14T10-32-05").
struct EarlierState {
    std::string file;
    std::string at;

    bool operator==(const EarlierState&) const = default;
};

/// Newest first; empty where there is no such folder.
[[nodiscard]] std::vector<EarlierState> earlierStates(const std::string& folder);

/// Copies the file of an open store into the folder (made if need be) under the time given,
/// "2026-03-14T10:32:05"; of more than `keptStates` the oldest go. Nothing is done where one of
/// that time stands already.
[[nodiscard]] Done putAside(const Store& store, const std::string& folder, const std::string& at);

/// A copy of an earlier state under a new name; one that exists is refused.
[[nodiscard]] Done bringBack(const EarlierState& state, const std::string& path);

} // namespace yf::job::store
