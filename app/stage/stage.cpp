// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/stage/stage.h"

namespace yf::app {

Stage::~Stage() = default;

} // namespace yf::app
