"""Computes the main result of this trial again, from the files beside it.

Run it where it lies:  python3 recompute.py
It needs Python 3.8 and nothing else. What it does, in words: the number that the trial promised is taken for each
wash day; the statistic is the largest difference between two options (with two factors: the larger main effect); and
p is the share of all orders that the lot could have drawn (data/orders.csv) whose statistic is at least as large.
Where those orders are a sample, p is (b + 1) / (B + 1).
"""

import csv
import math
import os
import sys

HERE = os.path.dirname(os.path.abspath(__file__))


def table(name):
    with open(os.path.join(HERE, "data", name), encoding="utf-8-sig", newline="") as file:
        return list(csv.DictReader(file))


def number(text):
    return None if text == "" else float(text)


promise = {row["what"]: row["value"] for row in table("promise.csv")}
sabor = {row["what"]: row["value"] for row in table("result.csv")}
arms = [row["arm"] for row in table("arms.csv")]
halves = promise["halves"] == "yes"
days = int(promise["wash_days"])
lasting = promise["counts_days"] == "yes"
up_to = float(promise["wear_days"])

rows = {}
for row in table("numbers.csv"):
    rows[(int(row["wash_day"]), row["half"])] = row
wash_days = range(1, days + 1)


def of(day, half, column):
    row = rows.get((day, half))
    return None if row is None else number(row[column])


# One number a wash day: the head's, or left less right. A day without both halves is left out.
if halves:
    pairs = [(of(day, "left", "number"), of(day, "right", "number")) for day in wash_days]
    units = [None if a is None or b is None else a - b for a, b in pairs]
else:
    units = [of(day, "", "number") for day in wash_days]

# An order: the option of each wash day, or the options of its left and right half.
orders = [[row["day_%d" % day].split("|") for day in wash_days] for row in table("orders.csv")]
drawn = [row["arms"].split("|") for row in table("allocation.csv")]


def mean(values):
    return sum(values) / len(values) if values else math.nan


def innermost(seen):
    """The stretches that a maximum-likelihood curve can put its mass on (Turnbull 1976)."""
    ends = []
    for low, high in seen:
        ends.append((low, 0 if low == high else 2, True, low))
        ends.append((high, 1, False, high))
    ends.sort(key=lambda end: (end[0], end[1]))
    return [
        (ends[i - 1][3], ends[i][3]) for i in range(1, len(ends)) if ends[i - 1][2] and not ends[i][2]
    ]


def good_days(seen):
    """Mean good days up to the planned days of wear, of wears known to have stopped being good in (low, high]."""
    if not seen:
        return math.nan
    support = innermost(seen)

    def holds(outer, inner):
        if inner[0] < outer[0] or inner[1] > outer[1]:
            return False
        return not (inner[0] == inner[1] == outer[0] and outer[1] > outer[0])

    within = [[j for j, inner in enumerate(support) if holds(one, inner)] for one in seen]
    mass = [1 / len(support)] * len(support)
    for _ in range(20000):
        gradient = [0.0] * len(support)
        for places in within:
            share = 1 / len(seen) / sum(mass[j] for j in places)
            for j in places:
                gradient[j] += share
        mass = [p * g for p, g in zip(mass, gradient)]
        if max(gradient) < 1 + 1e-9:
            break
    return sum(
        p * (min(low, up_to) + min(high, up_to)) / 2 for (low, high), p in zip(support, mass)
    )


known = {}


def curve_mean(seen):
    key = tuple(sorted(seen))
    if key not in known:
        known[key] = good_days(list(key))
    return known[key]


def stopped(day, half):
    low = of(day, half, "good_to")
    high = of(day, half, "not_good_by")
    return None if low is None else (low, math.inf if high is None else high)


def effects(order):
    """What each option stands at, as the design reckons it."""
    at = {arm: [] for arm in arms}
    if lasting:
        for day in wash_days:
            if units[day - 1] is None:
                continue
            sides = ("left", "right") if halves else ("",)
            for side, arm in zip(sides, order[day - 1]):
                end = stopped(day, side)
                if end is not None:
                    at[arm].append(end)
        return [curve_mean(at[arm]) for arm in arms]
    if not halves:
        for unit, (arm,) in zip(units, order):
            if unit is not None:
                at[arm].append(unit)
        return [mean(at[arm]) for arm in arms]
    if len(arms) == 2:
        # Half the difference between the days with one option on the left and those with the other: side bias cancels.
        for unit, (left, _) in zip(units, order):
            if unit is not None:
                at[left].append(unit)
        half = (mean(at[arms[0]]) - mean(at[arms[1]])) / 4
        return [half, -half]
    return three_sides(order)


def three_sides(order):
    """Least squares of left less right over three options and a bias of the sides; the effects add up to nought."""
    xs, ys, ds = [], [], []
    for unit, (left, right) in zip(units, order):
        if unit is None:
            continue
        third = (left == arms[2]) - (right == arms[2])
        xs.append((left == arms[0]) - (right == arms[0]) - third)
        ys.append((left == arms[1]) - (right == arms[1]) - third)
        ds.append(unit)
    mx, my, md = mean(xs), mean(ys), mean(ds)
    xx = sum((x - mx) ** 2 for x in xs)
    yy = sum((y - my) ** 2 for y in ys)
    xy = sum((x - mx) * (y - my) for x, y in zip(xs, ys))
    xd = sum((x - mx) * (d - md) for x, d in zip(xs, ds))
    yd = sum((y - my) * (d - md) for y, d in zip(ys, ds))
    determinant = xx * yy - xy * xy
    if not determinant > 1e-9:
        return [math.nan] * 3
    first = (xd * yy - yd * xy) / determinant
    second = (yd * xx - xd * xy) / determinant
    return [first, second, -first - second]


def statistic(order):
    found = effects(order)
    if any(math.isnan(one) for one in found):
        return math.nan
    if promise["factors"] == "yes":
        a, b, c, d = found
        return max(abs(c + d - a - b) / 2, abs(b + d - a - c) / 2)
    return max(found) - min(found)


def main():
    observed = statistic(drawn)
    print(promise["question"])
    for arm, effect in zip(table("arms.csv"), effects(drawn)):
        print("  %-40s %8.3f" % (arm["name"], effect))
    print("largest difference: %.3f %s" % (observed, promise["unit"]))
    if sabor["p"] == "":
        print("No p: %s." % sabor["why"])
        return 0
    tie = 1e-6 if lasting else 1e-9
    # An order that leaves an option without a number counts as at least as large.
    extreme = sum(1 for order in orders if not statistic(order) < observed - tie)
    exact = sabor["all_orders"] == "yes"
    p = extreme / len(orders) if exact else (extreme + 1) / (len(orders) + 1)
    print("p = %.6f (%d of %d orders at least as large)" % (p, extreme, len(orders)))
    agrees = abs(p - float(sabor["p"])) < 1e-9
    print("Sabor said p = %.6f: %s" % (float(sabor["p"]), "the same" if agrees else "NOT the same"))
    return 0 if agrees else 1


if __name__ == "__main__":
    sys.exit(main())
