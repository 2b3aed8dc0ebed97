// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/intake.h"
#include "core/job/store/store.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"
#include "tests/support/networks.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>
#include <sqlite3.h>
#include <sys/resource.h>

#include <array>
#include <csignal>
#include <cstring>
#include <filesystem>
#include <limits>

namespace yf::test {

namespace {

using job::History;
using job::Moved;
using job::Step;
using job::store::Store;

constexpr const char* cabinet = "projection";

Store mustOpen(const std::string& path) {
    auto store = Store::open(path);
    EXPECT_TRUE(store.ok()) << (store.ok() ? "" : text::sentence(store.error()));
    return std::move(store.value());
}

History mustLoad(const Store& store) {
    auto record = store.load();
    EXPECT_TRUE(record.ok()) << (record.ok() ? "" : text::sentence(record.error()));
    return record->history;
}

void run(const std::string& path, const std::string& sql) {
    sqlite3* database = nullptr;
    ASSERT_EQ(sqlite3_open(path.c_str(), &database), SQLITE_OK);
    EXPECT_EQ(sqlite3_exec(database, sql.c_str(), nullptr, nullptr, nullptr), SQLITE_OK)
        << sqlite3_errmsg(database);
    sqlite3_close(database);
}

job::Change stepped(const Step& step, Moved moved) {
    return {.step = job::Change::Stepped{step, moved}};
}

void change(History& history, Store& store, const edit::Edit& edit) {
    const auto moved = edit::apply(history, edit);
    ASSERT_TRUE(moved.ok());
    const auto written = store.write(stepped(history.step(), *moved));
    ASSERT_TRUE(written.ok()) << text::sentence(written.error());
}

} // namespace

TEST(Store, keepsTheWholeHistory) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    {
        const auto created = Store::create(path, demoHistory());
        ASSERT_TRUE(created.ok());
    }
    const Store store = mustOpen(path);
    const History history = mustLoad(store);
    EXPECT_EQ(history.job(), demoJob());
    EXPECT_EQ(history.steps(), demoHistory().steps());
    EXPECT_EQ(history.position(), demoHistory().position());
    EXPECT_TRUE(store.integrityCheck().ok());
    EXPECT_FALSE(store.readOnly());
}

TEST(Store, isMarkedAsOursForEveryTool) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    ASSERT_TRUE(Store::create(path, demoHistory()).ok());
    const std::string bytes = fileContent(path);
    EXPECT_EQ(bytes.substr(0, 15), "SQLite format 3");
    EXPECT_EQ(bytes.substr(68, 4), "YFJB");
}

TEST(Store, everyKindOfMoveSurvivesReopening) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    History history(demoJob());
    {
        auto store = Store::create(path, history);
        ASSERT_TRUE(store.ok());
        change(history, *store, edit::removePart(cabinet, "R3"));
        change(history, *store, edit::stepPart(cabinet, "C3", network::ESeries::E12, 1, "step C3"));
        change(history,
               *store,
               edit::stepPart(cabinet, "C3", network::ESeries::E12, 1, "step C3")); // merges
        history.undo();
        ASSERT_TRUE(store->write(stepped(history.step(), Moved::back)).ok());
        history.undo();
        ASSERT_TRUE(store->write(stepped(history.step(), Moved::back)).ok());
        history.redo();
        ASSERT_TRUE(store->write(stepped(history.step(), Moved::forward)).ok());
    }
    EXPECT_EQ(mustLoad(mustOpen(path)).steps(), history.steps());
    EXPECT_EQ(mustLoad(mustOpen(path)).position(), history.position());
    {
        Store store = mustOpen(path);
        change(history, store, edit::removePart(cabinet, "C4")); // ends the redo
    }
    const History again = mustLoad(mustOpen(path));
    EXPECT_EQ(again.steps(), history.steps());
    EXPECT_EQ(again.position(), history.position());
    EXPECT_FALSE(again.canRedo());
}

