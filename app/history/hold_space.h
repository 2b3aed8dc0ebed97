// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QObject>
#include <QPointer>
#include <QTimer>
#include <QWidget>

namespace yf::app {

/// Space held down anywhere but in a text: something is looked at until it is let go. A short tap
/// still reaches whoever has the focus, as if nobody had listened.
class HoldSpace final : public QObject {
    Q_OBJECT

public:
    explicit HoldSpace(QWidget* window);

    /// Only while this answers true is Space listened to.
    void setWanted(bool wanted) { wanted_ = wanted; }

Q_SIGNALS:
    void held();
    void letGo();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void giveBack(bool withRelease);

    QWidget* window_;
    QTimer timer_;
    QPointer<QWidget> pressed_; ///< who had the focus when Space went down
    bool wanted_{};
    bool holding_{};
    bool passing_{};
};

} // namespace yf::app
