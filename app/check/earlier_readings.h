// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QWidget>

namespace yf::app {

/// What was read before of one check, newest first: nothing is overwritten, and what was a mistake
/// is set aside, struck out.
class EarlierReadings final : public QWidget {
    Q_OBJECT

public:
    explicit EarlierReadings(QWidget* parent = nullptr);

    struct Subject {
        std::string cabinet;
        std::string driver; ///< empty: about the cabinet as a whole
        std::string check;
    };

    /// Who only looks on (a trainee) sets nothing aside.
    void display(const job::Job& job, const Subject& subject, bool maySetAside);

Q_SIGNALS:
    void asideWanted(const QString& reading, bool aside);

private:
    void addLine(const job::BenchReading& reading, bool maySetAside);
};

} // namespace yf::app
