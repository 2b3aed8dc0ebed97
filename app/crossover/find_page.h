// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/crossover/front_chart.h"
#include "app/stage/stage.h"
#include "app/widgets/aside.h"

#include <mutex>

class QCheckBox;
class QComboBox;
class QLabel;
class QPushButton;

namespace yf::app {

class QuantityField;

/// Has the machine look for whole networks. The search runs aside on all cores and can be stopped
/// and gone on with; what it came to stays in the job. A network under the pointer is shown in all
/// pictures; it becomes the cabinet's, or a snapshot, when that is asked for.
class FindPage final : public QWidget {
    Q_OBJECT

public:
    explicit FindPage(QWidget* parent = nullptr);

    void display(const Sight& sight);

    /// Starts the search, as its button does.
    void begin();

    /// The same, and shows one from the middle of the front when it is done.
    void beginAndShow();

    [[nodiscard]] bool running() const { return aside_.running(); }

    /// Listening windows are on their way.
    [[nodiscard]] bool judging() const { return judging_.running(); }

    /// A network is being shown that is not the cabinet's.
    [[nodiscard]] bool proposing() const { return shownNetwork_ >= 0; }

    /// Nothing is shown in place of the present any more.
    void leave();

Q_SIGNALS:
    void previewed(const yf::edit::Edit& edit);
    void previewEnded();
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();
    void snapshotWanted(const QString& name, const yf::edit::Edit& edit);
    void workChanged();

private:
    /// Both threads.
    struct Shared {
        std::mutex mutex;
        job::FoundFront front;
        std::size_t done{};
        std::size_t total{};
        std::size_t space{};
        bool finished{};
        QString problem;
    };

    /// How flat the listening window is with each network of a front.
    struct Windows {
        std::vector<job::FoundNetwork> of;
        std::vector<std::optional<double>> errors; ///< dB rms
        const evaluation::Assembly* assembly{};    ///< only compared
    };

    /// What a search rests on: another one begins anew, the same one goes on.
    struct Task {
        study::FindWish wish;
        std::string cabinet;
        std::shared_ptr<find::Finder> finder;
        std::shared_ptr<const Evaluated> evaluated;
    };

    void build();
    void stop();
    void hear();
    void finished();
    void showNetwork(int network);
    void choose(int network);
    void draw();
    void judgeWindows();
    [[nodiscard]] std::optional<double> windowOf(int network) const;
    void tell(const QString& words);
    void enable();
    [[nodiscard]] study::FindWish wish() const;
    [[nodiscard]] QString wordsFor(int network) const;
    [[nodiscard]] bool canGoOn() const;

    std::shared_ptr<const Evaluated> evaluated_;
    std::string cabinet_;
    std::optional<job::FoundFront> front_;
    std::optional<job::FoundFront> kept_; ///< of the job, when last looked at
    std::optional<job::FoundNetwork> present_;
    network::Circuit judged_; ///< what `present_` was made of
    bool judgedAside_{};      ///< and by which measure
    int chosen_{-1};
    int shownNetwork_{-1};
    bool wanted_{}; ///< asked for before there was anything to look for
    bool showWhenDone_{};
    Task task_;
    std::shared_ptr<Shared> shared_;
    std::shared_ptr<Windows> windows_;
    Aside aside_; ///< last of those that its thread uses: ends before them
    Aside judging_;

    QComboBox* order_{};
    QComboBox* values_{};
    QCheckBox* besides_{};
    QComboBox* across_{};
    QComboBox* window_{};
    QuantityField* floor_{};
    QPushButton* start_{};
    QPushButton* take_{};
    QPushButton* keep_{};
    FrontChart* chart_{};
    QLabel* told_{};
};

/// "second order for Sorrel 26; no pad for Teasel": what one network has and another has not.
[[nodiscard]] QString changeWords(const std::vector<study::ShapeChange>& changes,
                                  const QStringList& ways);

} // namespace yf::app
