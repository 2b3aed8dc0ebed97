// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <map>
#include <optional>
#include <string_view>
#include <variant>

/// What is known of a job, as the rules ask for it: each fact is declared once, with its name, its
/// unit and where it comes from (core/findings/known_facts.h).
namespace yf::findings {

/// How a figure is written.
struct FigureUnit {
    enum class Style {
        plain,       ///< three digits and the unit
        engineering, ///< with a prefix: 6.8 µF
        twoDigits,
        share ///< of one: 100 times the figure, two digits
    };
    std::string_view name;
    Style style{};

    bool operator==(const FigureUnit&) const = default;
};

enum class Origin {
    job,  ///< `facts` finds it in a job where the data are there
    given ///< told by hand only: nothing in a job tells it
};

/// What facts of both types have in common. One object for each, compared by its address.
struct FactKind {
    std::string_view name; ///< "group.key"; the key ends in its unit, as everywhere in JSON
    Origin origin{};

    [[nodiscard]] constexpr std::string_view group() const {
        return name.substr(0, name.find('.'));
    }

    [[nodiscard]] constexpr std::string_view key() const { return name.substr(name.find('.') + 1); }

protected:
    constexpr FactKind(std::string_view n, Origin o) : name(n), origin(o) {}
};

/// What a figure may be.
enum class Range { any, notNegative };

/// A fact that is a figure, in SI units unless its key says otherwise (litres, %, degrees).
struct Figure : FactKind {
    FigureUnit unit;
    Range range{};

    constexpr Figure(std::string_view n, FigureUnit u, Range r, Origin o = Origin::job)
        : FactKind(n, o), unit(u), range(r) {}
};

/// A fact that is a yes or no.
struct Flag : FactKind {
    constexpr explicit Flag(std::string_view n, Origin o = Origin::job) : FactKind(n, o) {}
};

/// The value of a fact.
using Fact = std::variant<double, bool>;

/// Values by fact, in the order of the names.
class Facts {
public:
    struct Entry {
        const FactKind* kind{};
        Fact value;

        bool operator==(const Entry&) const = default;
    };

    /// Takes the place of an earlier value. A figure that is not finite is not known: it is left
    /// out, and what stood before stays.
    void put(const Figure& figure, double value);
    void put(const Flag& flag, bool value);
    void put(const Figure& figure, bool value) = delete;
    void put(const Flag& flag, double value) = delete;

    /// A value of the kind's own type.
    void put(const Entry& entry);

    void leaveOut(const FactKind& kind) { values_.erase(kind.name); }

    [[nodiscard]] std::optional<double> operator[](const Figure& figure) const;
    [[nodiscard]] std::optional<bool> operator[](const Flag& flag) const;
    [[nodiscard]] const Fact* find(const FactKind& kind) const;

    [[nodiscard]] bool contains(const FactKind& kind) const { return find(kind) != nullptr; }

    [[nodiscard]] std::size_t size() const { return values_.size(); }

    /// Pairs of name and Entry.
    [[nodiscard]] auto begin() const { return values_.begin(); }

    [[nodiscard]] auto end() const { return values_.end(); }

    bool operator==(const Facts&) const = default;

private:
    std::map<std::string_view, Entry> values_; ///< names live as long as their kinds: always
};

} // namespace yf::findings
