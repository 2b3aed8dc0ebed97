// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/evaluation/evaluator.h"
#include "app/frame/command_finder.h"

#include <functional>
#include <string>

namespace yf::app {

/// What the command finder can do with things of a job.
struct JobActions {
    std::function<void(const std::string& cabinet)> chooseCabinet;
    std::function<void(const std::string& driver)> lookAtDriver;
    std::function<void(const findings::Finding& finding)> showFinding;
};

/// Every cabinet, driver, take in use and finding by its name.
[[nodiscard]] QVector<Command> jobCommands(const Evaluated& present, const JobActions& actions);

} // namespace yf::app
