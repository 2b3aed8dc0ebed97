// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantity.h"
#include "core/take/export.h"
#include "core/text/value.h"

#include <optional>
#include <string>

namespace yf::report {

/// Input of `job export-take`.
struct TakeFileRequest {
    std::string file;
    std::string take;
    take::TakeFormat format{};
    std::optional<std::string> outputFile;

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.file, Word{"job_file", "the job file"});
        field(self.take, Word{"take", "its id, as `job show` lists it"});
        field(self.format,
              Choice<5>{"format",
                        {"table", "json", "touchstone", "impulse", "recording"},
                        "what is wanted",
                        0});
        field(self.outputFile, Word{"output_file", "where to write it; needed for sound"});
    }
};

[[nodiscard]] std::optional<Error> check(const TakeFileRequest& request);

/// Output: the file's usual ending, its size, and of a text its content.
struct TakeFileWritten {
    take::TakeFile content;
    bool sound{};

    [[nodiscard]] text::Value write() const;
};

/// Fails where the job has no such take, with those it has, and as take::exportTake does.
[[nodiscard]] Result<TakeFileWritten> exportTakeOf(const TakeFileRequest& request);

} // namespace yf::report
