// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/new_job.h"

#include <QWidget>

class QPushButton;
class QVBoxLayout;

namespace yf::app {

class NewJobForm;

/// An earlier state of a job, chosen on the start page.
struct EarlierChoice {
    QString file;
    QString at;
    QString path; ///< of the job itself
};

/// What stands in the window while no job is open: the ways to a first picture, and the jobs that
/// were open, each with its front and its earlier states.
class StartPage final : public QWidget {
    Q_OBJECT

public:
    explicit StartPage(QWidget* parent = nullptr);

    [[nodiscard]] bool hasHeightForWidth() const override { return false; }

    /// Reads the list of recent jobs anew.
    void refresh();

    void focusNewJob();
    void focusDemo();

Q_SIGNALS:
    void demoWanted();
    void openWanted();
    void practiceWanted();
    void newWanted(const yf::edit::NewJob& wanted);
    void recentWanted(const QString& path);
    void earlierWanted(const yf::app::EarlierChoice& choice);

private:
    void addRecent(const struct RecentJob& job, int number);

    QPushButton* demo_{};
    NewJobForm* form_{};
    QWidget* recent_{};
    QVBoxLayout* recentColumn_{};
};

} // namespace yf::app
