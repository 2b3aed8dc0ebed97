// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <optional>
#include <string>

namespace yf::take {

enum class TakeFormat { table, json, touchstone, impulse, recording };

/// A take as the bytes of a file that other programs read.
struct TakeFile {
    std::string bytes;
    std::string ending; ///< "txt", "json", "s1p", "wav"
};

/// table: frequency, value, phase, separated by tabs, a header that names the units; only the
/// trusted part's limits stand in a comment, no point is left out.
/// json: the same lists with everything that is known of the take; importTake reads it back.
/// touchstone: an impedance with phase. impulse: 32-bit float WAV, time zero noted in its comment.
/// recording: the raw samples, measured and reference.
/// Fails in words where a take has no such thing: no phase, no samples, a response as Touchstone.
[[nodiscard]] Result<TakeFile> exportTake(const job::Take& take, TakeFormat format);

/// A name for the file, of small letters, figures and hyphens, without its ending;
/// an angle is written so that measure::readPolarNames reads it: "hor_-30".
[[nodiscard]] std::string fileStem(const job::Job& job, const job::Take& take);

} // namespace yf::take
