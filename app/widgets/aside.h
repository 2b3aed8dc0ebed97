// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QElapsedTimer>
#include <QObject>

#include <atomic>
#include <functional>
#include <memory>
#include <thread>

namespace yf::app {

/// A search on a thread of its own: it tells from time to time that there is something new, and can
/// be stopped at once. What a stopped one still has to say is not heard.
class Aside final : public QObject {
    Q_OBJECT

public:
    using QObject::QObject;
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
        std::shared_ptr<std::atomic<bool>> stop_;
        QElapsedTimer since_;
    };

    /// The window's thread. Work that went on before has been stopped and waited for.
    void begin(const std::function<void(Link& link)>& work);

    /// No more is heard of it; nothing is waited for.
    void stop();

    /// Until the thread has ended.
    void wait();

    [[nodiscard]] bool running() const { return running_; }

Q_SIGNALS:
    /// In the window's thread.
    void told();
    void finished();

    /// From the work's thread.
    void spoke(quint64 number, bool last);

private:
    void hear(quint64 number, bool last);

    bool running_{};
    quint64 number_{};
    std::shared_ptr<std::atomic<bool>> stop_;
    std::thread thread_;
};

} // namespace yf::app
