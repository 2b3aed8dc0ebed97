// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/worlds/encode.h"

namespace worlds {

std::string encoded(const std::string& text, int encoding) {
    const auto wide = [&](bool big) {
        std::string bytes;
        for (std::size_t i = 0; i < text.size();) {
            const auto lead = static_cast<unsigned char>(text[i]);
            unsigned c = lead;
            int more = 0;
            if (lead >= 0xE0) {
                c = lead & 0x0FU;
                more = 2;
            } else if (lead >= 0xC0) {
                c = lead & 0x1FU;
                more = 1;
            }
            for (++i; more > 0; --more, ++i) {
                c = (c << 6U) | (static_cast<unsigned char>(text[i]) & 0x3FU);
            }
            const char high = static_cast<char>(c >> 8U);
            const char low = static_cast<char>(c & 0xFFU);
            bytes += big ? std::string{high, low} : std::string{low, high};
        }
        return bytes;
    };
    switch (encoding) {
    case 1:
        return "\xEF\xBB\xBF" + text;
    case 2:
        return "\xFF\xFE" + wide(false);
    case 3:
        return "\xFE\xFF" + wide(true);
    case 4:
        return wide(false);
    case 5:
        return wide(true);
    default:
        return text;
    }
}

bool latin(const std::string& text, std::string& bytes) {
    for (std::size_t i = 0; i < text.size(); ++i) {
        const auto lead = static_cast<unsigned char>(text[i]);
        if (lead < 0x80) {
            bytes += text[i];
        } else if (lead == 0xC2 || lead == 0xC3) {
            ++i;
            bytes += static_cast<char>(((lead & 3U) << 6U) |
                                       (static_cast<unsigned char>(text[i]) & 0x3FU));
        } else {
            return false;
        }
    }
    return true;
}

} // namespace worlds
