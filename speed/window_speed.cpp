// SPDX-License-Identifier: GPL-3.0-or-later
// From a hand's step (a tile's change, a port or a driver dragged) to the painted window, at
// 1280 × 800 offscreen, as a share of a frame of 16.7 ms; beside it, in the same run, what the
// evaluation, the facts, the findings panel and the plots take of it.
#include "app/box/cutaway.h"
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/findings/findings_panel.h"
#include "app/frame/main_menu.h"
#include "app/frame/main_window.h"
#include "app/front/front_view.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "core/edit/parts.h"
#include "core/evaluation/assemble.h"
#include "core/findings/assess.h"
#include "demo/projection_room.h"
#include "tests/support/ask_nothing.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>

#include <benchmark/benchmark.h>

#include <algorithm>
#include <cstdio>
#include <ctime>
#include <functional>
#include <vector>

namespace {

using namespace yf;

constexpr double frame = 16.7; // ms

void wholeEvaluation(benchmark::State& state) {
    const auto history = demo::projectionRoom(demo::tables());
    const job::Job& job = history->job();
    const evaluation::Assembly assembly = evaluation::assemble(job);
    for (auto _ : state) {
        benchmark::DoNotOptimize(evaluation::evaluate(job, assembly));
    }
}

void turnWheel(QWidget* tile, int notch) {
    const QPointF at = QRectF(tile->rect()).center();
    QWheelEvent event(at,
                      tile->mapToGlobal(at),
                      {},
                      {0, notch},
                      Qt::NoButton,
                      Qt::NoModifier,
                      Qt::NoScrollPhase,
                      false);
    QApplication::sendEvent(tile, &event);
}

double percentile(std::vector<double> values, double share) {
    std::ranges::sort(values);
    return values[static_cast<std::size_t>(share * static_cast<double>(values.size() - 1))];
}

/// Milliseconds from each act of a hand until the window has been painted with its result: on the
/// clock, and of the processor for the window's thread, which no busy neighbour lengthens.
struct Times {
    std::vector<double> clock;
    std::vector<double> own;
};

double ownTime() {
    timespec now{};
    clock_gettime(CLOCK_THREAD_CPUTIME_ID, &now);
    return 1e3 * static_cast<double>(now.tv_sec) + 1e-6 * static_cast<double>(now.tv_nsec);
}

Times hands(app::MainWindow& window, int turns, const std::function<void(int)>& act) {
    Times times;
    QElapsedTimer timer;
    for (int i = 0; i < turns; ++i) {
        bool shown = false;
        const auto connection =
            QObject::connect(&window, &app::MainWindow::displayed, &window, [&] { shown = true; });
        timer.start();
        const double began = ownTime();
        act(i);
        while (!shown) {
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
        }
        // What was asked to be painted is painted now, replots included.
        QCoreApplication::sendPostedEvents();
        QCoreApplication::processEvents();
        times.clock.push_back(static_cast<double>(timer.nsecsElapsed()) * 1e-6);
        times.own.push_back(ownTime() - began);
        QObject::disconnect(connection);
        // The disk is another thread's matter, but a quiet one makes the next figure fair.
        while (!window.settled()) {
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
        }
        // Cards of the findings that came or went when the hand rested are painted by now.
        QCoreApplication::sendPostedEvents();
        QCoreApplication::processEvents();
    }
    return times;
}

/// The end of the port under the mouse, to and fro by two pixels.
class PortDrag {
public:
    explicit PortDrag(app::MainWindow& window)
        : cutaway_(window.findChild<app::Cutaway*>(QStringLiteral("cutaway"))),
          from_(cutaway_->handleAt(QStringLiteral("port"))) {
        cutaway_->setPlaying(false);
        send(QEvent::MouseButtonPress, 0.0);
    }

    ~PortDrag() { send(QEvent::MouseButtonRelease, 0.0); }

    void step(int i) { send(QEvent::MouseMove, 2.0 * (i % 16 < 8 ? i % 16 + 1 : 15 - i % 16)); }

private:
    void send(QEvent::Type type, double by) {
        const QPointF at = from_ + QPointF(by, 0.0);
        QMouseEvent event(
            type, at, cutaway_->mapToGlobal(at), Qt::LeftButton, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(cutaway_, &event);
    }

    app::Cutaway* cutaway_;
    QPointF from_;
};

/// A driver in the hand on the front, to and fro by up to eight pixels.
class DriverDrag {
public:
    DriverDrag(app::MainWindow& window, const std::string& driver)
        : front_(window.findChild<app::FrontView*>()),
          from_(front_->placeOf(driver).value_or(QPoint())) {
        send(QEvent::MouseButtonPress, 0.0);
    }

    ~DriverDrag() { send(QEvent::MouseButtonRelease, 0.0); }

