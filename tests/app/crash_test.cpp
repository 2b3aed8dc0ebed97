// SPDX-License-Identifier: GPL-3.0-or-later
// What the line calls saved is on the disk: the editing window is killed with SIGKILL three hundred
// times at random moments; each time the file must open, pass its integrity check and hold at least
// the last value that was confirmed on the screen.
#include "core/job/store/store.h"
#include "core/network/circuit/ladder_edit.h"
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

/// Waits until the child has confirmed its first edit, or has ended; what it said so far.
std::string firstWords(int output) {
    std::string said;
    char c = 0;
    while (said.find('\n') == std::string::npos && ::read(output, &c, 1) == 1) {
        said += c;
    }
    return said;
}

/// The last whole line of what the child said.
int lastConfirmed(int output, std::string said, int before) {
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

TEST(Crash, threeHundredKillsLoseNothingThatWasConfirmed) {
    constexpr int kills = 300;
    const TempFolder folder;
    const std::string path = folder.path("job.yfjob");
    ASSERT_TRUE(job::store::Store::create(path, demoHistory()).ok());
    Random random(20260314);
    int confirmed = 39; // the demo's R2 is 3.9 Ω
    int productive = 0;
    for (int kill = 0; kill < kills; ++kill) {
        const Child child = start(path, confirmed + 1, folder.path(""));
        // Four in five amid the work, wherever it then is; one at any moment of the start.
        const bool amid = kill % 5 != 0;
        const std::string said0 = amid ? firstWords(child.output) : std::string{};
        std::this_thread::sleep_for(std::chrono::microseconds(
            static_cast<int>(amid ? random.between(10.0, 250e3) : random.between(1e3, 400e3))));
        ::kill(child.pid, SIGKILL);
        int status = 0;
        ::waitpid(child.pid, &status, 0);
        ASSERT_TRUE(WIFSIGNALED(status) && WTERMSIG(status) == SIGKILL)
            << "the window ended by itself, status " << status;
        const int said = lastConfirmed(child.output, said0, confirmed);
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
    EXPECT_GE(productive, kills * 4 / 5);
    RecordProperty("edits", confirmed - 39);
    std::printf("%d kills, %d of them amid edits, %d edits confirmed and found\n",
                kills,
                productive,
                confirmed - 39);
}

} // namespace yf::test
