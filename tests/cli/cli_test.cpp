// SPDX-License-Identifier: GPL-3.0-or-later
// The command line as a person or a script meets it: one JSON object in, one out, exit status 2 and
// one line of words for what is wrong. Expected figures come from the check tables of docs/theory.
#include "cli/files.h"
#include "cli/verb.h"
#include "core/edit/apply.h"
#include "core/edit/parts.h"
#include "core/job/record.h"
#include "core/job/store/store.h"
#include "tests/support/command_line.h"
#include "tests/support/demo_job.h"
#include "tests/support/networks.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cmath>
#include <csignal>
#include <filesystem>
#include <numbers>

namespace yf::test {

namespace {

const char* const twoWay =
    R"({"drivers": {"w": {"r_ohm": 8}, "t": {"r_ohm": 8, "role": "treble"}}, "ways": [
    {"ladder": [{"series": "L1 1.01859164mH dcr=0.35"}, {"shunt": "C1 3.97887358uF esr=0.05"}], "driver": "w"},
    {"ladder": [{"series": "C2 3.97887358uF"}, {"shunt": "L2 1.01859164mH"}], "driver": "t", "polarity": -1}]})";

} // namespace

TEST(CommandLine, textbookExample) {
    const Value out = output(
        {"network", "textbook"},
        R"({"kind":"two-way","alignment":"linkwitz-riley","order":2,"fx_hz":2500,"load_ohm":8})");
    expectFigures(*out.find("values"),
                  {{"L1_h", 0.00101859, 1e-8},
                   {"C1_f", 3.97887e-6, 1e-11},
                   {"C2_f", 3.97887e-6, 1e-11},
                   {"L2_h", 0.00101859, 1e-8}});
    expectFigures(out,
                  {{"level_at_fx_db", -6.0206, 1e-3},
                   {"octave_past_db", -13.979, 1e-3},
                   {"sum_at_fx_db", 0.0, 1e-6},
                   {"sum_max_db", 0.0, 1e-6},
                   {"sum_min_db", 0.0, 1e-6},
                   {"impedance_min_ohm", 8.0, 0.01},
                   {"impedance_max_ohm", 16.0, 0.01}});
    EXPECT_EQ((*out.find("polarities")->list())[1], Value(-1));
    EXPECT_TRUE(out.find("band_gain_db") == nullptr || out.find("band_gain_db")->isNull());
    // The network that it gives can be handed on as it is.
    const Value solved = output({"network", "solve"},
                                R"({"frequencies_hz":[1250,2500,5000],"network":)" +
                                    text::writeJson(*out.find("network")) + "}");
    EXPECT_NEAR(*(*(*solved.find("drives_db")->list())[0].list())[1].number(), -6.0206, 1e-3);
    EXPECT_NEAR(*(*solved.find("sum_level_db")->list())[1].number(), 0.0, 1e-6);
}

TEST(CommandLine, partsExample) {
    const Value out =
        output({"network", "parts"}, R"({"kind":"C","value_f":7.03e-06,"e_series":"E12"})");
    expectFigures(out,
                  {{"snapped_f", 6.8e-6, 1e-15},
                   {"error_pct", -3.272, 1e-3},
                   {"pair_error_pct", -0.142, 1e-3},
                   {"pair_value_f", 7.02e-6, 1e-12}});
    EXPECT_EQ(*out.find("pair_join"), Value("parallel"));
    const Value coil =
        output({"network", "parts"}, R"({"kind":"L","value_h":0.00083,"e_series":"E6"})");
    expectFigures(
        coil,
        {{"snapped_h", 1e-3, 1e-15}, {"error_pct", 20.48, 0.01}, {"pair_value_h", 0.83e-3, 1e-12}});
    EXPECT_EQ(*coil.find("pair_join"), Value("series"));
    const Value list = output({"network", "parts"}, R"({"e_series":"E3","list":true})");
    EXPECT_EQ(*list.find("mantissas"), Value(std::vector<double>{1.0, 2.2, 4.7}));
}

TEST(CommandLine, padAndZobel) {
    expectFigures(output({"network", "pad"}, R"({"attenuation_db":3.5,"load_ohm":5.3})"),
                  {{"series_ohm", 1.7578, 1e-4},
                   {"shunt_ohm", 10.680, 1e-3},
                   {"seen_ohm", 5.3, 1e-9},
                   {"attenuation_db", 3.5, 1e-9}});
    expectFigures(output({"network", "pad"},
                         R"({"kind":"measured","series_ohm":12.6,"shunt_ohm":7.4,"load_ohm":6.8})"),
                  {{"seen_ohm", 16.144, 1e-3}});
    expectFigures(
        output({"network", "pad"}, R"({"attenuation_db":6,"load_ohm":8,"e_series":"E12"})"),
        {{"series_snapped_ohm", 3.9, 1e-9}, {"shunt_snapped_ohm", 8.2, 1e-9}});
    expectFigures(output({"network", "zobel"}, R"({"Re_ohm":5.6,"Le_h":0.00047})"),
                  {{"r_ohm", 5.6, 1e-9},
                   {"c_f", 14.987e-6, 1e-9},
                   {"target_ohm", 5.6, 1e-9},
                   {"deviation_db", 0.0, 1e-9}});
    const Value conjugate =
        output({"network", "zobel"},
               R"({"kind":"conjugate","Re_ohm":6,"Le_h":0.0005,"fs_hz":900,"Qms":2,"Qes":1.9})");
    // Re·Qes/Qms, Re·Qes/(2πfs), 1/(2πfs·Re·Qes), Le/Re²; the netlist 05-flat-impedance.cir has the
    // same to five digits.
    expectFigures(conjugate,
                  {{"motion_r_ohm", 5.7, 1e-9},
                   {"motion_l_h", 11.4 / (1800.0 * std::numbers::pi), 1e-12},
                   {"motion_c_f", 1.0 / (1800.0 * std::numbers::pi * 11.4), 1e-14},
                   {"c_f", 13.8888889e-6, 1e-12}});
    EXPECT_NE(conjugate.find("shunt"), nullptr);
}

