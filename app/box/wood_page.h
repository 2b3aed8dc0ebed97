// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"
#include "core/box/cut_list.h"
#include "core/edit/box.h"

#include <QWidget>

class QComboBox;
class QLabel;
class QPushButton;
class QSpinBox;
class QTableWidget;

namespace yf::app {

class QuantityField;

/// Boards laid on their sheets, to scale, named.
class SheetView final : public QWidget {
    Q_OBJECT

public:
    explicit SheetView(QWidget* parent = nullptr);

    void display(std::vector<box::Board> boards, box::Sheet sheet, box::Layout layout);

    [[nodiscard]] QSize sizeHint() const override { return {360, 170}; }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    std::vector<box::Board> boards_;
    box::Sheet sheet_;
    box::Layout layout_;
};

/// "side", "partition" … as the cut list names its boards.
[[nodiscard]] QString boardWords(const std::string& name);

/// Carpentry: the wood, what takes volume away, the cut list, where panels and the air inside sing.
class WoodPage final : public QWidget {
    Q_OBJECT

public:
    explicit WoodPage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void fileOffered(const QString& title, const QString& name, const QByteArray& bytes);

private:
    void buildFields();
    void change(const std::function<void(job::Enclosure&)>& how);
    void size(const edit::OuterSizes& sizes);
    void tellModes(const BoxSight& box);
    void showCuts(const BoxSight& box);
    void save();

    std::string cabinet_;
    job::Enclosure enclosure_;
    std::vector<box::Board> boards_;
    std::vector<double> advised_;
    bool inch_{};
    double clearHeight_{1.0}; ///< m, of the chamber inside
    bool filling_{};
    QWidget* fields_{};
    QuantityField* height_{};
    QuantityField* width_{};
    QuantityField* depth_{};
    QuantityField* panel_{};
    QuantityField* front_{};
    QComboBox* material_{};
    QComboBox* shape_{};
    QuantityField* depthTop_{};
    QuantityField* dead_{};
    QuantityField* driver_{};
    QuantityField* network_{};
    QSpinBox* braces_{};
    QLabel* sum_{};
    QLabel* advice_{};
    QPushButton* brace_{};
    QTableWidget* cuts_{};
    QuantityField* kerf_{};
    QLabel* sheets_{};
    SheetView* sheet_{};
    QLabel* panels_{};
    QLabel* modes_{};
    QPushButton* save_{};
};

} // namespace yf::app