TEST(Store, keepsTheLastSteps) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    History history(demoJob());
    auto store = Store::create(path, history);
    ASSERT_TRUE(store.ok());
    for (std::size_t i = 0; i < job::store::keptSteps + 30; ++i) {
        change(history, *store, edit::changeTitle("Title " + std::to_string(i)));
    }
    const auto loaded = store->load();
    ASSERT_TRUE(loaded.ok());
    EXPECT_EQ(loaded->history.job().title, history.job().title);
    EXPECT_GE(loaded->history.steps().size(), job::store::keptSteps);
    EXPECT_LE(loaded->history.steps().size(), job::store::keptSteps + 1);
}

TEST(Store, randomWalksOfEditsUndoAndRedo) {
    const TempFolder folder;
    for (std::uint64_t seed = 1; seed <= 10; ++seed) {
        Random random(seed);
        const std::string path = folder.path(std::to_string(seed) + ".yfjob");
        History history(demoJob());
        auto store = Store::create(path, history);
        ASSERT_TRUE(store.ok());
        for (int i = 0; i < 40; ++i) {
            const int dice = random.below(5);
            if (dice == 0 && history.canUndo()) {
                history.undo();
                ASSERT_TRUE(store->write(stepped(history.step(), Moved::back)).ok());
            } else if (dice == 1 && history.canRedo()) {
                history.redo();
                ASSERT_TRUE(store->write(stepped(history.step(), Moved::forward)).ok());
            } else {
                change(history,
                       *store,
                       edit::stepPart(cabinet,
                                      dice == 2 ? "C3" : "L1",
                                      network::ESeries::E24,
                                      random.below(2) == 0 ? 1 : -1,
                                      "step"));
            }
        }
        EXPECT_EQ(store->load()->history.steps(), history.steps()) << seed;
        EXPECT_EQ(store->load()->history.position(), history.position()) << seed;
    }
}

TEST(Store, refusalsSayWhatIsWrongAndTouchNothing) {
    const TempFolder folder;
    const std::string good = folder.path("good.yfjob");
    ASSERT_TRUE(Store::create(good, demoHistory()).ok());
    const std::string whole = fileContent(good);
    const std::string torn = folder.write("torn.yfjob", whole.substr(0, whole.size() / 2));
    std::string scrambled = whole;
    for (std::size_t at = 20000; at < 60000 && at < scrambled.size(); at += 7) {
        scrambled[at] = static_cast<char>(scrambled[at] ^ 0x5A);
    }
    run(folder.path("other.db"), "CREATE TABLE t(a)");

    struct {
        std::string path;
        const char* part;
    } const rows[] = {
        {folder.path("missing.yfjob"), "No such file"},
        {folder.path(""), "not a file"},
        {folder.write("text.yfjob", "this is only text, long enough to be no header of a database"),
         ""},
        {folder.write("empty.yfjob", ""), "not a Yellowfront job"},
        {folder.path("other.db"), "not a Yellowfront job"},
        {torn, ""},
        {folder.write("scrambled.yfjob", scrambled), ""}};

    for (const auto& row : rows) {
        const bool there = std::filesystem::is_regular_file(row.path);
        const std::string before = there ? fileContent(row.path) : "";
        const auto store = Store::open(row.path);
        ASSERT_FALSE(store.ok()) << row.path;
        EXPECT_NE(text::sentence(store.error()).english().find(row.part), std::string::npos)
            << text::sentence(store.error());
        if (there) {
            EXPECT_EQ(fileContent(row.path), before);
        }
    }
    EXPECT_FALSE(Store::create(good, demoHistory()).ok());
    EXPECT_EQ(fileContent(good), whole);
}

TEST(Store, aNewerVersionOpensForReadingOnly) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    ASSERT_TRUE(Store::create(path, demoHistory()).ok());
    run(path, "PRAGMA user_version = 99");
    Store store = mustOpen(path);
    EXPECT_TRUE(store.readOnly());
    EXPECT_EQ(mustLoad(store).job(), demoJob());
    const auto written = store.write(stepped(demoHistory().step(), Moved::appended));
    ASSERT_FALSE(written.ok());
    EXPECT_NE(text::sentence(written.error()).english().find("reading only"), std::string::npos);
}

