// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstdint>
#include <string>

namespace yf {

/// 64-bit FNV-1a (Fowler, Noll, Vo), byte by byte: names content, guards nothing.
class Digest {
public:
    void add(unsigned char byte) {
        hash_ ^= byte;
        hash_ *= 0x100000001b3ULL;
    }

    /// 16 hexadecimal digits.
    [[nodiscard]] std::string hex() const {
        std::string text;
        for (int shift = 60; shift >= 0; shift -= 4) {
            text += "0123456789abcdef"[(hash_ >> static_cast<unsigned>(shift)) & 0xFU];
        }
        return text;
    }

private:
    std::uint64_t hash_{0xcbf29ce484222325ULL};
};

} // namespace yf
