// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/store/earlier.h"

#include <algorithm>
#include <filesystem>

namespace yf::job::store {

namespace {

namespace fs = std::filesystem;

constexpr const char* extension = ".yfjob";

} // namespace

std::vector<EarlierState> earlierStates(const std::string& folder) {
    std::vector<EarlierState> states;
    std::error_code none;
    for (const auto& entry : fs::directory_iterator(folder, none)) {
        if (entry.path().extension() == extension) {
            states.push_back({entry.path().string(), entry.path().stem().string()});
        }
    }
    std::ranges::sort(states, std::ranges::greater{}, &EarlierState::at);
    return states;
}

Done putAside(const Store& store, const std::string& folder, const std::string& at) {
    std::error_code failed;
    fs::create_directories(folder, failed);
    if (failed) {
        return Error{
            folder, failed.message(), YF_WORDS("core", "must be a folder that may be written")};
    }
    std::string name = at;
    std::ranges::replace(name, ':', '-'); // no colon in names that may travel to other systems
    const fs::path file = fs::path(folder) / (name + extension);
    if (fs::exists(file)) {
        return done();
    }
    YF_TRY(copied, store.copyTo(file.string()));
    static_cast<void>(copied);
    const auto states = earlierStates(folder);
    for (std::size_t i = keptStates; i < states.size(); ++i) {
        fs::remove(states[i].file, failed);
    }
    return done();
}

Done bringBack(const EarlierState& state, const std::string& path) {
    YF_TRY(store, Store::openForReading(state.file));
    return store.copyTo(path);
}

} // namespace yf::job::store
