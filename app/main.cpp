// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/language.h"
#include "app/frame/main_menu.h"
#include "app/frame/main_window.h"
#include "app/frame/settings.h"
#include "app/theme/theme.h"
#include "app/widgets/ask.h"

#include <QApplication>
#include <QCommandLineParser>
#include <QElapsedTimer>
#include <QImage>
#include <QPixmap>
#include <QSettings>

#include <cstdio>

namespace {

using yf::app::MainWindow;
using yf::app::ThemeName;

bool hasDisplay() {
    return qEnvironmentVariableIsSet("DISPLAY") || qEnvironmentVariableIsSet("WAYLAND_DISPLAY") ||
           qEnvironmentVariableIsSet("QT_QPA_PLATFORM");
}

bool wantsPicture(int argc, char** argv) {
    return std::any_of(argv + 1, argv + argc, [](const char* word) {
        return QByteArray(word).startsWith("--picture");
    });
}

int refuse(const QString& words) {
    std::fprintf(stderr, "yellowfront: %s\n", qPrintable(words));
    return 2;
}

/// Until everything shown is up to date.
void waitFor(const MainWindow& window) {
    constexpr qint64 patience = 20000; // ms
    constexpr qint64 settling = 150;   // ms, for what is laid out or evaluated aside
    QElapsedTimer timer;
    timer.start();
    QElapsedTimer rested;
    rested.start();
    while (timer.elapsed() < patience && rested.elapsed() < settling) {
        QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents, 20);
        if (window.document() != nullptr && !window.settled()) {
            rested.restart(); // it is laid out once it is evaluated
        }
    }
}

/// The window once it stands still: layouts that follow each other take several turns, so two
/// pictures in a row have to be alike. What moves by itself never is: then the last one counts.
QImage standingPicture(MainWindow& window) {
    constexpr int most = 12;
    QImage before;
    for (int turn = 0; turn < most; ++turn) {
        waitFor(window);
        const QImage now = window.grab().toImage();
        if (now == before) {
            break;
        }
        before = now;
    }
    return before;
}

