# Computes the main result of this trial again, from the files beside it.
# Run it where it lies:  Rscript recompute.R
# It needs base R and nothing else. It does what recompute.py does, and says there how.

at <- function(name) read.csv(file.path("data", name), colClasses = "character", fileEncoding = "UTF-8-BOM",
                              check.names = FALSE)
valued <- function(table) setNames(table$value, table$what)
promise <- valued(at("promise.csv"))
sabor <- valued(at("result.csv"))
arms <- at("arms.csv")
numbers <- at("numbers.csv")
halves <- promise[["halves"]] == "yes"
lasting <- promise[["counts_days"]] == "yes"
days <- as.integer(promise[["wash_days"]])
up_to <- as.numeric(promise[["wear_days"]])

column <- function(half, name) {
  own <- numbers[numbers$half == half, ]
  as.numeric(own[[name]][match(seq_len(days), as.integer(own$wash_day))])
}
units <- if (halves) column("left", "number") - column("right", "number") else column("", "number")
sides <- if (halves) c("left", "right") else ""
good_to <- sapply(sides, column, name = "good_to")
not_good_by <- sapply(sides, column, name = "not_good_by")
not_good_by[!is.na(good_to) & is.na(not_good_by)] <- Inf
counted <- which(!is.na(units))

# An order as two rows of places among the options: of the left half (or the head), and of the right one.
placed <- function(text) {
  parts <- strsplit(as.character(text), "|", fixed = TRUE)
  rbind(match(sapply(parts, `[`, 1), arms$arm), match(sapply(parts, `[`, 2), arms$arm))
}
drawn <- placed(at("allocation.csv")$arms)
lots <- as.matrix(at("orders.csv")[paste0("day_", seq_len(days))])

good_days <- function(low, high) {
  n <- length(low)
  if (n == 0) return(NaN)
  ends <- data.frame(at = c(low, high), order = c(ifelse(low == high, 0, 2), rep(1, n)),
                     begins = rep(c(TRUE, FALSE), each = n))
  ends <- ends[order(ends$at, ends$order), ]
  first <- which(ends$begins[-nrow(ends)] & !ends$begins[-1])
  from <- ends$at[first]
  to <- ends$at[first + 1]
  within <- outer(seq_len(n), seq_along(from), function(i, j)
    from[j] >= low[i] & to[j] <= high[i] & !(from[j] == to[j] & from[j] == low[i] & high[i] > low[i]))
  mass <- rep(1 / length(from), length(from))
  for (round in 1:20000) {
    gradient <- colSums(within / as.vector(within %*% mass)) / n
    mass <- mass * gradient
    if (max(gradient) < 1 + 1e-9) break
  }
  sum(mass * (pmin(from, up_to) + pmin(to, up_to)) / 2)
}

effects <- function(order) {
  k <- nrow(arms)
  if (lasting) {
    rows <- if (halves) 1:2 else 1
    return(sapply(seq_len(k), function(arm) {
      own <- t(order[rows, counted, drop = FALSE] == arm) & !is.na(good_to[counted, , drop = FALSE])
      good_days(good_to[counted, , drop = FALSE][own], not_good_by[counted, , drop = FALSE][own])
    }))
  }
  left <- order[1, counted]
  value <- units[counted]
  means <- sapply(seq_len(k), function(arm) mean(value[left == arm]))
  if (!halves) return(means)
  if (k == 2) return(c(1, -1) * (means[1] - means[2]) / 4)
  right <- order[2, counted]
  third <- (left == 3) - (right == 3)
  x <- (left == 1) - (right == 1) - third
  y <- (left == 2) - (right == 2) - third
  # Least squares with a bias of the sides: the mean taken out of all, two unknowns stay.
  x <- x - mean(x)
  y <- y - mean(y)
  d <- value - mean(value)
  determinant <- sum(x * x) * sum(y * y) - sum(x * y)^2
  if (!(determinant > 1e-9)) return(rep(NaN, 3))
  found <- c(sum(x * d) * sum(y * y) - sum(y * d) * sum(x * y), sum(y * d) * sum(x * x) - sum(x * d) * sum(x * y))
  found <- found / determinant
  c(found, -sum(found))
}
statistic <- function(order) {
  e <- effects(order)
  if (anyNA(e)) return(NaN)
  if (promise[["factors"]] == "yes")
    return(max(abs(e[3] + e[4] - e[1] - e[2]) / 2, abs(e[2] + e[4] - e[1] - e[3]) / 2))
  max(e) - min(e)
}

observed <- statistic(drawn)
cat(promise[["question"]], "\n")
cat(sprintf("  %-40s %8.3f\n", arms$name, effects(drawn)), sep = "")
cat(sprintf("largest difference: %.3f %s\n", observed, promise[["unit"]]))
if (sabor[["p"]] == "") {
  cat("No p: ", sabor[["why"]], ".\n", sep = "")
} else {
  tie <- if (lasting) 1e-6 else 1e-9
  all <- apply(lots, 1, function(order) statistic(placed(order)))
  extreme <- sum(is.na(all) | all >= observed - tie)
  p <- if (sabor[["all_orders"]] == "yes") extreme / nrow(lots) else (extreme + 1) / (nrow(lots) + 1)
  cat(sprintf("p = %.6f (%d of %d orders at least as large)\n", p, extreme, nrow(lots)))
  agrees <- abs(p - as.numeric(sabor[["p"]])) < 1e-9
  cat(sprintf("Sabor said p = %.6f: %s\n", as.numeric(sabor[["p"]]), if (agrees) "the same" else "NOT the same"))
  if (!agrees) quit(status = 1)
}
