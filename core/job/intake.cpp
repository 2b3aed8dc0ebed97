// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/intake.h"

#include "core/base/words.h"

#include <array>

namespace yf::job {

std::string protectorName(ProtectorKind kind) {
    constexpr std::array names{YF_WORDS("core", "breaker"),
                               YF_WORDS("core", "fuse"),
                               YF_WORDS("core", "PTC"),
                               YF_WORDS("core", "lamp")};
    return names.at(static_cast<std::size_t>(kind));
}

std::string oldPartName(OldPartKind kind) {
    constexpr std::array names{YF_WORDS("core", "terminal"),
                               YF_WORDS("core", "wire"),
                               YF_WORDS("core", "level control"),
                               YF_WORDS("core", "switch"),
                               YF_WORDS("core", "capacitor"),
                               YF_WORDS("core", "coil"),
                               YF_WORDS("core", "resistor"),
                               YF_WORDS("core", "damping"),
                               YF_WORDS("core", "grille"),
                               YF_WORDS("core", "something else")};
    return names.at(static_cast<std::size_t>(kind));
}

} // namespace yf::job
