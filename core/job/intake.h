// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantities.h"
#include "core/text/fields.h"

#include <memory>
#include <optional>
#include <string>

namespace yf::job {

enum class ProtectorKind { breaker, fuse, ptc, lamp };
enum class ProtectorState { notChecked, continuous, open, bridged };

/// What cuts a speaker off before its drivers burn: resettable breaker, fuse, PTC, lamp.
struct Protector {
    std::string id;
    ProtectorKind kind{};
    std::string driver;           ///< what it protects; empty: the whole cabinet
    std::optional<double> rating; ///< A, as printed on it
    ProtectorState state{};
    bool wasBridged{}; ///< a bridge was found or made; settled by a rated part that has continuity

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the cabinet"});
        field(self.kind, q::Choice<4>{"kind", {"breaker", "fuse", "ptc", "lamp"}, "what it is"});
        field(self.driver, q::Word{"driver", "what it protects; empty: all", ""});
        field(self.rating, q::Quantity{"I", "rating_a", 1.0, "A", 0.01, 100.0, "printed rating"});
        field(self.state,
              q::Choice<4>{"state",
                           {"not-checked", "continuous", "open", "bridged"},
                           "what the meter says",
                           0});
        field(self.wasBridged, q::Flag{"was_bridged", "a bridge was found or made", false});
    }

    bool operator==(const Protector&) const = default;
};

/// A bridge counts until the part has a rating and continuity of its own.
[[nodiscard]] inline bool isBridged(const Protector& p) {
    const bool mended = p.state == ProtectorState::continuous && p.rating.has_value();
    return p.state == ProtectorState::bridged || (p.wasBridged && !mended);
}

enum class OldPartKind {
    terminal,
    wire,
    levelControl,
    selector,
    capacitor,
    coil,
    resistor,
    damping,
    grille,
    other
};
enum class OldPartCondition { notChecked, good, doubtful, bad };

/// Something of the old speaker beside its drivers, and what was found of it.
struct OldPart {
    std::string id;
    OldPartKind kind{};
    std::string name; ///< as it is marked, or where it sits
    OldPartCondition condition{};
    std::string note;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the cabinet"});
        field(self.kind,
              q::Choice<10>{"kind",
                            {"terminal",
                             "wire",
                             "level-control",
                             "switch",
                             "capacitor",
                             "coil",
                             "resistor",
                             "damping",
                             "grille",
                             "other"},
                            "what it is"});
        field(self.name, q::Word{"name", "marking or place", ""});
        field(self.condition,
              q::Choice<4>{
                  "condition", {"not-checked", "good", "doubtful", "bad"}, "what was found", 0});
        field(self.note, q::Word{"note", "remark", ""});
    }

    bool operator==(const OldPart&) const = default;
};

/// A picture taken of the speaker; the picture itself is shared by all copies of a job and kept in
/// the job file under `key`, a digest of its bytes.
struct Photo {
    std::string id;
    std::string name; ///< of the file
    std::string note;
    std::string key;
    std::shared_ptr<const std::string> bytes; ///< as they were in the file

    static void fields(auto& self, auto&& field) {
        using q = yf::quantity::Word;
        field(self.id, q{"id", "name inside the job"});
        field(self.name, q{"name", "name of the file"});
        field(self.note, q{"note", "what it shows", ""});
        field(self.key, q{"key", "digest of the picture"});
    }

    /// The same picture by its digest.
    bool operator==(const Photo& other) const {
        return id == other.id && name == other.name && note == other.note && key == other.key;
    }
};

enum class Aim { notSaid, works, asItWas, asGoodAsCanBe, newDesign };

/// "breaker", "fuse", "PTC", "lamp".
[[nodiscard]] std::string protectorName(ProtectorKind kind);

/// "level control", "terminal" …
[[nodiscard]] std::string oldPartName(OldPartKind kind);

} // namespace yf::job
