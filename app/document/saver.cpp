// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/document/saver.h"

#include "core/job/store/earlier.h"
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

namespace {

/// A drag faster than the disk: the state that waits may be replaced by the newer one.
bool takesThePlaceOf(const job::Change& newer, const job::Change& waiting) {
    using job::Moved;
    return newer.step && newer.step->moved == Moved::merged && waiting.step &&
           (waiting.step->moved == Moved::appended || waiting.step->moved == Moved::merged);
}

} // namespace

void Saver::write(const job::Change& change) {
    {
        const std::lock_guard lock(mutex_);
        ++asked_;
        const bool backWaits = !queue_.empty() && !(busy_ && queue_.size() == 1);
        if (backWaits && queue_.back().number != 0 &&
            takesThePlaceOf(change, queue_.back().change)) {
            job::Change& waiting = queue_.back().change;
            waiting.step->step = change.step->step;
            waiting.log = change.log;
            queue_.back().number = asked_;
        } else {
            queue_.push_back({change, asked_, {}, {}});
        }
        stuck_ = false;
    }
    wake_.notify_one();
}

void Saver::putAside(const std::string& folder, const std::string& at) {
    {
        const std::lock_guard lock(mutex_);
        queue_.push_back({{}, 0, folder, at});
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

void Saver::confirm(quint64 number) {
    QMetaObject::invokeMethod(
        this,
        [this, number] {
            confirmed_ = number;
            Q_EMIT saved(number);
        },
        Qt::QueuedConnection);
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
        const Waiting next = queue_.front();
        const bool aside = next.number == 0;
        lock.unlock();
        const Done written =
            aside ? job::store::putAside(store_, next.folder, next.at) : store_.write(next.change);
        lock.lock();
        busy_ = false;
        stuck_ = !written.ok() && !aside;
        if (!stuck_) {
            queue_.pop_front();
            if (!aside) {
                confirm(next.number);
            }
        } else {
            const Words why = text::sentence(written.error());
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
