# Makes evidence-expected.csv:  Rscript evidence.R   (R 4.2, Debian r-base-core)
# evidence-pieces.csv is what Elvaro exports of its invented scenario (Compare, "The pieces as a table"). The models are R's lm.
pieces <- read.csv("evidence-pieces.csv", stringsAsFactors = FALSE)
pieces$treatment[pieces$treatment == ""] <- "plain"
expected <- NULL
ask <- function(name, group, y) {
  use <- is.finite(y)
  g <- group[use]
  counts <- table(g)
  reference <- sort(names(counts)[counts == max(counts)])[1]   # ties: the first by name
  d <- data.frame(y = y[use], g = relevel(factor(g), ref = reference),
                  days = pieces$days[use] - mean(pieces$days[use]),
                  lw = log(pieces$green_g[use]) - mean(log(pieces$green_g[use])))
  fit <- lm(y ~ g + days + lw, d)
  s <- summary(fit); k <- s$coefficients; ci <- confint(fit)
  for (term in rownames(k)) {
    expected <<- rbind(expected, data.frame(ask = name, reference = reference,
      term = ifelse(term == "(Intercept)", "intercept", ifelse(term == "lw", "ln weight", sub("^g", "", term))),
      estimate = k[term, 1], error = k[term, 2], t = k[term, 3], p = k[term, 4],
      low = ci[term, 1], high = ci[term, 2], freedom = fit$df.residual, sigma = s$sigma, r2 = s$r.squared))
  }
}
ask("shrink by method", pieces$method, pieces$shrink_fraction)
ask("steak by cut", pieces$cut, pieces$steak_yield_fraction)
ask("cost by chamber", pieces$chamber, log(pieces$steak_cost_minor_per_kg))
ask("trim by treatment", pieces$treatment, pieces$trim_fraction)
write.csv(format(expected, digits = 12, trim = TRUE), "evidence-expected.csv", row.names = FALSE, quote = TRUE)
