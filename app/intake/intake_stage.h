// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/edit/intake.h"
#include "core/evaluation/arrangements.h"

class QLabel;
class QLineEdit;
class QPlainTextEdit;
class QPushButton;
class QToolButton;

namespace yf::app {

class OldPartList;
class PhotoStrip;
class PhotoView;
class ProtectorList;
class TracePicture;

/// What came in: the complaint, the aim, how drivers share a way, protectors and old parts with
/// their condition, pictures; and the search from the source to the driver, outside before inside.
class IntakeStage final : public Stage {
    Q_OBJECT

public:
    explicit IntakeStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("intake"); }

    [[nodiscard]] QString title() const override { return tr("Intake"); }

    [[nodiscard]] int place() const override { return 1; }

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] QString state(const Sight& sight) const override;
    void display(const Sight& sight) override;
    bool go(const Place& place) override;

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QWidget* buildWords();
    QWidget* buildWay();
    QWidget* buildTrace();
    void apply(const edit::Edit& edit);
    void showWay();
    void showTrace();
    void warn(const evaluation::ArrangementChoice& choice);

    Sight sight_;
    QPlainTextEdit* complaint_{};
    QVector<QToolButton*> aims_;
    QLabel* wayName_{};
    QLineEdit* printed_{};
    std::string shownDriver_; ///< whose print stands in the field
    QVector<QToolButton*> arrangements_;
    std::vector<evaluation::ArrangementChoice> choices_;
    QLabel* warning_{};
    TracePicture* trace_{};
    QLabel* traceSaid_{};
    QLabel* question_{};
    QWidget* answers_{};
    std::string asked_;
    ProtectorList* protectors_{};
    OldPartList* oldParts_{};
    PhotoStrip* photos_{};
    PhotoView* photo_{};
};

} // namespace yf::app
