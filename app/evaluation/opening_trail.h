// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/work.h"

#include <QString>

#include <mutex>

namespace yf::app {

/// What is being computed while a job is opened, kept in a file of its own, so that an opening
/// which ends the program can be told by the next one, which then leaves that part out.
///
/// Lines: `pid` of who opens; `left` a part that is left out; `busy` the part begun last; `over`
/// when the picture stands. Each is written at once; the end of a process loses none of them.
class OpeningTrail {
public:
    /// Reads what an opening that died has left in `file` and begins a new one. Of one whose
    /// process still lives nothing is taken and nothing is written.
    explicit OpeningTrail(QString file);

    /// Closes the trail: a program that ends in order has not been ended by what it was busy with.
    ~OpeningTrail();

    OpeningTrail(const OpeningTrail&) = delete;
    OpeningTrail& operator=(const OpeningTrail&) = delete;

    /// Parts to be left out, each once: those of before and the one that was busy. A part that was
    /// left out and ended the program all the same counts as everything.
    [[nodiscard]] const std::vector<evaluation::Work>& left() const { return left_; }

    /// From any thread.
    void busy(const evaluation::Work& work);

    /// The picture stands. What is left out is so at the next opening too.
    void over();

    /// Nothing is left out any more: another try.
    void tryAgain();

private:
    void begin();
    void write(const std::string& line);

    QString file_;
    std::vector<evaluation::Work> left_;
    std::mutex mutex_;
    int descriptor_{-1}; ///< under the mutex; -1: closed, or not ours
};

} // namespace yf::app
