// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstddef>
#include <vector>

/// In which order the nodal solver eliminates its unknowns, and where entries appear on the way.
/// Nothing outside core/network includes this.
namespace yf::network {

/// One mark for each place; chars, since a vector of bool is slow.
using Marks = std::vector<char>;

/// Lower triangle of a sparse symmetric matrix of blocks, with fill-in already in its pattern.
class Pattern {
public:
    explicit Pattern(std::size_t n) : n_(n), present_(n * n, char{0}) {
        for (std::size_t i = 0; i < n; ++i) {
            present_[i * n + i] = true;
        }
    }

    void connect(std::size_t i, std::size_t j) {
        present_[i * n_ + j] = true;
        present_[j * n_ + i] = true;
    }

    /// New place of each unknown: fewest neighbours first; the first `free` unknowns only, since
    /// a constraint has no pivot of its own until its nodes are gone.
    [[nodiscard]] std::vector<std::size_t> minimumDegree(std::size_t free) const {
        Marks matrix = present_;
        Marks gone(n_, 0);
        std::vector<std::size_t> place(n_);
        for (std::size_t step = 0; step < n_; ++step) {
            const bool constraintsOnly = step >= free;
            const std::size_t best = constraintsOnly ? leastConnected(matrix, gone, {free, n_})
                                                     : leastConnected(matrix, gone, {0, free});
            gone[best] = 1;
            place[best] = step;
            joinNeighbours(matrix, gone, best);
        }
        return place;
    }

    [[nodiscard]] Pattern reordered(const std::vector<std::size_t>& place) const {
        Pattern result(n_);
        for (std::size_t i = 0; i < n_; ++i) {
            for (std::size_t j = 0; j < n_; ++j) {
                if (present_[i * n_ + j] != 0) {
                    result.connect(place[i], place[j]);
                }
            }
        }
        for (std::size_t k = 0; k < n_; ++k) {
            for (std::size_t i = k + 1; i < n_; ++i) {
                for (std::size_t j = k + 1; j <= i; ++j) {
                    if (result.has(i, k) && result.has(j, k)) {
                        result.connect(i, j);
                    }
                }
            }
        }
        return result;
    }

    [[nodiscard]] bool has(std::size_t i, std::size_t j) const { return present_[i * n_ + j] != 0; }

    [[nodiscard]] std::size_t size() const { return n_; }

private:
    struct Span {
        std::size_t from{};
        std::size_t to{};
    };

    /// The unknown of a span with the fewest neighbours that are still there.
    [[nodiscard]] std::size_t
    leastConnected(const Marks& matrix, const Marks& gone, Span span) const {
        std::size_t best = n_;
        std::size_t fewest = n_ + 1;
        for (std::size_t i = span.from; i < span.to; ++i) {
            std::size_t degree = gone[i] != 0 ? n_ + 1 : 0;
            for (std::size_t j = 0; j < n_; ++j) {
                degree += gone[j] == 0 && matrix[i * n_ + j] != 0 ? 1U : 0U;
            }
            if (degree < fewest) {
                fewest = degree;
                best = i;
            }
        }
        return best;
    }

    /// Eliminating an unknown connects all of its neighbours.
    void joinNeighbours(Marks& matrix, const Marks& gone, std::size_t eliminated) const {
        for (std::size_t i = 0; i < n_; ++i) {
            if (gone[i] != 0 || matrix[i * n_ + eliminated] == 0) {
                continue;
            }
            for (std::size_t j = 0; j < n_; ++j) {
                if (gone[j] == 0 && matrix[eliminated * n_ + j] != 0) {
                    matrix[i * n_ + j] = 1;
                }
            }
        }
    }

    std::size_t n_;
    Marks present_;
};

} // namespace yf::network
