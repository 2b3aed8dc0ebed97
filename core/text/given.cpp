// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/given.h"

namespace yf::text {

Words given(const Words& found) {
    return say(YF_WORDS("core", "%1 given"), found);
}

Words givenWord(const Words& word) {
    return say(YF_WORDS("core", "'%1' given"), word);
}

} // namespace yf::text
