# Cheapest blends by lpSolve on random stocks, some of them impossible:  Rscript blend.R   (R 4.2, Debian r-cran-lpsolve)
library(lpSolve)
set.seed(7)
rows <- lapply(1:30, function(set) {
  n <- sample(2:6, 1)
  grams <- sample(seq(500, 6000, 100), n, TRUE)
  price <- sample(300:1500, n, TRUE)
  lean <- round(runif(n, 0.4, 0.98), 2)
  crust <- ifelse(runif(n) < 0.3, 1, 0)
  aged <- runif(n) < 0.4
  batch <- sample(seq(1000, 8000, 500), 1)
  wanted <- round(runif(1, 0.6, 0.9), 2)
  mostCrust <- sample(c(0.05, 0.1, 1), 1); mostAged <- sample(c(0.1, 0.2, 1), 1)
  fit <- lp("min", price / 1000,
    rbind(rep(1, n), lean, crust, ifelse(aged, 1 - lean, 0), diag(n)),
    c("=", "=", "<=", "<=", rep("<=", n)),
    c(batch, wanted * batch, mostCrust * batch, mostAged * batch, grams))
  data.frame(set, stocks = paste(grams, price, lean, crust, as.integer(aged), sep = ":", collapse = " "),
    batch, wanted, mostCrust, mostAged, cost = if (fit$status == 0) formatC(fit$objval, digits = 12, format = "g", width = 1) else "")
})
write.csv(do.call(rbind, rows), "blend.csv", row.names = FALSE, quote = FALSE)