/// Waits for the picture to be complete, then writes it.
int takePicture(MainWindow& window, const QString& path) {
    if (!standingPicture(window).save(path)) {
        return refuse(QStringLiteral("%1: the picture could not be written").arg(path));
    }
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    const bool picture = wantsPicture(argc, argv);
    if (picture) {
        qputenv("QT_QPA_PLATFORM", "offscreen");
    } else if (!hasDisplay()) {
        std::fputs("yellowfront: there is no display to open a window on; \"./yf demo --picture "
                   "FILE\" draws the same window into a PNG file instead.\n",
                   stderr);
        return 1;
    }
    if (!picture && !qEnvironmentVariableIsSet("QT_SCALE_FACTOR")) {
        qputenv("QT_SCALE_FACTOR", QByteArray::number(yf::app::settings::scale() / 100.0));
    }
    QApplication application(argc, argv);
    QCoreApplication::setApplicationName(QStringLiteral("yellowfront"));
    QCoreApplication::setOrganizationName(QStringLiteral("yellowfront"));

    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("Measure, check and tune loudspeakers."));
    parser.addHelpOption();
    const QCommandLineOption demo(QStringLiteral("demo"), QStringLiteral("Open the demo job."));
    const QCommandLineOption pictureFile(
        QStringLiteral("picture"),
        QStringLiteral("Draw the window into a PNG file and end; needs no display."),
        QStringLiteral("file"));
    const QCommandLineOption theme(QStringLiteral("theme"),
                                   QStringLiteral("linen, graphite, paper or night."),
                                   QStringLiteral("name"));
    const QCommandLineOption stage(
        QStringLiteral("stage"),
        QStringLiteral("Stage to show: intake, check, measure, box, network or align."),
        QStringLiteral("id"),
        QStringLiteral("network"));
    const QCommandLineOption driver(QStringLiteral("driver"),
                                    QStringLiteral("Driver to choose, by id or name."),
                                    QStringLiteral("name"));
    const QCommandLineOption table(
        QStringLiteral("table"),
        QStringLiteral("Import a text table for a driver; may be given again."),
        QStringLiteral("driver=file"));
    const QCommandLineOption size(QStringLiteral("size"),
                                  QStringLiteral("Size of the window."),
                                  QStringLiteral("WxH"),
                                  QStringLiteral("1280x800"));
    const QCommandLineOption cabinet(QStringLiteral("cabinet"),
                                     QStringLiteral("Cabinet to choose, by id."),
                                     QStringLiteral("id"));
    const QCommandLineOption reveal(
        QStringLiteral("reveal"),
        QStringLiteral("Part of the window to open: start, front-editor, log, help, finder, "
                       "differences, snapshot, finding:ID, check:KEY, "
                       "practise:NUMBER:LEVEL[:CHECK+CHECK:VERDICT]; may "
                       "be given again."),
        QStringLiteral("part"));
    const QCommandLineOption import(
        QStringLiteral("import"),
        QStringLiteral("Look at a file before it is taken; may be given "
                       "again."),
        QStringLiteral("file"));
    const QCommandLineOption language(
        QStringLiteral("language"), QStringLiteral("en or de."), QStringLiteral("id"));
    parser.addOptions(
        {language, import, cabinet, reveal, demo, pictureFile, theme, stage, driver, table, size});
    parser.addPositionalArgument(
        QStringLiteral("job"), QStringLiteral("Job file to open."), QStringLiteral("[job]"));
    parser.process(application);

    ThemeName name = picture ? ThemeName::linen : yf::app::settings::theme();
    if (const QString wanted = parser.value(theme); !wanted.isEmpty()) {
        const auto* found = std::find_if(yf::app::themeNames.begin(),
                                         yf::app::themeNames.end(),
                                         [&](ThemeName n) { return yf::app::idOf(n) == wanted; });
        if (found == yf::app::themeNames.end()) {
            return refuse(QStringLiteral("--theme: '%1' given, must be linen, graphite, paper or "
                                         "night")
                              .arg(wanted));
        }
        name = *found;
    }
    const QStringList sides = parser.value(size).split(u'x');
    const QSize pixels = sides.size() == 2 ? QSize(sides[0].toInt(), sides[1].toInt()) : QSize();
    if (pixels.width() < 1024 || pixels.height() < 700) {
        return refuse(QStringLiteral("--size: '%1' given, must be WIDTHxHEIGHT, at least 1024x700")
                          .arg(parser.value(size)));
    }
    static const QStringList stages{QStringLiteral("intake"),
                                    QStringLiteral("check"),
                                    QStringLiteral("measure"),
                                    QStringLiteral("box"),
                                    QStringLiteral("network"),
                                    QStringLiteral("align")};
    if (!stages.contains(parser.value(stage))) {
        return refuse(QStringLiteral("--stage: '%1' given, must be one of %2")
                          .arg(parser.value(stage), stages.join(QStringLiteral(", "))));
    }

    // Pictures are the same on every machine unless another language is asked for.
    const QString spoken = parser.isSet(language) ? parser.value(language)
                           : picture              ? QStringLiteral("en")
                                                  : yf::app::settings::language();
    if (!spoken.isEmpty() && spoken != QLatin1String("en") && spoken != QLatin1String("de")) {
        return refuse(QStringLiteral("--language: '%1' given, must be en or de").arg(spoken));
    }
    yf::app::useLanguage(application, spoken);
    yf::app::loadFonts();
    yf::app::applyTheme(application, name);
    yf::app::AskWithDialogs ask;
    MainWindow window(ask);
    fitMenu(window);
    window.resize(pixels);
    window.chooseStage(parser.value(stage));
    if (parser.isSet(demo)) {
        window.openDemo();
    } else if (const QStringList jobs = parser.positionalArguments(); !jobs.isEmpty()) {
        window.openJob(jobs.front());
    }
    if (parser.isSet(cabinet)) {
        window.chooseCabinet(parser.value(cabinet));
    }
    if (parser.isSet(driver)) {
        window.chooseDriver(parser.value(driver));
    }
    for (const QString& pair : parser.values(table)) {
        const qsizetype equals = pair.indexOf(u'=');
        if (equals < 1) {
            return refuse(QStringLiteral("--table: '%1' given, must be DRIVER=FILE").arg(pair));
        }
        window.importTables(pair.left(equals), {pair.mid(equals + 1)});
    }
    window.show();
    if (const QStringList files = parser.values(import); !files.isEmpty()) {
        waitFor(window);
        window.previewImport(files);
    }
    if (const QStringList parts = parser.values(reveal); !parts.isEmpty()) {
        waitFor(window);
        for (const QString& part : parts) {
            window.reveal(part);
        }
    }
    return picture ? takePicture(window, parser.value(pictureFile)) : QApplication::exec();
}
