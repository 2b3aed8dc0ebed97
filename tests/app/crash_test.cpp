// SPDX-License-Identifier: GPL-3.0-or-later
// What the line calls saved is on the disk: the editing window is killed with SIGKILL fifty times
// at random moments; each time the file must open, pass its integrity check and hold at least the
// last value that was confirmed on the screen.
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"
#include "tests/support/networks.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <cmath>
#include <csignal>
#include <string>
#include <thread>

namespace yf::test {

namespace {

struct Child {
    pid_t pid{};
    int output{};
};

Child start(const std::string& job, int first, const std::string& folder) {
    int pipe[2]{};
    EXPECT_EQ(::pipe(pipe), 0);
    const std::string number = std::to_string(first);
    const pid_t pid = ::fork();
    if (pid == 0) {
        ::setenv("XDG_RUNTIME_DIR", folder.c_str(), 1);
        ::dup2(pipe[1], STDOUT_FILENO);
        ::close(pipe[0]);
        ::close(pipe[1]);
        ::execl(YF_EDIT_SCRIPT, YF_EDIT_SCRIPT, job.c_str(), number.c_str(), nullptr);
        ::_exit(127);
    }
    ::close(pipe[1]);
    return {pid, pipe[0]};
}

/// The last whole line of what the child said.
int lastConfirmed(int output, int before) {
    std::string said;
    char buffer[4096];
    for (ssize_t got = 0; (got = ::read(output, buffer, sizeof buffer)) > 0;) {
        said.append(buffer, static_cast<std::size_t>(got));
    }
    ::close(output);
    const auto end = said.rfind('\n');
    if (end == std::string::npos) {
        return before;
    }
    const auto begin = end == 0 ? std::string::npos : said.rfind('\n', end - 1);
    return std::stoi(said.substr(begin == std::string::npos ? 0 : begin + 1, end));
}

} // namespace

TEST(Crash, fiftyKillsLoseNothingThatWasConfirmed) {
    constexpr int kills = 50;
    const TempFolder folder;
    const std::string path = folder.path("job.yfjob");
    ASSERT_TRUE(job::store::Store::create(path, demoHistory()).ok());
    Random random(20260314);
    int confirmed = 39; // the demo's R2 is 3.9 Ω
    int productive = 0;
    for (int kill = 0; kill < kills; ++kill) {
        const Child child = start(path, confirmed + 1, folder.path(""));
        std::this_thread::sleep_for(
            std::chrono::microseconds(static_cast<int>(random.between(150e3, 700e3))));
        ::kill(child.pid, SIGKILL);
        int status = 0;
        ::waitpid(child.pid, &status, 0);
        ASSERT_TRUE(WIFSIGNALED(status) && WTERMSIG(status) == SIGKILL)
            << "the window ended by itself, status " << status;
        const int said = lastConfirmed(child.output, confirmed);
        productive += said > confirmed ? 1 : 0;
        const auto store = job::store::Store::open(path);
        ASSERT_TRUE(store.ok()) << text::sentence(store.error());
        ASSERT_TRUE(store->integrityCheck().ok()) << "kill " << kill;
        const auto history = store->load();
        ASSERT_TRUE(history.ok()) << text::sentence(history.error());
        const double R2 = network::findPart(history->job().cabinets.front().circuit, "R2")->value;
        const int found = static_cast<int>(std::lround(10.0 * R2));
        // One more may have reached the disk before it could be said.
        ASSERT_GE(found, said) << "kill " << kill;
        ASSERT_LE(found, said + 1) << "kill " << kill;
        confirmed = found;
    }
    // Kills before the first edit prove nothing: most must have come in the middle of the work.
    EXPECT_GT(productive, kills / 2);
    RecordProperty("edits", confirmed - 39);
    std::printf("%d kills, %d of them amid edits, %d edits confirmed and found\n",
                kills,
                productive,
                confirmed - 39);
}

} // namespace yf::test
