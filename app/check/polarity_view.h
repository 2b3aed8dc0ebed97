// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/evaluation/polarity.h"

#include <functional>

class QButtonGroup;
class QGridLayout;
class QLabel;
class QToolButton;
class QVBoxLayout;

namespace yf::app {

/// The polarity round: every driver on its lugs and through the network, each cabinet, the pair,
/// the sides; beside them what does not fit and which leads to swap.
class PolarityView final : public QWidget {
    Q_OBJECT

public:
    explicit PolarityView(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    /// Chips of which one may be down.
    struct Choice {
        QString name;
        QStringList words;
        QString says; ///< for who cannot see the row
        int chosen{-1};
        bool enabled{true};
        std::function<void(int)> act;
    };

    void rebuild();
    void addChoice(QGridLayout* grid, int row, int column, const Choice& choice);
    void addDriver(QGridLayout* grid, int row, const evaluation::DriverPolarity& driver);
    void addBass(QGridLayout* grid,
                 int row,
                 const QString& text,
                 const QString& name,
                 const std::string& cabinet,
                 edit::Bass bass);
    QLabel* alikeLabel(QWidget* parent,
                       const QString& name,
                       const QString& of,
                       const evaluation::AlikeByTakes& told);
    void addStack(QGridLayout* grid, int row, const evaluation::StackByTakes& stack);
    void showFaults();

    std::shared_ptr<const Evaluated> shown_;
    evaluation::PolarityRound round_;
    bool barred_{};
    QWidget* table_{};
    QVBoxLayout* tableColumn_{};
    QWidget* faults_{};
    QVBoxLayout* faultColumn_{};
};

} // namespace yf::app