TEST(Store, missingPiecesAreFound) {
    const TempFolder folder;
    const char* const damages[] = {
        "DELETE FROM state", "UPDATE step SET document = '{}'", "UPDATE step SET document = 'x'"};
    int number = 0;
    for (const char* const damage : damages) {
        const std::string path = folder.path(std::to_string(++number) + ".yfjob");
        ASSERT_TRUE(Store::create(path, demoHistory()).ok());
        run(path, damage);
        const auto history = mustOpen(path).load();
        ASSERT_FALSE(history.ok()) << damage;
        EXPECT_FALSE(history.error().given.empty()) << damage;
    }
}

// Curves are checked at the door: what is damaged is left out by name, the rest of the job opens.
TEST(Store, aDamagedMeasurementIsLeftOutByNameAndTheRestOpens) {
    const TempFolder folder;
    const job::Job whole = demoJob();
    const job::Take& victim = whole.takes.front();
    const std::string which = " WHERE key = '" + victim.curveKey + "'";
    const auto blob = [](std::vector<double> numbers) {
        std::string hex = "x'";
        for (const double number : numbers) {
            std::array<unsigned char, sizeof number> bytes{};
            std::memcpy(bytes.data(), &number, sizeof number);
            for (const unsigned char byte : bytes) {
                constexpr const char* digits = "0123456789abcdef";
                hex += digits[byte >> 4U];
                hex += digits[byte & 15U];
            }
        }
        return hex + "'";
    };
    const std::size_t size = victim.curve->size();
    const std::vector<double> ones(size, 1.0);
    std::vector<double> strange = ones;
    strange[size / 2] = std::numeric_limits<double>::quiet_NaN();
    const std::string nan = blob(strange);
    strange[size / 2] = std::numeric_limits<double>::infinity();
    const std::string infinite = blob(strange);
    strange[size / 2] = 1e155;
    const std::string absurd = blob(strange);
    std::vector<double> fallen = victim.curve->frequencies();
    std::swap(fallen[3], fallen[4]);
    const std::pair<const char*, std::string> damages[] = {
        {"missing", "DELETE FROM curve" + which},
        {"cut", "UPDATE curve SET frequencies = x'00'" + which},
        {"not a number", "UPDATE curve SET real_parts = " + nan + which},
        {"infinite", "UPDATE curve SET imaginary_parts = " + infinite + which},
        {"absurd", "UPDATE curve SET real_parts = " + absurd + which},
        {"does not rise", "UPDATE curve SET frequencies = " + blob(fallen) + which},
        {"another content", "UPDATE curve SET real_parts = " + blob(ones) + which},
        {"an unknown phase", "UPDATE curve SET phase = 'sideways'" + which},
        {"trusted beyond all", "UPDATE curve SET trusted_from = 9e999" + which},
    };
    for (const auto& [what, damage] : damages) {
        const std::string path = folder.path(std::string(what) + ".yfjob");
        ASSERT_TRUE(Store::create(path, demoHistory()).ok());
        run(path, damage);
        std::vector<std::string> leftOut;
        const auto record = mustOpen(path).load(&leftOut);
        ASSERT_TRUE(record.ok()) << what << ": " << text::sentence(record.error());
        EXPECT_EQ(leftOut, std::vector<std::string>{victim.name}) << what;
        const job::Job& job = record->job();
        EXPECT_EQ(job.takes.size() + 1, whole.takes.size()) << what;
        EXPECT_EQ(job::findTake(job, victim.id), nullptr) << what;
        for (const job::Driver& driver : job.drivers) {
            EXPECT_NE(driver.responseTake, victim.id) << what;
            EXPECT_NE(driver.impedanceTake, victim.id) << what;
        }
        EXPECT_EQ(job::check(job), std::nullopt) << what;
    }
}

