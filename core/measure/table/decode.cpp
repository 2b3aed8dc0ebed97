// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/decode.h"

#include <algorithm>
#include <cstdint>

namespace yf::measure {

namespace {

void appendUtf8(std::string& text, std::uint32_t c) {
    const auto put = [&](std::uint32_t byte) { text += static_cast<char>(byte); };
    if (c < 0x80) {
        put(c);
    } else if (c < 0x800) {
        put(0xC0 | (c >> 6U));
        put(0x80 | (c & 0x3FU));
    } else if (c < 0x10000) {
        put(0xE0 | (c >> 12U));
        put(0x80 | ((c >> 6U) & 0x3FU));
        put(0x80 | (c & 0x3FU));
    } else {
        put(0xF0 | (c >> 18U));
        put(0x80 | ((c >> 12U) & 0x3FU));
        put(0x80 | ((c >> 6U) & 0x3FU));
        put(0x80 | (c & 0x3FU));
    }
}

std::uint32_t byteAt(std::string_view bytes, std::size_t i) {
    return static_cast<unsigned char>(bytes[i]);
}

std::string fromUtf16(std::string_view bytes, bool bigEndian) {
    std::string text;
    const auto unit = [&](std::size_t i) {
        return bigEndian ? (byteAt(bytes, i) << 8U) | byteAt(bytes, i + 1)
                         : (byteAt(bytes, i + 1) << 8U) | byteAt(bytes, i);
    };
    for (std::size_t i = 0; i + 1 < bytes.size(); i += 2) {
        std::uint32_t c = unit(i);
        const bool highHalf = c >= 0xD800 && c < 0xDC00 && i + 3 < bytes.size();
        if (highHalf && unit(i + 2) >= 0xDC00 && unit(i + 2) < 0xE000) {
            c = 0x10000 + ((c - 0xD800) << 10U) + (unit(i + 2) - 0xDC00);
            i += 2;
        }
        appendUtf8(text, c);
    }
    return text;
}

/// Length of the UTF-8 sequence at i, 0 if there is none.
std::size_t sequenceLength(std::string_view bytes, std::size_t i) {
    const std::uint32_t lead = byteAt(bytes, i);
    const std::size_t length = lead < 0x80                   ? 1
                               : lead >= 0xC2 && lead < 0xE0 ? 2
                               : lead >= 0xE0 && lead < 0xF0 ? 3
                               : lead >= 0xF0 && lead < 0xF5 ? 4
                                                             : 0;
    if (length == 0 || i + length > bytes.size()) {
        return 0;
    }
    for (std::size_t k = 1; k < length; ++k) {
        if ((byteAt(bytes, i + k) & 0xC0U) != 0x80U) {
            return 0;
        }
    }
    return length;
}

bool isUtf8(std::string_view bytes) {
    for (std::size_t i = 0; i < bytes.size();) {
        const std::size_t length = sequenceLength(bytes, i);
        if (length == 0) {
            return false;
        }
        i += length;
    }
    return true;
}

std::string fromLatin1(std::string_view bytes) {
    std::string text;
    text.reserve(bytes.size());
    for (const char c : bytes) {
        appendUtf8(text, static_cast<unsigned char>(c));
    }
    return text;
}

/// Of a text without a mark: UTF-16 shows as zero bytes at every other place, since the letters of
/// tables are ASCII nearly all.
enum class Wide { no, little, big };

Wide wideness(std::string_view bytes) {
    if (bytes.size() % 2 != 0 || bytes.size() < 4) {
        return Wide::no;
    }
    std::size_t zeros[2] = {0, 0};
    constexpr std::size_t looked = 4096;
    const std::size_t count = std::min(bytes.size(), looked);
    for (std::size_t i = 0; i < count; ++i) {
        zeros[i % 2] += bytes[i] == '\0' ? 1 : 0;
    }
    const auto most = [&](std::size_t n) { return 10 * n >= 9 * (count / 2); };
    return most(zeros[1]) && zeros[0] == 0   ? Wide::little
           : most(zeros[0]) && zeros[1] == 0 ? Wide::big
                                             : Wide::no;
}

void replaceAll(std::string& text, std::string_view from, std::string_view to) {
    for (std::size_t at = text.find(from); at != std::string::npos;
         at = text.find(from, at + to.size())) {
        text.replace(at, from.size(), to);
    }
}

} // namespace

Result<std::string> decode(std::string_view bytes) {
    if (bytes.size() > largestTable) {
        return Error{
            "text",
            say(YF_WORDS("core", "%1 MB given"), std::to_string(bytes.size() >> 20U)),
            say(YF_WORDS("core", "must be at most %1 MB"), std::to_string(largestTable >> 20U))};
    }
    std::string text;
    const Wide unmarked = wideness(bytes);
    const bool marked = bytes.starts_with("\xFF\xFE") || bytes.starts_with("\xFE\xFF");
    if (marked || unmarked != Wide::no) {
        if (bytes.size() % 2 != 0) {
            return Error{"text",
                         YF_WORDS("core", "UTF-16 text with an odd number of bytes"),
                         YF_WORDS("core", "must be a whole text file")};
        }
        const bool big = marked ? bytes.starts_with("\xFE\xFF") : unmarked == Wide::big;
        text = fromUtf16(bytes.substr(marked ? 2 : 0), big);
    } else {
        text = isUtf8(bytes) ? std::string(bytes) : fromLatin1(bytes);
    }
    if (text.find('\0') != std::string::npos) {
        return Error{"text",
                     YF_WORDS("core", "holds a zero byte, so this is no text"),
                     YF_WORDS("core", "must be a text table")};
    }
    if (text.starts_with("\uFEFF")) {
        text.erase(0, 3);
    }
    replaceAll(text, "\u2212", "-");
    replaceAll(text, "\u00A0", " ");
    replaceAll(text, "\u202F", " ");
    replaceAll(text, "\u2009", " ");
    replaceAll(text, "\u2019", "'");
    return text;
}

} // namespace yf::measure
