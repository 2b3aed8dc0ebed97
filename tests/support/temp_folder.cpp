// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>

#include <cstdlib>

namespace yf::test {

TempFolder::TempFolder() {
    std::string name =
        (std::filesystem::temp_directory_path() / "yellowfront-test-XXXXXX").string();
    EXPECT_NE(::mkdtemp(name.data()), nullptr);
    folder_ = name;
}

TempFolder::~TempFolder() {
    std::error_code ignored;
    std::filesystem::remove_all(folder_, ignored);
}

std::string TempFolder::write(const std::string& name, const std::string& content) const {
    std::ofstream(path(name), std::ios::binary) << content;
    return path(name);
}

std::string fileContent(const std::string& path) {
    std::ifstream file(path, std::ios::binary);
    EXPECT_TRUE(file.good()) << path;
    return {std::istreambuf_iterator<char>(file), {}};
}

std::string dataFile(const std::string& name) {
    return fileContent(std::string(YF_TEST_DATA) + "/" + name);
}

} // namespace yf::test
