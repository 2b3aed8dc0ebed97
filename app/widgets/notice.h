// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

#include <functional>

class QLabel;
class QToolButton;

namespace yf::app {

enum class Gravity { good, note, mind, stop };

/// A strip for what happened: what an import understood, why an edit was refused. It stays until
/// the next one or until it is closed; it asks for nothing and stands in nobody's way.
class Notice final : public QWidget {
    Q_OBJECT

public:
    explicit Notice(QWidget* parent = nullptr);

    void tell(Gravity gravity, const QString& text);

    /// With something that can be done about it, as a button.
    void
    offer(Gravity gravity, const QString& text, const QString& action, std::function<void()> act);
    void clear();

    /// With its mark, empty when nothing is shown.
    [[nodiscard]] QString text() const;

private:
    QLabel* mark_{};
    QLabel* text_{};
    QToolButton* action_{};
    std::function<void()> act_;
};

} // namespace yf::app
