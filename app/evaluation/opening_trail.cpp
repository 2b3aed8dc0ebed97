// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/evaluation/opening_trail.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>

#include <fcntl.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <csignal>

namespace yf::app {

namespace {

using evaluation::Piece;
using evaluation::Work;

/// What a trail says.
struct Read {
    qint64 pid{};
    std::vector<Work> left;
    std::optional<Work> busy;
};

Read readTrail(const QString& path) {
    Read read;
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        return read;
    }
    constexpr qint64 most = 1 << 20; // a trail has some hundred lines; more is none of ours
    for (const QByteArray& line : file.read(most).split('\n')) {
        const qsizetype space = line.indexOf(' ');
        const QByteArray word = space < 0 ? line : line.left(space);
        const QByteArray rest = space < 0 ? QByteArray() : line.mid(space + 1);
        const auto work = evaluation::workOf(rest.toStdString());
        if (word == "pid") {
            read.pid = rest.toLongLong();
        } else if (word == "left" && work) {
            read.left.push_back(*work);
        } else if (word == "busy" && work) {
            read.busy = *work;
        } else if (word == "over") {
            read.busy.reset();
        }
    }
    return read;
}

bool lives(qint64 pid) {
    return pid > 0 && (::kill(static_cast<pid_t>(pid), 0) == 0 || errno == EPERM);
}

} // namespace

OpeningTrail::OpeningTrail(QString file) : file_(std::move(file)) {
    Read read = readTrail(file_);
    if (read.busy && lives(read.pid)) {
        return; // another window is opening it just now
    }
    left_ = std::move(read.left);
    if (read.busy) {
        const bool again = std::ranges::find(left_, *read.busy) != left_.end();
        left_.push_back(again ? Work{.part = Piece::whole, .of = {}} : *read.busy);
    }
    begin();
}

OpeningTrail::~OpeningTrail() {
    over();
}

void OpeningTrail::begin() {
    const QFileInfo info(file_);
    QDir().mkpath(info.absolutePath());
    const QByteArray name = QFile::encodeName(file_);
    {
        const std::scoped_lock lock(mutex_);
        // Where it can't be written the job opens all the same; only nobody will know.
        descriptor_ =
            ::open(name.constData(), O_WRONLY | O_CREAT | O_TRUNC | O_APPEND | O_CLOEXEC, 0600);
    }
    write("pid " + std::to_string(::getpid()));
    for (const Work& work : left_) {
        write("left " + evaluation::toLine(work));
    }
}

void OpeningTrail::write(const std::string& line) {
    const std::scoped_lock lock(mutex_);
    if (descriptor_ < 0) {
        return;
    }
    const std::string whole = line + "\n";
    if (::write(descriptor_, whole.data(), whole.size()) != static_cast<ssize_t>(whole.size())) {
        ::close(descriptor_); // a full disk: half a line is read as none
        descriptor_ = -1;
    }
}

void OpeningTrail::busy(const Work& work) {
    write("busy " + evaluation::toLine(work));
}

void OpeningTrail::over() {
    write("over");
    const std::scoped_lock lock(mutex_);
    if (descriptor_ >= 0) {
        ::close(descriptor_);
        descriptor_ = -1;
        if (left_.empty()) {
            QFile::remove(file_);
        }
    }
}

void OpeningTrail::tryAgain() {
    over();
    left_.clear();
    begin();
}

} // namespace yf::app
