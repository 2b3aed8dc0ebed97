// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/network/circuit.h"
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"
#include "core/text/fields.h"

#include <memory>
#include <string>
#include <vector>

/// Everything that a person made or measured on one piece of work. What can be computed is not
/// here: that is the Evaluation.
namespace yf::job {

/// Which band a driver works in; also decides its colour and line pattern.
enum class Band { sub, low, mid, high, top };

enum class Condition { notChecked, sound, suspect, dead };

enum class TakeKind { response, impedance };

/// One measured curve and how it was made. The curve itself is shared by all copies of a job and
/// kept in the job file under `curveKey`, a digest of its content.
struct Take {
    std::string id;
    TakeKind kind{};
    std::string name;       ///< of the file or the recording
    std::string understood; ///< what the importer made of it, for people
    std::string date;       ///< ISO 8601 day, empty where unknown
    std::string note;
    std::string curveKey;
    double distance{1.0}; ///< m
    double drive{quantity::referenceVoltage};
    std::shared_ptr<const curve::Curve> curve;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job"});
        field(self.kind, q::Choice<2>{"kind", {"response", "impedance"}, "what was measured"});
        field(self.name, q::Word{"name", "file or recording", ""});
        field(self.understood, q::Word{"understood", "what the importer made of it", ""});
        field(self.date, q::Word{"date", "day of the measurement", ""});
        field(self.note, q::Word{"note", "remark", ""});
        field(self.curveKey, q::Word{"curve", "digest of the curve"});
        field(self.distance, q::distance.orElse(1.0));
        field(self.drive, q::voltage.as("drive_v", "drive, rms").orElse(q::referenceVoltage));
    }

    bool operator==(const Take& other) const;
};

struct Driver {
    std::string id;
    std::string name;
    Band band{};
    Condition condition{};
    double diameter{0.1};     ///< m, outer
    std::string responseTake; ///< the take in use; empty: none yet
    std::string impedanceTake;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job and in its networks"});
        field(self.name, q::Word{"name", "what people call it"});
        field(self.band,
              q::Choice<5>{"band", {"sub", "low", "mid", "high", "top"}, "band it works in"});
        field(self.condition,
              q::Choice<4>{
                  "condition", {"not-checked", "sound", "suspect", "dead"}, "condition found", 0});
        field(self.diameter, q::diameter);
        field(self.responseTake, q::Word{"response_take", "response in use", ""});
        field(self.impedanceTake, q::Word{"impedance_take", "impedance in use", ""});
    }

    bool operator==(const Driver&) const = default;
};

/// Where a driver sits: from the middle of the front, x right as the listener sees it, y up.
struct Mount {
    std::string driver;
    double x{};
    double y{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.driver, q::Word{"driver", "which one"});
        field(self.x, q::x);
        field(self.y, q::y);
    }

    bool operator==(const Mount&) const = default;
};

/// What is wanted of the sum: flat within a tolerance over a range.
struct Target {
    double from{60.0};
    double to{18000.0};
    double tolerance{2.0};       ///< dB, each way
    std::optional<double> level; ///< dB re 20 µPa; absent: the sum's own mean over the range

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.from, q::frequency.as("from_hz", "lower end").orElse(60.0));
        field(self.to, q::frequency.as("to_hz", "upper end").orElse(18000.0));
        field(self.tolerance,
              q::Quantity{"±", "tolerance_db", 1.0, "dB", 0.1, 20.0, "each way"}.orElse(2.0));
        field(self.level, q::Quantity{"L", "level_db", 1.0, "dB", 0.0, 160.0, "level wanted"});
    }

    bool operator==(const Target&) const = default;
};

[[nodiscard]] std::optional<Error> check(const Target& target);

struct Cabinet {
    std::string id;
    std::string name;
    double width{0.2};   ///< m
    double height{0.35}; ///< m
    std::vector<Mount> mounts;
    network::Circuit circuit;
    Target target;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job"});
        field(self.name, q::Word{"name", "what people call it"});
        field(self.width, q::width);
        field(self.height, q::height);
        field(self.mounts, q::Group{"mounts", "places of the drivers"});
        field(self.circuit, q::Group{"network", "its crossover network"});
        field(self.target, q::Group{"target", "what is wanted of the sum"});
    }

    bool operator==(const Cabinet&) const = default;
};

struct Job {
    std::string title;
    std::vector<Driver> drivers;
    std::vector<Take> takes;
    std::vector<Cabinet> cabinets;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.title, q::Word{"title", "name of the job"});
        field(self.drivers, q::Group{"drivers", "all drivers"});
        field(self.takes, q::Group{"takes", "all measured curves"});
        field(self.cabinets, q::Group{"cabinets", "all cabinets"});
    }

    bool operator==(const Job&) const = default;
};

/// Two drivers on a front of ordinary size and no parts yet: where a person with measured tables
/// starts.
[[nodiscard]] Job newTwoWay(const std::string& title);

/// What refers to something must find it: mounts and networks their drivers, drivers their takes.
[[nodiscard]] std::optional<Error> check(const Job& job);

[[nodiscard]] const Driver* findDriver(const Job& job, const std::string& id);
[[nodiscard]] const Take* findTake(const Job& job, const std::string& id);
[[nodiscard]] const Cabinet* findCabinet(const Job& job, const std::string& id);

/// The take a driver uses for one kind of curve, or nothing.
[[nodiscard]] const Take* takeInUse(const Job& job, const Driver& driver, TakeKind kind);

/// Digest of a curve's content: 64-bit FNV-1a over frequencies, values, phase and range, as hex.
[[nodiscard]] std::string curveKey(const curve::Curve& curve);

/// "low", "mid" … as in the field list.
[[nodiscard]] std::string_view bandName(Band band);

} // namespace yf::job
