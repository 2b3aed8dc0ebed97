// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"

#include <QWidget>

class QComboBox;
class QLabel;
class QPushButton;
class QTableWidget;

namespace yf::app {

class Plot;

/// An existing box read back from an impedance take: tuning, losses, the driver in it, leak or a
/// blocked port, the model laid over the data.
class ReadPage final : public QWidget {
    Q_OBJECT

public:
    explicit ReadPage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void tablesWanted(const QString& driver);

private:
    void read();
    void show(const box::ReadBack& read);

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::shared_ptr<const Evaluated> evaluated_;
    std::string readKey_; ///< what was read last: a fit takes longer than a frame
    std::optional<Result<box::ReadBack>> read_;
    QComboBox* takes_{};
    QLabel* verdict_{};
    QTableWidget* table_{};
    QLabel* notes_{};
    QPushButton* use_{};
    QPushButton* open_{};
    Plot* plot_{};
};

} // namespace yf::app