TEST(CommandLine, loadAndItsWarnings) {
    const Value out = output({"network", "load"}, std::string(R"({"network":)") + twoWay + "}");
    expectFigures(out, {{"dcr_ohm", 8.35, 1e-9}, {"impedance_min_ohm", 8.1, 0.1}});
    EXPECT_NEAR(*(*out.find("unloaded_mins_ohm")->list())[0].number(), 0.395, 0.001);
    EXPECT_EQ(*out.find("driver_names"), Value(std::vector<std::string>{"w", "t"}));
    const auto& warnings = *out.find("warnings")->list();
    EXPECT_NE(std::ranges::find(warnings, Value("near-short-if-removed:w")), warnings.end());
    EXPECT_EQ(std::ranges::find(warnings, Value("dc-reaches:t")), warnings.end());
    // 80 % of the rated impedance: 8.35 Ω pass as 8 Ω, not as 12 Ω.
    const Value rated =
        output({"network", "load"}, std::string(R"({"rated_ohm":12,"network":)") + twoWay + "}");
    EXPECT_EQ(rated.find("warnings")->list()->front(), Value("z-below-limit"));
}

TEST(CommandLine, solveGivesRowsForEachDriver) {
    const Value out =
        output({"network", "solve"}, R"({"network":)" + threeWayOfThirteenSlots() + "}");
    EXPECT_EQ(out.find("frequencies_hz")->list()->size(), 577U);
    for (const char* const key : {"drives_db", "drives_deg"}) {
        ASSERT_EQ(out.find(key)->list()->size(), 3U);
        for (const Value& row : *out.find(key)->list()) {
            EXPECT_EQ(row.list()->size(), 577U);
        }
    }
    for (const char* const key : {"impedances_ohm",
                                  "impedances_ohm_re",
                                  "impedances_ohm_im",
                                  "phases_deg",
                                  "sum_level_db",
                                  "sum_phase_deg"}) {
        EXPECT_EQ(out.find(key)->list()->size(), 577U) << key;
    }
    expectFinite(out);
    for (const char* const method : {"ladder", "nodal"}) {
        const Value forced = output({"network", "solve"},
                                    R"({"method":")" + std::string(method) +
                                        R"(","frequencies_hz":[1000,3255],"network":)" +
                                        threeWayOfThirteenSlots() + "}");
        // docs/theory/network.md: 3.4935 Ω at 3255 Hz (ngspice).
        EXPECT_NEAR(*(*forced.find("impedances_ohm")->list())[1].number(), 3.4935, 1e-3);
    }
}

TEST(CommandLine, importReadsTextAndFiles) {
    const TempFolder folder;
    const std::string path = folder.write("a.txt", "f;Z Ohm;Phase\n100;6,5;10\n200;7;-5\n");
    const Value out = output({"measure", "import"}, R"({"text_file":")" + path + "\"}");
    EXPECT_EQ(*out.find("quantity"), Value("impedance"));
    EXPECT_EQ(*out.find("magnitudes_ohm"), Value(std::vector<double>{6.5, 7.0}));
    EXPECT_NEAR(*(*out.find("phases_deg")->list())[1].number(), -5.0, 1e-12);
    EXPECT_EQ(*out.find("decimal"), Value("comma"));
    EXPECT_EQ(*out.find("has_phase"), Value(true));
    expectFigures(out, {{"rows", 2.0, 0.0}, {"columns", 3.0, 0.0}});
}

