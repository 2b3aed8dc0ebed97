// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/widgets/aside.h"
#include "core/evaluation/evaluate.h"
#include "core/findings/assess.h"

#include <QObject>

#include <memory>

namespace yf::app {

/// What a job is submitted for: the present state, or a look at what would be (a part bypassed
/// while a key is held, a start from the book not yet taken).
enum class Purpose { present, preview };

/// A job and all that is said about it, made together and never changed again. Parts that ended the
/// program when they were computed (OpeningTrail) are in neither.
struct Evaluated {
    job::Job job;
    evaluation::Evaluation evaluation;
    std::shared_ptr<const evaluation::Assembly> assembly;
    findings::Assessment findings;
    Purpose purpose{};
};

/// Newest job in, newest evaluation out, off the window's thread.
///
/// While one evaluation runs only the newest job waits; those between are skipped. Results arrive
/// in the order of their jobs, so an older one can never replace a newer.
class Evaluator final : public QObject {
    Q_OBJECT

public:
    explicit Evaluator(QObject* parent = nullptr);

    /// Revisions rise by one with each call.
    std::uint64_t submit(const job::Job& job, Purpose purpose);

    /// What is judged by from the next submit on.
    void setTables(const evaluation::Tables& tables) { tables_ = tables; }

    /// What is left out of every job from the next submit on, and who is told what is begun, on the
    /// thread that computes.
    void guard(std::vector<evaluation::Work> left, evaluation::Watch watch) {
        left_ = std::move(left);
        watch_ = std::move(watch);
    }

    /// Revision of the last submit.
    [[nodiscard]] std::uint64_t submitted() const { return submitted_; }

    /// True from a submit until its result, or a newer one, has been delivered.
    [[nodiscard]] bool busy() const { return delivered_ != submitted_; }

Q_SIGNALS:
    void ready(const std::shared_ptr<const yf::app::Evaluated>& result);

private:
    /// What one evaluation leaves to the next; only the work touches it.
    struct Earlier;

    evaluation::Tables tables_ = evaluation::Tables::shipped();
    std::vector<evaluation::Work> left_;
    evaluation::Watch watch_;
    std::shared_ptr<Earlier> earlier_;
    std::uint64_t submitted_{};
    std::uint64_t delivered_{};
    Aside aside_;
};

} // namespace yf::app

Q_DECLARE_METATYPE(std::shared_ptr<const yf::app::Evaluated>)
