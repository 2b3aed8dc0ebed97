// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/aside.h"

namespace yf::app {

Aside::~Aside() {
    {
        const std::lock_guard lock(mutex_);
        quit_ = true;
        waiting_.reset();
        if (current_) {
            *current_ = true;
        }
    }
    wake_.notify_one();
    if (thread_.joinable()) {
        thread_.join();
    }
}

bool Aside::Link::tell(const std::function<void()>& note) {
    constexpr qint64 pause = 200; // ms
    if (since_.elapsed() >= pause) {
        since_.restart();
        note();
        aside_->say(number_);
    }
    return goesOn();
}

void Aside::say(quint64 number) {
    QMetaObject::invokeMethod(
        this,
        [this, number] {
            if (number > deaf_ && running_) {
                Q_EMIT told();
            }
        },
        Qt::QueuedConnection);
}

void Aside::ask(Work work) {
    Order order;
    order.link.aside_ = this;
    order.link.number_ = ++number_;
    order.work = std::move(work);
    running_ = true;
    {
        const std::lock_guard lock(mutex_);
        waiting_ = std::move(order);
    }
    if (!thread_.joinable()) {
        thread_ = std::thread([this] { loop(); });
    }
    wake_.notify_one();
}

void Aside::begin(const std::function<void(Link& link)>& work) {
    stop();
    ask([work](Link& link) {
        work(link);
        return Delivery{};
    });
}

void Aside::loop() {
    for (;;) {
        std::unique_lock lock(mutex_);
        wake_.wait(lock, [this] { return quit_ || waiting_.has_value(); });
        if (quit_) {
            return;
        }
        Order order = std::move(*waiting_);
        waiting_.reset();
        current_ = order.link.stop_;
        lock.unlock();
        order.link.since_.start();
        Delivery delivery = order.work(order.link);
        // Before anything is handed over: whoever waits for the end must not wait for the window.
        lock.lock();
        current_.reset();
        lock.unlock();
        idle_.notify_all();
        // Queued in the order in which they were made, so an older result never replaces a newer.
        QMetaObject::invokeMethod(
            this,
            [this, number = order.link.number_, delivery = std::move(delivery)] {
                ended(number, delivery);
            },
            Qt::QueuedConnection);
    }
}

void Aside::ended(quint64 number, const Delivery& delivery) {
    if (number <= deaf_) {
        return;
    }
    const bool newest = number == number_;
    if (newest) {
        running_ = false;
    }
    if (delivery) {
        delivery();
    }
    if (newest) {
        Q_EMIT finished();
    }
}

void Aside::stop() {
    const std::lock_guard lock(mutex_);
    waiting_.reset();
    if (current_) {
        *current_ = true;
    }
    deaf_ = number_;
    running_ = false;
}

void Aside::wait() {
    std::unique_lock lock(mutex_);
    if (waiting_) {
        waiting_.reset();
        deaf_ = number_;
        running_ = false;
    }
    if (current_) {
        *current_ = true;
    }
    idle_.wait(lock, [this] { return current_ == nullptr; });
}

} // namespace yf::app