TEST(CommandLine, jobVerbs) {
    const TempFolder folder;
    const std::string path = folder.path("demo.yfjob");
    ASSERT_TRUE(job::store::Store::create(path, demoHistory()).ok());
    const std::string before = fileContent(path);
    const std::string file = R"("job_file":")" + path + "\"";
    const Value shown = output({"job", "show"}, "{" + file + "}");
    const Value& cabinet = shown.find("cabinets")->list()->front();
    expectFigures(cabinet,
                  {{"parts", 9.0, 0.0},
                   {"price", 47.60, 1e-9},
                   {"impedance_min_ohm", 5.868, 1e-3},
                   {"deviation_db", 2.249, 1e-3}});
    EXPECT_EQ(cabinet.find("line")->list()->size(), 4U);
    // Export, then solve: the same figures by another door.
    const Value exported = output({"job", "export"}, "{" + file + "}");
    const Value load = output({"network", "load"},
                              R"({"network":)" + text::writeJson(*exported.find("network")) + "}");
    EXPECT_NEAR(number(load, "impedance_min_ohm"), number(cabinet, "impedance_min_ohm"), 1e-9);
    EXPECT_NEAR(number(load, "impedance_min_hz"), number(cabinet, "impedance_min_hz"), 1e-6);
    const Value parts = output({"job", "export"}, "{" + file + R"(,"format":"csv-parts"})");
    const std::string table = *parts.find("text")->word();
    EXPECT_EQ(table.substr(0, table.find('\n')),
              "id,way,kind,value,unit,loss_ohm,tolerance_pct,price");
    EXPECT_EQ(std::ranges::count(table, '\n'), 10);
    EXPECT_NE(table.find("L1,low,L,0.0015,H,0.38,,9.8"), std::string::npos) << table;
    // The table that is written can be read again.
    const Value response = output({"job", "export"}, "{" + file + R"(,"format":"csv-response"})");
    const Value read =
        output({"measure", "import"},
               R"({"curve":1,"text":)" + text::writeJson(*response.find("text")) + "}");
    EXPECT_EQ(*read.find("quantity"), Value("level"));
    EXPECT_EQ(*read.find("curves"), Value(2)) << "level and impedance of the whole";
    const Value document = output({"job", "export"}, "{" + file + R"(,"format":"document"})");
    EXPECT_EQ(document.find("document")->find("curves")->object()->size(), 4U);
    expectFinite(document);
    EXPECT_EQ(fileContent(path), before) << "looking must not write";
}

TEST(CommandLine, aTakeLeavesTheJobAndComesBack) {
    const TempFolder folder;
    const std::string file = R"("job_file":")" + hallFile() + "\"";
    const auto export_ = [&](const std::string& more) {
        return output({"job", "export-take"}, "{" + file + "," + more + "}");
    };
    const Value table = export_(R"("take":"take-22")");
    EXPECT_EQ(*table.find("ending"), Value("txt"));
    const Value back =
        output({"measure", "import"}, R"({"text":)" + text::writeJson(*table.find("text")) + "}");
    EXPECT_EQ(*back.find("quantity"), Value("impedance"));
    EXPECT_EQ(*back.find("warnings"), Value(std::vector<std::string>{}));
    // Touchstone holds the same ohms.
    const Value port = export_(R"("take":"take-22","format":"touchstone")");
    const Value again =
        output({"measure", "import"}, R"({"text":)" + text::writeJson(*port.find("text")) + "}");
    EXPECT_EQ(*again.find("form"), Value("touchstone"));
    const auto& a = *back.find("magnitudes_ohm")->list();
    const auto& b = *again.find("magnitudes_ohm")->list();
    ASSERT_EQ(a.size(), b.size());
    for (std::size_t k = 0; k < a.size(); ++k) {
        EXPECT_NEAR(*a[k].number() / *b[k].number(), 1.0, 1e-6);
    }
    // JSON goes straight into a verb.
    const Value json = export_(R"("take":"take-21","format":"json")");
    const Value curve =
        output({"measure", "import"}, R"({"text":)" + text::writeJson(*json.find("text")) + "}");
    EXPECT_EQ(*curve.find("quantity"), Value("level"));
    // Sound is written beside, and gated from there.
    const std::string wav = folder.path("h.wav");
    const Value written =
        export_(R"("take":"take-21","format":"impulse","output_file":")" + wav + "\"");
    EXPECT_EQ(written.find("text"), nullptr);
    EXPECT_EQ(static_cast<double>(fileContent(wav).size()), number(written, "bytes"));
    const Value gated =
        output({"measure", "gate"}, R"({"impulse_file":")" + wav + R"(","time_zero_s":0.02})");
    EXPECT_EQ(*gated.find("reflection_found"), Value(true));
    EXPECT_NEAR(number(gated, "reflection_s"), 4.66e-3, 1e-4) << "the floor, 1 m at 1.2 m";
}

TEST(CommandLine, aTakeThatCannotBeExportedIsNamed) {
    const std::string file = R"({"job_file":")" + hallFile() + "\",";
    const auto refused = [&](const std::string& more) {
        const cli::Answer told = answer({"job", "export-take"}, file + more + "}");
        EXPECT_EQ(told.status, 2);
        return told.err;
    };
    EXPECT_EQ(refused(R"("take":"takes-21")"),
              "take: 'takes-21' given, the nearest known take is take-21\n");
    EXPECT_EQ(refused(R"("take":"take-21","format":"touchstone")"),
              "take: 'on axis' is a response, Touchstone holds impedances\n");
    EXPECT_EQ(refused(R"("take":"take-21","format":"impulse")"),
              "output_file: missing, sound is not written into JSON\n");
    EXPECT_EQ(refused(R"("take":"take-1","format":"recording","output_file":"/tmp/x.wav")")
                      .find("holds no samples") != std::string::npos,
              true);
}

