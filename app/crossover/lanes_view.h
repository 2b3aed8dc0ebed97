// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/crossover/lane_layout.h"
#include "app/stage/stage.h"
#include "core/edit/lane.h"
#include "core/edit/parts.h"
#include "core/study/helpers.h"

#include <QWidget>

#include <functional>

class QLabel;
class QLineEdit;
class QMenu;

namespace yf::app {

class ControlTile;
class DriverEndButton;
class InsertButton;
class LaneTile;
class LineTile;
class PartTile;

/// The network as lanes, one for each way, and the hand's work on it. It wants edits and previews;
/// it changes nothing itself.
class LanesView final : public QWidget {
    Q_OBJECT

public:
    explicit LanesView(QWidget* parent = nullptr);

    /// Who knows what would help a way: asked when the menu of a place opens.
    using HelperSource = std::function<std::vector<study::Helper>(std::size_t way)>;

    void setHelpers(HelperSource source) { helpers_ = std::move(source); }

    void display(const job::Job& job, const job::Cabinet& cabinet);

    /// What the wheel steps through: a series, or the own parts.
    void setSeries(network::ESeries series, bool own) {
        series_ = series;
        own_ = own;
    }

    [[nodiscard]] PartTile* tile(const std::string& part) const;

    /// Focus on the first part, or on the first place for one.
    void focusFirst();

    [[nodiscard]] QSize sizeHint() const override { return layout_.size; }

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);
    void editWanted(const yf::app::EditMaker& make);
    void gestureEnded();
    void previewed(const yf::edit::Edit& edit);
    void previewEnded();

    /// Another part has the focus; empty: none.
    void partChosen(const QString& id);

protected:
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    /// What a text in the editor comes to.
    struct Typed {
        std::optional<edit::Edit> edit; ///< absent: nothing would change
        std::optional<Words> question;
    };

    using TextReader = std::function<Result<Typed>(const std::string&)>;

    void rebuild();
    void place(LaneTile* tile, const QRect& rect);
    void connectTile(LaneTile* tile);
    void connectPart(PartTile* tile);
    void connectLine(LineTile* tile);
    void connectControl(ControlTile* tile);
    void openEditor(const LaneTile* tile, const QString& text);
    [[nodiscard]] TextReader readerOf(const LaneTile* tile) const;
    [[nodiscard]] LaneTile* tileOfKey(const std::string& key) const;
    void readEditor();
    void leaveEditor();
    void closeEditor();
    void say(const QString& problem);
    void focusNeighbour(const LaneTile* tile);
    void offerInsert(const network::SlotPlace& place, const QPoint& at);
    void offerControls(const network::SlotPlace& place);
    void offerFilters(const network::LinePlace& place, const QPoint& at);
    void offerFixed(const ControlTile* tile);
    void addHelpers(const network::SlotPlace& place);
    [[nodiscard]] QString helperWords(const study::Helper& helper) const;

    HelperSource helpers_;
    job::Job job_;
    std::string cabinet_;
    network::Circuit circuit_;
    network::ESeries series_{network::ESeries::E12};
    bool own_{};
    LaneLayout layout_;
    QVector<LaneTile*> tiles_;
    QVector<QWidget*> inserts_;
    QVector<DriverEndButton*> ends_;
    QLineEdit* editor_{};
    QLabel* problem_{};
    QMenu* menu_{};
    std::string edits_;  ///< key of the tile in the editor
    TextReader reader_;  ///< of that tile
    QString questioned_; ///< text that was asked about and waits for a second Enter
    bool awaitsNew_{};   ///< an insertion is under way: the tile not in known_ gets the focus
    std::vector<std::string> known_;
    std::string awaited_; ///< or the one of this key
};

} // namespace yf::app
