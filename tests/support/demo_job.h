// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/evaluation/result.h"
#include "core/findings/assess.h"
#include "core/job/record.h"

#include <string>

namespace yf::test {

/// The demo job with its whole history, made anew.
[[nodiscard]] const job::History& demoHistory();

[[nodiscard]] inline const job::Job& demoJob() {
    return demoHistory().job();
}

/// The hall's demo job as a file made when the tests were built: recording it anew takes seconds,
/// and hundreds of tests want it.
[[nodiscard]] const job::Record& hallRecord();

[[nodiscard]] inline const job::Job& hallJob() {
    return hallRecord().job();
}

/// The path of that file; not to be written to.
[[nodiscard]] std::string hallFile();

/// The only cabinet of the projection room.
[[nodiscard]] inline const job::Cabinet& demoCabinet() {
    return demoJob().cabinets.front();
}

/// Applies an edit; a refusal fails the test.
[[nodiscard]] job::Job edited(const job::Job& job, const edit::Edit& edit);

/// All that is computed and said of a job, in one.
struct Looked : evaluation::Evaluation, findings::Assessment {};

[[nodiscard]] Looked lookedAt(const job::Job& job);

} // namespace yf::test
