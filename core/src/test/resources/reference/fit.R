# Makes fit-weighings.csv and fit-expected.csv with R's own nls:  Rscript fit.R   (R 4.2, Debian r-base-core)
# The drying model is written here a second time, from the reference, with RK4 steps of 0.05 d.
ps <- function(T) 610.94 * exp(17.625 * T / (243.04 + T))
film <- function(T, v) {
  delta <- ps(T) * 17.625 * 243.04 / (243.04 + T)^2
  h <- 0.664 * sqrt(v * 0.20 / 1.33e-5) * 0.71^(1 / 3) * 0.0243 / 0.20
  kp <- h / (1.28 * 1006 * 0.846^(2 / 3)) * 0.018015 / (8.314462618 * (T + 273.15))
  (1 + delta / 66) / (86400 * kp)
}
lost <- function(days, a, b, set) {
  m0 <- set$grams / 1000
  r0 <- (film(set$T, set$v) + set$skin) * exp(a)
  r <- 100 * exp(b)
  drive <- (0.99 - set$rh) * ps(set$T)
  rate <- function(w) set$area / m0 * drive / (r0 + r * w * m0 / set$area) * max(0, 1 - (w / 0.62)^4)
  out <- numeric(length(days)); w <- 0; t <- 0; h <- 0.05
  for (i in seq_along(days)) {
    while (t < days[i] - 1e-9) {
      s <- min(h, days[i] - t)
      k1 <- rate(w); k2 <- rate(w + s / 2 * k1); k3 <- rate(w + s / 2 * k2); k4 <- rate(w + s * k3)
      w <- w + s / 6 * (k1 + 2 * k2 + 2 * k3 + k4); t <- t + s
    }
    out[i] <- w
  }
  out
}
sets <- list(
  loin = list(grams = 8000, area = 0.23, T = 2, rh = 0.80, v = 0.5, skin = 200, a = 0.30, b = -0.20, days = c(1, 3, 7, 14, 21, 28, 35, 42)),
  bag = list(grams = 6000, area = 0.20, T = 3, rh = 0.50, v = 0.1, skin = 380, a = -0.25, b = 0.40, days = c(2, 5, 9, 13, 18, 24, 30, 36, 41, 47)),
  steak = list(grams = 500, area = 0.042, T = 3, rh = 0.65, v = 0.1, skin = 380, a = 0.10, b = 0.30, days = c(1, 3, 7, 14, 21, 28)))
set.seed(20261124)
weighings <- NULL; expected <- NULL
for (name in names(sets)) {
  set <- sets[[name]]
  sd <- sqrt((5 / sqrt(12) / set$grams)^2 + 0.002^2)
  seen <- round(lost(set$days, set$a, set$b, set) + rnorm(length(set$days), 0, sd), 6)
  y <- c(seen / sd, 0, 0)
  model <- function(a, b) c(lost(set$days, a, b, set) / sd, a / 0.40, b / 0.50)
  fit <- nls(y ~ model(a, b), start = list(a = 0, b = 0), algorithm = "port")
  cov <- summary(fit)$cov.unscaled
  weighings <- rbind(weighings, data.frame(set = name, day = set$days, lost = seen))
  expected <- rbind(expected, data.frame(set = name, grams = set$grams, area = set$area, celsius = set$T, humidity = set$rh,
    speed = set$v, skin = set$skin, resistance = coef(fit)["a"], crust = coef(fit)["b"],
    varianceResistance = cov[1, 1], covariance = cov[1, 2], varianceCrust = cov[2, 2]))
}
write.csv(weighings, "fit-weighings.csv", row.names = FALSE, quote = FALSE)
write.csv(format(expected, digits = 8, trim = TRUE), "fit-expected.csv", row.names = FALSE, quote = FALSE)
