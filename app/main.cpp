// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/language.h"
#include "app/frame/main_menu.h"
#include "app/frame/main_window.h"
#include "app/frame/settings.h"
#include "app/frame/showing.h"
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

/// What the command line asks for, checked.
struct Orders {
    QSize size;
    ThemeName theme{};
    QString language; ///< empty: the machine's own
};

void describe(QCommandLineParser& parser) {
    const auto option = [&](const char* name,
                            const char* help,
                            const char* value = "",
                            const char* otherwise = "") {
        parser.addOption({QLatin1String(name),
                          QLatin1String(help),
                          QLatin1String(value),
                          QLatin1String(otherwise)});
    };
    parser.setApplicationDescription(QStringLiteral("Measure, check and tune loudspeakers."));
    parser.addHelpOption();
    option("demo", "Open the demo job.");
    option("picture", "Draw the window into a PNG file and end; needs no display.", "file");
    option("theme", "linen, graphite, paper or night.", "name");
    option(
        "stage", "Stage to show: intake, check, measure, box, network or align.", "id", "network");
    option("driver", "Driver to choose, by id or name.", "name");
    option("table", "Import a text table for a driver; may be given again.", "driver=file");
    option("size", "Size of the window.", "WxH", "1280x800");
    option("cabinet", "Cabinet to choose, by id.", "id");
    option(
        "reveal",
        "What to bring into sight: start, front-editor, log, help, finder, differences, snapshot, "
        "finding:ID, STAGE:PAGE[:SUBJECT], practise:NUMBER:LEVEL[:CHECK+CHECK:VERDICT]; may be "
        "given again.",
        "place");
    option("import", "Look at a file before it is taken; may be given again.", "file");
    option("language", "en or de.", "id");
    parser.addPositionalArgument(
        QStringLiteral("job"), QStringLiteral("Job file to open."), QStringLiteral("[job]"));
}

/// What is wrong with the words given; empty: nothing, and `orders` hold them.
QString read(const QCommandLineParser& parser, Orders& orders) {
    const bool picture = parser.isSet(QStringLiteral("picture"));
    orders.theme = picture ? ThemeName::linen : yf::app::settings::theme();
    if (const QString wanted = parser.value(QStringLiteral("theme")); !wanted.isEmpty()) {
        const auto* found = std::find_if(yf::app::themeNames.begin(),
                                         yf::app::themeNames.end(),
                                         [&](ThemeName n) { return yf::app::idOf(n) == wanted; });
        if (found == yf::app::themeNames.end()) {
            return QStringLiteral("--theme: '%1' given, must be linen, graphite, paper or night")
                .arg(wanted);
        }
        orders.theme = *found;
    }
    const QString size = parser.value(QStringLiteral("size"));
    const QStringList sides = size.split(u'x');
    orders.size = sides.size() == 2 ? QSize(sides[0].toInt(), sides[1].toInt()) : QSize();
    if (orders.size.width() < 1024 || orders.size.height() < 700) {
        return QStringLiteral("--size: '%1' given, must be WIDTHxHEIGHT, at least 1024x700")
            .arg(size);
    }
    static const QStringList stages{QStringLiteral("intake"),
                                    QStringLiteral("check"),
                                    QStringLiteral("measure"),
                                    QStringLiteral("box"),
                                    QStringLiteral("network"),
                                    QStringLiteral("align")};
    if (const QString stage = parser.value(QStringLiteral("stage")); !stages.contains(stage)) {
        return QStringLiteral("--stage: '%1' given, must be one of %2")
            .arg(stage, stages.join(QStringLiteral(", ")));
    }
    // Pictures are the same on every machine unless another language is asked for.
    const QString language = QStringLiteral("language");
    orders.language = parser.isSet(language) ? parser.value(language)
                      : picture              ? QStringLiteral("en")
                                             : yf::app::settings::language();
    if (!orders.language.isEmpty() && orders.language != QLatin1String("en") &&
        orders.language != QLatin1String("de")) {
        return QStringLiteral("--language: '%1' given, must be en or de").arg(orders.language);
    }
    for (const QString& pair : parser.values(QStringLiteral("table"))) {
        if (pair.indexOf(u'=') < 1) {
            return QStringLiteral("--table: '%1' given, must be DRIVER=FILE").arg(pair);
        }
    }
    return {};
}

/// What could not be opened; empty: nothing. A window stands there and says why.
QString open(MainWindow& window, const QCommandLineParser& parser) {
    QString wrong;
    window.chooseStage(parser.value(QStringLiteral("stage")));
    if (parser.isSet(QStringLiteral("demo"))) {
        window.openDemo();
    } else if (const QStringList jobs = parser.positionalArguments(); !jobs.isEmpty()) {
        if (!window.openJob(jobs.front())) {
            wrong = QStringLiteral("%1: the job could not be opened").arg(jobs.front());
        }
    }
    if (const QString cabinet = parser.value(QStringLiteral("cabinet")); !cabinet.isEmpty()) {
        window.chooseCabinet(cabinet);
    }
    if (const QString driver = parser.value(QStringLiteral("driver")); !driver.isEmpty()) {
        window.chooseDriver(driver);
    }
    for (const QString& pair : parser.values(QStringLiteral("table"))) {
        const qsizetype equals = pair.indexOf(u'=');
        window.importTables(pair.left(equals), {pair.mid(equals + 1)});
    }
    return wrong;
}

/// What is wrong with the places given; empty: nothing, they were shown.
QString show(MainWindow& window, const QCommandLineParser& parser) {
    window.show();
    if (const QStringList files = parser.values(QStringLiteral("import")); !files.isEmpty()) {
        waitFor(window);
        window.previewImport(files);
    }
    const QStringList places = parser.values(QStringLiteral("reveal"));
    if (!places.isEmpty()) {
        waitFor(window);
    }
    for (const QString& place : places) {
        if (!yf::app::Showing(window).show(place)) {
            return QStringLiteral("--reveal: there is no '%1'").arg(place);
        }
    }
    return {};
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
    describe(parser);
    parser.process(application);
    Orders orders;
    if (const QString wrong = read(parser, orders); !wrong.isEmpty()) {
        return refuse(wrong);
    }
    yf::app::useLanguage(application, orders.language);
    yf::app::loadFonts();
    yf::app::applyTheme(application, orders.theme);
    yf::app::AskWithDialogs ask;
    MainWindow window(ask);
    fitMenu(window);
    window.resize(orders.size);
    if (const QString wrong = open(window, parser); picture && !wrong.isEmpty()) {
        return refuse(wrong);
    }
    if (const QString wrong = show(window, parser); !wrong.isEmpty()) {
        return refuse(wrong);
    }
    return picture ? takePicture(window, parser.value(QStringLiteral("picture")))
                   : QApplication::exec();
}
