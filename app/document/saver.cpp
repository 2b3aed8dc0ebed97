// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/saver.h"

#include "core/text/sentence.h"

#include <chrono>

namespace yf::app {

namespace {

constexpr std::chrono::seconds pauseAfterFailure{3};

} // namespace

Saver::Saver(job::store::Store store, QObject* parent)
    : QObject(parent), path_(store.path()), readOnly_(store.readOnly()), store_(std::move(store)),
      worker_([this] { work(); }) {}

Saver::~Saver() {
    {
        const std::lock_guard lock(mutex_);
        stop_ = true;
    }
    wake_.notify_one();
    worker_.join();
}

void Saver::write(const job::Step& step, job::Moved moved) {
    {
        const std::lock_guard lock(mutex_);
        ++asked_;
        // A drag faster than the disk: the state that waits is replaced by the newer one.
        const bool replaces = moved == job::Moved::merged && !queue_.empty() &&
                              !(busy_ && queue_.size() == 1) &&
                              (queue_.back().moved == job::Moved::appended ||
                               queue_.back().moved == job::Moved::merged);
        if (replaces) {
            queue_.back().step = step;
            queue_.back().number = asked_;
        } else {
            queue_.push_back({step, moved, asked_});
        }
        stuck_ = false;
    }
    wake_.notify_one();
}

void Saver::wait() {
    std::unique_lock lock(mutex_);
    idle_.wait(lock, [this] { return (queue_.empty() && !busy_) || stuck_; });
}

bool Saver::allWritten() {
    const std::lock_guard lock(mutex_);
    return queue_.empty() && !busy_;
}

void Saver::work() {
    std::unique_lock lock(mutex_);
    for (;;) {
        wake_.wait_for(
            lock, pauseAfterFailure, [this] { return stop_ || (!queue_.empty() && !stuck_); });
        if (queue_.empty()) {
            if (stop_) {
                return;
            }
            continue;
        }
        busy_ = true;
        const Change change = queue_.front();
        lock.unlock();
        const Done written = store_.write(change.step, change.moved);
        lock.lock();
        busy_ = false;
        stuck_ = !written.ok();
        if (written) {
            queue_.pop_front();
            QMetaObject::invokeMethod(
                this,
                [this, number = change.number] {
                    confirmed_ = number;
                    Q_EMIT saved(number);
                },
                Qt::QueuedConnection);
        } else {
            const QString why = QString::fromStdString(text::sentence(written.error()));
            QMetaObject::invokeMethod(
                this, [this, why] { Q_EMIT failed(why); }, Qt::QueuedConnection);
            if (stop_) {
                return;
            }
        }
        idle_.notify_all();
    }
}

} // namespace yf::app