TEST(CommandLine, wrongInputIsRefusedInOneLineWithTheKey) {
    const TempFolder folder;
    const std::string zeros = folder.write("binary.bin", std::string(1000, '\0'));
    const std::string huge = folder.path("huge.txt");
    folder.write("huge.txt", "");
    ASSERT_EQ(truncate(huge.c_str(), 200L * 1024 * 1024), 0);

    struct {
        std::vector<std::string> words;
        std::string input;
        std::string part;
    } const rows[] = {
        {{"network", "textbook"}, "", "JSON"},
        {{"network", "textbook"}, "{", "line 1"},
        {{"network", "textbook"}, "[]", "object"},
        {{"network", "textbook"}, "{} {}", "line 1"},
        {{"network", "textbook"}, "{}", "kind: missing"},
        {{"network", "textbook"},
         R"({"kind":"two-way","oder":2})",
         "oder: unknown key, the nearest known key is order"},
        {{"network", "textbook"},
         R"({"kind":"two-wy"})",
         "kind: 'two-wy' given, must be one of low-pass"},
        {{"network", "textbook"},
         R"({"kind":"two-way","order":9,"fx_hz":1000})",
         "order: 9 given, must be"},
        {{"network", "textbook"},
         R"({"kind":"two-way","order":2.5,"fx_hz":1000})",
         "order: 2.5 given"},
        {{"network", "textbook"}, R"({"kind":"two-way","order":2,"fx_hz":-1})", "fx_hz: -1 given"},
        {{"network", "textbook"}, R"({"kind":"two-way","order":2,"fx_hz":1e999})", "1e999"},
        {{"network", "textbook"},
         R"({"kind":"two-way","order":2,"fx_hz":"1k"})",
         "fx_hz: text given"},
        {{"network", "solve"},
         R"({"network":{"drivers":{"d":{"r_ohm":8}},"driver":"d"},"frequencies_hz":[100,50]})",
         "frequencies_hz"},
        {{"network", "solve"},
         R"({"network":{"drivers":{"d":{"r_ohm":8}},"driver":"d"},"frequencies_hz":[]})",
         "frequencies_hz"},
        {{"network", "solve"},
         R"({"network":{"drivers":{"d":{"r_ohm":8}},"driver":"d"},"method":"fast"})",
         "method"},
        {{"network", "solve"},
         R"({"method":"ladder","network":{"drivers":{"d":{"r_ohm":8}},"net":{"parts":[["R1 1","in","a"]],"drivers":[["d","a","0",1]]}}})",
         "method"},
        {{"network", "solve"},
         R"({"network":{"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8,"response":{"frequencies_hz":[10,40000],"levels_db":[80,80],"phases_deg":[0,0]}}},"ways":[{"driver":"a"},{"driver":"b"}]}})",
         "network.drivers.a.response"},
        {{"network", "zobel"}, R"({"Re_ohm":6})", "Le_h"},
        {{"network", "pad"}, R"({"attenuation_db":0,"load_ohm":8})", "attenuation_db: 0 given"},
        {{"network", "pad"},
         R"({"attenuation_db":6,"load_ohm":8,"e_series":"E7"})",
         "e_series: 'E7' given"},
        {{"network", "parts"}, R"({"kind":"C","value_ohm":5,"e_series":"E6"})", "value_ohm"},
        {{"network", "load"}, R"({"network":{}})", "network"},
        {{"measure", "import"},
         R"({"text":"freq,spl\n100,80\nx,81\n"})",
         "text: line 3, column 1: 'x' is not a number"},
        {{"measure", "import"}, R"({})", "text"},
        {{"measure", "import"}, R"({"text":"a","text_file":"b"})", "text"},
        {{"measure", "import"},
         R"({"text_file":"/no/such/file"})",
         "text_file: '/no/such/file': No such file"},
        {{"measure", "import"}, R"({"text_file":")" + folder.path("") + "\"}", "text_file"},
        {{"measure", "import"}, R"({"text_file":")" + zeros + "\"}", "text"},
        {{"measure", "import"}, R"({"text_file":")" + huge + "\"}", "MB"},
        {{"job", "show"}, R"({"job_file":"/no/such/job"})", "job_file: /no/such/job: No such file"},
        {{"job", "show"}, R"({"job_file":")" + zeros + "\"}", "job_file"},
        {{"job", "export"}, R"({"job_file":"/no/such/job","format":"xml"})", "format: 'xml' given"},
        {{"netwrk", "solve"}, "{}", "topic: 'netwrk' given, the nearest known topic is network"},
        {{"network", "sovle"}, "{}", "verb: 'sovle' given, the nearest known verb is solve"},
        {{"network", "solve", "--descibe"}, "{}", "arguments: '--descibe' given"},
    };

    for (const auto& row : rows) {
        const cli::Answer a = answer(row.words, row.input);
        EXPECT_EQ(a.status, 2) << row.input;
        EXPECT_EQ(a.out, "") << row.input;
        EXPECT_EQ(std::ranges::count(a.err, '\n'), 1) << a.err;
        EXPECT_NE(a.err.find(row.part), std::string::npos) << row.input << "\n" << a.err;
    }
}

TEST(CommandLine, tellsAboutItself) {
    EXPECT_EQ(answer({}, "").status, 0);
    EXPECT_NE(answer({}, "").out.find("network textbook"), std::string::npos);
    EXPECT_NE(answer({"network"}, "").out.find("solve"), std::string::npos);
    for (const cli::Verb& verb : cli::verbs()) {
        const cli::Answer described = answer({verb.topic, verb.name, "--describe"}, "");
        EXPECT_EQ(described.status, 0);
        const auto value = text::parseJson(described.out);
        ASSERT_TRUE(value.ok()) << verb.name;
        EXPECT_FALSE(value->find("keys")->list()->empty()) << verb.name;
        EXPECT_FALSE(verb.help.empty());
    }
}