// A process killed amid a write leaves its journal; who may only read rolls back a copy.
TEST(Store, afterAKillAmidAWriteReadersSeeTheStateBefore) {
    namespace fs = std::filesystem;
    const TempFolder folder;
    const std::string live = folder.path("live.yfjob");
    ASSERT_TRUE(Store::create(live, demoHistory()).ok());
    const std::string killed = folder.path("killed.yfjob");
    sqlite3* database = nullptr;
    ASSERT_EQ(sqlite3_open(live.c_str(), &database), SQLITE_OK);
    // A cache of one page spills into the file before the commit: what a kill would leave is
    // copied.
    const char* const halfWay =
        "PRAGMA synchronous=FULL; PRAGMA cache_size=1; PRAGMA cache_spill=1; "
        "BEGIN IMMEDIATE; UPDATE step SET document = document || ' '; "
        "UPDATE curve SET real_parts = imaginary_parts; "
        "UPDATE step SET name = 'never confirmed'";
    ASSERT_EQ(sqlite3_exec(database, halfWay, nullptr, nullptr, nullptr), SQLITE_OK)
        << sqlite3_errmsg(database);
    fs::copy_file(live, killed);
    fs::copy_file(live + "-journal", killed + "-journal");
    ASSERT_GT(fs::file_size(killed + "-journal"), 512U);
    ASSERT_NE(fileContent(killed), fileContent(killed + "-journal"));
    sqlite3_exec(database, "ROLLBACK", nullptr, nullptr, nullptr);
    sqlite3_close(database);
    const std::string before = fileContent(killed);

    const auto reader = Store::openForReading(killed);
    ASSERT_TRUE(reader.ok()) << text::sentence(reader.error());
    EXPECT_TRUE(reader->readOnly());
    EXPECT_EQ(reader->path(), killed);
    EXPECT_EQ(mustLoad(*reader).steps(), demoHistory().steps());
    EXPECT_TRUE(reader->integrityCheck().ok());
    EXPECT_EQ(fileContent(killed), before) << "a reader changes nothing";
    EXPECT_TRUE(fs::exists(killed + "-journal"));

    // Where it can be written it is brought back in its place.
    const Store writer = mustOpen(killed);
    EXPECT_FALSE(writer.readOnly());
    EXPECT_EQ(mustLoad(writer).steps(), demoHistory().steps());
    EXPECT_FALSE(fs::exists(killed + "-journal"));
}

TEST(Store, aPathIsNeverCut) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    ASSERT_TRUE(Store::create(path, demoHistory()).ok());
    const auto cut = Store::open(path + std::string(1, '\0') + "b");
    ASSERT_FALSE(cut.ok());
    EXPECT_NE(text::sentence(cut.error()).english().find("zero byte"), std::string::npos);
}

// A write that the system cuts short, as on a full disk: here by a limit on the size of files.
TEST(Store, aWriteCutShortIsSaidAndTheFileStaysAsItWas) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    const History history(demoJob());
    ASSERT_TRUE(Store::create(path, history).ok());
    Store store = mustOpen(path);
    job::Job big = demoJob();
    for (int i = 0; i < 2000; ++i) {
        big.takes.push_back(big.takes.front());
        big.takes.back().id = "more-" + std::to_string(i);
        big.takes.back().note = std::string(500, 'x');
    }
    rlimit before{};
    ASSERT_EQ(getrlimit(RLIMIT_FSIZE, &before), 0);
    std::signal(SIGXFSZ, SIG_IGN);
    rlimit small = before;
    small.rlim_cur = std::filesystem::file_size(path) + 100000;
    ASSERT_EQ(setrlimit(RLIMIT_FSIZE, &small), 0);
    const auto written = store.write(stepped(Step{"Big", "", big}, Moved::appended));
    ASSERT_EQ(setrlimit(RLIMIT_FSIZE, &before), 0);
    ASSERT_FALSE(written.ok());
    EXPECT_NE(text::sentence(written.error()).english().find("the file is as it was before"),
              std::string::npos)
        << text::sentence(written.error());
    EXPECT_EQ(mustLoad(mustOpen(path)).job(), demoJob());
    EXPECT_TRUE(mustOpen(path).integrityCheck().ok());
    // With room again the same change goes through.
    EXPECT_TRUE(store.write(stepped(Step{"Big", "", big}, Moved::appended)).ok());
    EXPECT_EQ(mustLoad(mustOpen(path)).job().takes.size(), big.takes.size());
}

