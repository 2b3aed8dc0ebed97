// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/words.h"
#include "core/text/sentence.h"
#include "core/text/value.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <random>

namespace yf::test {

namespace {

/// A text of any shape: names with signs of every kind, forms in forms, rows.
Words someWords(std::mt19937& random, int depth) {
    static const std::string pieces[] = {"",
                                         "Teasel 26",
                                         "%1",
                                         "[\"a\"]",
                                         "a\nb",
                                         "µ %9 \" \\",
                                         "[",
                                         "100 %",
                                         "%1 to %2, or none",
                                         "{\"say\": 1}"};
    std::uniform_int_distribution<std::size_t> piece(0, std::size(pieces) - 1);
    std::uniform_int_distribution<int> count(0, depth > 2 ? 0 : 3);
    std::vector<Words> arguments;
    const int wanted = count(random);
    for (int i = 0; i < wanted; ++i) {
        arguments.push_back(someWords(random, depth + 1));
    }
    return Words::of(pieces[piece(random)], std::move(arguments));
}

bool alike(const Words& a, const Words& b) {
    return a.form() == b.form() &&
           std::ranges::equal(a.arguments(), b.arguments(), [](const Words& x, const Words& y) {
               return alike(x, y);
           });
}

} // namespace

TEST(Words, areTheirFormWithItsPlacesFilled) {
    EXPECT_EQ(Words("plain").english(), "plain");
    EXPECT_EQ(Words("100 %1").english(), "100 %1") << "a name may hold what looks like a place";
    EXPECT_EQ(say("%2 before %1", "a", std::string("b")).english(), "b before a");
    EXPECT_EQ(say("%1 and %1", "%1").english(), "%1 and %1") << "what is filled in is not read";
    EXPECT_EQ(say("%1: %2", "C1", say("%1 given", "-4")).english(), "C1: -4 given");
    EXPECT_EQ(Words::row({"One.", "", say("%1.", "Two")}, " ").english(), "One. Two.");
    EXPECT_TRUE(Words::row({"", Words()}, ", ").empty());
    EXPECT_EQ(Words::of("%1, %3", {"a"}).english(), "a, ")
        << "a place without an argument is empty";
}

TEST(Words, areEqualWhereTheirEnglishIs) {
    EXPECT_EQ(say("must be %1 to %2", "1", "5"), "must be 1 to 5");
    EXPECT_EQ(say("must be %1", say("%1 to %2", "1", "5")), say("must be %1 to %2", "1", "5"));
    EXPECT_FALSE(say("must be %1 to %2", "1", "5") == say("must be %1 to %2", "1", "6"));
}

TEST(Words, anErrorIsOneLineWhateverWasTyped) {
    const Error error{"name", say("'%1' given", "a\nb"), say("must be %1", "one\rline")};
    EXPECT_EQ(text::sentence(error), "name: 'a b' given, must be one line");
    EXPECT_EQ(text::sentence(error).form(), "%1: %2, %3");
    EXPECT_EQ(text::sentence(Error{"", "nothing", ""}), "nothing");
    EXPECT_EQ(text::sentence(Error{"", "nothing", "give it"}), "nothing, give it");
}

TEST(Words, comeBackWholeFromAFile) {
    std::mt19937 random(18);
    int composed = 0;
    for (int i = 0; i < 2000; ++i) {
        const Words words = someWords(random, 0);
        composed += words.arguments().empty() ? 0 : 1;
        const Words back = text::unpacked(text::packed(words));
        ASSERT_TRUE(alike(words, back)) << text::packed(words);
    }
    EXPECT_GT(composed, 1000);
    // What an earlier version wrote is a text, whatever it looks like.
    for (const char* const old :
         {"Change C1 to 6.8 µF", "[", "[1, 2]", "[[\"a\"]]", "[\"a\", 2]"}) {
        EXPECT_EQ(text::unpacked(old).english(), old);
    }
    EXPECT_FALSE(text::wordsOf(text::Value(1.0)).has_value());
}

} // namespace yf::test