// docs/theory/speaker.md, "Findings": a midrange as it came in.
TEST(Findings, byTheCommandLine) {
    const Value out = output(
        {"speaker", "findings"},
        R"({"facts":{"bench":{"Re_ohm":2.4,"nominal_ohm":8},"align":{"flip_gain_db":8.9}}})");
    expectFinite(out);
    const auto& findings = *out.find("findings")->list();
    ASSERT_EQ(findings.size(), 3U);
    EXPECT_EQ(*findings[0].find("id")->word(), "bench.short");
    EXPECT_EQ(*findings[0].find("severity")->word(), "stop");
    EXPECT_EQ(*findings[0].find("basis")->word(), "R");
    expectFigures(findings[0], {{"figure", 2.4, 1e-12}, {"threshold", 3.2, 1e-12}});
    EXPECT_EQ(*findings[1].find("id")->word(), "align.reversed");
    EXPECT_EQ(text::writeJson(*out.find("ids")),
              R"(["align.reversed","bench.re_nominal","bench.short"])");
    EXPECT_GT(out.find("not_checked")->list()->size(), 60U);
    const cli::Answer wrong =
        answer({"speaker", "findings"}, R"({"facts":{"bench":{"Re_ohms":1}}})");
    EXPECT_EQ(wrong.status, 2);
    EXPECT_EQ(wrong.err, "facts.bench.Re_ohms: unknown key, the nearest known key is Re_ohm\n");
    const cli::Answer described = answer({"speaker", "findings", "--describe"}, "");
    EXPECT_EQ(described.status, 0);
    EXPECT_NE(described.out.find("loopback_polarity_known"), std::string::npos);
}

TEST(JobVerbs, snapshotDiffAndLog) {
    const TempFolder folder;
    const std::string path = folder.path("job.yfjob");
    ASSERT_TRUE(job::store::Store::create(path, job::Record(demoHistory())).ok());
    const auto with = [&](const std::string& rest) {
        return R"({"job_file":")" + path + "\"" + rest + "}";
    };
    EXPECT_TRUE(output({"job", "snapshot"}, with("")).find("snapshots")->list()->empty());
    const Value taken =
        output({"job", "snapshot"}, with(R"(,"name":"as received","at":"2026-03-14T10:00:00")"));
    EXPECT_EQ(text::writeJson(taken),
              R"({"snapshots":[{"name":"as received","at":"2026-03-14T10:00:00"}]})");
    EXPECT_TRUE(output({"job", "diff"}, with("")).find("differences")->list()->empty());
    {
        auto store = job::store::Store::open(path);
        auto record = store->load();
        const auto change =
            edit::apply(*record, edit::removePart("projection", "R3"), "2026-03-14T10:01:00");
        ASSERT_TRUE(store->write(*change).ok());
    }
    EXPECT_EQ(*output({"job", "diff"}, with(R"(,"before":"as received")"))
                   .find("differences")
                   ->list()
                   ->front()
                   .word(),
              "R3 (18\u202FΩ) taken out");
    const Value log = output({"job", "log"}, with(R"(,"note":"sounds dull")"));
    const auto& entries = *log.find("entries")->list();
    ASSERT_EQ(entries.size(), 3U);
    EXPECT_EQ(*entries[1].find("text")->word(), "Take out R3");
    EXPECT_EQ(*entries[2].find("kind")->word(), "note");
    EXPECT_EQ(entries[2].find("at")->word()->size(), std::string("2026-03-14T10:00:00").size())
        << "the edge knows the time";

    struct {
        std::vector<std::string> words;
        const char* rest;
        const char* says;
    } const wrong[] = {
        {{"job", "snapshot"}, R"(,"name":"as received")", "stands already"},
        {{"job", "snapshot"}, R"(,"forget":true)", "name: missing"},
        {{"job", "diff"}, R"(,"after":"as recieved")", "the nearest one is as received"},
        {{"job", "log"}, R"(,"note":"")", "nothing is written"},
        {{"job", "log"}, R"(,"nots":"x")", "the nearest known key is note"},
    };

    for (const auto& row : wrong) {
        const cli::Answer a = answer(row.words, with(row.rest));
        EXPECT_EQ(a.status, 2) << row.rest;
        EXPECT_EQ(a.out, "");
        EXPECT_NE(a.err.find(row.says), std::string::npos) << a.err;
    }
    const Value left = output({"job", "snapshot"}, with(R"(,"name":"as received","forget":true)"));
    EXPECT_TRUE(left.find("snapshots")->list()->empty());
}

