// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/remedies.h"
#include "core/curve/curve.h"
#include "core/driver/replacement.h"
#include "core/job/enclosure.h"
#include "core/job/found.h"
#include "core/job/intake.h"
#include "core/job/reading.h"
#include "core/job/recorded.h"
#include "core/network/circuit/circuit.h"
#include "core/network/parts/stock.h"
#include "core/quantity/kinds.h"
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"
#include "core/signal/deconvolve.h"
#include "core/text/fields.h"

#include <memory>
#include <string>
#include <vector>

/// Everything that a person made or measured on one piece of work. What can be computed is not
/// here: that is the Evaluation.
namespace yf::job {

/// Which band a driver works in; also decides its colour and line pattern.
enum class Band { sub, low, mid, high, top };

[[nodiscard]] constexpr quantity::DriverRole roleOf(Band band) {
    return band <= Band::low   ? quantity::DriverRole::woofer
           : band == Band::mid ? quantity::DriverRole::midrange
                               : quantity::DriverRole::tweeter;
}

enum class Condition { notChecked, sound, suspect, dead };

enum class TakeKind { response, impedance };

/// One measured curve and how it was made. The curve itself is shared by all copies of a job and
/// kept in the job file under `curveKey`, a digest of its content.
struct Take {
    std::string id;
    TakeKind kind{};
    std::string name; ///< of the file or the recording
    Words understood; ///< what the importer made of it, for people
    std::string date; ///< ISO 8601 day, empty where unknown
    std::string note;
    std::string curveKey;
    double distance{1.0}; ///< m
    double drive{quantity::referenceVoltage};
    std::optional<double> gate; ///< s; absent: none, or not known
    int smoothing{};            ///< of the data, 1/n octave; 0: none
    Recorded recorded;          ///< how it was made here; default: it came from elsewhere
    std::shared_ptr<const curve::Curve> curve;
    /// Raw samples, kept in the job file under `recorded.samples`; none for what was imported.
    std::shared_ptr<const signal::Recording> recording;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job"});
        field(self.kind, q::Choice<2>{"kind", {"response", "impedance"}, "what was measured"});
        field(self.name, q::Word{"name", "file or recording", ""});
        field(self.understood, q::Told{"understood", "what the importer made of it"});
        field(self.date, q::Word{"date", "day of the measurement", ""});
        field(self.note, q::Word{"note", "remark", ""});
        field(self.curveKey, q::Word{"curve", "digest of the curve"});
        field(self.distance, q::distance.orElse(1.0));
        field(self.drive,
              q::voltage.as("drive_v", YF_WORDS("core", "drive, rms")).orElse(q::referenceVoltage));
        field(self.gate, q::gate);
        field(self.smoothing, q::smoothing.orElse(0));
        field(self.recorded, q::Group{"recorded", "how it was made here", true});
    }

    /// The same take of the same content; curves are compared, not their places in memory.
    bool operator==(const Take& other) const;
};

/// Where a driver sits, as far as another must fit there.
struct Place {
    std::optional<double> hole; ///< m, diameter in the front
    std::optional<double> room; ///< m, depth behind the front
    std::optional<double> Vb;   ///< m³, net volume of its box
    std::optional<double> fb;   ///< Hz, tuning; absent: closed

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.hole, q::diameter.as("hole_m", "hole in the front"));
        field(self.room, q::diameter.as("depth_room_m", "depth behind the front"));
        field(self.Vb, q::Quantity{"Vb", "Vb_l", 1e-3, "l", 0.01, 1e5, "net volume of its box"});
        field(self.fb, q::Quantity{"fb", "fb_hz", 1.0, "Hz", 5.0, 1000.0, "tuning of its box"});
    }

    bool operator==(const Place&) const = default;
};

struct Driver {
    std::string id;
    std::string name;
    Band band{};
    Condition condition{};
    double diameter{0.1};          ///< m, outer
    std::optional<double> nominal; ///< Ω, as printed on it
    std::string responseTake;      ///< the take in use; empty: none yet
    std::string impedanceTake;
    std::string printed; ///< what else stands on it
    bench::Remedy decision{};
    driver::Part sheet; ///< figures of its data sheet, as far as they are known
    Place place;
    std::string alike; ///< it shares the way of that driver, wired with it; empty: its own

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
        field(self.nominal, q::nominal);
        field(self.responseTake, q::Word{"response_take", "response in use", ""});
        field(self.impedanceTake, q::Word{"impedance_take", "impedance in use", ""});
        field(self.printed, q::Word{"printed", "what else is printed on it", ""});
        field(self.sheet, q::Group{"sheet", "figures of its data sheet", true});
        field(self.place, q::Group{"place", "what another must fit into", true});
        field(self.decision,
              q::Choice<7>{"decision", bench::remedyNames, "what is to be done about it", 0});
        field(self.alike, q::Word{"alike", "shares the way of that driver", ""});
    }

    bool operator==(const Driver&) const = default;
};

