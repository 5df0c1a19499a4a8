# Makes trial-pairs.csv and trial-expected.csv:  Rscript trial.R   (R 4.2 and metafor 3.8, Debian r-base-core, r-cran-metafor)
# Paired and Welch t are R's t.test; the random effects are metafor's rma (DerSimonian-Laird); the shrinkage is the normal-normal
# posterior written down a second time. Values of the arms are invented: a control, an arm, in pairs, over trials of one treatment.
library(metafor)
prior <- list(effect = 0.03, pair = 0.012, weight = 4)   # core.estimate, on shrink
set.seed(20261125)
sets <- list(
  honey  = list(pairs = c(2, 3, 2, 4), effect = -0.020, between = 0.000, within = 0.010),
  porcini = list(pairs = c(1, 1, 2),   effect = -0.010, between = 0.015, within = 0.014),
  smoke  = list(pairs = c(3, 4, 5, 2, 3), effect = 0.004, between = 0.012, within = 0.008))
pairs <- NULL; expected <- NULL
for (name in names(sets)) {
  set <- sets[[name]]
  for (trial in seq_along(set$pairs)) {
    u <- rnorm(1, 0, set$between)
    for (pair in seq_len(set$pairs[trial])) {
      control <- round(rnorm(1, 0.16, 0.02), 4)
      arm <- round(control + set$effect + u + rnorm(1, 0, set$within), 4)
      pairs <- rbind(pairs, data.frame(set = name, trial = trial, pair = pair, control = control, arm = arm))
    }
  }
  of <- pairs[pairs$set == name, ]
  d <- of$arm - of$control
  t80 <- t.test(of$arm, of$control, paired = TRUE, conf.level = 0.80)
  t95 <- t.test(of$arm, of$control, paired = TRUE, conf.level = 0.95)
  w80 <- t.test(of$arm, of$control, conf.level = 0.80)
  by <- split(d, of$trial)
  n <- sapply(by, length); y <- sapply(by, mean)
  ss <- sum(sapply(by, function(x) sum((x - mean(x))^2)))
  s2 <- (prior$weight * prior$pair^2 + ss) / (prior$weight + sum(n - 1))
  fit <- rma(yi = y, vi = s2 / n, method = "DL")
  precision <- 1 / fit$se^2 + 1 / prior$effect^2
  expected <- rbind(expected, data.frame(set = name, mean = mean(d), low80 = t80$conf.int[1], high80 = t80$conf.int[2],
    low95 = t95$conf.int[1], high95 = t95$conf.int[2], welchLow80 = w80$conf.int[1], welchHigh80 = w80$conf.int[2],
    pooled = as.numeric(fit$b), between = fit$tau2, shrunk = as.numeric(fit$b) / fit$se^2 / precision, sd = 1 / sqrt(precision)))
}
write.csv(pairs, "trial-pairs.csv", row.names = FALSE, quote = FALSE)
write.csv(format(expected, digits = 9, trim = TRUE), "trial-expected.csv", row.names = FALSE, quote = FALSE)
