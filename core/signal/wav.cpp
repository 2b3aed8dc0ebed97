// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/wav.h"

#include "core/quantity/quantities.h"
#include "core/text/number.h"

#include <sndfile.h>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstring>
#include <memory>

namespace yf::signal {

namespace {

/// A file in memory, as the library wants to see one.
struct Memory {
    std::string bytes;
    sf_count_t at{};
};

Memory& memoryOf(void* user) {
    return *static_cast<Memory*>(user);
}

sf_count_t lengthOf(void* user) {
    return static_cast<sf_count_t>(memoryOf(user).bytes.size());
}

sf_count_t seekIn(sf_count_t offset, int whence, void* user) {
    Memory& memory = memoryOf(user);
    const sf_count_t base = whence == SEEK_SET   ? 0
                            : whence == SEEK_CUR ? memory.at
                                                 : lengthOf(user);
    memory.at = std::max<sf_count_t>(0, base + offset);
    return memory.at;
}

sf_count_t readFrom(void* to, sf_count_t count, void* user) {
    Memory& memory = memoryOf(user);
    const sf_count_t there = std::max<sf_count_t>(0, lengthOf(user) - memory.at);
    const sf_count_t got = std::min(count, there);
    std::memcpy(to, memory.bytes.data() + memory.at, static_cast<std::size_t>(got));
    memory.at += got;
    return got;
}

sf_count_t writeTo(const void* from, sf_count_t count, void* user) {
    Memory& memory = memoryOf(user);
    const auto end = static_cast<std::size_t>(memory.at + count);
    if (memory.bytes.size() < end) {
        memory.bytes.resize(end);
    }
    std::memcpy(memory.bytes.data() + memory.at, from, static_cast<std::size_t>(count));
    memory.at += count;
    return count;
}

sf_count_t whereIn(void* user) {
    return memoryOf(user).at;
}

SF_VIRTUAL_IO inMemory() {
    return {lengthOf, seekIn, readFrom, writeTo, whereIn};
}

struct FileEnd {
    void operator()(SNDFILE* file) const { sf_close(file); }
};

using File = std::unique_ptr<SNDFILE, FileEnd>;

std::string formatName(int format) {
    switch (format & SF_FORMAT_SUBMASK) {
    case SF_FORMAT_PCM_16:
        return "WAV, 16 bit";
    case SF_FORMAT_PCM_24:
        return "WAV, 24 bit";
    case SF_FORMAT_PCM_32:
        return "WAV, 32 bit";
    case SF_FORMAT_FLOAT:
        return "WAV, 32 bit float";
    case SF_FORMAT_DOUBLE:
        return "WAV, 64 bit float";
    default:
        return "WAV";
    }
}

/// "time zero 0.02 s", as writeWav is given it.
std::optional<double> timeZeroIn(const std::string& comment) {
    constexpr std::string_view words = "time zero ";
    const std::size_t at = comment.find(words);
    if (at == std::string::npos) {
        return std::nullopt;
    }
    const std::size_t from = at + words.size();
    return text::parseNumber(
        std::string_view(comment).substr(from, comment.find(' ', from) - from));
}

constexpr int mostChannels = 64; // as many as a key can name
constexpr sf_count_t mostSamples = 600LL * 192000LL;

} // namespace

bool looksLikeWav(const std::string& bytes) {
    return bytes.size() > 12 &&
           (bytes.starts_with("RIFF") || bytes.starts_with("RF64") || bytes.starts_with("RIFX")) &&
           bytes.compare(8, 4, "WAVE") == 0;
}

Result<Sound> readWav(const std::string& bytes, const std::string& name) {
    if (!looksLikeWav(bytes)) {
        return Error{name,
                     YF_WORDS("core", "does not begin like a WAV file"),
                     YF_WORDS("core", "must be a WAV file")};
    }
    Memory memory{bytes, 0};
    SF_VIRTUAL_IO io = inMemory();
    SF_INFO info{};
    const File file(sf_open_virtual(&io, SFM_READ, &info, &memory));
    if (!file) {
        return Error{name,
                     sf_strerror(nullptr),
                     YF_WORDS("core", "must be a WAV file of PCM or float samples")};
    }
    if (info.frames <= 0 || info.channels <= 0 || info.samplerate <= 0) {
        return Error{name,
                     YF_WORDS("core", "holds no samples"),
                     YF_WORDS("core", "must hold an impulse response")};
    }
    if (info.samplerate < static_cast<int>(quantity::sampleRate.lowest) ||
        info.samplerate > static_cast<int>(quantity::sampleRate.highest)) {
        return Error{
            name,
            say(YF_WORDS("core", "a sample rate of %1 Hz"), std::to_string(info.samplerate)),
            say(YF_WORDS("core", "must be %1 to %2"),
                text::printNumber(quantity::sampleRate.lowest),
                text::printNumber(quantity::sampleRate.highest))};
    }
    if (info.channels > mostChannels) {
        return Error{name,
                     say(YF_WORDS("core", "%1 channels"), std::to_string(info.channels)),
                     say(YF_WORDS("core", "must be at most %1"), std::to_string(mostChannels))};
    }
    if (info.frames * info.channels > mostSamples) {
        return Error{
            name,
            say(YF_WORDS("core", "%1 samples"), std::to_string(info.frames * info.channels)),
            YF_WORDS("core", "an impulse response is shorter than ten minutes")};
    }
    std::vector<double> mixed(static_cast<std::size_t>(info.frames * info.channels));
    const sf_count_t got = sf_readf_double(file.get(), mixed.data(), info.frames);
    if (got != info.frames) {
        return Error{name,
                     say(YF_WORDS("core", "ends after %1 of %2 samples"),
                         std::to_string(got),
                         std::to_string(info.frames)),
                     YF_WORDS("core", "the file is cut off")};
    }
    if (const auto bad = std::ranges::find_if_not(mixed, [](double v) { return std::isfinite(v); });
        bad != mixed.end()) {
        return Error{name,
                     say(YF_WORDS("core", "sample %1 is no number"),
                         std::to_string((bad - mixed.begin()) / info.channels + 1)),
                     YF_WORDS("core", "all samples must be finite")};
    }
    Sound sound{.rate = static_cast<double>(info.samplerate), .format = formatName(info.format)};
    if (const char* comment = sf_get_string(file.get(), SF_STR_COMMENT)) {
        sound.timeZero = timeZeroIn(comment);
    }
    sound.channels.resize(static_cast<std::size_t>(info.channels));
    for (std::size_t n = 0; n < mixed.size(); ++n) {
        sound.channels[n % sound.channels.size()].push_back(mixed[n]);
    }
    return sound;
}

namespace {

std::string write(const std::vector<std::vector<double>>& channels,
                  double rate,
                  SampleFormat format,
                  const std::string& comment) {
    YF_EXPECT(!channels.empty());
    const std::size_t count = channels.front().size();
    std::vector<double> mixed;
    mixed.reserve(count * channels.size());
    for (std::size_t n = 0; n < count; ++n) {
        for (const auto& channel : channels) {
            mixed.push_back(channel.at(n));
        }
    }
    Memory memory;
    SF_VIRTUAL_IO io = inMemory();
    SF_INFO info{};
    info.samplerate = static_cast<int>(std::lround(rate));
    info.channels = static_cast<int>(channels.size());
    info.format = SF_FORMAT_WAV | (format == SampleFormat::pcm16   ? SF_FORMAT_PCM_16
                                   : format == SampleFormat::pcm24 ? SF_FORMAT_PCM_24
                                                                   : SF_FORMAT_FLOAT);
    {
        const File file(sf_open_virtual(&io, SFM_WRITE, &info, &memory));
        YF_EXPECT(file != nullptr);
        sf_command(file.get(), SFC_SET_ADD_PEAK_CHUNK, nullptr, SF_FALSE);
        sf_command(file.get(), SFC_SET_CLIPPING, nullptr, SF_TRUE);
        if (!comment.empty()) {
            sf_set_string(file.get(), SF_STR_COMMENT, comment.c_str());
        }
        sf_writef_double(file.get(), mixed.data(), static_cast<sf_count_t>(count));
    }
    return memory.bytes;
}

} // namespace

std::string
writeWav(const std::vector<std::vector<double>>& channels, double rate, SampleFormat format) {
    return write(channels, rate, format, "");
}

std::string writeWav(const std::vector<double>& samples, double rate, const std::string& comment) {
    return write({samples}, rate, SampleFormat::float32, comment);
}

} // namespace yf::signal
