// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/report/take_file.h"

#include "core/report/job_file.h"
#include "core/text/given.h"
#include "core/text/nearest.h"

namespace yf::report {

namespace {

bool isSound(take::TakeFormat format) {
    return format == take::TakeFormat::impulse || format == take::TakeFormat::recording;
}

} // namespace

std::optional<Error> check(const TakeFileRequest& request) {
    if (isSound(request.format) && !request.outputFile) {
        return Error{"output_file", "missing", "sound is not written into JSON"};
    }
    return std::nullopt;
}

text::Value TakeFileWritten::write() const {
    text::Value::Object object{{"ending", content.ending},
                               {"bytes", static_cast<int>(content.bytes.size())}};
    if (!sound) {
        object.push_back({"text", content.bytes});
    }
    return object;
}

Result<TakeFileWritten> exportTakeOf(const TakeFileRequest& request) {
    YF_TRY(record, loadJobFile(request.file));
    const job::Job& job = record.job();
    const job::Take* take = job::findTake(job, request.take);
    if (take == nullptr) {
        std::vector<std::string> ids;
        for (const job::Take& known : job.takes) {
            ids.push_back(known.id);
        }
        return Error{"take",
                     text::givenWord(request.take),
                     ids.empty() ? "the job has none"
                                 : say(YF_WORDS("core", "the nearest known take is %1"),
                                       text::nearest(request.take, ids))};
    }
    YF_TRY(content, take::exportTake(*take, request.format));
    return TakeFileWritten{std::move(content), isSound(request.format)};
}

} // namespace yf::report
