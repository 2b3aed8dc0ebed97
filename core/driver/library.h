// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/replacement.h"
#include "core/quantity/kinds.h"

#include <string_view>

namespace yf::driver {

/// A driver that can be had: on a shelf, from a shop.
struct LibraryEntry {
    Part part; ///< its id is what people call it
    quantity::DriverRole role{};
    std::optional<double> nominal;
    std::optional<double> price;
    std::string note;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Part::fields(self.part, field);
        field(self.role, quantity::driverRole);
        field(self.nominal, q::nominal);
        field(self.price, q::Quantity{"", "price", 1.0, "", 0.0, 1e6, "of one"});
        field(self.note, q::Word{"note", "remark", ""});
    }

    bool operator==(const LibraryEntry&) const = default;
};

/// A library file: an object with `drivers`, a list. docs/theory/driver.md lists the keys.
struct Library {
    std::vector<LibraryEntry> drivers;

    static void fields(auto& self, auto&& field) {
        field(self.drivers, quantity::Group{"drivers", "all of them"});
    }

    bool operator==(const Library&) const = default;
};

/// Every driver has a name, once. Names the place of what is wrong.
[[nodiscard]] std::optional<Error> check(const Library& library);

/// Reads a library file. Errors name line or key: no JSON, an unknown key (the nearest is named), a
/// figure outside its range, a driver without a name or named twice, a model by halves.
[[nodiscard]] Result<Library> readLibrary(std::string_view json);

[[nodiscard]] std::string writeLibrary(const Library& library);

/// The JSON text of the invented drivers that ship (core/driver/library.json).
[[nodiscard]] std::string_view shippedLibraryText();

[[nodiscard]] const Library& shippedLibrary();

} // namespace yf::driver
