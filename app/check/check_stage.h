// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"

class QLabel;
class QScrollArea;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class CheckCard;
class CheckList;
class DiagnosisView;
class ElidedLabel;
class PolarityView;
class ReplacementView;

/// What is wrong with a driver, how sure that is, and which check to make next.
class CheckStage final : public Stage {
    Q_OBJECT

public:
    explicit CheckStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("check"); }

    [[nodiscard]] QString title() const override { return tr("Check"); }

    [[nodiscard]] int place() const override { return 2; }

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] QString state(const Sight& sight) const override;
    void display(const Sight& sight) override;
    bool go(const Place& place) override;

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void open(const std::string& check);
    void showVerdict(const evaluation::DriverBench* bench);
    void showDecision(const evaluation::DriverBench* bench);
    void showPage(int page);

    Sight sight_;
    std::string chosen_; ///< by hand; empty: the best next one
    ElidedLabel* name_{};
    QLabel* verdict_{};
    QLabel* meaning_{};
    QLabel* bar_{};
    DiagnosisView* diagnosis_{};
    CheckCard* card_{};
    QScrollArea* cardArea_{};
    CheckList* list_{};
    QVector<QToolButton*> conditions_;
    QWidget* decision_{};
    QLabel* unmatched_{};
    QVector<QToolButton*> remedies_; ///< in the order of bench::Remedy
    QStackedWidget* pages_{};
    PolarityView* polarity_{};
    ReplacementView* replacement_{};
    QVector<QToolButton*> tabs_;
};

} // namespace yf::app
