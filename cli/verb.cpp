// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/verb.h"

namespace yf::cli {

namespace {

constexpr int wrongInput = 2;

Answer refuse(const Error& error) {
    return {wrongInput, "", text::sentence(error).english() + "\n"};
}

std::vector<std::string> topics() {
    std::vector<std::string> names;
    for (const Verb& verb : verbs()) {
        if (std::ranges::find(names, verb.topic) == names.end()) {
            names.push_back(verb.topic);
        }
    }
    return names;
}

std::vector<std::string> verbsOf(const std::string& topic) {
    std::vector<std::string> names;
    for (const Verb& verb : verbs()) {
        if (verb.topic == topic) {
            names.push_back(verb.name);
        }
    }
    return names;
}

Answer help() {
    std::string text =
        "yellowfront-cli TOPIC VERB: one JSON object on standard input, one on standard output.\n"
        "yellowfront-cli TOPIC VERB --describe prints the keys; yellowfront-cli TOPIC lists the "
        "verbs.\n";
    for (const Verb& verb : verbs()) {
        text += "  " + verb.topic + " " + verb.name + "  " + verb.help + "\n";
    }
    return {0, text, ""};
}

Answer listVerbs(const std::string& topic) {
    std::string text;
    for (const Verb& verb : verbs()) {
        if (verb.topic == topic) {
            text += verb.name + "  " + verb.help + "\n";
        }
    }
    return {0, text, ""};
}

Answer run(const Verb& verb, const std::function<Result<std::string>()>& input) {
    auto text = input();
    if (!text) {
        return refuse(text.error());
    }
    auto value = text::parseJson(*text);
    if (!value) {
        return refuse(value.error());
    }
    auto out = verb.run(*value);
    if (!out) {
        return refuse(out.error());
    }
    return {0, text::writeJson(*out) + "\n", ""};
}

} // namespace

Answer answer(const std::vector<std::string>& words,
              const std::function<Result<std::string>()>& input) {
    if (words.empty() || words[0] == "--help" || words[0] == "-h") {
        return help();
    }
    const auto known = topics();
    if (std::ranges::find(known, words[0]) == known.end()) {
        return refuse({"topic",
                       "'" + words[0] + "' given",
                       "the nearest known topic is " + text::nearest(words[0], known)});
    }
    if (words.size() == 1) {
        return listVerbs(words[0]);
    }
    const auto found = std::ranges::find_if(
        verbs(), [&](const Verb& verb) { return verb.topic == words[0] && verb.name == words[1]; });
    if (found == verbs().end()) {
        return refuse({"verb",
                       "'" + words[1] + "' given",
                       "the nearest known verb is " + text::nearest(words[1], verbsOf(words[0]))});
    }
    if (words.size() == 3 && words[2] == "--describe") {
        return {0, text::writeJsonForReading(found->describe()) + "\n", ""};
    }
    if (words.size() > 2) {
        return refuse(
            {"arguments", "'" + words[2] + "' given", "only --describe may follow a verb"});
    }
    return run(*found, input);
}

} // namespace yf::cli
