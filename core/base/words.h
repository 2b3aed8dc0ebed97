// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <concepts>
#include <cstddef>
#include <iosfwd>
#include <string>
#include <string_view>
#include <type_traits>
#include <utility>
#include <vector>

/// Marks a form or a whole text of the core for translation, which looks it up by its English; here
/// it is the text itself. The lists of translations are made from these marks.
#define YF_WORDS(context, text) text

namespace yf {

/// A text for people: a form with places %1 to %9 and what stands in them, each again such a text.
///
/// The core speaks English; whoever shows it in another language translates form by form
/// (app/widgets/words.h), and nobody has to find the form again in a finished sentence. A text
/// without places is its own form; a name, a number or a key is one that no list of translations
/// holds.
class Words {
public:
    Words() = default;

    template <class Text>

    requires std::convertible_to<Text, std::string_view> Words(const Text& text)
        : form_(std::string_view(text)) {}

    Words(std::string text) : form_(std::move(text)) {}

    /// The texts one after the other, with nothing said about how they hang together.
    [[nodiscard]] static Words row(std::vector<Words> texts, std::string_view between);

    /// A form read back from a file, as many arguments as came with it.
    [[nodiscard]] static Words of(std::string form, std::vector<Words> arguments);

    /// "%1 given"; empty for a row of texts.
    [[nodiscard]] const std::string& form() const { return form_; }

    [[nodiscard]] const std::vector<Words>& arguments() const { return arguments_; }

    [[nodiscard]] bool empty() const { return form_.empty() && arguments_.empty(); }

    /// The English text.
    [[nodiscard]] std::string english() const;

    /// Equal where the English is: an error told in one piece is the same as one told in two.
    friend bool operator==(const Words& a, const Words& b);

private:
    std::string form_;
    std::vector<Words> arguments_;
};

std::ostream& operator<<(std::ostream& out, const Words& words);

/// A form with each place filled by `filled(i)`, place %1 being 0; the rest stands as it is. For a
/// std::string and for the window's QString.
template <class Text>
Text fillPlaces(const Text& form, const auto& filled) {
    Text text;
    const auto size = form.size();
    for (auto at = size - size; at < size; ++at) {
        std::size_t place = 0;
        for (char16_t digit = u'1'; digit <= u'9' && form[at] == u'%' && at + 1 < size; ++digit) {
            place = form[at + 1] == digit ? digit - u'0' : place;
        }
        if (place == 0) {
            text += form[at];
        } else {
            text += filled(place - 1);
            ++at;
        }
    }
    return text;
}

/// A form with exactly so many places, each named at least once; another does not compile.
template <std::size_t Places>
struct Form {
    std::string_view text;

    template <class Text>
    requires std::convertible_to<Text, std::string_view>

    consteval Form(const Text& marked) : text(marked) {
        bool named[10] = {};
        for (std::size_t at = 0; at + 1 < text.size(); ++at) {
            if (text[at] == '%' && text[at + 1] >= '1' && text[at + 1] <= '9') {
                named[text[at + 1] - '0'] = true;
            }
        }
        for (std::size_t place = 1; place < 10; ++place) {
            if (named[place] != (place <= Places)) {
                throw "the form's places are not those of its arguments";
            }
        }
    }
};

/// say(YF_WORDS("core", "must be %1 to %2"), low, high)
template <class... Argument>
[[nodiscard]] Words say(std::type_identity_t<Form<sizeof...(Argument)>> form,
                        const Argument&... arguments) {
    return Words::of(std::string(form.text), {Words(arguments)...});
}

} // namespace yf