// Figures: check tables of docs/theory/bench.md; values that are common practice are marked there.
TEST(BenchVerbs, readings) {
    const Value dcr =
        output({"bench", "dcr"}, R"({"reading_ohm":1.4,"lead_ohm":0.5,"nominal_ohm":2})");
    expectFigures(dcr, {{"dcr_ohm", 0.9, 1e-9}, {"ratio", 0.45, 1e-9}});
    EXPECT_EQ(*dcr.find("class")->word(), "low");
    const Value open = output({"bench", "dcr"}, R"({"readings_ohm":[null,null],"nominal_ohm":8})");
    EXPECT_EQ(*open.find("class")->word(), "open");
    const Value lcr = output({"bench", "lcr"},
                             R"({"frequency_hz":100,"r_ohm":1.6,"l_h":0.0107,"mode":"parallel",
                                 "twin_r_ohm":1.96,"twin_l_h":0.0156})");
    expectFigures(lcr, {{"r_series_ohm", 1.51, 0.005}, {"l_series_h", 0.57e-3, 0.01e-3}});
    const Value battery =
        output({"bench", "battery"},
               R"({"Re_ohm":6.4,"Bl_t_m":7,"Cms_m_per_n":0.001,"Xmax_m":0.005,"cell_v":9})");
    expectFigures(
        battery,
        {{"current_a", 1.11, 0.01}, {"power_w", 7.9, 0.05}, {"displacement_m", 7.8e-3, 5e-5}});
    EXPECT_EQ(*battery.find("verdict")->word(), "too_much");
}

TEST(BenchVerbs, diagnosisAndAdvice) {
    const Value d =
        output({"bench", "diagnose"}, R"({"evidence":[{"check":"dcr","outcome":"open"}]})");
    EXPECT_EQ(*d.find("top")->word(), "open_coil");
    // log2(0.95/0.6) against the second, a broken lead-in.
    EXPECT_NEAR(*d.find("explain_bits")->list()->front().number(), std::log2(0.95 / 0.6), 1e-9);
    const Value next = output({"bench", "next-check"}, R"({"evidence":[]})");
    EXPECT_EQ(*next.find("next")->word(), "symptom") << "it costs no time";
    EXPECT_FALSE(*next.find("done")->flag());
    const Value grade = output({"bench", "grade"},
                               R"({"fault":"shorted_turns","verdict":"healthy","checks":["dcr"],
                                   "reference_min":10})");
    EXPECT_LE(number(grade, "score"), 40.0);
    const Value decided = output({"bench", "decide"},
                                 R"({"leave":{"parts":0,"hours":0},"repair":{"parts":20,"hours":1},
                                     "rate_per_hour":30,"fault":"shorted_turns"})");
    EXPECT_EQ(*decided.find("recommended")->word(), "repair");
    EXPECT_EQ(*decided.find("not_allowed")->list()->front().word(), "leave");
}

TEST(BenchVerbs, specimenAndTrialAreRepeatable) {
    const char* const order =
        R"({"Re_ohm":5.8,"Bl_t_m":7.1,"Mms_kg":0.0168,"Cms_m_per_n":0.00095,"Rms_n_s_per_m":1.15,
            "leach_k":0.02,"leach_n":0.68,"inductance_model":"leach","fault":"shorted_turns",
            "severity":0.1,"frequencies_hz":[100]})";
    const Value s = output({"bench", "specimen"}, order);
    expectFigures(s,
                  {{"dcr_ohm", 5.22, 0.005}, {"peak_ohm", 25.6, 0.3}, {"lcr_l_h", 0.713e-3, 2e-6}});
    EXPECT_EQ(answer({"bench", "specimen"}, order).out, answer({"bench", "specimen"}, order).out);
    const Value t = output({"bench", "trial"}, R"({"cases":60,"seed":3})");
    EXPECT_GT(number(t, "right_pct"), 75.0);
    EXPECT_EQ(answer({"bench", "trial"}, R"({"cases":60,"seed":3})").out,
              answer({"bench", "trial"}, R"({"cases":60,"seed":3})").out);
}

TEST(BenchVerbs, wrongInputNamesItsKey) {
    const std::pair<std::vector<std::string>, std::pair<const char*, const char*>> rows[] = {
        {{"bench", "diagnose"}, {R"({"evidence":[{"check":"dcrr","outcome":"open"}]})", "dcr"}},
        {{"bench", "diagnose"},
         {R"({"evidence":[{"check":"dcr","outcome":"open"},{"check":"dcr","outcome":"low"}]})",
          "evidence"}},
        {{"bench", "dcr"}, {R"({"reading_ohm":0.2,"lead_ohm":0.5,"nominal_ohm":8})", "lead_ohm"}},
        {{"bench", "dcr"}, {R"({"reading_ohm":6,"nominal_ohm":0.1})", "nominal_ohm"}},
        {{"bench", "grade"},
         {R"({"fault":"rot","verdict":"healthy","checks":[],"reference_min":5})", "fault"}},
        {{"driver", "pair"}, {R"({"drivers":[],"frequencies_hz":[100]})", "drivers"}}};
    for (const auto& [words, input] : rows) {
        const cli::Answer a = answer(words, input.first);
        EXPECT_EQ(a.status, 2) << input.first;
        EXPECT_NE(a.err.find(input.second), std::string::npos) << a.err;
    }
}

