// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/measure/take_works.h"
#include "app/stage/stage.h"

class QComboBox;
class QLabel;

namespace yf::app {

class DecayView;

/// How a recorded response dies away: after a pulse, or after bursts of each tone; what rings on
/// by number. Range and reference stay as they are from take to take of a driver.
class DecayPage final : public QWidget {
    Q_OBJECT

public:
    DecayPage(TakeWorks* works, QWidget* parent = nullptr);

    void display(const Sight& sight, const job::Take* take);

private:
    void again();

    TakeWorks* works_{};
    std::shared_ptr<const Evaluated> held_;
    const job::Take* take_{};
    std::string driver_;
    std::optional<double> reference_; ///< dB, sealed with the first picture of a driver
    int sealedKind_{-1};
    QString drawn_; ///< what the picture was made of
    QComboBox* kind_{};
    QComboBox* span_{};
    QLabel* told_{};
    DecayView* view_{};
};

} // namespace yf::app
