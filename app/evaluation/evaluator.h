// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/findings/assess.h"

#include <QObject>

#include <condition_variable>
#include <memory>
#include <mutex>
#include <optional>
#include <thread>

namespace yf::app {

/// What a job is submitted for: the present state, or a look at what would be (a part bypassed
/// while a key is held, a start from the book not yet taken).
enum class Purpose { present, preview };

/// A job and all that is said about it, made together and never changed again.
struct Evaluated {
    job::Job job;
    evaluation::Evaluation evaluation;
    std::shared_ptr<const evaluation::Assembly> assembly;
    findings::Assessment findings;
    Purpose purpose{};
};

/// Newest job in, newest evaluation out, off the window's thread.
///
/// While one evaluation runs only the newest job waits; those between are skipped. The worker takes
/// the next job only after the result before has been handed to the window's thread, so an older
/// result can never replace a newer one.
class Evaluator final : public QObject {
    Q_OBJECT

public:
    explicit Evaluator(QObject* parent = nullptr);
    ~Evaluator() override;

    /// Revisions rise by one with each call.
    std::uint64_t submit(const job::Job& job, Purpose purpose);

    /// What is judged by from the next submit on.
    void setTables(const evaluation::Tables& tables) { tables_ = tables; }

    /// Revision of the last submit.
    [[nodiscard]] std::uint64_t submitted() const { return submitted_; }

    /// True from a submit until its result, or a newer one, has been delivered.
    [[nodiscard]] bool busy() const { return delivered_ != submitted_; }

Q_SIGNALS:
    void ready(const std::shared_ptr<const yf::app::Evaluated>& result);

private:
    struct Order {
        std::uint64_t revision{};
        job::Job job;
        evaluation::Tables tables;
        Purpose purpose{};
    };

    void work();
    void deliver(const std::shared_ptr<const Evaluated>& result);

    evaluation::Tables tables_ = evaluation::Tables::shipped();
    std::mutex mutex_;
    std::condition_variable wake_;
    std::optional<Order> waiting_;
    bool stop_{};
    std::uint64_t submitted_{};
    std::uint64_t delivered_{};
    std::thread worker_;
};

} // namespace yf::app

Q_DECLARE_METATYPE(std::shared_ptr<const yf::app::Evaluated>)
