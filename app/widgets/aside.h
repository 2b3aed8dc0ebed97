// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QElapsedTimer>
#include <QObject>

#include <atomic>
#include <condition_variable>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <thread>

namespace yf::app {

/// Work off the window's thread: one after the other on a thread of its own, begun with the first.
/// It tells from time to time that there is something new, can be told to stop, and hands over what
/// it made on the window's thread. What a stopped one still has to say is not heard.
class Aside final : public QObject {
    Q_OBJECT

public:
    explicit Aside(QObject* parent = nullptr) : QObject(parent) {}

    /// Tells the work to stop and waits for it.
    ~Aside() override;

    /// What the work has of this: asked after every step.
    class Link {
    public:
        [[nodiscard]] bool goesOn() const { return !*stop_; }

        /// Runs `note` and says so, as often as an eye follows; false ends the work.
        bool tell(const std::function<void()>& note);

    private:
        friend class Aside;

        Aside* aside_{};
        quint64 number_{};
        std::shared_ptr<std::atomic<bool>> stop_ = std::make_shared<std::atomic<bool>>(false);
        QElapsedTimer since_;
    };

    /// What is done on the window's thread when the work has ended.
    using Delivery = std::function<void()>;
    using Work = std::function<Delivery(Link& link)>;

    // All of these on the window's thread.

    /// After what goes on now, which ends in peace and is heard; of those that wait only the newest
    /// is done.
    void ask(Work work);

    /// In place of what goes on now, which is told to stop.
    void begin(const std::function<void(Link& link)>& work);

    /// No more is heard of it; nothing is waited for.
    void stop();

    /// Told to stop, and waited for until it has; what waits is left.
    void wait();

    [[nodiscard]] bool running() const { return running_; }

Q_SIGNALS:
    void told();
    void finished(); ///< the newest

private:
    struct Order {
        Link link;
        Work work;
    };

    void loop();
    void say(quint64 number);
    void ended(quint64 number, const Delivery& delivery);

    bool running_{};
    quint64 number_{}; ///< of the newest
    quint64 deaf_{};   ///< up to this one nothing is heard
    std::mutex mutex_;
    std::condition_variable wake_; ///< of the worker: something waits, or it is to end
    std::condition_variable idle_; ///< of who waits: nothing goes on
    std::optional<Order> waiting_;
    std::shared_ptr<std::atomic<bool>> current_; ///< stops what goes on; null: nothing does
    bool quit_{};
    std::thread thread_;
};

} // namespace yf::app