TEST(Store, neverOverwritesAndLeavesNoHalfFiles) {
    const TempFolder folder;
    ASSERT_TRUE(Store::create(folder.path("a.yfjob"), demoHistory()).ok());
    EXPECT_FALSE(Store::create(folder.path("a.yfjob"), demoHistory()).ok());
    EXPECT_EQ(mustLoad(mustOpen(folder.path("a.yfjob"))).steps(), demoHistory().steps());
    EXPECT_FALSE(Store::create(folder.path("nowhere/b.yfjob"), demoHistory()).ok());
    EXPECT_FALSE(std::filesystem::exists(folder.path("nowhere/b.yfjob")));
}

// Every format version ever released has files here that must open, and be equal once saved again.
TEST(Store, aFileOfTheSecondVersionTakesWhatTheThirdKnows) {
    const TempFolder folder;
    const std::string path = folder.path("old.yfjob");
    std::filesystem::copy_file(std::string(YF_TEST_DATA) + "/jobs/v2/lantern-hall.yfjob", path);
    const std::string png = "\x89PNG\r\n\x1a\n pixels";
    {
        Store store = mustOpen(path);
        History history = mustLoad(store);
        change(history, store, edit::addPhoto("front.png", png));
        change(history, store, edit::putProtector("left", {.rating = 2.0}));
    }
    const History history = mustLoad(mustOpen(path));
    ASSERT_EQ(history.job().photos.size(), 1U);
    EXPECT_EQ(*history.job().photos.front().bytes, png);
    EXPECT_EQ(history.job().cabinets.front().protectors.size(), 1U);
}

// A log reads in any language later: forms come back, not finished sentences. What a person wrote
// comes back letter by letter, whatever it looks like.
TEST(Store, keepsFormsWithTheirArguments) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    const std::string typed = "[\"Change %1\",\"C1\"]";
    {
        job::Record record(demoHistory());
        Store store = Store::create(path, record).value();
        network::Part part = *network::findPart(record.job().cabinets.front().circuit, "C3");
        part.value = 6.8e-6;
        const auto changed = edit::apply(record, edit::changePart("projection", part), "t");
        ASSERT_TRUE(changed.ok()) << text::sentence(changed.error());
        ASSERT_TRUE(store.write(*changed).ok());
        ASSERT_TRUE(store.write(*job::addNote(record, typed, "t")).ok());
    }
    const auto back = mustOpen(path).load();
    ASSERT_TRUE(back.ok());
    EXPECT_EQ(back->history.undoName().form(), "Change %1 to %2");
    ASSERT_EQ(back->log.size(), 2U);
    EXPECT_EQ(back->log[0].text.form(), "Change %1 to %2");
    ASSERT_EQ(back->log[0].text.arguments().size(), 2U);
    EXPECT_EQ(back->log[0].text.arguments()[0], "C3");
    EXPECT_EQ(back->log[1].text.form(), typed);
    EXPECT_FALSE(back->job().takes.front().understood.arguments().empty());
    EXPECT_EQ(back->job().takes.front().understood, demoJob().takes.front().understood);
}

