// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/sim/practice.h"

#include <QTimer>

#include <memory>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QScrollArea;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class CheckCard;
class CheckList;
class DiagnosisView;
class PracticeResultView;

/// Somebody finds the hidden fault of a simulated speaker with the cards and meters of the check
/// stage, against a clock; at the end there is the truth.
class PracticePage final : public QWidget {
    Q_OBJECT

public:
    explicit PracticePage(QWidget* parent = nullptr);
    ~PracticePage() override;

    [[nodiscard]] bool hasHeightForWidth() const override { return false; }

    /// Another speaker; the same seed and level are the same one.
    void begin(std::uint64_t seed, sim::PracticeLevel level);

    /// For pictures: makes these checks, cautions heeded, and says the verdict.
    void replay(const QStringList& checks, const QString& verdict);

    /// Who looks at another page does not have meters running.
    void rest();

Q_SIGNALS:
    void left();

private:
    void build();
    void display();
    void open(const QString& check);
    void tell(const QString& trouble);
    void finish();
    void chooseSubject(bool twin);

    std::unique_ptr<sim::Practice> practice_;
    std::uint64_t seed_{};
    bool onTwin_{};
    Sight sight_;
    std::string check_;
    QTimer tips_; ///< a lead-in makes contact as it likes
    QVector<QToolButton*> levels_;
    QLineEdit* seedField_{};
    QLabel* clock_{};
    QLabel* complaint_{};
    QLabel* told_{};
    QToolButton* speaker_{};
    QToolButton* twin_{};
    DiagnosisView* diagnosis_{};
    CheckList* list_{};
    CheckCard* card_{};
    QComboBox* verdict_{};
    QPushButton* say_{};
    QStackedWidget* pages_{};
    PracticeResultView* result_{};
};

} // namespace yf::app
