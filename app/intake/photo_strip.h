// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QPixmap>
#include <QWidget>

class QHBoxLayout;
class QLabel;
class QLineEdit;
class QScrollArea;

namespace yf::app {

/// One picture, as large as the stage has room for, with what it shows.
class PhotoView final : public QWidget {
    Q_OBJECT

public:
    explicit PhotoView(QWidget* parent);

    void open(const job::Photo& photo);

Q_SIGNALS:
    void captioned(const QString& photo, const QString& note);
    void removeWanted(const QString& photo);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    QString id_;
    QPixmap picture_;
    QLineEdit* note_{};
};

/// Small pictures side by side; one that is clicked opens large.
class PhotoStrip final : public QWidget {
    Q_OBJECT

public:
    explicit PhotoStrip(QWidget* parent = nullptr);

    void display(const std::vector<job::Photo>& photos);

Q_SIGNALS:
    void opened(const QString& photo);
    void addWanted();

private:
    QHBoxLayout* row_{};
    QLabel* none_{};
    QScrollArea* scroll_{};
    std::vector<job::Photo> shown_;
};

} // namespace yf::app
