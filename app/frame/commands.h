// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/frame/command_finder.h"

namespace yf::app {

/// Everything that can be done, as the frame sees it: it asks for new names and states after a
/// change, and hands the list to the finder.
class Commands {
public:
    virtual ~Commands() = default;

    virtual void update() = 0;
    [[nodiscard]] virtual QVector<Command> commands() const = 0;
};

} // namespace yf::app
