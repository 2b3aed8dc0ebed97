// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::signal {

/// What a sound file holds: full scale is 1.
struct Sound {
    double rate{}; ///< Hz
    std::vector<std::vector<double>> channels;
    std::string format;             ///< "WAV, 32 bit float", for people
    std::optional<double> timeZero; ///< s after the first sample, if its comment says so
};

/// The content of a WAV file (PCM of 16, 24 or 32 bits, float of 32 or 64). Fails with the name as
/// subject: no sound file, nothing in it, longer than 10 minutes of one channel at 192 kHz, a
/// sample that is no number, a rate beyond quantity::sampleRate, more than 64 channels.
[[nodiscard]] Result<Sound> readWav(const std::string& bytes, const std::string& name);

/// Whether these bytes begin like a WAV file.
[[nodiscard]] bool looksLikeWav(const std::string& bytes);

enum class SampleFormat { pcm24, pcm16, float32 };

/// The bytes of a WAV file. PCM samples beyond full scale are held at it. No time of writing and no
/// peak is noted: the same samples are the same bytes.
[[nodiscard]] std::string
writeWav(const std::vector<std::vector<double>>& channels, double rate, SampleFormat format);

/// One channel as 32-bit float, which an impulse response is handed on as; `comment` is noted in
/// the file ("time zero 0.02 s" is understood by readWav).
[[nodiscard]] std::string
writeWav(const std::vector<double>& samples, double rate, const std::string& comment = "");

} // namespace yf::signal
