// SPDX-License-Identifier: GPL-3.0-or-later
// An opening that ended the program: the next one leaves out what it was busy with, and says so.
#include "app/desk/desk.h"
#include "app/desk/recent.h"
#include "app/evaluation/opening_trail.h"
#include "app/widgets/words.h"
#include "core/job/lookup.h"
#include "core/job/store/store.h"
#include "tests/support/demo_job.h"
#include "tests/support/temp_folder.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QFile>

#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

#include <algorithm>
#include <csignal>

namespace yf::test {

namespace {

using app::OpeningTrail;
using evaluation::Piece;
using evaluation::Work;

/// A process that opens a job and is ended by what it is busy with.
void dieWith(const QString& trail, const Work& work) {
    const pid_t child = ::fork();
    if (child == 0) {
        OpeningTrail opening(trail);
        opening.busy({Piece::bench, {}});
        opening.busy(work);
        ::kill(::getpid(), SIGKILL);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    ASSERT_TRUE(WIFSIGNALED(status));
}

template <class F>
bool happens(F&& condition) {
    QElapsedTimer timer;
    timer.start();
    while (!condition() && timer.elapsed() < 30000) {
        QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
    }
    return condition();
}

/// A desk with the demo job opened from a file, as a window would.
class Opening {
public:
    Opening() {
        path_ = folder_.path("job.yfjob");
        EXPECT_TRUE(job::store::Store::create(path_, demoHistory()).ok());
        QObject::connect(
            &desk_, &app::Desk::offered, [this](auto, const QString& text, auto, auto act) {
                said_ = text;
                act_ = act;
            });
    }

    [[nodiscard]] QString path() const { return QFile::decodeName(path_.c_str()); }

    [[nodiscard]] QString trail() const { return app::openingTrail(path()); }

    bool open() {
        return desk_.openJob(path()) && happens([&] { return desk_.settled(); });
    }

    const app::Evaluated& shown() { return *desk_.sight().present; }

    app::Desk& desk() { return desk_; }

    [[nodiscard]] const QString& said() const { return said_; }

    void again() { act_(); }

private:
    TempFolder folder_;
    std::string path_;
    app::Desk desk_;
    QString said_;
    std::function<void()> act_;
};

std::size_t takesOf(const job::Job& job, const std::string& driver) {
    return static_cast<std::size_t>(std::ranges::count_if(job.takes, [&](const job::Take& take) {
        return job::aboutOf(job, take).driver == driver;
    }));
}

} // namespace

TEST(OpeningTrail, anOpeningThatWentWellLeavesNothingBehind) {
    Opening one;
    ASSERT_TRUE(one.open());
    EXPECT_TRUE(one.said().isEmpty()) << one.said().toStdString();
    EXPECT_TRUE(happens([&] { return !QFile::exists(one.trail()); }));
    EXPECT_EQ(one.shown().job.takes.size(), one.desk().document()->job().takes.size());
}

TEST(OpeningTrail, whatEndedTheProgramIsLeftOutAndCanBeTriedAgain) {
    Opening one;
    const job::Job job = demoJob();
    const std::string driver = job.cabinets.front().mounts.front().driver;
    ASSERT_GT(takesOf(job, driver), 0U);
    dieWith(one.trail(), {Piece::measurements, {driver}});

    ASSERT_TRUE(one.open());
    EXPECT_EQ(takesOf(one.shown().job, driver), 0U);
    EXPECT_EQ(takesOf(one.desk().document()->job(), driver), takesOf(job, driver));
    EXPECT_TRUE(one.said().contains(app::words(job::findDriver(job, driver)->name)))
        << one.said().toStdString();
    // The others are computed.
    EXPECT_EQ(one.shown().job.takes.size() + takesOf(job, driver), job.takes.size());
    EXPECT_FALSE(one.shown().assembly->readings.contains(driver));
    EXPECT_FALSE(one.shown().assembly->readings.empty());

    one.again();
    ASSERT_TRUE(happens([&] {
        return one.desk().settled() && takesOf(one.shown().job, driver) == takesOf(job, driver);
    }));
    EXPECT_TRUE(happens([&] { return !QFile::exists(one.trail()); }));
}

TEST(OpeningTrail, itStaysLeftOutAtTheNextOpening) {
    Opening one;
    const std::string cabinet = demoJob().cabinets.front().id;
    dieWith(one.trail(), {Piece::network, {cabinet}});
    ASSERT_TRUE(one.open());
    ASSERT_TRUE(happens([&] {
        QFile file(one.trail());
        return file.open(QIODevice::ReadOnly) && file.readAll().endsWith("over\n");
    }));
    const OpeningTrail next(one.trail());
    EXPECT_EQ(next.left(), (std::vector<Work>{{Piece::network, {cabinet}}}));
    EXPECT_TRUE(one.shown().evaluation.cabinets.front().sum.empty());
    // The network itself is to be seen and changed.
    EXPECT_FALSE(one.shown().evaluation.cabinets.front().ways.empty());
}

TEST(OpeningTrail, whatIsLeftOutInVainIsFollowedByEverything) {
    const TempFolder folder;
    const QString trail = QFile::decodeName(folder.path("trail").c_str());
    dieWith(trail, {Piece::box, {"left"}});
    dieWith(trail, {Piece::bench, {}});
    dieWith(trail, {Piece::box, {"left"}});
    const OpeningTrail last(trail);
    EXPECT_EQ(last.left(),
              (std::vector<Work>{{Piece::box, {"left"}}, {Piece::bench, {}}, {Piece::whole, {}}}));
}

TEST(OpeningTrail, anotherWindowsOpeningIsNoCrash) {
    const TempFolder folder;
    const QString trail = QFile::decodeName(folder.path("trail").c_str());
    int ready[2]{};
    ASSERT_EQ(::pipe(ready), 0);
    const pid_t child = ::fork();
    if (child == 0) {
        OpeningTrail opening(trail);
        opening.busy({Piece::box, {"left"}});
        static_cast<void>(!::write(ready[1], "x", 1));
        ::pause();
        ::_exit(0);
    }
    char c = 0;
    ASSERT_EQ(::read(ready[0], &c, 1), 1);
    EXPECT_TRUE(OpeningTrail(trail).left().empty());
    ::kill(child, SIGKILL);
    ::waitpid(child, nullptr, 0);
    EXPECT_EQ(OpeningTrail(trail).left().size(), 1U);
}

TEST(OpeningTrail, whatIsNoTrailIsNone) {
    const TempFolder folder;
    const QString trail = QFile::decodeName(folder.path("trail").c_str());
    for (const char* text :
         {"", "busy", "busy {", "pid x\nbusy 7\n", "busy {\"part\":\"moon\"}\n", "\xff\xfe\n\n"}) {
        QFile file(trail);
        ASSERT_TRUE(file.open(QIODevice::WriteOnly | QIODevice::Truncate));
        file.write(text);
        file.close();
        EXPECT_TRUE(OpeningTrail(trail).left().empty()) << text;
    }
}

} // namespace yf::test
