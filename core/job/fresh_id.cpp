// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/fresh_id.h"

#include <algorithm>

namespace yf::job {

std::string freshId(const std::string& name, const std::vector<std::string>& taken) {
    std::string stem;
    for (const char c : name) {
        const bool capital = c >= 'A' && c <= 'Z';
        if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || capital) {
            stem += capital ? static_cast<char>(c - 'A' + 'a') : c;
        } else if (!stem.empty() && stem.back() != '-') {
            stem += '-';
        }
    }
    while (!stem.empty() && stem.back() == '-') {
        stem.pop_back();
    }
    stem = stem.empty() ? "x" : stem;
    std::string id = stem;
    for (int number = 2; std::ranges::find(taken, id) != taken.end(); ++number) {
        id = stem + "-" + std::to_string(number);
    }
    return id;
}

} // namespace yf::job
