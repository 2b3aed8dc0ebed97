// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/lantern_hall.h"

#include "core/box/box.h"
#include "core/edit/bench.h"
#include "core/edit/measurement.h"
#include "core/evaluation/bench.h"
#include "core/quantity/literals.h"
#include "core/take/import.h"
#include "demo/bench.h"
#include "demo/drivers.h"
#include "demo/projection_room.h"
#include "demo/recorded.h"

#include <algorithm>

namespace yf::demo {

namespace {

using namespace yf::literals;
using job::Band;
using job::Condition;
using job::Record;

/// One driver of the pair: the sound one of its type, and what makes this one different.
struct Unit {
    const char* id;
    InventedDriver driver;
    double takenFrom; ///< Hz: where its response can be trusted from
};

InventedDriver apart(InventedDriver driver, double fs, double level, unsigned seed) {
    driver.impedance.fs *= fs;
    driver.lowCorner *= fs;
    driver.level += level;
    driver.seed = seed;
    return driver;
}

/// Closed turns: braked, screened, quieter.
InventedDriver withShortedTurns(InventedDriver driver) {
    driver.shortedTurns = 0.12;
    driver.level -= 2.1;
    return driver;
}

std::vector<Unit> units() {
    return {{"left-brome", apart(brome210(), 1.0, 0.0, 2101), 30.0},
            {"left-sorrel", apart(sorrel130(), 1.0, 0.0, 1301), 180.0},
            {"left-teasel", apart(teasel26(), 1.0, 0.0, 261), 400.0},
            {"right-brome", apart(brome210(), 1.03, -0.15, 2102), 30.0},
            {"right-sorrel", withShortedTurns(apart(sorrel130(), 1.02, 0.0, 1302)), 180.0},
            {"right-teasel", apart(teasel26(), 0.985, 0.2, 262), 400.0}};
}

/// The cabinet's network as it was read off the board; the parts differ between the two.
struct Parts {
    const char* C1;
    const char* C3;
    int tweeter;
};

Result<network::Circuit> networkOf(const std::string& side, const Parts& parts) {
    using text::Value;
    const auto inLine = [](const char* part) { return Value::Object{{"series", part}}; };
    const auto across = [](const char* part) { return Value::Object{{"shunt", part}}; };
    const Value::List low{inLine("L1 3.3mH dcr=0.46"),
                          Value::Object{{"shunt", Value::List{"R1 2.2ohm", parts.C1}}}};
    const Value::List mid{inLine("R2 3.3ohm"),
                          inLine("C2 18uF esr=0.12"),
                          inLine("L2 1.2mH dcr=0.3"),
                          across("C4 2.2uF esr=0.05")};
    const Value::List high{
        inLine("R3 1.5ohm"), inLine(parts.C3), across("L3 0.33mH dcr=0.2"), across("R4 18ohm")};
    const Value circuit = Value::Object{
        {"source", Value::Object{{"voltage_v", 2.83}, {"resistance_ohm", 0.05}}},
        {"ways",
         Value::List{
             Value::Object{{"name", "low"}, {"ladder", low}, {"driver", side + "-brome"}},
             Value::Object{
                 {"name", "mid"}, {"ladder", mid}, {"driver", side + "-sorrel"}, {"polarity", -1}},
             Value::Object{{"name", "high"},
                           {"ladder", high},
                           {"driver", side + "-teasel"},
                           {"polarity", parts.tweeter}}}}};
    return network::readCircuit(circuit, "network");
}

Result<job::Cabinet> floorStander(const std::string& side, const Parts& parts) {
    YF_TRY(circuit, networkOf(side, parts));
    const double inside = side == "left" ? 1.0 : -1.0; // tweeters towards the middle of the hall
    return job::Cabinet{.id = side,
                        .name = side == "left" ? "Left" : "Right",
                        .width = 26.0_cm,
                        .height = 96.0_cm,
                        .depth = 34.0_cm,
                        .nominal = 4.0,
                        .twin = side == "left" ? "right" : "left",
                        .mirrored = side == "right",
                        .mounts = {{side + "-brome", 0.0, 2.0_cm},
                                   {side + "-sorrel", 0.0, 23.5_cm},
                                   {side + "-teasel", inside * 3.5_cm, 36.5_cm}},
                        .circuit = circuit,
                        .target = {.from = 70.0, .to = 16000.0, .tolerance = 2.0}};
}

constexpr double bromeArea = 0.0222; // m²

/// The wood of the pair: woofer above the middle, midrange and tweeter in a chamber on top.
void putBoxes(job::Job& job, job::Cabinet& cabinet) {
    job::Enclosure low{.driver = cabinet.id + "-brome", .kind = box::Kind::vented};
    low.panel = 19.0_mm;
    low.dead = 31.0_cm;
    low.fill = job::Fill::lined;
    low.braces = {27.0_cm};
    low.crossoverVolume = 0.6e-3;
    job::PortIn port;
    port.port.diameter = 67.0_mm;
    port.length = 12.0_cm;
    port.height = 12.0_cm;
    low.ports = {port};
    low.voltage = 9.0;
    low.wishes = {.f3 = 45.0, .peak = 1.5, .speed = 17.0};
    job::Enclosure mid{
        .driver = cabinet.id + "-sorrel", .kind = box::Kind::closed, .sealedOff = true};
    mid.panel = 19.0_mm;
    mid.dead = low.dead;
    mid.fill = job::Fill::half;
    cabinet.boxes = {low, mid};
    const auto brome = std::ranges::find(job.drivers, low.driver, &job::Driver::id);
    brome->sheet.Vas = 35e-3;
    brome->sheet.Sd = bromeArea;
    brome->sheet.Xmax = 4.5_mm;
    brome->sheet.power = 60.0;
}

/// What the woofers truly sit in: a little less air than the sum says, and no longer tight.
std::vector<WooferInBox> woofersInBoxes() {
    std::vector<WooferInBox> all;
    for (const Unit& unit : units()) {
        if (unit.driver.name.starts_with("Brome")) {
            const bool left = std::string_view(unit.id).starts_with("left");
            all.push_back({left ? "left" : "right",
                           unit.id,
                           boxDriverOf(unit.driver, bromeArea),
                           box::Vented{.Vb = left ? 36.6e-3 : 36.2e-3,
                                       .fb = left ? 40.6 : 40.9,
                                       .gain = 1.05,
                                       .QL = left ? 4.3 : 7.5}});
        }
    }
    return all;
}

Result<job::Job> asItCameIn() {
    YF_TRY(projection, projectionRoom(tables()));
    job::Job job = projection.job();
    job.title = "Lantern Hall";
    // Damped enough that the network may stand without its woofer.
    network::Part damping;
    damping.id = "R1";
    damping.value = 3.3;
    damping.price = 1.20;
    YF_TRY(damped, edit::changePart("projection", damping).apply(job));
    job = damped;
    YF_TRY(left, floorStander("left", {"C1 54uF esr=0.62 printed=47uF", "C3 6.8uF esr=0.05", -1}));
    YF_TRY(right,
           floorStander("right",
                        {"C1 49uF esr=0.21 printed=47uF", "C3 9.4uF esr=1.1 printed=6.8uF", 1}));
    job.cabinets.insert(job.cabinets.begin(), {left, right});
    job.complaint = "Thin sound on the left, a scrape on the right since the summer festival. The "
                    "right treble was gone for a night and came back.";
    job.aim = job::Aim::asItWas;
    for (job::Cabinet* cabinet : {&job.cabinets[0], &job.cabinets[1]}) {
        const bool isLeft = cabinet->id == "left";
        cabinet->protectors = {
            {.id = "protector-1",
             .kind = job::ProtectorKind::breaker,
             .driver = cabinet->id + "-teasel",
             .rating = isLeft ? std::optional<double>() : 1.6,
             .state = isLeft ? job::ProtectorState::bridged : job::ProtectorState::open,
             .wasBridged = isLeft}};
        cabinet->oldParts = {
            {.id = "part-1",
             .kind = job::OldPartKind::levelControl,
             .name = "treble level",
             .condition = isLeft ? job::OldPartCondition::good : job::OldPartCondition::bad,
             .note = isLeft ? "" : "scratches, drops out near the middle"},
            {.id = "part-2",
             .kind = job::OldPartKind::terminal,
             .name = "push terminals",
             .condition = job::OldPartCondition::doubtful,
             .note = "green with verdigris"},
            {.id = "part-3",
             .kind = job::OldPartKind::capacitor,
             .name = "C1, 47 µF bipolar",
             .condition = job::OldPartCondition::doubtful}};
    }
    for (const Unit& unit : units()) {
        const bool woofer = unit.driver.name.starts_with("Brome");
        const bool mid = unit.driver.name.starts_with("Sorrel");
        job.drivers.push_back(
            {.id = unit.id,
             .name = unit.driver.name,
             .band = woofer ? Band::low
                     : mid  ? Band::mid
                            : Band::high,
             .condition = std::string(unit.id) == "right-sorrel"   ? Condition::suspect
                          : std::string(unit.id) == "right-teasel" ? Condition::notChecked
                                                                   : Condition::sound,
             .diameter = woofer ? 21.0_cm
                         : mid  ? 13.2_cm
                                : 10.4_cm,
             .nominal = 8.0});
    }
    putBoxes(job, job.cabinets[0]);
    putBoxes(job, job.cabinets[1]);
    return job;
}

Done import(Record& record, const HallTable& table, double trustedFrom, const std::string& at) {
    YF_TRY(imported,
           take::importTake({.bytes = table.text, .name = table.name, .date = at.substr(0, 10)}));
    job::Take take = imported.take;
    const curve::Range trusted =
        table.impedance ? curve::Range{10.0, 24000.0} : curve::Range{trustedFrom, 20000.0};
    curve::Curve curve = take.curve->trustedWithin(trusted);
    if (!table.impedance) {
        // One loop-back recording for all: their phases may be compared.
        curve = curve::Curve(curve.frequencies(), curve.values(), curve::Phase::common, trusted);
    }
    take.curve = std::make_shared<const curve::Curve>(std::move(curve));
    YF_TRY(change, edit::apply(record, edit::addTake(table.driver, take), at));
    static_cast<void>(change);
    return done();
}

/// The left woofer's capacitor, renewed after the speaker had been measured as received.
edit::Edit renewed() {
    network::Part part;
    part.id = "C1";
    part.kind = network::PartKind::capacitor;
    part.value = 47.0_uF;
    part.esr = 0.06;
    part.price = 7.4;
    return edit::changePart("left", part);
}

/// What was heard and tried before any instrument was fetched.
std::vector<job::BenchReading> firstChecks() {
    const auto seen =
        [](const char* driver, const char* check, const char* outcome, bench::Place place = {}) {
            job::BenchReading r;
            r.check = check;
            r.outcome = outcome;
            r.cabinet = std::string_view(driver).starts_with("left") ? "left" : "right";
            r.driver = driver;
            r.place = place;
            return r;
        };
    return {seen("right-sorrel", "symptom", "distorted"),
            seen("right-sorrel", "push", "smooth"),
            seen("left-brome", "battery_pop", "moves_out"),
            seen("right-brome", "battery_pop", "moves_out"),
            seen("left-teasel", "battery_pop", "moves_out"),
            seen("right-teasel", "battery_pop", "moves_out"),
            seen("left-teasel", "battery_pop", "moves_in", bench::Place::cabinet),
            seen("right-teasel", "battery_pop", "moves_out", bench::Place::cabinet)};
}

std::string minute(int number) {
    return "2026-03-14T10:" + std::string(number < 10 ? "0" : "") + std::to_string(number) + ":00";
}

} // namespace

std::optional<sim::Specimen> onTheBench(const std::string& driver) {
    const auto all = units();
    const auto found = std::ranges::find_if(all, [&](const Unit& u) { return driver == u.id; });
    if (found == all.end()) {
        return driver == "campion"  ? std::optional(specimenOf(campion165()))
               : driver == "teasel" ? std::optional(specimenOf(teasel26()))
                                    : std::nullopt;
    }
    return specimenOf(found->driver);
}

std::vector<HallTable> hallTables() {
    std::vector<HallTable> all;
    for (const Unit& unit : units()) {
        const std::string id = unit.id;
        all.push_back({id, id + "-impedance.txt", impedanceTable(unit.driver, false), true});
        all.push_back({id, id + "-response.csv", responseTable(unit.driver, false), false});
    }
    return all;
}

Result<Record> lanternHall(const std::vector<HallTable>& tables) {
    YF_TRY(job, asItCameIn());
    Record record{job::History(job)};
    int at = 0;
    YF_TRY(note,
           job::addNote(record,
                        "Came in: thin sound on the left, a scrape on the right since the summer "
                        "festival.",
                        minute(at++)));
    static_cast<void>(note);
    const auto all = units();
    for (const HallTable& table : tables) {
        const auto unit =
            std::ranges::find_if(all, [&](const Unit& u) { return table.driver == u.id; });
        YF_TRY(done, import(record, table, unit->takenFrom, minute(at++)));
        static_cast<void>(done);
    }
    for (job::BenchReading reading : firstChecks()) {
        reading.at = minute(at++);
        YF_TRY(added, edit::apply(record, edit::addReading(reading), reading.at));
        static_cast<void>(added);
    }
    YF_TRY(recorded, edit::apply(record, recordAsReceived(), minute(at - 1)));
    static_cast<void>(recorded);
    YF_TRY(boxes, edit::apply(record, recordBoxes(woofersInBoxes()), minute(at - 1)));
    static_cast<void>(boxes);
    YF_TRY(taken, job::takeSnapshot(record, "as received", minute(at++)));
    static_cast<void>(taken);
    YF_TRY(changed, edit::apply(record, renewed(), minute(at++)));
    static_cast<void>(changed);
    return record;
}

} // namespace yf::demo
