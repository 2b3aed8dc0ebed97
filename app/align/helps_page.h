// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "app/widgets/aside.h"
#include "core/study/align.h"

class QLabel;
class QTableWidget;

namespace yf::app {

/// Single changes and what each would bring, best first: under the pointer each is drawn, Enter or
/// a double click makes it. Computed aside when the job rests.
class HelpsPage final : public QWidget {
    Q_OBJECT

public:
    explicit HelpsPage(QWidget* parent = nullptr);

    void display(const Sight& sight);

    [[nodiscard]] bool working() const { return aside_.running(); }

Q_SIGNALS:
    void previewed(const yf::edit::Edit& edit);
    void previewEnded();
    void edited(const yf::edit::Edit& edit);

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void begin();
    void fill();
    void look(int row);
    void endLook();

    /// What the work came to; both threads.
    struct Shared {
        std::mutex mutex;
        std::optional<study::RemedyList> list;
    };

    std::shared_ptr<const Evaluated> evaluated_;
    std::string cabinet_;
    std::uint64_t computedFor_{}; ///< revision
    std::string computedCabinet_;
    study::RemedyList list_;
    int looked_{-1};
    bool stale_{true};
    std::shared_ptr<Shared> shared_;
    Aside aside_; ///< last: ends before what its thread uses

    QTableWidget* table_{};
    QLabel* said_{};
};

} // namespace yf::app
