// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/history.h"

namespace yf::test {

/// The demo job with its whole history, made anew.
[[nodiscard]] const job::History& demoHistory();

[[nodiscard]] inline const job::Job& demoJob() {
    return demoHistory().job();
}

/// Its only cabinet.
[[nodiscard]] inline const job::Cabinet& demoCabinet() {
    return demoJob().cabinets.front();
}

/// Applies an edit; a refusal fails the test.
[[nodiscard]] job::Job edited(const job::Job& job, const job::Edit& edit);

} // namespace yf::test
