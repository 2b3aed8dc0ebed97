// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

class QLabel;

namespace yf::app {

enum class Gravity { good, note, mind, stop };

/// A strip for what happened: what an import understood, why an edit was refused. It stays until
/// the next one or until it is closed; it asks for nothing and stands in nobody's way.
class Notice final : public QWidget {
    Q_OBJECT

public:
    explicit Notice(QWidget* parent = nullptr);

    void tell(Gravity gravity, const QString& text);
    void clear();

    /// With its mark, empty when nothing is shown.
    [[nodiscard]] QString text() const;

private:
    QLabel* mark_{};
    QLabel* text_{};
};

} // namespace yf::app
