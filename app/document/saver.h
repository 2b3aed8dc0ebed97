// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/store/store.h"

#include <QObject>

#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

namespace yf::app {

/// Writes each change of a record into the job file, in order, on a thread of its own.
///
/// A change that could not be written stays first in the queue and is tried again with the next
/// one and every few seconds, so that the file is always a true earlier state and nothing is lost.
class Saver final : public QObject {
    Q_OBJECT

public:
    explicit Saver(job::store::Store store, QObject* parent = nullptr);

    /// Waits for what is queued, as far as it can be written.
    ~Saver() override;

    void write(const job::Change& change);

    /// Puts the file as it then is aside, after what is queued: folder and time as for
    /// job::store::putAside. One that fails is left out: it must not hold the saving up.
    void putAside(const std::string& folder, const std::string& at);

    /// True when everything written so far is on the disk.
    [[nodiscard]] bool settled() const { return confirmed_ == asked_; }

    /// Blocks until the queue is empty or its first change cannot be written.
    void wait();

    /// Nothing waits to be written. Unlike `settled` it does not wait for the window's thread.
    [[nodiscard]] bool allWritten();

    [[nodiscard]] const std::string& path() const { return path_; }

    [[nodiscard]] bool readOnly() const { return readOnly_; }

Q_SIGNALS:
    /// `count` changes have reached the disk since the beginning.
    void saved(quint64 count);
    void failed(const yf::Words& why);

private:
    struct Waiting {
        job::Change change;
        quint64 number{}; ///< 0: a copy to be put aside
        std::string folder;
        std::string at;
    };

    void work();
    void confirm(quint64 number);

    std::string path_;
    bool readOnly_{};
    std::mutex mutex_;
    std::condition_variable wake_;
    std::condition_variable idle_;
    std::deque<Waiting> queue_;
    bool busy_{};
    bool stuck_{};
    bool stop_{};
    quint64 asked_{};
    quint64 confirmed_{};
    job::store::Store store_;
    std::thread worker_;
};

} // namespace yf::app
