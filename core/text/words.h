// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

/// Marks a sentence of the core for the window's translations, which are looked up by the English
/// text; here it is the text itself.
#define YF_WORDS(context, text) text