/// A place on the front, and how far before it a driver's acoustic centre lies.
struct Spot {
    double x{}; ///< m from the middle, right as the listener sees it
    double y{}; ///< m, up
    double z{}; ///< m, out of the front; a cone's is below nought

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.x, q::x);
        field(self.y, q::y);
        field(self.z, q::z.orElse(0.0));
    }

    bool operator==(const Spot&) const = default;
};

/// Where a driver sits: from the middle of the front, x right as the listener sees it, y up.
struct Mount {
    std::string driver;
    double x{};
    double y{};
    double z{};                ///< m, out of the front
    std::optional<Spot> taken; ///< where it was when its response was taken; absent: here

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.driver, q::Word{"driver", "which one"});
        field(self.x, q::x);
        field(self.y, q::y);
        field(self.z, q::z.orElse(0.0));
        field(self.taken, q::Group{"taken", "where it was when it was measured", true});
    }

    bool operator==(const Mount&) const = default;
};

/// Who listens, as a cabinet sees it.
struct Seat {
    std::optional<double> axis; ///< m, height on the front where the listening axis leaves it, from
                                ///< its middle; absent: that of the highest driver
    double distance{2.5};       ///< m
    double aside{};             ///< rad, listener to the right of the axis; the speaker looks past
    double stand{};             ///< m, floor to the lower edge of the cabinet
    double sitting{1.0};        ///< m, ear above the floor
    double standing{1.6};       ///< m

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.axis, q::y.as("axis_m", "height on the front, from its middle"));
        field(self.distance, q::distance.within(0.3, 30.0).orElse(2.5));
        field(
            self.aside,
            q::Quantity{"θ", "aside_deg", q::degree, "°", -80.0, 80.0, "to the right"}.orElse(0.0));
        field(self.stand,
              q::Quantity{"h", "stand_m", 1.0, "m", 0.0, 5.0, "under the cabinet"}.orElse(0.0));
        field(self.sitting,
              q::Quantity{"h", "sitting_m", 1.0, "m", 0.3, 3.0, "ear of who sits"}.orElse(1.0));
        field(self.standing,
              q::Quantity{"h", "standing_m", 1.0, "m", 0.3, 3.0, "ear of who stands"}.orElse(1.6));
    }

    bool operator==(const Seat&) const = default;
};

/// How the front ends.
enum class FrontEdge { sharp, round, chamfer };

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
    double width{0.2};             ///< m
    double height{0.35};           ///< m
    std::optional<double> depth;   ///< m
    std::optional<double> nominal; ///< Ω, as printed on the cabinet
    std::string twin;              ///< id of the other of a pair
    bool mirrored{};               ///< its mounts are those of the twin with x turned over
    FrontEdge edge{};
    double edgeSize{}; ///< m, radius or leg
    std::vector<Mount> mounts;
    Seat seat;
    network::Circuit circuit;
    Target target;
    std::vector<Protector> protectors;
    bool noProtectors{}; ///< looked for, none fitted
    bool noControls{};   ///< likewise level controls
    std::vector<OldPart> oldParts;
    std::vector<Enclosure> boxes;    ///< one for each driver that has a room of its own
    std::optional<FoundFront> found; ///< networks that a search came to

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job"});
        field(self.name, q::Word{"name", "what people call it"});
        field(self.width, q::width);
        field(self.height, q::height);
        field(self.depth, q::depth);
        field(self.nominal, q::nominal);
        field(self.twin, q::Word{"twin", "the other of a pair", ""});
        field(self.mirrored, q::Flag{"mirrored", "a mirror image of its twin", false});
        field(self.edge, q::Choice<3>{"edge", {"sharp", "round", "chamfer"}, "of the front", 0});
        field(self.edgeSize,
              q::Quantity{"e", "edge_m", 1.0, "m", 0.0, 0.5, "radius or leg of it"}.orElse(0.0));
        field(self.mounts, q::Group{"mounts", "places of the drivers"});
        field(self.seat, q::Group{"seat", "who listens", true});
        field(self.circuit, q::Group{"network", "its crossover network"});
        field(self.target, q::Group{"target", "what is wanted of the sum"});
        field(self.protectors, q::Group{"protectors", "breakers, fuses, lamps", true});
        field(self.noProtectors, q::Flag{"no_protectors", "it has none", false});
        field(self.noControls, q::Flag{"no_level_controls", "it has none", false});
        field(self.oldParts, q::Group{"old_parts", "what else was found in it", true});
        field(self.boxes, q::Group{"boxes", "where its drivers work", true});
        field(self.found, q::Group{"found", "networks that a search came to", true});
    }

    bool operator==(const Cabinet&) const = default;
};

/// The scale that every plot of one kind keeps: what a comparison and every picture that leaves
/// the application uses.
enum class ScaleKind { level, phase, impedance, impulse, delay, travel, speed };

