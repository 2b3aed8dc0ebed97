// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

class QHBoxLayout;
class QLabel;
class QToolButton;

namespace yf::report {
struct Figure;
}

namespace yf::app {

/// The whole speaker's state in one line at the bottom, always. Each figure is a link to where it
/// comes from; its tooltip says how it was found. At the end: whether the file holds everything.
class LineBar final : public QWidget {
    Q_OBJECT

public:
    explicit LineBar(QWidget* parent = nullptr);

    void display(const std::vector<report::Figure>& figures);

    /// "saved" only when the file holds what is on the screen.
    void setSaving(bool settled);
    void setNotSaved(const QString& why);

    /// Changes are in memory only, or the file is open for reading only.
    void setInMemory(bool changed);

    /// The figure's words as shown.
    [[nodiscard]] QString textOf(const QString& figure) const;

    [[nodiscard]] QString savedText() const;

Q_SIGNALS:
    void asked(const QString& figure);
    void placeWanted(); ///< a file for what is not saved

private:
    QHBoxLayout* row_{};
    QVector<QToolButton*> buttons_;
    QLabel* saved_{};
    QToolButton* place_{};
};

} // namespace yf::app
