// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/text/fields.h"

#include <functional>
#include <string>
#include <string_view>
#include <vector>

/// A verb of the command line: one JSON object in, one out. Its keys, ranges and defaults are the
/// field list of its input; nothing about them stands here.
namespace yf::cli {

struct Verb {
    std::string topic;
    std::string name;
    std::string help;
    std::function<Result<text::Value>(const text::Value&)> run;
    std::function<text::Value()> describe;
};

template <class F>
struct FunctionShape;

template <class Out, class In>
struct FunctionShape<Result<Out> (*)(const In&)> {
    using Input = In;
    using Output = Out;
};

/// A verb from a core function `Result<Out> f(const In&)`. `prepare` may bring what only an edge
/// can: the contents of a file that the input names; `finish` may write files that it names.
template <auto f>
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): the order in which they are typed
[[nodiscard]] Verb
verb(std::string topic,
     std::string name,
     std::string help,
     std::function<Done(typename FunctionShape<decltype(f)>::Input&)> prepare = {},
     std::function<Done(const typename FunctionShape<decltype(f)>::Input&,
                        const typename FunctionShape<decltype(f)>::Output&)> finish = {}) {
    using In = typename FunctionShape<decltype(f)>::Input;
    return {std::move(topic),
            std::move(name),
            std::move(help),
            [prepare = std::move(prepare),
             finish = std::move(finish)](const text::Value& value) -> Result<text::Value> {
                YF_TRY(in, text::read<In>(value, ""));
                if (prepare) {
                    YF_TRY(prepared, prepare(in));
                    static_cast<void>(prepared);
                }
                YF_TRY(out, f(in));
                if (finish) {
                    YF_TRY(finished, finish(in, out));
                    static_cast<void>(finished);
                }
                return text::write(out);
            },
            [] { return text::describe<In>(); }};
}

/// All verbs, by topic.
[[nodiscard]] const std::vector<Verb>& verbs();

/// What the process says: exit status, standard output, standard error.
struct Answer {
    int status{};
    std::string out;
    std::string err;
};

/// One run: the words behind the program's name, and how to read standard input.
[[nodiscard]] Answer answer(const std::vector<std::string>& words,
                            const std::function<Result<std::string>()>& input);

} // namespace yf::cli
