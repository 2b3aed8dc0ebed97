// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/library.h"

#include "core/text/fields.h"

#include <algorithm>

namespace yf::driver {

std::optional<Error> check(const Library& library) {
    for (std::size_t i = 0; i < library.drivers.size(); ++i) {
        const Part& part = library.drivers[i].part;
        const std::string path = text::join("drivers", i);
        if (part.id.empty()) {
            return Error{text::join(path, "id"), "missing", "must be what people call the driver"};
        }
        const auto same = [&](const LibraryEntry& other) { return other.part.id == part.id; };
        if (std::ranges::count_if(library.drivers, same) > 1) {
            return Error{text::join(path, "id"),
                         say(YF_WORDS("core", "'%1' given twice"), part.id),
                         "must be unique"};
        }
        if (const auto model = modelOf(part.model); !model) {
            return text::under(path, model.error());
        }
    }
    return std::nullopt;
}

Result<Library> readLibrary(std::string_view json) {
    YF_TRY(value, text::parseJson(std::string(json)));
    YF_TRY(library, text::read<Library>(value, ""));
    if (auto error = check(library)) {
        return *error;
    }
    return library;
}

std::string writeLibrary(const Library& library) {
    return text::writeJson(text::write(library)) + "\n";
}

const Library& shippedLibrary() {
    static const Library library = [] {
        auto read = readLibrary(shippedLibraryText());
        YF_EXPECT(read.ok()); // a test reads it too
        return std::move(*read);
    }();
    return library;
}

} // namespace yf::driver
