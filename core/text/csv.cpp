// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/csv.h"

namespace yf::text {

std::string csvCell(const std::string& text) {
    if (text.find_first_of(",\"\n") == std::string::npos) {
        return text;
    }
    std::string quoted = "\"";
    for (const char c : text) {
        quoted += c == '"' ? "\"\"" : std::string(1, c);
    }
    return quoted + "\"";
}

} // namespace yf::text