    void step(int i) { send(QEvent::MouseMove, 1.0 * (i % 16 < 8 ? i % 16 + 1 : 15 - i % 16)); }

private:
    void send(QEvent::Type type, double by) {
        const QPointF at = from_ + QPointF(0.0, by);
        QMouseEvent event(
            type, at, front_->mapToGlobal(at), Qt::LeftButton, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(front_, &event);
    }

    app::FrontView* front_;
    QPointF from_;
};

/// Median milliseconds of something done by itself.
double alone(int turns, const std::function<void(int)>& work) {
    std::vector<double> times;
    QElapsedTimer timer;
    for (int i = 0; i < turns; ++i) {
        timer.start();
        work(i);
        times.push_back(static_cast<double>(timer.nsecsElapsed()) * 1e-6);
    }
    return percentile(times, 0.5);
}

/// What the parts of a tile's change take by themselves: two states of the job, one part's value
/// apart, in turns.
void tellShares(app::MainWindow& window) {
    constexpr int turns = 100;
    const evaluation::Tables tables = evaluation::Tables::shipped();
    evaluation::Memory memory;
    std::shared_ptr<const app::Evaluated> both[2];
    job::Job jobs[2] = {window.present()->job, window.present()->job};
    const std::string cabinet = jobs[0].cabinets.front().id;
    jobs[1] = edit::stepPart(cabinet, "C3", network::ESeries::E12, 1, {}).apply(jobs[0]).value();
    const auto made = [&](int i) {
        auto result = std::make_shared<app::Evaluated>();
        result->job = jobs[i % 2];
        auto assembly =
            std::make_shared<evaluation::Assembly>(evaluation::assemble(result->job, memory));
        result->evaluation = evaluation::evaluate(result->job, *assembly, tables, memory);
        result->assembly = std::move(assembly);
        return result;
    };
    for (int i = 0; i < 2; ++i) {
        auto result = made(i);
        result->findings = findings::assess(result->job, *result->assembly, result->evaluation);
        both[i] = result;
    }
    const double evaluating = alone(turns, [&](int i) { benchmark::DoNotOptimize(made(i)); });
    const double facts = alone(turns, [&](int i) {
        const app::Evaluated& e = *both[i % 2];
        benchmark::DoNotOptimize(findings::assess(e.job, *e.assembly, e.evaluation));
    });
    auto* panel = window.findChild<app::FindingsPanel*>();
    const double cards = alone(turns, [&](int i) {
        panel->display(
            {.present = both[i % 2], .preview = nullptr, .cabinet = cabinet, .driver = {}});
        panel->repaint();
    });
    const auto plots = window.findChildren<app::Plot*>();
    const double painting = alone(turns, [&](int /*i*/) {
        for (app::Plot* plot : plots) {
            if (plot->isVisible()) {
                plot->repaint();
            }
        }
    });
    const auto say = [](const char* what, double ms) {
        std::printf("  %s: %.2f ms, %.0f %% of a frame\n", what, ms, 100.0 * ms / frame);
    };
    std::printf("A tile's change, its parts by themselves (medians of %d):\n", turns);
    say("evaluation of what changed", evaluating);
    say("facts and rules", facts);
    say("findings panel", cards);
    say("plots in sight, painted", painting);
}

void tell(const char* what, app::ThemeName name, const Times& times) {
    const double median = percentile(times.clock, 0.5);
    const double late = percentile(times.clock, 0.95);
    std::printf(
        "%s: %s to the painted window, 1280x800, %zu times: median %.1f ms (%.0f %% of a "
        "frame of %.1f ms), 95th percentile %.1f ms (%.0f %%); window's thread %.1f ms of the "
        "processor, 95th percentile %.1f ms\n",
        name == app::ThemeName::linen ? "Linen" : "Graphite",
        what,
        times.clock.size(),
        median,
        100.0 * median / frame,
        frame,
        late,
        100.0 * late / frame,
        percentile(times.own, 0.5),
        percentile(times.own, 0.95));
}

void settle(app::MainWindow& window) {
    while (!window.settled()) {
        QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
    }
}

} // namespace

BENCHMARK(wholeEvaluation)->Unit(benchmark::kMicrosecond);

int main(int argc, char** argv) {
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    app::loadFonts();
    for (const app::ThemeName name : {app::ThemeName::linen, app::ThemeName::graphite}) {
        app::applyTheme(application, name);
        test::AskNothing ask;
        app::MainWindow window(ask);
        app::fitMenu(window);
        window.resize(1280, 800);
        window.chooseStage(QStringLiteral("network"));
        window.openDemo();
        window.show();
        settle(window);
        auto* tile = window.findChild<app::LanesView*>(QStringLiteral("lanes"))->tile("C3");
        tile->setFocus();
        const auto turn = [tile](int i) { turnWheel(tile, i % 8 < 4 ? 120 : -120); };
        static_cast<void>(hands(window, 20, turn)); // warm
        tell("a tile's change", name, hands(window, 300, turn));
        tellShares(window);
        window.chooseStage(QStringLiteral("box"));
        window.chooseDriver(QStringLiteral("left-brome"));
        settle(window);
        PortDrag drag(window);
        const auto move = [&drag](int i) { drag.step(i); };
        static_cast<void>(hands(window, 20, move));
        tell("a port dragged", name, hands(window, 200, move));
        window.chooseStage(QStringLiteral("align"));
        settle(window);
        DriverDrag driver(window, "left-teasel");
        const auto shove = [&driver](int i) { driver.step(i); };
        static_cast<void>(hands(window, 20, shove));
        tell("a driver dragged", name, hands(window, 100, shove));
    }
    return 0;
}
