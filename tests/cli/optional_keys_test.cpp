// SPDX-License-Identifier: GPL-3.0-or-later
// Every verb keeps what its description says: a key that is called optional may be left out, and
// one that is called required is asked for by its name. tests/data/requests.json has a valid
// request of every verb.
#include "tests/support/command_line.h"
#include "tests/support/demo_job.h"
#include "tests/support/temp_folder.h"

#include <fstream>
#include <set>
#include <sstream>

namespace yf::test {

namespace {

/// Keys of which one of several must be given, or that go with another one: without it the request
/// says nothing.
const std::set<std::string> oneOfSeveral{"bench dcr reading_ohm",
                                         "bench decide repair",
                                         "bench specimen fault",
                                         "box closed Vb_l",
                                         "box curve Vb_l",
                                         "box driver-check Vb_l",
                                         "box from-impedance impedances_ohm_re",
                                         "box from-impedance impedances_ohm_im",
                                         "box panel material",
                                         "box port fb_hz",
                                         "box vented Vb_l",
                                         "box bandpass Qbp",
                                         "box bandpass S",
                                         "box passive-radiator Vb_l",
                                         "box volume height_m",
                                         "box volume width_m",
                                         "box volume depth_m",
                                         "driver fit-impedance impedances_ohm_re",
                                         "driver fit-impedance impedances_ohm_im",
                                         "driver heat Re_hot_ohm",
                                         "driver vas-added-mass Sd_m2",
                                         "measure decay impulse",
                                         "measure delay frequencies_hz",
                                         "measure delay levels_db",
                                         "measure delay phases_deg",
                                         "measure gate impulse",
                                         "measure import text",
                                         "measure polarity frequencies_hz",
                                         "measure polarity levels_db",
                                         "measure polarity phases_deg",
                                         "network baffle-step width_m",
                                         "network biquad f0_hz",
                                         "network biquad q",
                                         "network notch f0_hz",
                                         "network pad attenuation_db",
                                         "network parts value_ohm",
                                         "network textbook order",
                                         "network textbook fx_hz",
                                         "network textbook load_ohm",
                                         "network zobel Re_ohm",
                                         "bench lcr r_ohm",
                                         "bench specimen Re_ohm",
                                         "box passive-radiator fb_hz",
                                         "box passive-radiator pr_Qms",
                                         "box passive-radiator pr_Sd_m2",
                                         "box passive-radiator pr_Vas_l",
                                         "box passive-radiator pr_fs_hz",
                                         "box port diameter_m",
                                         "box vented fb_hz",
                                         "driver wiring frequencies_hz",
                                         "measure decay sample_rate_hz",
                                         "measure gate sample_rate_hz",
                                         "network notch height_db",
                                         "network notch load_ohm",
                                         "network notch q",
                                         "network pad load_ohm",
                                         "network parts kind",
                                         "network zobel Le_h",
                                         "speaker diffraction width_m",
                                         "speaker diffraction height_m",
                                         "speaker align timing",
                                         "speaker null-test level_difference_db",
                                         "speaker null-test phase_difference_deg"};

/// Verbs that are not walked here, and why.
const std::set<std::string> elsewhere{
    "measure deconvolve", // its recording is a file that another verb has to write first
    "network trial"       // half a minute for the smallest request
};

/// Keys whose default only does the same more often, for minutes.
const std::set<std::string> tooLong{
    "driver trial count", "box trial count", "speaker trial speakers"};

text::Value requests() {
    std::ifstream file(std::string(YF_TEST_DATA) + "/requests.json");
    std::ostringstream all;
    all << file.rdbuf();
    return text::parseJson(all.str()).value();
}

Value::Object without(Value::Object object, const std::string& key) {
    std::erase_if(object, [&](const text::Member& member) { return member.key == key; });
    return object;
}

/// The request of a verb; those of a job are about the demo's.
std::optional<Value::Object> requestOf(const cli::Verb& verb) {
    static const Value all = requests();
    if (verb.topic == "job") {
        Value::Object about{{"job_file", hallFile()}};
        if (verb.name == "export-take") {
            about.push_back({"take", hallJob().takes.front().id});
        }
        return about;
    }
    const Value* found = all.find(verb.topic + " " + verb.name);
    return found == nullptr ? std::nullopt : std::optional(*found->object());
}

} // namespace

TEST(OptionalKeys, mayBeLeftOutOfEveryVerbAndRequiredOnesAreAskedFor) {
    int leftOut = 0;
    for (const cli::Verb& verb : cli::verbs()) {
        const std::string name = verb.topic + " " + verb.name;
        if (elsewhere.contains(name)) {
            continue;
        }
        const auto request = requestOf(verb);
        ASSERT_TRUE(request.has_value()) << name << " has no request in tests/data/requests.json";
        const auto run = [&](const Value::Object& object) {
            return answer({verb.topic, verb.name}, text::writeJson(object));
        };
        const cli::Answer whole = run(*request);
        ASSERT_EQ(whole.status, 0) << name << ": " << whole.err;
        const Value about = verb.describe();
        for (const Value& key : *about.find("keys")->list()) {
            const std::string word = *key.find("key")->word();
            const bool given =
                std::ranges::find(*request, word, &text::Member::key) != request->end();
            const bool required = *key.find("required")->flag();
            ASSERT_TRUE(given || !required) << name << ": " << word;
            if (!given || tooLong.contains(name + " " + word)) {
                continue; // left out already
            }
            ++leftOut;
            const cli::Answer less = run(without(*request, word));
            if (required) {
                EXPECT_EQ(less.status, 2) << name << " without " << word;
                EXPECT_NE(less.err.find(word), std::string::npos) << name << ": " << less.err;
            } else if (!oneOfSeveral.contains(name + " " + word)) {
                EXPECT_EQ(less.status, 0) << name << " without " << word << ": " << less.err;
            }
        }
    }
    EXPECT_GT(leftOut, 250);
}

// What a list is when it is not given stands in the description, as a list.
TEST(OptionalKeys, aListsDefaultIsDescribedAsAList) {
    for (const auto& [verb, key, count] :
         {std::tuple{"align", "delay_range_s", 2U}, std::tuple{"compare", "band_hz", 2U}}) {
        const Value about =
            text::parseJson(answer({"speaker", verb, "--describe"}, "").out).value();
        bool found = false;
        for (const Value& one : *about.find("keys")->list()) {
            if (*one.find("key")->word() == key) {
                found = true;
                ASSERT_NE(one.find("default"), nullptr) << verb;
                ASSERT_NE(one.find("default")->list(), nullptr) << verb;
                EXPECT_EQ(one.find("default")->list()->size(), count) << verb;
            }
        }
        EXPECT_TRUE(found) << verb;
    }
}

// A coil in series with a resistor is a load like any other, and a measured curve knows its
// resonance: neither has to be told one.
TEST(OptionalKeys, aLoadNeedsNoResonance) {
    const Value solved =
        output({"network", "solve"},
               R"({"network":{"drivers":{"d":{"Re_ohm":6,"Le_h":0.001}},"ways":[{"driver":"d"}]},)"
               R"("frequencies_hz":[159.15494309189535]})");
    // |6 + j·1| Ω
    EXPECT_NEAR(*solved.find("impedances_ohm")->list()->front().number(), std::sqrt(37.0), 1e-9);
    // And it is written again as it was read.
    const Value out = output(
        {"network", "tune"},
        R"({"network":{"drivers":{"d":{"Re_ohm":6,"Le_h":0.001},"r":{"r_ohm":5}},)"
        R"("ways":[{"ladder":[{"series":"L1 1mH"}],"driver":"d"},)"
        R"({"ladder":[{"series":"C1 10uF"}],"driver":"r"}]},"from_hz":100,"to_hz":10000,"starts":1})");
    const Value* d = out.find("network")->find("drivers")->find("d");
    EXPECT_EQ(*d->find("Le_h")->number(), 0.001);
    EXPECT_EQ(d->find("fs_hz"), nullptr);
    const cli::Answer found =
        answer({"network", "find"},
               R"({"drivers":{"d":{"Re_ohm":6,"Le_h":0.001},"r":{"r_ohm":5}},"ways":["d","r"],)"
               R"("from_hz":100,"to_hz":10000,"orders":[1],"starts":1})");
    EXPECT_EQ(found.status, 0) << found.err;
}

TEST(OptionalKeys, whatIsOutsideTheDataOrMissingIsRefusedByItsName) {
    struct {
        std::vector<std::string> words;
        const char* request;
        const char* said;
    } const rows[] = {
        {{"measure", "compare"},
         R"({"curve_a":{"frequencies_hz":[100,1000],"levels_db":[80,80]},)"
         R"("curve_b":{"frequencies_hz":[100,1000],"levels_db":[80,80]},"from_hz":20})",
         "from_hz: 20 given, must lie where both curves have data, 100 to 1000"},
        {{"measure", "simulate"}, R"({"seed":1})", "sweep: missing"},
        {{"network", "solve"},
         R"({"network":{"ways":[{"driver":"wofer"}],"drivers":{"woofer":{"r_ohm":8}}}})",
         "network.ways[0].driver: 'wofer' is not among the drivers, the nearest known driver is "
         "woofer"},
    };

    for (const auto& row : rows) {
        const cli::Answer a = answer(row.words, row.request);
        EXPECT_EQ(a.status, 2) << row.said;
        EXPECT_EQ(a.err.substr(0, std::string(row.said).size()), row.said);
    }
}

} // namespace yf::test
