// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/findings/judge.h"
#include "core/study/replacement.h"

class QLabel;
class QListWidget;

namespace yf::app {

class QuantityField;

/// A driver in place of the one chosen: what is known of it and of its place, and the drivers of
/// the library against it, best first, each with its reasons.
class ReplacementView final : public QWidget {
    Q_OBJECT

public:
    explicit ReplacementView(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    void readLibrary();
    void keepDriver();
    void showOld(bool other);
    void showFound();
    void showReasons();
    void change();

    Sight sight_;
    study::OldDriver old_;
    driver::Library library_; ///< the shipped one and the own one
    std::vector<study::Replacement> found_;
    QLabel* heading_{};
    QLabel* sources_{};
    QLabel* trouble_{};
    QVector<QuantityField*> fields_;
    QListWidget* list_{};
    QLabel* reasons_{};
    QLabel* libraryTold_{};
};

/// Somebody's own drivers, beside the settings.
[[nodiscard]] QString ownDriversFile();

} // namespace yf::app
