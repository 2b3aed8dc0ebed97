// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

class QTextBrowser;

namespace yf::app {

/// The guide's pages inside the window (docs/guide, shipped as resources).
class HelpPane final : public QWidget {
    Q_OBJECT

public:
    explicit HelpPane(QWidget* parent = nullptr);

    /// "network", "front" …; a page that does not exist shows the overview.
    void open(const QString& page);

    [[nodiscard]] QString page() const { return page_; }

    /// The page about what has the focus: the nearest widget around it that names one in its
    /// property "help"; "index" where none does.
    [[nodiscard]] static QString pageFor(const QWidget* widget);

Q_SIGNALS:
    void shut();

private:
    QString page_;
    QTextBrowser* text_{};
};

} // namespace yf::app
