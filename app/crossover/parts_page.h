// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/study/parts.h"

class QLabel;
class QPushButton;
class QTableWidget;

namespace yf::app {

class Drawer;
class QuantityField;

/// The network as things to buy and to trust: heat and voltage at a drive, how a coil is wound,
/// two parts for one value, what tolerances do, the sum of prices; and what goes to the bench as a
/// file.
class PartsPage final : public QWidget {
    Q_OBJECT

public:
    explicit PartsPage(QWidget* parent = nullptr);

    /// Computed only while the page is looked at.
    void display(const Sight& sight);

Q_SIGNALS:
    void fileOffered(const QString& title, const QString& name, const QByteArray& bytes);
    void partWanted(const QString& id);
    void edited(const yf::edit::Edit& edit);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void buildPrices();
    void study();
    void fill(const study::PartsStudy& study);
    void offer(const char* what);
    [[nodiscard]] QString summary(const study::PartsStudy& study) const;

    std::shared_ptr<const Evaluated> evaluated_;
    std::string cabinet_;
    network::Circuit studied_;
    network::Prices studiedPrices_;
    const void* curves_{}; ///< assembly the study rests on
    bool stale_{true};

    QuantityField* drive_{};
    QWidget* prices_{};
    Drawer* drawer_{};
    QPushButton* filters_{};
    QVector<QuantityField*> priceFields_; ///< in the order of pricesOf()
    bool filling_{};
    QTableWidget* table_{};
    QLabel* summary_{};
    QLabel* coils_{};
};

} // namespace yf::app
