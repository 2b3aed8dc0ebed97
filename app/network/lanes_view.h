// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/network/lane_layout.h"
#include "core/job/edit.h"
#include "core/job/helpers.h"

#include <QWidget>

#include <functional>

class QLabel;
class QLineEdit;
class QMenu;

namespace yf::app {

class DriverEndButton;
class InsertButton;
class PartTile;

/// The network as lanes, one for each way, and the hand's work on it. It wants edits and previews;
/// it changes nothing itself.
class LanesView final : public QWidget {
    Q_OBJECT

public:
    explicit LanesView(QWidget* parent = nullptr);

    /// Who knows what would help a way: asked when the menu of a place opens.
    using HelperSource = std::function<std::vector<job::Helper>(std::size_t way)>;

    void setHelpers(HelperSource source) { helpers_ = std::move(source); }

    void display(const job::Job& job, const job::Cabinet& cabinet);

    void setSeries(network::ESeries series) { series_ = series; }

    [[nodiscard]] PartTile* tile(const std::string& part) const;

    /// Focus on the first part, or on the first place for one.
    void focusFirst();

    [[nodiscard]] QSize sizeHint() const override { return layout_.size; }

Q_SIGNALS:
    void edited(const yf::job::Edit& edit);
    void gestureEnded();
    void previewed(const yf::job::Edit& edit);
    void previewEnded();

    /// Another part has the focus; empty: none.
    void partChosen(const QString& id);

protected:
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void rebuild();
    PartTile* newTile(const LaneLayout::Tile& place, const network::Part& part);
    void connectTile(PartTile* tile);
    void openEditor(const PartTile* tile, const QString& text);
    void readEditor();
    void leaveEditor();
    void closeEditor();
    void say(const QString& problem);
    void offerInsert(const network::SlotPlace& place, const QPoint& at);
    void addHelpers(const network::SlotPlace& place);
    [[nodiscard]] QString helperWords(const job::Helper& helper) const;

    HelperSource helpers_;
    job::Job job_;
    std::string cabinet_;
    network::Circuit circuit_;
    network::ESeries series_{network::ESeries::E12};
    LaneLayout layout_;
    QVector<PartTile*> tiles_;
    QVector<InsertButton*> inserts_;
    QVector<DriverEndButton*> ends_;
    QLineEdit* editor_{};
    QLabel* problem_{};
    QMenu* menu_{};
    std::string edits_;  ///< the part in the editor
    QString questioned_; ///< text that was asked about and waits for a second Enter
    bool awaitsNew_{};   ///< an insertion is under way: the part not in known_ gets the focus
    std::vector<std::string> known_;
};

} // namespace yf::app
