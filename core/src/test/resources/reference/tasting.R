# Tastings by R: signed ranks and Friedman on random data sets with ties, binomial figures, Holm, Bradley-Terry.
# Rscript tasting.R, beside the tables it writes (R 4.2, exactRankTests, BradleyTerry2).
suppressMessages({ library(exactRankTests); library(BradleyTerry2) })
set.seed(20261125)
number <- function(x) formatC(x, digits = 12, format = "g")

scores <- lapply(1:20, function(set) {
  n <- sample(5:24, 1)
  d <- sample(1:7, n, TRUE) - sample(1:7, n, TRUE) + sample(0:1, n, TRUE)
  if (all(d == 0)) d[1] <- 1
  exact <- wilcox.exact(d[d != 0], exact = TRUE)
  walsh <- sort(outer(d, d, "+")[upper.tri(diag(n), TRUE)] / 2)
  cut <- max(1, qsignrank(0.025, n))
  data.frame(set, differences = paste(d, collapse = " "), v = number(exact$statistic), p = number(exact$p.value),
    shift = number(median(walsh)), low = number(walsh[cut]), high = number(walsh[length(walsh) + 1 - cut]),
    level = number(1 - 2 * psignrank(cut - 1, n)))
})
write.csv(do.call(rbind, scores), "tasting-scores.csv", row.names = FALSE, quote = FALSE)

# Every arrangement of every row but the first, which may as well stand still.
permuted <- function(m) {
  k <- ncol(m)
  rows <- as.matrix(expand.grid(rep(list(1:k), k)))
  arrangements <- rows[apply(rows, 1, function(r) length(unique(r)) == k), ]
  ranks <- t(apply(m, 1, rank))
  spread <- function(sums) sum((sums - mean(sums))^2)
  sums <- matrix(ranks[1, ], 1)
  for (i in 2:nrow(m)) {
    one <- matrix(ranks[i, arrangements], ncol = k)
    sums <- do.call(rbind, lapply(seq_len(nrow(one)), function(a) sweep(sums, 2, one[a, ], "+")))
  }
  mean(apply(sums, 1, spread) >= spread(colSums(ranks)) - 1e-9)
}
ranks <- lapply(1:20, function(set) {
  k <- sample(3:5, 1)
  n <- if (set %% 4 == 0) sample(13:20, 1) else sample(2:switch(k - 2, 6, 4, 3), 1)
  m <- matrix(sample(1:4, n * k, TRUE), n)
  m[1, 1:2] <- c(1, 4)
  test <- friedman.test(m)
  data.frame(set, rows = paste(apply(m, 1, paste, collapse = " "), collapse = "|"), chi = number(test$statistic),
    asymptotic = number(test$p.value), exact = if (set %% 4 == 0) "" else number(permuted(m)))
})
write.csv(do.call(rbind, ranks), "tasting-ranks.csv", row.names = FALSE, quote = FALSE)

counts <- expand.grid(of = c(1, 4, 6, 7, 12, 23), part = c(0, 0.4, 0.8, 1))
counts$count <- round(counts$of * counts$part)
binomial <- with(counts, data.frame(count, of,
  p = number(mapply(function(x, n) binom.test(x, n)$p.value, count, of)),
  low = number(mapply(function(x, n) binom.test(x, n)$conf.int[1], count, of)),
  high = number(mapply(function(x, n) binom.test(x, n)$conf.int[2], count, of)),
  better = number(1 - pbeta(0.5, count + 1, of - count + 1)),
  guessed = number(pbinom(count - 1, of, 1 / 3, lower.tail = FALSE))))
write.csv(binomial, "tasting-binomial.csv", row.names = FALSE, quote = FALSE)

# Seven samples, some never beaten; a normal prior of 1.5 by optim, and none where the likelihood has a peak.
wins <- matrix(rpois(49, 2), 7)
diag(wins) <- 0
wins[1, ] <- wins[1, ] + 2
pairs <- expand.grid(one = 1:7, other = 1:7)
pairs <- pairs[pairs$one < pairs$other, ]
pairs$won <- wins[cbind(pairs$one, pairs$other)]
pairs$lost <- wins[cbind(pairs$other, pairs$one)]
pairs <- pairs[pairs$won + pairs$lost > 0, ]
named <- function(i) data.frame(sample = factor(i, levels = 1:7))
fit <- BTm(cbind(won, lost), named(pairs$one), named(pairs$other), ~sample, id = "sample", data = pairs)
free <- c(0, unname(coef(fit)))
errors <- c(0, unname(sqrt(diag(vcov(fit)))))
minus <- function(s) sum(with(pairs, won * log1p(exp(s[other] - s[one])) + lost * log1p(exp(s[one] - s[other])))) + sum(s^2) / (2 * 1.5^2)
bound <- optim(rep(0, 7), minus, method = "BFGS", hessian = TRUE, control = list(reltol = 1e-15, maxit = 5000))
spread <- solve(bound$hessian)
strengths <- data.frame(sample = 1:7, wins = apply(wins, 1, paste, collapse = " "), free = number(free), error = number(errors),
  bound = number(bound$par - bound$par[1]),
  bound_error = number(sqrt(diag(spread) + spread[1, 1] - 2 * spread[1, ])))
write.csv(strengths, "tasting-strengths.csv", row.names = FALSE, quote = FALSE)