struct HouseScale {
    ScaleKind kind{};
    double from{}; ///< Hz, or s for an impulse
    double to{};
    double low{}; ///< dB, degrees, ohms, share of the peak, ms, mm, or m/s
    double high{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind,
              q::Choice<7>{"kind",
                           {"level", "phase", "impedance", "impulse", "delay", "travel", "speed"},
                           "which plots"});
        field(self.from, q::scaleEnd.as("from", "left end"));
        field(self.to, q::scaleEnd.as("to", "right end"));
        field(self.low, q::scaleEnd.as("low", "lower end"));
        field(self.high, q::scaleEnd.as("high", "upper end"));
    }

    bool operator==(const HouseScale&) const = default;
};

[[nodiscard]] std::optional<Error> check(const HouseScale& scale);

/// A rule's limit that a person moved from its default.
struct RuleLimit {
    std::string rule;
    double limit{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.rule, q::Word{"rule", "id of the rule"});
        field(self.limit, q::scaleEnd.as("limit", "limit in place of the default"));
    }

    bool operator==(const RuleLimit&) const = default;
};

/// A finding set aside on purpose, with the reason that was asked for. What it is about is named
/// as in the finding's subject.
struct Dismissal {
    std::string rule;
    std::string cabinet;
    std::string driver;
    std::string other;
    std::string part;
    std::string take;
    std::string note;
    std::string date;

    static void fields(auto& self, auto&& field) {
        using q = yf::quantity::Word;
        field(self.rule, q{"rule", "id of the rule"});
        field(self.cabinet, q{"cabinet", "about which cabinet", ""});
        field(self.driver, q{"driver", "about which driver", ""});
        field(self.other, q{"other", "and which other one", ""});
        field(self.part, q{"part", "about which part", ""});
        field(self.take, q{"take", "about which take", ""});
        field(self.note, q{"note", "why it may stay so"});
        field(self.date, q{"date", "when", ""});
    }

    bool operator==(const Dismissal&) const = default;
};

enum class LengthUnits { metric, inch };

struct Job {
    std::string title;
    LengthUnits units{};
    std::vector<Driver> drivers;
    std::vector<Take> takes;
    std::vector<Cabinet> cabinets;
    std::vector<HouseScale> scales; ///< those that differ from the built-in ones
    std::vector<RuleLimit> limits;
    std::vector<Dismissal> dismissals;
    std::vector<BenchReading> readings; ///< in the order in which they were made
    std::string complaint;              ///< in the owner's words
    Aim aim{};
    std::vector<Photo> photos;
    network::Prices prices; ///< of parts that do not say it themselves
    network::Stock stock;   ///< parts that lie in the drawer

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.title, q::Word{"title", "name of the job"});
        field(self.units, q::Choice<2>{"units", {"metric", "inch"}, "units of lengths", 0});
        field(self.drivers, q::Group{"drivers", "all drivers"});
        field(self.takes, q::Group{"takes", "all measured curves"});
        field(self.cabinets, q::Group{"cabinets", "all cabinets"});
        field(self.scales, q::Group{"scales", "house scales of the plots", true});
        field(self.limits, q::Group{"limits", "limits of rules that were changed", true});
        field(self.dismissals, q::Group{"dismissals", "findings set aside", true});
        field(self.readings, q::Group{"readings", "checks at the bench", true});
        field(self.complaint, q::Word{"complaint", "in the owner's words", ""});
        field(self.aim,
              q::Choice<5>{"aim",
                           {"not-said", "works", "as-it-was", "as-good-as-can-be", "new-design"},
                           "what is wanted",
                           0});
        field(self.photos, q::Group{"photos", "pictures taken of it", true});
        field(self.prices, q::Group{"prices", "of parts that do not say it", true});
        field(self.stock, q::Group{"stock", "parts in the drawer", true});
    }

    bool operator==(const Job&) const = default;
};

/// What refers to something must find it: mounts and networks their drivers, drivers their takes.
[[nodiscard]] std::optional<Error> check(const Job& job);

[[nodiscard]] const Driver* findDriver(const Job& job, const std::string& id);
[[nodiscard]] const Take* findTake(const Job& job, const std::string& id);
[[nodiscard]] const Cabinet* findCabinet(const Job& job, const std::string& id);

/// The take a driver uses for one kind of curve, or nothing.
[[nodiscard]] const Take* takeInUse(const Job& job, const Driver& driver, TakeKind kind);

/// Digest of a curve's content: 64-bit FNV-1a over frequencies, values, phase and range, as hex.
[[nodiscard]] std::string curveKey(const curve::Curve& curve);

/// Digest of a network as it is drawn: whether a whole cabinet's take is of the present one.
[[nodiscard]] std::string networkKey(const network::Circuit& circuit);

/// "low", "mid" … as in the field list.
[[nodiscard]] std::string_view bandName(Band band);

} // namespace yf::job
