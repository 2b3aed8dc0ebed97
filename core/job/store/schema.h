// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string_view>

// Tables of a job file, a text for each version that changed them: docs/job-format.md.
namespace yf::job::store {

inline constexpr const char* schema = R"(
CREATE TABLE step(
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  merge_key TEXT NOT NULL,
  document TEXT NOT NULL
) STRICT;
CREATE TABLE state(
  one INTEGER PRIMARY KEY CHECK(one = 1),
  current INTEGER NOT NULL REFERENCES step(id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE TABLE curve(
  key TEXT PRIMARY KEY,
  phase TEXT NOT NULL,
  trusted_from REAL NOT NULL,
  trusted_to REAL NOT NULL,
  frequencies BLOB NOT NULL,
  real_parts BLOB NOT NULL,
  imaginary_parts BLOB NOT NULL
) STRICT;
)";

/// What version 2 added.
inline constexpr const char* schemaOfVersion2 = R"(
CREATE TABLE snapshot(
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL UNIQUE,
  at TEXT NOT NULL,
  document TEXT NOT NULL
) STRICT;
CREATE TABLE log(
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  kind TEXT NOT NULL,
  entry TEXT NOT NULL
) STRICT;
)";

/// What version 3 added.
inline constexpr const char* schemaOfVersion3 = R"(
CREATE TABLE photo(
  key TEXT PRIMARY KEY,
  bytes BLOB NOT NULL
) STRICT;
)";

/// What version 4 added: raw samples, 32-bit float, little-endian.
inline constexpr const char* schemaOfVersion4 = R"(
CREATE TABLE recording(
  key TEXT PRIMARY KEY,
  rate REAL NOT NULL,
  measured BLOB NOT NULL,
  reference BLOB NOT NULL
) STRICT;
)";

/// What version 9 changed: names of changes are words, and a text that begins with a bracket is a
/// list of one. Notes are what was written.
inline constexpr const char* changesOfVersion9 = R"(
UPDATE step SET name = json_array(name) WHERE name LIKE '[%';
UPDATE log SET entry = json_array(entry) WHERE kind <> 'note' AND entry LIKE '[%';
)";

inline constexpr std::string_view phaseNames[] = {"none", "own", "common", "minimum"};

} // namespace yf::job::store