TEST(DriverVerbs, wiringAndHeat) {
    // Two 4 Ω in parallel: too low for most amplifiers (common practice); Ohm's law.
    const Value w =
        output({"driver", "wiring"},
               R"({"drivers":[{"id":"a","impedances_ohm_re":[4,4],"impedances_ohm_im":[0,0]},
                                          {"id":"b","impedances_ohm_re":[4,4],"impedances_ohm_im":[0,0]}],
                               "frequencies_hz":[100,1000],"circuit":{"parallel":["a","b"]}})");
    expectFigures(w, {{"impedance_min_ohm", 2.0, 1e-12}});
    EXPECT_FALSE(*w.find("amplifier_safe")->flag());
    // 0.393 %/K of copper: IEC 60028.
    const Value heat = output({"driver", "heat"}, R"({"Re_cold_ohm":6,"Re_hot_ohm":7.179})");
    expectFigures(heat, {{"temperature_c", 70.0, 0.1}});
    const Value sheet =
        output({"driver", "complete"}, R"({"Re_ohm":5.8,"fs_hz":40,"Qms":4,"Qes":0.5})");
    expectFigures(sheet, {{"Qts", 4.0 * 0.5 / 4.5, 1e-9}});
}

// Figures of docs/theory/measurement.md, "The sweep"; the recording goes through real files.
TEST(MeasureVerbs, fromSweepToCurve) {
    const Value sweep = output({"measure", "sweep"}, R"({"at_samples": [0, 24000]})");
    expectFigures(sweep,
                  {{"cycles", 6, 0},
                   {"rate_constant_s", 0.6, 1e-12},
                   {"duration_s", 4.6454, 1e-4},
                   {"repeat_period_samples", 270982, 0}});
    const TempFolder folder;
    const std::string wav = folder.path("take.wav");
    const std::string played = R"("sweep": {"duration_s": 2, "repeats": 2})";
    const std::string truth = R"({)" + played +
                              R"(, "filters": [{"kind": "highpass", "frequency_hz": 60}],
        "distance_m": 1.2, "polarity": -1, "recording_file": ")" +
                              wav + R"(", "frequencies_hz": [100, 1000, 5000]})";
    const Value simulated = output({"measure", "simulate"}, truth);
    const Value made = output({"measure", "deconvolve"},
                              R"({)" + played + R"(, "recording_file": ")" + wav +
                                  R"(", "reference_channel": 2, "frequencies_hz": [100, 1000, 5000],
                   "distortion_frequencies_hz": [500]})");
    expectFinite(made);
    EXPECT_EQ(*made.find("main_fault")->word(), "none");
    EXPECT_TRUE(*made.find("usable")->flag());
    EXPECT_EQ(*made.find("polarity")->word(), "negative");
    EXPECT_NEAR(number(made, "distance_m"), 1.2, 0.01);
    for (std::size_t k = 0; k < 3; ++k) {
        EXPECT_NEAR(*(*made.find("levels_db")->list())[k].number(),
                    *(*simulated.find("levels_db")->list())[k].number(),
                    0.05);
    }
    // A bad recording is no bad input: it is read, judged and answered.
    output({"measure", "simulate"},
           R"({)" + played + R"(, "clip_db": -22, "gain_db": -2, "recording_file": ")" + wav +
               R"("})");
    const Value bad = output({"measure", "deconvolve"},
                             R"({)" + played + R"(, "recording_file": ")" + wav + R"("})");
    EXPECT_EQ(*bad.find("main_fault")->word(), "clipped");
    EXPECT_FALSE(*bad.find("usable")->flag());
}

// A pipe that nobody writes into, a path with a zero byte: refused at once.
TEST(CommandLine, onlyPlainFilesAreRead) {
    const TempFolder folder;
    const std::string pipe = folder.path("pipe");
    ASSERT_EQ(::mkfifo(pipe.c_str(), 0600), 0);
    const std::string table = folder.write("a.txt", "f,spl\n100,80\n200,81\n");

    const struct {
        const char* verb;
        std::string input;
        const char* says;
    } rows[] = {
        {"import", R"({"text_file": ")" + pipe + "\"}", "is not a file"},
        {"import", R"({"text_file": ")" + folder.path("") + "\"}", "is not a file"},
        {"import", R"({"text_file": ")" + table + R"(\u0000.txt"})", "zero byte"},
        {"gate", R"({"impulse_file": ")" + pipe + "\"}", "is not a file"},
    };

    for (const auto& row : rows) {
        const cli::Answer told = answer({"measure", row.verb}, row.input);
        EXPECT_EQ(told.status, 2) << row.input;
        const std::string& said = told.err;
        EXPECT_NE(said.find(row.says), std::string::npos) << row.input << "\n" << said;
    }
    const auto full = cli::writeFile("out", "/dev/full", std::string(100000, 'x'));
    EXPECT_FALSE(full.ok());
    // What was there stays whole where the new content finds no room.
    const std::string out = folder.write("out.wav", "before");

    struct rlimit old {};

    ASSERT_EQ(::getrlimit(RLIMIT_FSIZE, &old), 0);
    struct rlimit little = old;
    little.rlim_cur = 4096;
    const auto ignored = std::signal(SIGXFSZ, SIG_IGN);
    ASSERT_EQ(::setrlimit(RLIMIT_FSIZE, &little), 0);
    const auto cut = cli::writeFile("out", out, std::string(100000, 'x'));
    ASSERT_EQ(::setrlimit(RLIMIT_FSIZE, &old), 0);
    std::signal(SIGXFSZ, ignored);
    EXPECT_FALSE(cut.ok());
    EXPECT_EQ(fileContent(out), "before");
    EXPECT_FALSE(std::filesystem::exists(out + ".part"));
}

