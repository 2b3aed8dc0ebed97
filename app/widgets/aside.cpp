// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/aside.h"

namespace yf::app {

Aside::~Aside() {
    wait();
}

bool Aside::Link::tell(const std::function<void()>& note) {
    constexpr qint64 pause = 200; // ms
    if (since_.elapsed() >= pause) {
        since_.restart();
        note();
        Q_EMIT aside_->spoke(number_, false);
    }
    return goesOn();
}

void Aside::begin(const std::function<void(Link& link)>& work) {
    wait();
    disconnect(this, &Aside::spoke, this, nullptr);
    connect(this, &Aside::spoke, this, &Aside::hear, Qt::QueuedConnection);
    stop_ = std::make_shared<std::atomic<bool>>(false);
    running_ = true;
    Link link;
    link.aside_ = this;
    link.number_ = ++number_;
    link.stop_ = stop_;
    link.since_.start();
    thread_ = std::thread([link, work]() mutable {
        work(link);
        Q_EMIT link.aside_->spoke(link.number_, true);
    });
}

void Aside::hear(quint64 number, bool last) {
    if (number != number_ || !running_) {
        return;
    }
    if (!last) {
        Q_EMIT told();
        return;
    }
    wait();
    running_ = false;
    Q_EMIT finished();
}

void Aside::stop() {
    if (stop_) {
        *stop_ = true;
    }
    ++number_;
    running_ = false;
}

void Aside::wait() {
    if (stop_) {
        *stop_ = true;
    }
    if (thread_.joinable()) {
        thread_.join();
    }
}

} // namespace yf::app
