// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <filesystem>
#include <fstream>
#include <iterator>
#include <string>

namespace yf::test {

/// A folder of a test's own, gone when the test ends.
class TempFolder {
public:
    TempFolder();
    ~TempFolder();
    TempFolder(const TempFolder&) = delete;
    TempFolder& operator=(const TempFolder&) = delete;

    [[nodiscard]] std::string path(const std::string& name) const {
        return (folder_ / name).string();
    }

    /// Writes a file and gives its path.
    std::string write(const std::string& name,
                      const std::string& content) const; // NOLINT(modernize-use-nodiscard)

private:
    std::filesystem::path folder_;
};

[[nodiscard]] std::string fileContent(const std::string& path);

/// A file of tests/data.
[[nodiscard]] std::string dataFile(const std::string& name);

} // namespace yf::test