TEST(Store, filesOfEveryVersionOpenAndSaveEqual) {
    const TempFolder folder;
    for (const auto& version :
         std::filesystem::directory_iterator(std::string(YF_TEST_DATA) + "/jobs")) {
        for (const auto& file : std::filesystem::directory_iterator(version.path())) {
            const std::string name =
                version.path().filename().string() + "-" + file.path().filename().string();
            const std::string copy = folder.path(name);
            std::filesystem::copy_file(file.path(), copy);
            const auto record = mustOpen(copy).load();
            ASSERT_TRUE(record.ok()) << file.path();
            EXPECT_FALSE(record->job().cabinets.empty()) << file.path();
            EXPECT_EQ(fileContent(copy), fileContent(file.path().string()))
                << "opening alone changes nothing";
            const std::string again = folder.path("again-" + name);
            ASSERT_TRUE(Store::create(again, *record).ok());
            const auto back = mustOpen(again).load();
            ASSERT_TRUE(back.ok());
            EXPECT_EQ(back->history.steps(), record->history.steps());
            EXPECT_EQ(back->history.position(), record->history.position());
            EXPECT_EQ(back->snapshots, record->snapshots);
            EXPECT_EQ(back->log, record->log);
        }
    }
}

// Not only opened: work goes on in a file of any version, and what it held stays as it was. One
// text of each looks like words, which no version before the ninth meant by it.
TEST(Store, filesOfEveryVersionTakeAChange) {
    const TempFolder folder;
    int tried = 0;
    for (const auto& version :
         std::filesystem::directory_iterator(std::string(YF_TEST_DATA) + "/jobs")) {
        for (const auto& file : std::filesystem::directory_iterator(version.path())) {
            const std::string name = version.path().filename().string();
            const std::string path = folder.path(name + file.path().filename().string());
            std::filesystem::copy_file(file.path(), path);
            const std::string odd = "[\"Take %1\",\"away\"]";
            run(path, "UPDATE step SET name = '" + odd + "' WHERE id = (SELECT max(id) FROM step)");
            if (name != "v1") { // knows no log
                run(path,
                    "INSERT INTO log(at, kind, entry) VALUES('t', 'snapshot', '" + odd + "')");
                run(path, "INSERT INTO log(at, kind, entry) VALUES('t', 'note', '" + odd + "')");
            }
            job::Record record = mustOpen(path).load().value();
            EXPECT_EQ(record.history.steps().back().name.form(), odd) << name;
            {
                Store store = mustOpen(path);
                const auto titled = edit::apply(record, edit::changeTitle("Later"), "t");
                ASSERT_TRUE(titled.ok()) << name;
                const auto written = store.write(*titled);
                ASSERT_TRUE(written.ok()) << name << ": " << text::sentence(written.error());
                const auto note = store.write(*job::addNote(record, odd, "t"));
                ASSERT_TRUE(note.ok()) << name << ": " << text::sentence(note.error());
            }
            const auto back = mustOpen(path).load();
            ASSERT_TRUE(back.ok()) << name;
            EXPECT_EQ(back->job(), record.job()) << name;
            EXPECT_EQ(back->history.steps(), record.history.steps()) << name;
            EXPECT_EQ(back->snapshots, record.snapshots) << name;
            EXPECT_EQ(back->log, record.log) << name;
            ++tried;
        }
    }
    EXPECT_GE(tried, 8);
}

// The first version knew no snapshots, log, nominal impedances or twins: they are absent, and the
// rest is the job that was put into the file.
TEST(Store, aFileOfTheFirstVersionIsTheJobThatWasPutIntoIt) {
    const TempFolder folder;
    const std::string path = folder.path("old.yfjob");
    std::filesystem::copy_file(std::string(YF_TEST_DATA) + "/jobs/v1/projection-room.yfjob", path);
    const auto record = mustOpen(path).load();
    ASSERT_TRUE(record.ok());
    EXPECT_EQ(record->job(), demoJob());
    EXPECT_TRUE(record->snapshots.empty());
    EXPECT_TRUE(record->log.empty());
    // Its first change brings it up to date.
    job::Record changed = *record;
    const auto note = job::addNote(changed, "opened by a later version", "2026-11-26T12:00:00");
    {
        Store store = mustOpen(path);
        ASSERT_TRUE(store.write(*note).ok());
    }
    const auto back = mustOpen(path).load();
    EXPECT_EQ(back->job(), demoJob());
    EXPECT_EQ(back->log, changed.log);
}

} // namespace yf::test
