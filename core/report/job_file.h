// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/job/record.h"

/// The verbs of topic `job`: a job file looked at without a window.
namespace yf::report {

/// What a job file holds, opened for reading only. Fails with `job_file` as subject.
[[nodiscard]] Result<job::Record> loadJobFile(const std::string& file,
                                              std::vector<std::string>* leftOut = nullptr);

/// Input of `job show`.
struct ShowRequest {
    std::string file;

    static void fields(auto& self, auto&& field) {
        field(self.file, quantity::Word{"job_file", "the job file"});
    }
};

/// Output of `job show`: title, drivers with their takes, cabinets with the figures of the line.
struct Shown {
    job::Job job;
    evaluation::Evaluation evaluation;
    std::vector<std::string> steps;
    std::size_t position{};
    std::vector<std::string> leftOut; ///< measurements that are damaged in the file

    [[nodiscard]] text::Value write() const;
};

/// Opens for reading only. Fails as the store does.
[[nodiscard]] Result<Shown> show(const ShowRequest& request);

enum class ExportFormat { network, document, csvParts, csvResponse };

/// Input of `job export`.
struct ExportRequest {
    std::string file;
    ExportFormat format{};
    std::optional<std::string> cabinet;

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.file, Word{"job_file", "the job file"});
        field(self.format,
              Choice<4>{"format",
                        {"network", "document", "csv-parts", "csv-response"},
                        "what is wanted",
                        0});
        field(self.cabinet, Word{"cabinet", "which cabinet; the first unless given"});
    }
};

/// Output of `job export`: `network` is ready to be sent to `network solve`; `document` is the
/// whole job with its curves; the tables are text with a header that names the units.
struct Exported {
    ExportFormat format{};
    text::Value content;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<Exported> exportJob(const ExportRequest& request);

} // namespace yf::report
