// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/measure/table/import.h"
#include "core/quantity/kinds.h"
#include "core/signal/impulse.h"

namespace yf::take {

/// What an impulse response was found to be, for a look before it is taken.
struct ImpulseFound {
    signal::Impulse impulse;
    double arrival{}; ///< s after time zero
    signal::Gate gate;
    std::optional<signal::Reflection> reflection;
    int channels{1};
};

/// A file read into a take, and what there is to tell about it.
struct ImportedTake {
    job::Take take;    ///< without id and curve key, which `addTake` makes
    Words told;        ///< what was understood, with everything that was done or guessed
    std::string curve; ///< its name among those of the file; empty where it is alone
    bool doubtful{};   ///< something was done or guessed, or is missing: worth a look
    std::optional<ImpulseFound> impulse;
};

/// A file as it came: its bytes, and for the record its name and the day on which it was read
/// (ISO 8601).
struct TableFile {
    std::string bytes;
    std::string name;
    std::string date;
};

/// What a person knows of a sound file that it does not say itself.
struct SoundChoices {
    int channel{1};
    std::optional<double> timeZero; ///< s after the first sample; absent: as the file says, or 0
    double fullScale{94.0};         ///< dB re 20 µPa of a sample of 1
    std::optional<double> right;    ///< s, length of the gate; absent: as proposed

    bool operator==(const SoundChoices&) const = default;
};

/// A file to be read, with everything that was corrected by hand.
struct ImportOrder {
    TableFile file;
    measure::ImportRequest table; ///< how to read a table; its text is the file's
    SoundChoices sound;
    double distance{1.0};
    double drive{quantity::referenceVoltage};
    bool commonTime{true};             ///< its time zero is that of the other takes
    std::optional<double> trustedFrom; ///< Hz; absent: as far as the data say
    job::MicPlace place{};
    quantity::Plane plane{};
    double angle{}; ///< degrees; of a response
};

/// A text table, a Touchstone one-port, JSON, or a WAV file of an impulse response, as a take.
/// Which of them is told by the bytes and the name's ending. JSON that exportTake wrote brings what
/// was known of the take, without its samples. Fails with the file's name as subject, as
/// measure::importTable and signal::readWav do.
///
/// An impulse response is gated as signal::proposedGate says unless a length is given, brought onto
/// the design axis between the gate's lowest valid frequency (an octave below is kept, not trusted)
/// and 0.45 of the sample rate.
[[nodiscard]] Result<ImportedTake> importTake(const ImportOrder& order);

/// All measurements of a file, in its order: a table may hold several curves. What is known of the
/// file is known of each; `order.table.curve` is not looked at.
[[nodiscard]] Result<std::vector<ImportedTake>> importTakes(const ImportOrder& order);

/// Whether a table can't be taken before its columns are told: it can be read in several ways, or
/// in none.
[[nodiscard]] bool asks(const std::string& bytes);

/// The same as the file says it.
[[nodiscard]] Result<ImportedTake> importTake(const TableFile& file);

/// Planes and angles that the names of several files tell, in their order; what can't be read, or
/// stands twice, is said there. Empty where none of them names an angle: no polar set.
[[nodiscard]] std::vector<measure::PolarFile>
likelyAngles(const std::vector<std::string>& fileNames);

/// The driver whose name or id stands in a file's name, of the cabinet first; empty if none does.
[[nodiscard]] std::string
likelyDriver(const job::Job& job, const std::string& cabinet, const std::string& fileName);

} // namespace yf::take