TEST(MeasureVerbs, wrongInputNamesItsKey) {
    const TempFolder folder;
    const std::string wav = folder.path("short.wav");
    output({"measure", "simulate"},
           R"({"sweep": {"duration_s": 1}, "recording_file": ")" + wav + R"("})");

    const struct {
        const char* verb;
        std::string input;
        std::string says;
    } rows[] = {
        {"sweep",
         R"({"start_hz": 1, "end_hz": 20000, "duration_s": 2})",
         "duration_s: 2 is too short for a sweep from 1 Hz to 20000 Hz (at least 4.96)"},
        {"sweep",
         R"({"level_db": -3, "max_level_db": -10})",
         "level_db: -3 is above max_level_db -10 (allowed -80 to -10)"},
        {"deconvolve",
         R"({"recording_file": ")" + wav +
             R"(", "sweep": {"duration_s": 1, "sample_rate_hz": 44100}})",
         "has 48000 Hz, the sweep 44100"},
        {"deconvolve",
         R"({"recording_file": ")" + wav + R"(", "sweep": {"duration_s": 10}})",
         "samples; the sweep needs"},
        {"deconvolve",
         R"({"recording_file": ")" + wav + R"(", "sweep": {"duration_s": 1}, "full_scale_pa": 2})",
         "full_scale_v: missing; absolute level needs full_scale_pa and full_scale_v"},
        {"deconvolve",
         R"({"recording_file": ")" + wav + R"(", "reference_channel": 1})",
         "reference_channel: 1 is the measurement_channel too"},
        {"smooth",
         R"({"frequencies_hz": [200, 400, 300], "levels_db": [1, 2, 3], "fraction": 3})",
         "frequencies_hz: entry 3 (300) is not above entry 2 (400)"},
        {"smooth",
         R"({"frequencies_hz": [100, 200, 300], "levels_db": [1, 2], "fraction": 3})",
         "levels_db: 2 values for 3 entries of frequencies_hz"},
        {"gate", R"({})", "impulse_file: missing"},
        {"delay",
         R"({"impulse": [0,0,0,0,0,0,0,0,0], "sample_rate_hz": 48000})",
         "impulse: only zeros"},
        {"polar-summary",
         R"({"frequencies_hz": [1000], "curves": [{"plane": "horizontal", "angle_deg": 10, "levels_db": [0]},
            {"plane": "horizontal", "angle_deg": 10, "levels_db": [0]}]})",
         "curves[1].angle_deg: 10 is given twice in the horizontal plane"},
        {"polar-summary",
         R"({"frequencies_hz": [1000], "curves": [{"plane": "vertical", "angle_deg": 10, "levels_db": [0]}]})",
         "curves: none at 0°"}};

    for (const auto& row : rows) {
        const cli::Answer a = answer({"measure", row.verb}, row.input);
        EXPECT_EQ(a.status, 2) << row.says;
        EXPECT_EQ(a.out, "");
        EXPECT_NE(a.err.find(row.says), std::string::npos) << a.err;
    }
}

TEST(DriverVerbs, fitReadsBackWhatImpedanceMade) {
    const Value made = output({"driver", "impedance"},
                              R"({"Re_ohm": 5.6, "fs_hz": 38, "Qms": 5, "Qes": 0.4,
                                  "inductance_model": "lr2", "Le_h": 2e-4, "L2_h": 6e-4, "R2_ohm": 4})");
    EXPECT_EQ(made.find("peaks_hz")->list()->size(), 1U);
    expectFinite(made);
    Value::Object input;
    for (const char* key : {"frequencies_hz", "impedances_ohm_re", "impedances_ohm_im"}) {
        input.push_back({key, *made.find(key)});
    }
    const Value fit = output({"driver", "fit-impedance"}, text::writeJson(input));
    expectFigures(
        fit, {{"Re_ohm", 5.6, 0.02}, {"fs_hz", 38, 0.02}, {"Qms", 5, 0.05}, {"Qes", 0.4, 0.004}});
    EXPECT_EQ(*fit.find("inductance_model")->word(), "lr2");
    const cli::Answer wrong =
        answer({"driver", "fit-impedance"},
               R"({"frequencies_hz": [10, 20, 30], "impedances_ohm": [6, 7]})");
    EXPECT_EQ(wrong.status, 2);
    EXPECT_NE(wrong.err.find("impedances_ohm: 2 values for 3"), std::string::npos) << wrong.err;
    const cli::Answer mass =
        answer({"driver", "vas-added-mass"},
               R"({"fs_hz": 40, "fs_loaded_hz": 41, "added_mass_kg": 0.01, "Sd_m2": 0.01})");
    EXPECT_NE(mass.err.find("fs_loaded_hz: 41 given"), std::string::npos) << mass.err;
    const Value jig = output({"driver", "jig"},
                             R"({"frequencies_hz": [100, 1000], "ratios_re": [0.375, 0.99],
                                 "ratios_im": [0, 0], "sense_ohm": 10})");
    EXPECT_NEAR(*(*jig.find("impedances_ohm")->list())[0].number(), 6.0, 1e-9);
    EXPECT_TRUE((*jig.find("impedances_ohm")->list())[1].isNull()) << "beyond the resistor";
}

} // namespace yf::test
